/** What people read in bench. */
export const benchWords = {
  // Drawer.tsx
  sheet: "Sheet",
  rules: "Rules",
  timing: "Timing",
  map: "Map",
  checks: "Checks",
  rehearsals: "Rehearsals",
  findReplaceValueCtrl: "Find and replace a value (Ctrl+F)",
  findValue: "Find a value",
  foldDrawer: "Fold the drawer",
  unfoldDrawer: "Unfold the drawer",
  drawerBeside: "Drawer beside the stage",
  drawerBelow: "Drawer below the stage",
  widthDrawer: "Width of the drawer",
  withKey: (words: string) => `${words} (W)`,
  findReplace: "Find and replace",
  onlyDifferences: "only differences",
  drawer: "Drawer",
  drawing: "Drawing …",

  // partKeys.ts
  goToNextPart: "Go to the next part: layers, stage, drawer, Try",
  goToPartBefore: "Go to the part before",

  // KeysDialog.tsx
  ctrlXCtrlC: "Ctrl+X, Ctrl+C, Ctrl+V",
  cutCopyPasteLayers: "Cut, copy, paste layers, rules, cells",
  pasteLayersPlace: "Paste layers in place",
  altDrag: "Alt + drag",
  dragCopy: "Drag a copy",
  shiftDrag: "Shift + drag",
  keepOneDirectionOn: "Keep to one direction; on handles, the proportions",
  altOnHandles: "Alt on handles",
  aboutMiddleOnCorner: "About the middle; on a corner knob, that corner",
  ctrlDrag: "Ctrl + drag",
  letNothingCatch: "Let nothing catch",
  altPointing: "Alt + pointing",
  showDistances: "Show distances",
  ctrlClick: "Ctrl + click",
  chooseInnermostLayer: "Choose the innermost layer",
  doubleClick: "Double click",
  goFurtherOnText: "Go further in; on a text, type; on a path, its points",
  homeEnd: "Home, End",
  onPlayheadBeginningEnd: "On the playhead: to the beginning, to the end",
  leftRight: "Left, Right",
  onBarDelayAlt: "On a bar: delay it; with Alt lengthen it, with Shift by 50 ms",
  ctrlWheel: "Ctrl + wheel",
  zoomShiftGoAlong: "Zoom; with Shift go along the time",
  onBench: "On the bench",
  pointer: "With the pointer",
  tree: "In the tree",
  sheetInKeysDialog: "In the sheet",
  timingInKeysDialog: "In Timing",
  keys: "Keys",
  lettersAloneAreKeys: "Letters alone are keys, too",

  // TopBar.tsx
  namePiece: "Name of the piece",
  keysInTopBar: "Keys (?)",
  play: "Play",

  // useKeys.ts
  drawingWasNotTaken: (maxSvg: number) =>
    `The drawing was not taken: it is larger than ${maxSvg} MB.`,
  drawingInUseKeys: "Drawing",

  // Bench.tsx
  widthLayers: "Width of the layers",
  heightDrawer: "Height of the drawer",
  widthTry: "Width of Try",

  // TopBar.tsx
  layersAndTraits: "Layers and traits",
  views: "Views of the piece",
  failing: (failing: number, all: number) => `${failing} of ${all}`,
};
