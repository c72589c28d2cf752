/** What people read in tree. */
export const treeWords = {
  // keys.ts
  bringForward: "Bring forward",
  sendBackward: "Send backward",
  goAnotherLayer: "Go to another layer",
  collapseGoOutExpand: "Collapse or go out; expand or go in",
  rename: "Rename",
  delete: "Delete",

  // TreeLine.tsx
  unlock: (name: string) => `Unlock ${name}`,
  lock: (name: string) => `Lock ${name}`,
  lockedCannotBeSelected: "Locked: cannot be selected on a card. Click to unlock",
  lockInTreeLine: "Lock",
  show: (name: string) => `Show ${name}`,
  hide: (name: string) => `Hide ${name}`,
  hiddenVariantClickShow: "Hidden in this variant. Click to show it in the current scope",
  hideCurrentScope: "Hide in the current scope",
  layerName: "Layer name",

  // Layers.tsx
  layers: "Layers",
  layerOrder: "Layer order",
  bringForwardAltUp: "Bring forward (Alt+Up)",
  sendBackwardAltDown: "Send backward (Alt+Down)",
  findLayer: "Find a layer",
  noLayersMatchSearch: "No layers match this search.",

  // TreeLine.tsx
};
