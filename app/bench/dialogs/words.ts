/** What people read in dialogs. */
export const dialogsWords = {
  // Compare.tsx
  slide: "Slide",
  turn: "In turn",
  sideBySide: "Side by side",
  whereOneEndsOther: "Where one ends and the other begins",
  noDifference: "No difference",
  goSheet: "Go to it in the sheet",
  bothVariantsLookSame:
    "Both variants look the same. If that is meant, one of them may be marked as not used.",
  compareTwoVariants: "Compare two variants",
  firstVariant: "First variant",
  and: "and",
  secondVariant: "Second variant",
  howTheyAreCompared: "How they are compared",

  // Gather.tsx
  whatNamesSay: "What the names say",
  component: "Component",
  nameComponent: "Name of the component",
  drawing: "Drawing",
  nameTrait: (c: number) => `Name of trait ${c + 1}`,
  removeTrait: (name: string) => `Remove trait ${name}`,
  oneMoreTrait: "One more trait",
  allPairsAreClear: "All pairs are clear",
  n1PairWorthLook: "1 pair is worth a look",
  pairsAreWorthLook: (count: number) => `${count} pairs are worth a look`,
  whichLayersAreSame: "Which layers are the same",
  lineOneLayerComponent:
    "A line is one layer of the component. Choose another where a pair is wrong; drag lines to restack.",
  pairsLayers: "Pairs of layers",
  layer: "Layer",
  notShownThisDrawing: "Not shown in this drawing",
  sure: (sure: number) => `${Math.round(sure)} % sure`,
  notThere: "not there",
  gatherDrawingsIntoOne: (drawings: number) => `Gather ${drawings} drawings into one component`,
  pairingLayers: "Pairing the layers …",
  putCopiesPlaceDrawings: "put copies in the place of the drawings",
  combinationsNobodyDrewAre: "combinations nobody drew are not used",
  making: "Making it …",
  makeComponent: "Make the component",

  // OverOthers.tsx
  middle: "in the middle",
  atTop: "at the top",
  atBottom: "at the bottom",
  atLeft: "at the left",
  atRight: "at the right",
  openedOverOthers: "Opened over others",
  whereLies: "Where it lies",
  dims: "dims",
  dimsWhatBeneathBy: "Dims what is beneath by per cent",
  pressOutsideCloses: "a press outside closes it",

  // Replace.tsx
  removedToken: "a removed token",
  newValueDoesNot: "The new value does not suit these properties.",
  replaceByPlaces: (find: string, next: string, count: number) =>
    `Replace ${find} by ${next} in ${count} places`,
  replacedPlaceUndoTakes: (count: number) =>
    `Replaced in ${count} place${count === 1 ? "" : "s"}. Undo takes it back.`,
  findReplaceValue: "Find and replace a value",
  property: "Property",
  any: "any",
  find: "Find",
  c9c3b416Dock: "#c9c3b4, 16, Dock …",
  sayInstead: "Say instead",
  valueOrNameToken: "a value or the name of a token",
  in: "In",

  // ReadyMade.tsx
  readyMadeFor: (name: undefined | string) => `Ready-made behaviour: ${name ?? ""}`,
  layers: (n: number) => `${n} layers`,
  behaviours: "Behaviours",
  whatIsAdded: "What is added",
  newTraitOf: (name: string, values: string) => `A new trait ${name}: ${values}`,
  looksOfLayers: (n: number) =>
    n === 1
      ? "What one layer looks like in its variants"
      : `What ${n} layers look like in their variants`,
  changesRule: (rule: string) => `Changed: ${rule}`,
  nothingReadyMade:
    "There is nothing ready-made for this. Choose as many layers as a trait has values, or declare a trait.",
  add: "Add",

  // Scale.tsx
  scale: "Scale",
  cancel: "Cancel",
  perCent: "Per cent",
  everyVariant: "every variant",
  whereEditsLand: (n: number) => `where edits land (${n})`,
  scaleTakesAlong: "Sizes, places, corners, borders, shadows, text, gaps and padding go along.",
  scaleFromTo: (least: number, most: number) =>
    `A number from ${least} to ${most}, other than 100.`,
  wideBecomes: (from: number, to: number) => `${from} px wide becomes ${to} px.`,
  chosenLayers: "the chosen layers",
  wholeProject: "the whole project",
  places: "Places",
  place: (condition: string | null, name: string | null) =>
    `${condition ? `where ${condition}` : ""}${name !== null ? ` in ${name}` : ""}`,
  typeValueSheetShows: "Type a value as the sheet shows it.",
  replace: (count: number) => `Replace in ${count}`,

  // Compare.tsx
  difference: (n: number) => `${n} difference${n === 1 ? "" : "s"}`,

  // Gather.tsx
  of: (name: undefined | string, drawingsAtName: undefined | string) =>
    `${name} of ${drawingsAtName}`,
  inName: (name: string, dName: string) => `${name} in ${dName}`,

  // Replace.tsx
  placePlaces: (places: number) => `${places} place${places === 1 ? "" : "s"}`,
};
