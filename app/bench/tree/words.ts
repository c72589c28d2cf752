/** What people read in tree. */
export const treeWords = {
  // keys.ts
  forwardByOne: "Forward by one",
  backByOne: "Back by one",
  goAnotherLayer: "Go to another layer",
  foldGoOutUnfold: "Fold, go out; unfold, go in",
  rename: "Rename",
  remove: "Remove",

  // TreeLine.tsx
  unlock: (name: string) => `Unlock ${name}`,
  lock: (name: string) => `Lock ${name}`,
  lockedCannotBeChosen: "Locked: cannot be chosen on a card. Click to unlock",
  lockInTreeLine: "Lock",
  show: (name: string) => `Show ${name}`,
  hide: (name: string) => `Hide ${name}`,
  notShownThisVariant: "Not shown in this variant. Click to show it where changes reach",
  hideWhereChangesReach: "Hide where changes reach",
  layerName: "Layer name",

  // Layers.tsx
  layers: "Layers",
  order: "Order of the layers",
  moveForward: "Move forward",
  forwardAltUp: "Forward (Alt+Up)",
  moveBack: "Move back",
  backAltDown: "Back (Alt+Down)",
  findLayer: "Find a layer",
  noLayerCalled: "No layer is called that.",

  // TreeLine.tsx
};
