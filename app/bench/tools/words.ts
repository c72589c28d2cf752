/** What people read in tools. */
export const toolsWords = {
  // Dropper.tsx
  referenceImageDoesNot: "The reference image does not reach this point. Pick a point on it.",
  pickedFindAmongRecent: (colour: string) => `Picked ${colour}. Find it among the recent colours.`,
  pickColourFromReference: "Pick a colour from the reference image",

  // Draw.tsx
  drawing: (kind: string) => `${kind}: drag from corner to corner`,

  // Pose.tsx
  entranceLayerDragResize: (comes: boolean) =>
    comes
      ? "Entrance of the layer: drag, resize, rotate"
      : "Exit of the layer: drag, resize, rotate",

  // Pen.tsx
  piece: "the piece",

  // Ruler.tsx
  rulerDragMeasure: "Ruler: drag to measure",

  // wire.ts
  to: (variantName: string) => `To ${variantName}`,
  go: (name: string) => `Go to ${name}`,
  showAsOverlay: (name: string) => `Show ${name} as overlay`,

  // Socket.tsx
  wireDragCardShould: "Wire: drag to the card it should lead to",
  dragCardScreenOverlay: "Drag to the card, screen or overlay this should lead to",

  // TypeOver.tsx
  textLayer: "Text of the layer",

  // Insert.tsx
  insertIcon: "Insert an icon",
  iconI: "Icon (I)",
  chooseIcon: "Choose an icon",
  icon: "Icon",
  insertComponent: "Insert a component",
  copyComponent: "Copy of a component",
  searchLibrary: "Search components",
  componentsOfLibrary: "Components",
  recent: "recent",
  noneFound: "No component has this in what it says or shows.",
  insertNamed: (name: string) => `Insert ${name}`,
  orDrag: "or drag it onto a card",
  insert: "Insert",
  insertLayer: "Insert a layer",
  pen: "Pen",
  drawPathPenP: "Draw a path with the pen (P)",
  imageSvgFile: "Image or SVG file",

  // WirePanel.tsx
  showAsOverlay2: "show as overlay",
  goInWirePanel: "go to",
  wholePiece: "The whole piece",
  addRule: "Add rule",
  trigger: "Trigger",
  delayed: "… after a delay",
  milliseconds: "Milliseconds",
  applies: "Applies",
  everyVariant: "in every variant",
  revertsWhenEnds: "reverts when it ends",
  staysAfterwards: "stays afterwards",
  cancel: "Cancel",
  createRule: "Create rule",

  // Pen.tsx
  drawPath: (name: string) => `Draw a path on ${name}`,

  // Insert.tsx
  insertWords: (words: string) => `Insert ${words}`,

  // WirePanel.tsx
  while: (condition: string) => `while ${condition}`,
  pointsArrowKeysMove: (layer: string) =>
    `Points of ${layer}: arrow keys move, Tab selects the next, Enter switches smooth and corner, Delete removes`,
};
