/** What people read in dialogs. */
export const dialogsWords = {
  // Compare.tsx
  split: "Split",
  alternate: "Alternate",
  sideBySide: "Side by side",
  dividerPosition: "Divider position",
  noDifference: "No difference",
  showSheet: "Show in sheet",
  bothVariantsLookSame:
    "Both variants look the same. If that is intended, mark one of them as unused.",
  compareTwoVariants: "Compare two variants",
  firstVariant: "First variant",
  and: "and",
  secondVariant: "Second variant",
  comparison: "Comparison",

  // Bring.tsx
  bringTitle: "Paste components from another project",
  bringNames: (names: readonly string[]) =>
    `The copied layers show ${names.join(", ")}, which this project does not have.`,
  adoptMeans: (system: string) =>
    `Adopt ${system} to place its components and be told when it changes.`,
  bringMeans: "Or bring the components along: they become this project’s own.",
  nothingPublished: "Their project has not published an edition, so it cannot be adopted yet.",
  systemAway:
    "The server cannot be reached, so their system cannot be adopted now. They can be brought along.",
  notInEdition: "Its newest edition does not have this component yet. Bring it along instead.",
  editionAway:
    "The edition could not be loaded. Nothing was changed. Try again when you are online.",
  bringAlong: "Bring along",
  adoptEdition: (system: string, number: string) => `Adopt ${system} ${number}`,

  // Gather.tsx
  names: "Names",
  component: "Component",
  componentName: "Component name",
  drawing: "Drawing",
  nameTrait: (c: number) => `Name of trait ${c + 1}`,
  removeTrait: (name: string) => `Remove trait ${name}`,
  addTrait: "Add trait",
  allLayersMatched: "All layers matched",
  matchReview: "1 match to review",
  matchesReview: (count: number) => `${count} matches to review`,
  matchingLayers2: "Matching layers",
  eachRowBecomesOne:
    "Each row becomes one layer. Correct wrong matches with the menus; drag rows to change the stacking order.",
  matchedLayers: "Matched layers",
  layer: "Layer",
  notDrawing: "Not in this drawing",
  sure: (sure: number) => `${Math.round(sure)} % sure`,
  none: "none",
  gatherDrawingsIntoOne: (drawings: number) => `Gather ${drawings} drawings into one component`,
  matchingLayers: "Matching layers…",
  replaceDrawingsWithCopies: "Replace the drawings with copies",
  markCombinationsWithoutDrawing: "Mark combinations without a drawing as unused",
  creating: "Creating…",
  createComponent: "Create component",

  // OverOthers.tsx
  centre: "centre",
  top: "top",
  bottom: "bottom",
  left: "left",
  right: "right",
  overlay: "Overlay",
  position: "Position",
  dimBackground: "Dim background",
  backgroundDimmingPerCent: "Background dimming in per cent",
  pressOutsideClose: "Press outside to close",

  // Replace.tsx
  deletedToken: "a deleted token",
  thesePropertiesCannotTake: "These properties cannot take this value.",
  replaceWithPlaces: (find: string, next: string, count: number) =>
    `Replace ${find} with ${next} in ${count} places`,
  replacedPlace: (count: number) => `Replaced in ${count} place${count === 1 ? "" : "s"}.`,
  findReplaceValue: "Find and replace a value",
  property: "Property",
  any: "any",
  find: "Find",
  c9c3b416Dock: "#c9c3b4, 16, Dock…",
  replaceWith: "Replace with",
  valueTokenName: "Value or token name",
  in: "In",

  // ReadyMade.tsx
  readyMadeFor: (name: undefined | string) => `Ready-made behaviour: ${name ?? ""}`,
  layers: (n: number) => `${n} layers`,
  behaviours: "Behaviours",
  whatIsAdded: "What is added",
  newTrait: (name: string, values: string) => `New trait ${name}: ${values}`,
  looksOneLayerLooks: (n: number) => (n === 1 ? "Looks of one layer" : `Looks of ${n} layers`),
  changesRule: (rule: string) => `Changed: ${rule}`,
  noReadyMadeBehaviour:
    "No ready-made behaviour for this selection. Select one layer per value of a trait, or add a trait.",
  add: "Add",

  // Scale.tsx
  scale: "Scale",
  cancel: "Cancel",
  perCent: "Per cent",
  allVariants: "all variants",
  currentScope: (n: number) => `current scope (${n})`,
  scalesSizesPositionsCorners:
    "Scales sizes, positions, corners, borders, shadows, text, gaps and padding.",
  enterNumberFromOther: (least: number, most: number) =>
    `Enter a number from ${least} to ${most}, other than 100.`,
  wideBecomes: (from: number, to: number) => `${from} px wide becomes ${to} px.`,
  selectedLayers: "selected layers",
  wholeProject: "whole project",
  places: "Places",
  place: (condition: string | null, name: string | null) =>
    `${condition ? `where ${condition}` : ""}${name !== null ? ` in ${name}` : ""}`,
  enterValueAsShown: "Enter a value as shown in the sheet.",
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
