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
  deletedTogetherWith: (name: string, name2: string, text: string) =>
    `Deleted ${name}: ${name2}, together with ${text}.`,
  deletedTraitVariantsBecame: (name: string, before: number, count: number) =>
    `Deleted trait ${name}: ${before} variants became ${count}. Values set for its default were kept.`,
  duplicated: (name: string, along: number) =>
    `Duplicated ${name}. ${along === 1 ? "1 rule uses" : `${along} rules use`} it.`,
  duplicateRules: "Duplicate the rules",
  undo: "Undo",

  // TraitRow.tsx
  rename: "Rename",
  swatch: (name: string) => `Swatch of ${name}`,
  changeSwatch: "Change swatch",
  swatchI: (i: number) => `Swatch ${i + 1}`,
  defaultValue: (name: string) => `${name} is the default value`,
  defaultValue2: "Default value",
  setAsDefault: "Set as default",
  valueName: "Value name",
  duplicateValue: (name: string) => `Duplicate value ${name}`,
  duplicateWithLook: (name: string) => `Duplicate ${name} with its look`,
  deleteValue: (name: string) => `Delete value ${name}`,
  delete: (name: string) => `Delete ${name}`,
  deleteTogetherWith: (name: string, lost: string) => `Delete ${name}, together with ${lost}`,
  traitName: "Trait name",
  deleteTrait: "Delete trait",
  addValue: "Add value",

  // StateMenu.tsx
  noState: "none",
  state: "state",
  stateOf: (name: string, state: string | undefined) =>
    `Accessibility state of ${name}: ${state ?? "none"}`,
  stateForAssistiveTechnology: "State for assistive technology",
  motion: "Motion",
  ownMotion: "Has a motion of its own",
  motionOf: (name: string) => `Motion of ${name}`,
  stateWhen: (state: string, name: string) => `${name} is ${state} when its value is`,
  eachLayerOwnValue: "Each layer is in this state while the value that its click sets is shown.",

  // Traits.tsx
  traitNameValues: "Trait name and values",
  deckCarSaloonSun: "Deck: car, saloon, sun",
  valuesPressEnterAdd: (values: number) => `${values} values. Press Enter to add the trait.`,
  separateValuesWithCommas: "Separate values with commas.",
  addTrait: "Add trait",
  typeListValues: "Type a list of values…",
  traits: "Traits",
  variant: (count: number) => `${count} variant${count === 1 ? "" : "s"}`,
  traitSomethingVariesSuch:
    "A trait is something that varies, such as Alerts: off, on. Each combination of values becomes a card.",

  // TraitRow.tsx
  deleteTrait2: (name: string) => `Delete trait ${name}`,
  values: (name: string) => `Values of ${name}`,
  toolsOf: (name: string) => `The trait ${name}`,
};
