/** What people read in bench. */
export const benchWords = {
  inLibrary: "In library",
  // Drawer.tsx
  sheet: "Sheet",
  rules: "Rules",
  timing: "Timing",
  map: "Map",
  checks: "Checks",
  rehearsals: "Rehearsals",
  findReplaceValueCtrl: "Find and replace a value (Ctrl+F)",
  findValue: "Find a value",
  collapseDrawer: "Collapse the drawer",
  expandDrawer: "Expand the drawer",
  drawerBeside: "Drawer beside the stage",
  drawerBelow: "Drawer below the stage",
  drawerWidth: "Drawer width",
  withKey: (words: string) => `${words} (W)`,
  findReplace: "Find and replace",
  differencesOnly: "Differences only",
  drawer: "Drawer",
  loading: "Loading…",

  // partKeys.ts
  goToNextPart: "Go to the next part: layers, stage, drawer, Try",
  goPreviousPart: "Go to the previous part",

  // KeysDialog.tsx
  ctrlXCtrlC: "Ctrl+X, Ctrl+C, Ctrl+V",
  cutCopyPasteLayers: "Cut, copy, paste layers, rules, cells",
  pasteLayersPlace: "Paste layers in place",
  altDrag: "Alt + drag",
  dragDuplicate: "Drag to duplicate",
  shiftDrag: "Shift + drag",
  moveAlongOneAxis: "Move along one axis; on handles, keep proportions",
  altOnHandles: "Alt on handles",
  resizeFromCentreCorner: "Resize from the centre; on a corner handle, only that corner",
  ctrlDrag: "Ctrl + drag",
  turnOffSnapping: "Turn off snapping",
  altHover: "Alt + hover",
  showDistances: "Show distances",
  ctrlClick: "Ctrl + click",
  selectInnermostLayer: "Select the innermost layer",
  doubleClick: "Double click",
  selectInsideGroupEdit: "Select inside a group; edit a text; edit the points of a path",
  homeEnd: "Home, End",
  playheadGoStartGo: "On the playhead: go to start, go to end",
  leftRight: "Left, Right",
  barChangeDelayWith:
    "On a bar: change the delay; with Alt the duration; with Shift in steps of 50 ms",
  ctrlWheel: "Ctrl + wheel",
  zoomWithShiftScroll: "Zoom; with Shift scroll through time",
  onBench: "On the bench",
  pointer: "With the pointer",
  tree: "In the tree",
  sheetInKeysDialog: "In the sheet",
  timingInKeysDialog: "In Timing",
  keyboardShortcuts: "Keyboard shortcuts",
  useSingleLettersAs: "Use single letters as shortcuts",

  // TopBar.tsx
  pieceName: "Piece name",
  shortcuts: "Shortcuts",
  keyboardShortcuts2: "Keyboard shortcuts (?)",
  placeOnScreen: "Place on screen",
  newScreen: "New screen",
  play: "Play",

  // useKeys.ts
  drawingWasNotAdded: (maxSvg: number) =>
    `The drawing was not added: it is larger than ${maxSvg} MB.`,
  drawingInUseKeys: "Drawing",

  // Bench.tsx
  layersPanelWidth: "Layers panel width",
  drawerHeight: "Drawer height",
  tryPanelWidth: "Try panel width",

  // TopBar.tsx
  layersAndTraits: "Layers and traits",
  views: "Views of the piece",
  failing: (failing: number, all: number) => `${failing} of ${all}`,
};
