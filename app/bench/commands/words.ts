/** What people read in commands. */
export const commandsWords = {
  // edits.ts
  changedButCardKeeps: (label: string, words: string) =>
    `Changed, but this card keeps its own ${label}, set where ${words}.`,
  clearOwnValue: "Clear its own value",
  duplicatedWithoutOriginals: (n: number) =>
    `Duplicated without the original's ${n === 1 ? "rule" : `${n} rules`}.`,
  copyRuleToo: "Copy the rule too",
  copyRulesToo: "Copy the rules too",

  // arranging.ts
  selectTwoMoreShapes: "Select two or more shapes to combine.",
  selectLayersSameBox: "Select layers in the same box to group them.",
  copiedStyleSelectOther: (name: string) =>
    `Copied the style of ${name}. Select other layers and paste it from their menu.`,
  copiedLook: (variantName: string, hasOthers: boolean) =>
    `Copied the look of “${variantName}”${hasOthers ? ". Paste it from the menu of another card" : ""}.`,
  bothVariantsAlreadyLook: "Both variants already look the same.",
  nothingResetVariantHas: "Nothing to reset: this variant has no values of its own.",
  component: "Component",
  selectLayersSameBox2: "Select layers in the same box to create a component.",
  createdComponentLeftCopy: (name: undefined | string) =>
    `Created component ${name ?? ""} and left a copy of it here. Double-click the copy to edit inside.`,

  // inserting.ts
  box: "Box",
  ellipse: "Ellipse",
  line: "Line",
  triangle: "Triangle",
  text: "Text",
  importedDrawingsAsLayers: (drawings: number, notes: number, notes2: string) =>
    `Imported ${drawings} drawings as layers.${notes ? ` ${notes2}` : ""}`,
  gatherIntoOneComponent: "Gather into one component…",
  wasNotAddedLarger: (name: string, maxSvg: number) =>
    `“${name}” was not added: it is larger than ${maxSvg} MB.`,
  drawing: "Drawing",
  wasNotAdded: (name: string, error: string) => `“${name}” was not added: ${error}.`,
  insert: (name: string) => `Insert ${name}`,
  importedAsLayersLeft: (name: string, lost: string) =>
    `Imported “${name}” as layers. Left out: ${lost}.`,
  addedFontProject: (name: string) => `Added the font in “${name}” to the project.`,

  // benchKeys.ts
  nothingFitNoLayer: "Nothing to fit: no layer is visible.",
  findValue: "Find a value in the sheet",
  collapseExpandDrawer: "Collapse or expand the drawer",
  scale: "Scale…",
  readyMade: "Ready-made behaviour…",
  fitFrame: "Fit frame to layers",
  layerIsIn: (layer: string, box: string) => `${layer} is in ${box}.`,
  insertDefaultSizeInto: "Insert at the default size into the selected box",
  insertBox: "Draw a box",
  insertEllipse: "Draw an ellipse",
  insertLine: "Draw a line",
  insertTriangle: "Draw a triangle",
  insertText: "Insert a text",
  insertIcon: "Insert an icon",
  drawPathPen: "Draw a path with the pen",
  measure: "Measure",
  pickColourFromReference: "Pick a colour from the reference image",
  moveSelectedLayersPx: "Move selected layers by 1 px",
  moveThemPx: "Move them by 10 px",
  deleteSelectedLayers: "Delete selected layers",
  selectAllSiblings: "Select all siblings",
  duplicateAgainRepeatSame: "Duplicate; again to repeat at the same distance",
  group: "Group",
  ungroup: "Ungroup",
  combineShapes: "Combine shapes",
  createComponent: "Create component",
  lockUnlock: "Lock or unlock",
  findReplaceValue: "Find and replace a value",
  editPointsPath: "Edit the points of a path",
  rename: "Rename",
  fitAllCards: "Fit all cards",
  goUpOneLevel: "Go up one level, then clear the selection",
  restartTry: "Restart Try",
  showTheseShortcuts: "Show these shortcuts",

  // layerMenu.ts
  nothingPasteCopySome: "Nothing to paste: copy some layers first.",
  browserBlockedAccessClipboard:
    "The browser blocked access to the clipboard. Press Ctrl+V instead.",
  cut: "Cut",
  ctrlX: "Ctrl+X",
  copy: "Copy",
  ctrlC: "Ctrl+C",
  paste: "Paste",
  ctrlV: "Ctrl+V",
  pastePlace: "Paste in place",
  duplicate: "Duplicate",
  copyStyle: "Copy style",
  pasteStyle: (name: string) => `Paste style of ${name}`,
  pasteStyle2: "Paste style",
  resetThisVariant: "Reset in this variant",
  convertOnePath: "Convert to one path",
  wrapRow: "Wrap in row",
  wrapColumn: "Wrap in column",
  replaceWithCopy: "Replace with a copy of",
  gatherLayersAsVariants: (count: number) => `Gather ${count} layers as variants…`,
  convertPlainLayers: "Convert to plain layers",
  bringFront: "Bring to front",
  sendBack: "Send to back",
  unlock: "Unlock",
  lock: "Lock",
  show: "Show",
  hide: "Hide",
  delete: "Delete",
};
