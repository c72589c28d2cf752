/** What people read in sheet. */
export const sheetWords = {
  popOut: "Pop out of",
  chooseLayer: "Choose a layer",
  noVariantStageShows:
    "No variant on the stage shows both layers, so the distance between them is unknown.",
  poseParts: {
    x: "x",
    y: "y",
    scale: "scale",
    rotation: "rotation",
    opacity: "opacity",
    blur: "blur",
  },
  // rows.ts
  positionSize: "Position and size",
  layout: "Layout",
  paint: "Paint",
  border: "Border",
  text: "Text",
  accessibilityInput: "Accessibility and input",
  thisCopy: "This copy",
  none: "none",
  yes: "yes",
  no: "no",
  component: "Component",
  initial: (name: string) => `Initial ${name}`,
  deletedToken: "a deleted token",
  deleted: "deleted",
  useOne: (choices: string) => `Use one of: ${choices}`,
  noNamedProject: (of: string, text: string) => `No ${of} named “${text}” in this project`,
  fitStretch: (error: string) => `${error}, fit or stretch`,

  // CellPanel.tsx
  tokens: "Tokens",
  noneInCellPanel: "None",
  done: "Done",

  // hand.ts
  theseValuesAreSet:
    "These values are set for all variants, so Delete keeps them. Use the cell's menu to reset them to the default.",
  resetDefaultAllVariants: "Reset to default for all variants",
  nothingClearTheseValues: "Nothing to clear: these values are inherited.",

  // CellView.tsx
  set: (keys: number, condition: string) =>
    `Set ${keys ? `where ${condition}` : "for all variants"}`,
  oneOtherValue: "one other value",
  otherValues: (n: number) => `${n} other values`,
  overrides: (weaker: string) => `; overrides ${weaker}`,
  fromTextStyle: ", from its text style",
  contrastAgainstWcagAa: (ratio: number, ground: string, low: boolean, needed: number) =>
    `Contrast ${ratio.toFixed(2)} : 1 against ${ground}: ${low ? "fails" : "passes"} WCAG AA (${needed} : 1)`,
  contrast: (ratio: number, low: boolean) => `${ratio.toFixed(1)}${low ? " low" : ""}`,
  token: "token",
  style: "style",

  // CellBox.tsx
  dragFillOtherVariants: "Drag to fill other variants; Ctrl+Enter fills the other selected columns",

  // tokenItems.ts
  tokenName: (name: string) => `token of ${name}`,
  createdTokenLinkedValue: (name: string) => `Created token “${name}” and linked this value to it.`,
  removeOption: "Remove option",
  letEachCopySet: "Let each copy set this",
  createToken: "Create token…",
  unlinkTokenKeepValue: "Unlink token, keep value",

  // themeRows.ts
  fixedTheme: "Fixed theme",
  notFixed: "not fixed",

  // NameToken.tsx
  newToken: "New token",
  tokenNameField: "Name",
  tokenGroupField: "Group",
  noGroup: "No group",
  tokenNameTaken: "This group has a token of that name.",
  createTokenNow: "Create token",
  cancel: "Cancel",

  // cellMenu.ts
  setAllVariants: "Set for all variants",
  setOnlyHere: "Set only here",
  setWhere: (condition: string) => `Set where ${condition}`,
  browserBlockedAccessClipboard:
    "The browser blocked access to the clipboard. Press Ctrl+V instead.",
  clearUseInheritedValue: "Clear, use inherited value",
  copy: "Copy",
  ctrlC: "Ctrl+C",
  paste: "Paste",
  ctrlV: "Ctrl+V",

  // keys.ts
  goAnotherCell: "Go to another cell",
  selectRange: "Select a range",
  goLastCellDirection: "Go to the last cell in that direction",
  goFirstOrLast: "Go to the first or last variant",
  editCellSwitchesYes: "Edit the cell; switches yes and no",
  fillOtherSelectedColumns: "Fill the other selected columns with this value",
  openCellsMenu: "Open the cell's menu",

  // RowHead.tsx
  dragLeftRightChange: "Drag left or right to change; hold Shift for larger steps",
  eachCopyCanSet: (name: string) =>
    `Each copy can set this (option “${name}”). Click to remove the option.`,
  option: "option",
  addOption: "Add option",

  // Grid.tsx
  default: "default",

  // Sheet.tsx
  noValueNamed: (layer: string, text: string) => `No value of ${layer} is named “${text}”.`,
  handful: (layer: string) => `Values of ${layer}`,
  setOnTheStage: "Set on the stage",
  noVariantShowsIt: "No variant on the stage shows this layer.",
  groupRows: (group: string, n: number) => `${group}, ${n} values`,
  hasSameValuesAll: (name: string) =>
    `${name} has the same values in all variants. Turn off “Differences only” to see them.`,

  // Grid.tsx
  valuesByVariant: (name: string) => `Values of ${name} by variant`,
  layers: (count: number) => `${count} layers`,
};
