/** What people read in sheet. */
export const sheetWords = {
  popsOutOf: "Pops out of",
  chooseALayer: "choose a layer",
  noVariantShowsBoth:
    "No variant on the stage shows both layers, so there is no way from one to the other.",
  poseParts: {
    x: "x",
    y: "y",
    scale: "scale",
    rotation: "rotation",
    opacity: "opacity",
    blur: "blur",
  },
  // rows.ts
  placeSize: "Place and size",
  arrangement: "Arrangement",
  paint: "Paint",
  border: "Border",
  text: "Text",
  meaning: "Meaning",
  thisCopy: "This copy",
  none: "none",
  yes: "yes",
  no: "no",
  component: "component",
  starts: (name: string) => `starts with ${name}`,
  removedToken: "a removed token",
  removedOne: "a removed one",
  one: (choices: string) => `one of ${choices}`,
  projectHasNo: (of: string, text: string) => `the project has no ${of} “${text}”`,
  orFitOrStretch: (error: string) => `${error}; or fit, or stretch`,

  // CellPanel.tsx
  tokens: "Tokens",
  noneInCellPanel: "None",
  done: "Done",

  // hand.ts
  theseAreForAll:
    "These values are set for all variants, so Delete leaves them. To set them back to the default, use the cell's menu.",
  resetForAll: "Set back to the default for all variants",
  theseValuesAreInherited: "These values are inherited here already: there is nothing to clear.",

  // CellView.tsx
  said: (keys: number, condition: string) =>
    `Said ${keys ? `where ${condition}` : "for all variants"}`,
  oneWeakerSaying: "one weaker saying is",
  weakerSayingsAre: (n: number) => `${n} weaker sayings are`,
  hiddenBy: (weaker: string) => `; ${weaker} hidden by it`,
  byTextStyle: ", by its text style",
  contrast1BehindWcag: (ratio: number, ground: string, low: boolean, needed: number) =>
    `Contrast ${ratio.toFixed(2)} : 1 with ${ground} behind it; ${low ? "too low for" : "enough for"} WCAG AA (${needed} : 1)`,
  contrast: (ratio: number, low: boolean) => `${ratio.toFixed(1)}${low ? " low" : ""}`,
  token: "token",
  style: "style",

  // CellBox.tsx
  dragAcrossFillCtrl: "Drag across to fill; Ctrl+Enter fills the other chosen columns",

  // tokenItems.ts
  tokenName: (name: string) => `token of ${name}`,
  madeTokenBoundThis: (name: string) =>
    `Made the token “${name}” and bound this value to it. Rename it on the project’s System page.`,
  noLongerOptionEach: "No longer an option of each copy",
  letEachCopySet: "Let each copy set this",
  makeToken: "Make a token of it",
  keepValueWithoutToken: "Keep the value, without the token",

  // cellMenu.ts
  sayAllVariants: "Say it for all variants",
  sayOnlyHere: "Say it only here",
  sayWhere: (condition: string) => `Say it where ${condition}`,
  browserDoesNotLet:
    "The browser does not let Nubble read the clipboard here: press Ctrl+V instead.",
  inheritAgain: "Inherit again",
  copy: "Copy",
  ctrlC: "Ctrl+C",
  paste: "Paste",
  ctrlV: "Ctrl+V",

  // keys.ts
  goAnotherCell: "Go to another cell",
  chooseRange: "Choose a range",
  goLastCellWay: "Go to the last cell that way",
  goFirstOrLast: "Go to the first or last variant",
  editCellYesBecomes: "Edit the cell; a yes becomes a no",
  giveOtherChosenColumns: "Give the other chosen columns this value",
  whatCanBeDone: "What can be done with the cell",

  // RowHead.tsx
  dragSidewaysChangeShift: "Drag sideways to change; Shift for larger steps",
  eachCopyMaySet: (name: string) =>
    `Each copy may set this (option “${name}”). Click to take that back.`,
  letEachCopySetThisItself: "Let each copy set this for itself",
  option: "option",
  optionInRowHead: "+ option",

  // Grid.tsx
  resting: "resting",

  // Sheet.tsx
  noValueCalled: (layer: string, text: string) => `${layer} has no value called “${text}”.`,
  handful: (layer: string) => `Values of ${layer}`,
  setOnTheStage: "Set on the stage",
  noVariantShowsIt: "No variant on the stage shows this layer.",
  groupRows: (group: string, n: number) => `${group}, ${n} values`,
  looksSameAllVariants: (name: string) =>
    `${name} looks the same in all variants. Untick “only differences” to see its values.`,

  // Grid.tsx
  valuesByVariant: (name: string) => `Values of ${name} by variant`,
  layers: (count: number) => `${count} layers`,
};
