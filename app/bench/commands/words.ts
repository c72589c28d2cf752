/** What people read in commands. */
export const commandsWords = {
  // edits.ts
  setButThisCard: (label: string, words: string) =>
    `Set, but this card still shows its own ${label}, said where ${words}.`,
  clear: "Clear that",
  duplicatedWithoutOriginal: (n: number) =>
    `Duplicated without ${n === 1 ? "its rule" : `the ${n} rules`} of the original.`,
  bringRuleAlong: "Bring the rule along",
  bringRulesAlong: "Bring the rules along",

  // arranging.ts
  chooseTwoOrMore: "Choose two or more shapes to combine them.",
  onlyLayersLieSame: "Only layers that lie in the same box can be put into a container together.",
  styleHeldChooseOther: (name: string) =>
    `The style of ${name} is held: the menu of other layers gives it to them.`,
  lookHeldPasteOn: (variantName: string, hasOthers: boolean) =>
    `The look of “${variantName}” is held${hasOthers ? ": the menu of another card gives it to that" : ""}.`,
  twoVariantsLookSame: "The two variants look the same already.",
  thereNothingThisVariant: "There is nothing this variant says for itself.",
  component: "Component",
  onlyLayersLieSameBoxCan: "Only layers that lie in the same box can become one component.",
  componentNowCopyStands: (name: undefined | string) =>
    `${name ?? "The component"} is a component now, and a copy of it stands here. Double-click it to go in.`,

  // inserting.ts
  box: "Box",
  ellipse: "Ellipse",
  line: "Line",
  triangle: "Triangle",
  text: "Text",
  drawingsBecameLayers: (drawings: number, notes: number, notes2: string) =>
    `${drawings} drawings became layers.${notes ? ` ${notes2}` : ""}`,
  gatherThemVariantsOne: "Gather them as variants of one component …",
  wasNotTakenLarger: (name: string, maxSvg: number) =>
    `“${name}” was not taken: it is larger than ${maxSvg} MB.`,
  drawing: "Drawing",
  wasNotTaken: (name: string, error: string) => `“${name}” was not taken: ${error}.`,
  insert: (name: string) => `Insert ${name}`,
  becameLayersExcept: (name: string, lost: string) =>
    `“${name}” became layers, except for ${lost}.`,
  fontNowOneProjects: (name: string) =>
    `The font of “${name}” is now one of the project’s families.`,

  // benchKeys.ts
  nothingToFit: "There is no layer in sight the frame could fit.",
  findValue: "Find a value in the sheet",
  foldDrawer: "Fold or unfold the drawer",
  scale: "Scale…",
  readyMade: "Ready-made behaviour…",
  fitFrame: "Fit frame to layers",
  layerIsIn: (layer: string, box: string) => `${layer} is in ${box}.`,
  insertHere: "Put what is drawn into the chosen box, at its usual size",
  insertBox: "Draw a box",
  insertEllipse: "Draw an ellipse",
  insertLine: "Draw a line",
  insertTriangle: "Draw a triangle",
  insertText: "Write a text",
  insertIcon: "Insert an icon",
  drawPathPen: "Draw a path with the pen",
  measure: "Measure",
  pickColourFromReference: "Pick a colour from the reference picture",
  moveChosenLayersBy: "Move the chosen layers by 1",
  moveThemBy10: "Move them by 10",
  removeThem: "Remove them",
  chooseAllBesideChosen: "Choose all beside the chosen one",
  duplicateThemOnceMore: "Duplicate them; once more, by the same way",
  group: "Group",
  ungroup: "Ungroup",
  combineShapes: "Combine shapes",
  makeComponent: "Make a component",
  lockUnlock: "Lock, unlock",
  findReplaceValue: "Find and replace a value",
  editPointsPath: "Edit the points of a path",
  rename: "Rename",
  fitAllCards: "Fit all cards",
  backOutChooseNothing: "Back out, choose nothing",
  restartTry: "Restart Try",
  showTheseKeys: "Show these keys",

  // layerMenu.ts
  thereAreNoCopied: "There are no copied layers to paste.",
  browserDoesNotLet:
    "The browser does not let Nubble read the clipboard here: press Ctrl+V instead.",
  cut: "Cut",
  ctrlX: "Ctrl+X",
  copy: "Copy",
  ctrlC: "Ctrl+C",
  paste: "Paste",
  ctrlV: "Ctrl+V",
  pastePlace: "Paste in place",
  duplicate: "Duplicate",
  holdThisStyle: "Hold this style",
  giveStyle: (name: string) => `Give the style of ${name}`,
  giveHeldStyle: "Give a held style",
  resetThisVariant: "Reset in this variant",
  flattenIntoOnePath: "Flatten into one path",
  putIntoRow: "Put into a row",
  putIntoColumn: "Put into a column",
  replaceByCopy: "Replace by a copy of",
  gatherTheseVariants: (count: number) => `Gather these ${count} as variants …`,
  makePlainLayers: "Make plain layers of it",
  bringFront: "Bring to the front",
  sendBack: "Send to the back",
  unlock: "Unlock",
  lock: "Lock",
  show: "Show",
  hide: "Hide",
  delete: "Delete",
};
