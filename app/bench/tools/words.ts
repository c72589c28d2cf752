/** What people read in tools. */
export const toolsWords = {
  // Dropper.tsx
  thereNothingReferencePicture: "There is nothing of the reference picture there.",
  amongRecentColoursNow: (colour: string) => `${colour} is among the recent colours now.`,
  dropperPressOnReference: "Dropper: press on the reference picture to pick a colour",

  // Draw.tsx
  drawing: (kind: string) => `${kind}: drag from corner to corner`,

  // Pose.tsx
  poseOf: (comes: boolean) =>
    comes
      ? "Where the layer comes from: drag, size, turn"
      : "Where the layer goes to: drag, size, turn",

  // Pen.tsx
  piece: "the piece",

  // Ruler.tsx
  rulerDragMeasure: "Ruler: drag to measure",

  // wire.ts
  to: (variantName: string) => `To ${variantName}`,
  go: (name: string) => `Go to ${name}`,
  openOver: (name: string) => `Open ${name} over it`,

  // Socket.tsx
  wireDragCardShall: "Wire: drag to the card it shall lead to",
  dragCardScreenOr: "Drag to the card, screen or overlay this shall lead to",

  // TypeOver.tsx
  textLayer: "Text of the layer",

  // Insert.tsx
  insertIcon: "Insert an icon",
  iconI: "Icon (I)",
  chooseIcon: "Choose an icon",
  icon: "Icon",
  insertComponent: "Insert a component",
  copyComponent: "A copy of a component",
  insert: "Insert",
  insertLayer: "Insert a layer",
  pen: "Pen",
  drawPathPenP: "Draw a path with the pen (P)",
  insertPicture: "Insert a picture",

  // WirePanel.tsx
  openOverInWirePanel: "open over it",
  goInWirePanel: "go to",
  wholePiece: "The whole piece",
  newRule: "New rule",
  trigger: "Trigger",
  delayed: "… after a delay",
  milliseconds: "Milliseconds",
  whereHolds: "Where it holds",
  everyVariant: "in every variant",
  undoneWhenEnds: "undone when it ends",
  staysWhenEnds: "stays when it ends",
  leave: "Leave it",
  makeRule: "Make the rule",

  // Pen.tsx
  penOn: (name: string) => `Pen on ${name}`,

  // Insert.tsx
  insertWords: (words: string) => `Insert ${words}`,

  // WirePanel.tsx
  while: (condition: string) => `while ${condition}`,
  points: (layer: string) =>
    `Points of ${layer}: arrows move, Tab goes on, Enter makes smooth or sharp, Delete removes`,
};
