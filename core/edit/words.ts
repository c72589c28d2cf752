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
  new: (kind: string, name: string) => `New ${kind} ${name}`,
  duplicate: (name: string) => `Duplicate ${name}`,
  remove: (name: undefined | string) => `Remove ${name ?? "piece"}`,
  rename: (name: string) => `Rename to ${name}`,
  startOn: (name: undefined | string) => `Start on ${name ?? "screen"}`,
  howLiesOverOthers: "How it lies over others",

  // layers.ts
  box: "Box",
  ellipse: "Ellipse",
  line: "Line",
  triangle: "Triangle",
  shape: "Shape",
  compound: "Compound",
  text: "Text",
  picture: "Picture",
  icon: "Icon",
  copy: "Copy",
  insert: (name: string) => `Insert ${name}`,
  removeName: (name: undefined | string) => `Remove ${name ?? "layer"}`,
  removeLayers: (tops: number) => `Remove ${tops} layers`,
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
  bringFront: "Bring to the front",
  scale: (percent: number) => `Scale to ${percent} %`,
  fitFrame: "Fit frame to layers",
  sendBack: "Send to the back",
  flatten: (name: undefined | string) => `Flatten ${name ?? "compound"}`,

  // assets.ts
  add: (kind: string, name: string) => `Add ${kind} ${name}`,

  // clip.ts
  paste: (words: string) => `Paste ${words}`,

  // extract.ts
  makeComponent: (words: string) => `Make a component of ${words}`,
  makeLayers: (name: string) => `Make layers of ${name}`,
  replaceBy: (name: string) => `Replace by ${name}`,

  // gathered.ts
  gatherDrawingsInto: (drawings: number, name: string) =>
    `Gather ${drawings} drawings into ${name}`,

  // looks.ts
  set: (what: string, layers: number, name: undefined | string) =>
    `Set ${what} of ${layers === 1 ? (name ?? "layer") : `${layers} layers`}`,
  inheritAgain: (label: undefined | string) => `Inherit ${label ?? "value"} again`,
  resetLayersThisVariant: "Reset layers in this variant",
  resetVariant: "Reset the variant",
  allVariants: "for all variants",
  say: (where: string) => `Say it ${where}`,
  takeOverLook: "Take over a look",

  // rules.ts
  newRule: "New rule",
  changeRule: "Change rule",
  removeRule: "Remove rule",
  moveRule: "Move rule",
  duplicateRule: "Duplicate rule",
  layer: "Layer",
  newOption: (name: string) => `New option ${name}`,
  removeOption: (name: string) => `Remove option ${name}`,

  // traits.ts
  newTrait: (name: string) => `New trait ${name}`,
  renameTrait: (name: string) => `Rename trait to ${name}`,
  newValue: (name: string, traitName: string) => `New value ${name} of ${traitName}`,
  renameValue: (name: string) => `Rename value to ${name}`,
  reorderTraits: "Reorder traits",
  reorderValues: (name: string) => `Reorder values of ${name}`,
  chooseSwatch: "Choose a swatch",
  or: ", or ",
  valueSaidWhere: (said: number, looks: string, looksLooks: number) =>
    `${said} value${said === 1 ? "" : "s"} said where ${looks}${looksLooks > 2 ? " and elsewhere" : ""}`,
  ruleWillBeShown: (rules: number) =>
    `; ${rules} rule${rules === 1 ? " names" : "s name"} it and will be shown as broken`,
  chooseRestingValue: "Choose the resting value",
  removeTrait: (name: string) => `Remove trait ${name}`,
  removeValue: (name: string) => `Remove value ${name}`,
  duplicateName: (name: undefined | string) => `Duplicate ${name ?? "value"}`,

  optionSpokenName: " spoken name",

  // makers
  contact: "Contact",
  contactHoveredFocusedPressed: "Contact: hovered, focused, pressed",
  pickOneThese: (name: string) => `Pick one: ${name}`,
  thereBack: (name: string) => `There and back: ${name}`,
  stepThrough: (name: string, round: boolean) =>
    `Step through ${name} ${round ? "for ever" : "once"}`,
  dragDeck: "Drag deck",
  openClose: (name: string) => `Open and close: ${name}`,
  appearOneAfterAnother: "Appear one after another",
  wiggle: "Wiggle",
  swell: "Swell",
  answerSignals: (name: string) => `Answer signals with ${name}`,
  make: (name: string) => `Add “${name}”`,
  timeThere: "Time there",
  timeBack: "Time back",
  time: "Time",
  wait: "Wait",
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
  leftOnRightBack: "next card left, last card right",
  travel: "Drag distance",
  doneFrom: "Threshold",
  orFasterThan: "Speed threshold",
  lean: "Max lean",
  when: "When",
  clicked: "it is clicked",
  pointedAt: "the pointer comes over it",
  itAppears: "the piece comes up",
  timesZeroForEver: "Repeats (0 = endless)",
  angle: "Angle",
  largest: "Max scale",
  comesFrom: "Entrance",
  fromBelow: "from below",
  popsUp: "popping up",
  fromTheLeft: "from the left",
  fromTheRight: "from the right",
  fadesIn: "fading in",
  oneAfterAnother: "Stagger",

  shown: "Shown",
  pieceComesUp: "the piece comes up",
  becomes: (trait: string, value: string) => `${trait} becomes ${value}`,
  addWayBack: "Add the way back",

  // motions.ts
  use: (name: string) => `Use ${name}`,

  // notes.ts
  nameVariant: (text: string) => `Name variant ${text}`,
  takeVariantsNameBack: "Take the variant's name back",
  nameVariantInNotes: "Name variant",
  markUnused: "Mark as unused",
  useAgain: "Use again",
  referencePicture: "Reference picture",
  takeReferencePictureAway: "Take the reference picture away",

  // places.ts
  variantNote: "variant note",
  acceptedFinding: "accepted finding",
  name: "the name of",
  whatHolds: "what holds",
  order: "the order of",
  lockInPlaces: "the lock of",
  start: "the start of",
  motion: "the motion of",
  startInPlaces: "the start",
  option: "an option",
  removedLayer: "a removed layer",
  whatLooksLike: (name: string) => `what “${name}” looks like`,
  of: (property: string, name: string) => `${property} of “${name}”`,
  projects: (table: string) => `the project's ${table}`,
  pieceNotThereAny: "a piece that is not there any more",
  in: (piece: string, name: string) => `${piece} in “${name}”`,
  removedToken: "a removed token",
  placeAmongOthers: "a place among others",
  anotherOne: "another one",

  // rehearsals.ts
  newRehearsal: (name: string) => `New rehearsal ${name}`,
  changeRehearsal: "Change a rehearsal",
  renameRehearsal: (name: string) => `Rename rehearsal to ${name}`,
  removeRehearsal: (name: string) => `Remove rehearsal ${name}`,
  acceptFinding: "Accept a finding",
  takeAcceptanceBack: "Take an acceptance back",

  // rulebook.ts
  rule: (verb: string) => `${verb} a rule`,
  pasteInRulebook: "Paste",
  change: "Change",
  removeInRulebook: "Remove",
  bring: "Bring",

  // signals.ts
  newSignal: (name: string) => `New signal ${name}`,
  renameSignal: (name: string) => `Rename signal to ${name}`,
  removeSignal: (name: string) => `Remove signal ${name}`,

  // timing.ts
  changeTiming: "Change timing",
  giveMotion: (rules: number) => `Give a motion to ${rules === 1 ? "a rule" : `${rules} rules`}`,
  newMotion: (name: string) => `New motion ${name}`,
  backFast: "back is as fast",
  backMs: (by: number) => `back is ${Math.abs(by)} ms ${by < 0 ? "faster" : "slower"}`,

  // tokens.ts
  newToken: (name: string) => `New token ${name}`,
  changeToken: (name: string) => `Change token ${name}`,
  removeToken: (name: string) => `Remove token ${name}`,
  makeTokenEqualValues: (name: string, places: number) =>
    `Make token ${name} of ${places} equal values`,
  makeTokensOne: (tokens: number) => `Make ${tokens} tokens one`,
  replacePlace: (count: number) => `Replace in ${count} place${count === 1 ? "" : "s"}`,

  // wiring.ts
  wireLayer: "Wire a layer",
  wireLayers: (count: number) => `Wire ${count} layers`,

  // clip.ts
  newerNubbleCopied: "a newer Nubble copied it",
  variants: (count: number) => `${count} variant${count === 1 ? "" : "s"}`,
  rules: (verb: string, count: number) => `${verb} ${count} rules`,
  layers: (count: number) => `${count} layers`,
  fieldOf: (known: string | undefined, field: string, record: string) =>
    `${known ?? `${field} of`} ${record}`,
};
