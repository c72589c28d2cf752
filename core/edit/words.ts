/** What people read in edit. */
export const editWords = {
  on: "On",
  no: "no",
  yes: "yes",

  // pieces.ts
  phone: "Phone",
  smallPhone: "Small phone",
  tablet: "Tablet",
  desktop: "Desktop",
  screen: "Screen",
  placeOn: (component: string, screen: string) => `Place ${component} on ${screen}`,
  new: (kind: string, name: string) => `New ${kind} ${name}`,
  duplicate: (name: string) => `Duplicate ${name}`,
  delete: (name: undefined | string) => `Delete ${name ?? "piece"}`,
  rename: (name: string) => `Rename to ${name}`,
  setStartScreen: (name: undefined | string) => `Set start screen to ${name ?? "screen"}`,
  changeOverlay: "Change overlay",

  // layers.ts
  box: "Box",
  ellipse: "Ellipse",
  line: "Line",
  triangle: "Triangle",
  shape: "Shape",
  compound: "Compound",
  text: "Text",
  image: "Image",
  icon: "Icon",
  copy: "Copy",
  insert: (name: string) => `Insert ${name}`,
  delete2: (name: undefined | string) => `Delete ${name ?? "layer"}`,
  deleteLayers: (tops: number) => `Delete ${tops} layers`,
  move: (name: string, by: number) => `Move ${name} ${by > 0 ? "forward" : "back"}`,
  moveName: (name: undefined | string) => `Move ${name ?? "layer"}`,
  duplicateLayer: "Duplicate layer",
  duplicateLayers: (count: number) => `Duplicate ${count} layers`,

  // arrange.ts
  group: "Group",
  row: "Row",
  column: "Column",
  wrap: (words: string) => `Wrap in a ${words}`,
  ungroup: (name: string) => `Ungroup ${name}`,
  lock: "Lock",
  unlock: "Unlock",
  bringFront: "Bring to front",
  scale: (percent: number) => `Scale to ${percent} %`,
  fitFrame: "Fit frame to layers",
  sendBack: "Send to back",
  convertOnePath: (name: undefined | string) => `Convert ${name ?? "compound"} to one path`,

  // assets.ts
  add: (kind: string, name: string) => `Add ${kind} ${name}`,

  // clip.ts
  paste: (words: string) => `Paste ${words}`,

  // extract.ts
  createComponentFrom: (words: string) => `Create component from ${words}`,
  convertLayers: (name: string) => `Convert ${name} to layers`,
  replaceWith: (name: string) => `Replace with ${name}`,

  // gathered.ts
  gatherDrawingsInto: (drawings: number, name: string) =>
    `Gather ${drawings} drawings into ${name}`,

  // looks.ts
  set: (what: string, layers: number, name: undefined | string) =>
    `Set ${what} of ${layers === 1 ? (name ?? "layer") : `${layers} layers`}`,
  clear: (label: undefined | string) => `Clear ${label ?? "value"}`,
  resetLayersThisVariant: "Reset layers in this variant",
  resetVariant: "Reset variant",
  allVariants: "for all variants",
  set2: (where: string) => `Set ${where}`,
  pasteLook: "Paste look",

  // rules.ts
  addRule: "Add rule",
  changeRule: "Change rule",
  deleteRule: "Delete rule",
  moveRule: "Move rule",
  duplicateRule: "Duplicate rule",
  layer: "Layer",
  newOption: (name: string) => `New option ${name}`,
  removeOption: (name: string) => `Remove option ${name}`,

  // traits.ts
  addTrait: (name: string) => `Add trait ${name}`,
  renameTrait: (name: string) => `Rename trait to ${name}`,
  addValue: (name: string, traitName: string) => `Add value ${name} to ${traitName}`,
  renameValue: (name: string) => `Rename value to ${name}`,
  reorderTraits: "Reorder traits",
  reorderValues: (name: string) => `Reorder values of ${name}`,
  changeTraitMotion: "Change motion of a trait",
  changeState: "Change accessibility state",
  changeSwatch: "Change swatch",
  or: ", or ",
  valueSetWhere: (said: number, looks: string, looksLooks: number) =>
    `${said} value${said === 1 ? "" : "s"} set where ${looks}${looksLooks > 2 ? " and elsewhere" : ""}`,
  ruleWillStopWorking: (rules: number) =>
    `; ${rules} rule${rules === 1 ? " uses" : "s use"} it and will stop working`,
  setDefaultValue: "Set default value",
  deleteTrait: (name: string) => `Delete trait ${name}`,
  deleteValue: (name: string) => `Delete value ${name}`,
  duplicateName: (name: undefined | string) => `Duplicate ${name ?? "value"}`,

  accessibleName: " accessible name",

  // makers
  contact: "Contact",
  none: "none",
  contactNames: { hover: "hovered", press: "pressed", focus: "focused" },
  addContacts: (name: string) => `Add states to ${name}`,
  contactHoveredFocusedPressed: "Contact: hovered, focused, pressed",
  oneLayerPerValue: (name: string) => `One layer per value: ${name}`,
  duringTouch: (trigger: "hover" | "focus" | "press", name: string) =>
    `Turn on during ${trigger}: ${name}`,
  toggleClick: (name: string) => `Toggle on click: ${name}`,
  advanceAutomatically: (name: string, round: boolean) =>
    `Advance ${name} automatically, ${round ? "in a loop" : "once"}`,
  dragDeck: "Drag deck",
  openClose: (name: string) => `Open and close: ${name}`,
  appearOneAfterAnother: "Appear one after another",
  wiggle: "Wiggle",
  swell: "Swell",
  followSignalsWith: (name: string) => `Follow signals with ${name}`,
  make: (name: string) => `Add “${name}”`,
  duration: "Duration",
  returnDuration: "Return duration",
  delay: "Delay",
  trait: "Trait",
  newTraitNamed: (name: string) => `new: ${name}`,
  inFront: "In front",
  first: "first",
  second: "second",
  third: "third",
  fourth: "fourth",
  fifth: "fifth",
  sixth: "sixth",
  drag: "Drag",
  anyWayGoesOn: "next card in any direction",
  leftOnRightBack: "next card left, previous card right",
  travel: "Drag distance",
  doneFrom: "Threshold",
  orFasterThan: "Speed threshold",
  lean: "Max lean",
  when: "When",
  clicked: "it is clicked",
  hovered: "it is hovered",
  pieceAppears: "the piece appears",
  timesZeroForEver: "Repeats (0 = endless)",
  angle: "Angle",
  largest: "Max scale",
  comesFrom: "Entrance",
  fromBelow: "from below",
  popUp: "pop up",
  fromTheLeft: "from the left",
  fromTheRight: "from the right",
  fade: "fade in",
  oneAfterAnother: "Stagger",

  shown: "Shown",
  becomes: (trait: string, value: string) => `${trait} becomes ${value}`,
  addReturnRule: "Add return rule",

  // motions.ts
  use: (name: string) => `Use ${name}`,

  // notes.ts
  nameVariant: (text: string) => `Name variant ${text}`,
  removeVariantName: "Remove variant name",
  nameVariantInNotes: "Name variant",
  markUnused: "Mark as unused",
  useAgain: "Use again",
  referenceImage: "Reference image",
  removeReferenceImage: "Remove reference image",

  // places.ts
  variantNote: "variant note",
  acceptedFinding: "accepted finding",
  name: "the name of",
  parent: "the parent of",
  order: "the order of",
  lockInPlaces: "the lock of",
  start: "the start of",
  motion: "the motion of",
  startInPlaces: "the start",
  option: "an option",
  deletedLayer: "a deleted layer",
  whatLooksLike: (name: string) => `what “${name}” looks like`,
  of: (property: string, name: string) => `${property} of “${name}”`,
  projects: (table: string) => `the project's ${table}`,
  deletedPiece: "a deleted piece",
  in: (piece: string, name: string) => `${piece} in “${name}”`,
  deletedToken: "a deleted token",
  placeAmongOthers: "a place among others",
  anotherOne: "another one",
  deleted: "deleted",

  // rehearsals.ts
  newRehearsal: (name: string) => `New rehearsal ${name}`,
  changeRehearsal: "Change a rehearsal",
  renameRehearsal: (name: string) => `Rename rehearsal to ${name}`,
  deleteRehearsal: (name: string) => `Delete rehearsal ${name}`,
  acceptFinding: "Accept a finding",
  reopenFinding: "Reopen finding",

  // rulebook.ts
  rule: (verb: string) => `${verb} a rule`,
  pasteInRulebook: "Paste",
  change: "Change",
  delete3: "Delete",

  // signals.ts
  newSignal: (name: string) => `New signal ${name}`,
  renameSignal: (name: string) => `Rename signal to ${name}`,
  deleteSignal: (name: string) => `Delete signal ${name}`,

  // timing.ts
  changeTiming: "Change timing",
  copyTiming: (rules: number) => `Copy timing to ${rules === 1 ? "a rule" : `${rules} rules`}`,
  newMotion: (name: string) => `New motion ${name}`,
  returnSameDuration: "Return: same duration",
  returnMs: (by: number) => `Return: ${Math.abs(by)} ms ${by < 0 ? "faster" : "slower"}`,

  // tokens/themes.ts
  newTheme: (name: string) => `New theme ${name}`,
  renameTheme: (name: string) => `Rename theme to ${name}`,
  addThemeValue: (name: string) => `Add theme value ${name}`,
  renameThemeValue: (name: string) => `Rename theme value to ${name}`,
  usualThemeValue: (name: string) => `Make ${name} the default`,
  deleteTheme: (name: string) => `Delete theme ${name}`,
  deleteThemeValue: (name: string) => `Delete theme value ${name}`,
  clearTokenValue: (name: string) => `Clear the themed value of ${name}`,

  // library
  setStatus: (name: string) => `Set status of ${name}`,
  describe: (name: string) => `Describe ${name}`,
  moveToGroup: (name: string, group: string) =>
    group === "" ? `Take ${name} out of its group` : `Move ${name} to ${group}`,
  renameGroup: (group: string, name: string) =>
    name === "" ? `Dissolve group ${group}` : `Rename group ${group} to ${name}`,
  addSample: (name: string) => `Add sample of ${name}`,
  changeSample: (name: string) => `Change sample of ${name}`,
  moveSample: (name: string) => `Move sample of ${name}`,
  deleteSample: (name: string) => `Delete sample of ${name}`,

  // tokens/take.ts
  usualTheme: "usual",
  takeTokens: (tokens: number) => `Import ${tokens} token${tokens === 1 ? "" : "s"}`,

  // tokens.ts
  newToken: (name: string) => `New token ${name}`,
  changeToken: (name: string) => `Change token ${name}`,
  deprecate: (name: string) => `Mark token ${name} as deprecated`,
  undeprecate: (name: string) => `Mark token ${name} as current`,
  deleteToken: (name: string) => `Delete token ${name}`,
  createTokenFromValues: (name: string, places: number) =>
    `Create token ${name} from ${places} values`,
  mergeTokens: (tokens: number) => `Merge ${tokens} tokens`,
  replacePlace: (count: number) => `Replace in ${count} place${count === 1 ? "" : "s"}`,

  // wiring.ts
  wireLayer: "Wire a layer",
  wireLayers: (count: number) => `Wire ${count} layers`,

  // clip.ts
  partsNotValid: "the components that were copied are not valid",
  wasCopiedNewerVersion: "it was copied by a newer version of Nubble",
  variants: (count: number) => `${count} variant${count === 1 ? "" : "s"}`,
  rules: (verb: string, count: number) => `${verb} ${count} rules`,
  layers: (count: number) => `${count} layers`,
  fieldOf: (known: string | undefined, field: string, record: string) =>
    `${known ?? `${field} of`} ${record}`,
};
