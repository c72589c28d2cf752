/** What people read in traits. */
export const traitsWords = {
  // quickStarts.ts
  no: "no",
  yes: "yes",
  off: "off",
  valueOn: "on",
  none: "none",
  hovered: "hovered",
  pressed: "pressed",
  focused: "focused",
  contact: "Contact",
  checked: "Checked",
  selected: "Selected",
  on: "On",
  open: "Open",
  expanded: "Expanded",
  disabled: "Disabled",
  error: "Error",
  loading: "Loading",
  nameAndValues: (name: string, values: string) => `${name}: ${values}`,
  choice: "Choice",

  // useTraitEdits.ts
  wasRemoved: (name: string, name2: string, text: string) =>
    `${name}: ${name2} was removed, and with it ${text}.`,
  traitWasRemovedVariants: (name: string, before: number, count: number) =>
    `The trait ${name} was removed: ${before} variants became ${count}. What was said for its resting value stays.`,
  wasDuplicatedLooks: (name: string, along: number) =>
    `${name} was duplicated as it looks. ${along === 1 ? "One rule names" : `${along} rules name`} it.`,
  bringThemAlong: "Bring them along",
  undo: "Undo",

  // TraitRow.tsx
  rename: "Rename",
  swatch: (name: string) => `Swatch of ${name}`,
  chooseAnotherSwatch: "Choose another swatch",
  swatchI: (i: number) => `Swatch ${i + 1}`,
  restingValue: (name: string) => `${name} is the resting value`,
  restingValueInTraitRow: "Resting value",
  makeThisRestingValue: "Make this the resting value",
  valueName: "Value name",
  duplicateValue: (name: string) => `Duplicate value ${name}`,
  newValueLooksLike: (name: string) => `A new value that looks like ${name}`,
  removeValue: (name: string) => `Remove value ${name}`,
  remove: (name: string) => `Remove ${name}`,
  removeGo: (name: string, lost: string) => `Remove ${name}: ${lost} go with it`,
  traitName: "Trait name",
  removeThisTrait: "Remove this trait",
  value: "+ value",

  // Traits.tsx
  nameValuesTrait: "Name and values of the trait",
  deckCarSaloonSun: "Deck: car, saloon, sun",
  valuesEnterMakesTrait: (values: number) => `${values} values. Enter makes the trait.`,
  valuesCommasBetweenThem: "Values with commas between them.",
  newTrait: "New trait",
  listChoices: "A list of values…",
  traits: "Traits",
  variant: (count: number) => `${count} variant${count === 1 ? "" : "s"}`,
  traitSomethingVariesSuch:
    "A trait is something that varies, such as Alerts: off, on. Every combination of values becomes a card.",

  // TraitRow.tsx
  removeTrait: (name: string) => `Remove trait ${name}`,
  values: (name: string) => `Values of ${name}`,
  toolsOf: (name: string) => `The trait ${name}`,
};
