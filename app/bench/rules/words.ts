/** What people read in rules. */
export const rulesWords = {
  focusCounts: "Which focus",
  focusBy: { keys: "by keyboard", any: "in any way" },
  // ChosenRules.tsx
  motion: (ids: string) => `motion of ${ids}`,
  chosenRules: "Chosen rules",
  rules: (ids: number) => `${ids === 1 ? "One rule" : `${ids} rules`}:`,
  after: "after",
  waitAllMilliseconds: "Wait of all, in milliseconds",
  wait: (ids: string) => `wait of ${ids}`,
  giveAllThisMotion: "give all this motion",
  switchOff: "Switch off",
  switchOn: "Switch on",
  duplicateCtrlCCtrl: "Duplicate; Ctrl+C and Ctrl+V also work here, into other pieces too",
  duplicate: "Duplicate",
  removeDelete: "Remove (Delete)",
  remove: "Remove",
  chooseNoRules: "Choose no rules",
  chooseNoneEsc: "Choose none (Esc)",

  // listing.ts
  wholePiece: "The whole piece",
  removedLayer: "A removed layer",

  readyMade: "Ready-made behaviour…",

  // OptionPart.tsx
  text: "Text",
  newValue: (name: string) => `New value of ${name}`,
  becomes: "becomes",
  shown: "shown",
  hidden: "hidden",
  fill: "its fill",

  // choices.ts
  go: "go to",
  openOver: "open over it",
  closeOverlay: "close the overlay",
  playOrPause: (name: string) => `play or pause ${name}`,
  goName: (name: string) => `${name}: go to`,
  stirOnlyLanesMove: "stir: only its lanes move",
  scroll: "scroll to",
  emptyForm: "empty the form",
  goBack: "go back",
  say: "say",
  openAddress: "open the address",

  // fields.tsx
  next: "the next",
  previous: "the previous",
  opposite: "the opposite",
  first: "the first",
  screen: "Screen",
  whatClipDoes: "What the clip does",
  whicheverDoesNot: "whichever it does not",
  play: "play",
  pause: "pause",
  momentClipMilliseconds: "Moment of the clip in milliseconds",
  layerScroll: "Layer to scroll to",
  signal: "Signal",
  newSignal: "a new signal …",
  webAddress: "Web address",

  // EffectPart.tsx
  effect: "Effect",
  timeOwn: "In a time of its own",
  rulesTimeAgain: "In the rule's time again",
  removeThisEffect: "Remove this effect",

  // RuleTools.tsx
  addWayBackRule: (place: number) => `Add the way back of rule ${place}`,
  addRuleLeadsBack: "Add the rule that leads back from here",
  moveRuleUp: (place: number) => `Move rule ${place} up`,
  moveRuleDown: (place: number) => `Move rule ${place} down`,
  duplicateRule: (place: number) => `Duplicate rule ${place}`,
  removeRule: (place: number) => `Remove rule ${place}`,

  // KeyField.tsx
  key: "Key",
  pressKey: "press a key …",
  noKey: "no key",

  // TriggerFields.tsx
  direction: "Direction",
  anywhere: "anywhere",
  wayPixels: "Way in pixels",
  howFarWholeWay: "How far the whole way is",
  pxDoneFrom: "px, done from",
  doneFromPerCent: "Done from per cent",
  letGoPastThis: "Let go past this share of the way it is done, before it goes back",
  or: "% or",
  doneFromSpeed: "Done from speed",
  letGoFasterThan: "Let go faster than this it is done, however short the way",
  waitMilliseconds: "Wait in milliseconds",
  momentMilliseconds: "Moment in milliseconds",
  heldMilliseconds: "Held for milliseconds",

  // TriggerPart.tsx
  delayed: "… after a delay",
  whenHasSettled: "… when it has settled",
  hasSettled: "has settled",
  afterInTriggerPart: "After",
  whenPieceHasSettled: "When the piece has settled",
  when: (usually: string) => `When … ${usually}`,
  wholePieceInTriggerPart: "the whole piece",
  whenPiece: "When the piece",
  whenInTriggerPart: "When",
  source: "Source",
  trigger: "Trigger",

  // WhilePart.tsx
  everyVariant: "in every variant",
  pieceHasNoTraits: "The piece has no traits yet.",
  forgetRemovedTrait: "Forget the removed trait",
  is: (name: string) => `${name} is`,

  // RuleLine.tsx
  and: "and",
  anotherEffect: "Another effect",
  rule: (place: number) => `Rule ${place}`,
  chooseCtrlOneMore: "Choose; with Ctrl one more, with Shift all between",
  ruleOn: (place: number) => `Rule ${place} is on`,
  whenEnds: "When it ends",
  undoneInOwnTime: "undone in a time of its own",
  winsOver: "wins over",
  losesTo: "loses to",
  because: (wins: boolean) => ` because ${wins ? "it" : "that one"} comes first`,
  dragWay: "Way of the drag",
  dragWays: { line: "along a line", free: "freely" },
  leansUpTo: "leaning up to",
  leanDegrees: "Lean in degrees",
  leansBySpeed: "How far it leans at most, by the speed of the hand",
  degreesCounts: "°, towards",
  undoneWhenEnds: "undone when it ends",
  staysWhenEnds: "stays when it ends",

  // Signals.tsx
  signals: "Signals",
  whatThisPieceCan: "What this piece can tell whatever contains it",
  nameSignal: "Name of the signal",
  doubleClickOrF2: "Double-click or F2 to rename",
  removeSignal: (name: string) => `Remove signal ${name}`,
  signalInSignals: "+ signal",

  // Rules.tsx
  theirOrder: "in their order",
  byLayer: "by layer",
  byTrigger: "by trigger",
  whatChosen: "of what is chosen",
  mayFire: (variantName: string) => `that may fire in ${variantName}`,
  orderRules: "Order of the rules",
  noRulesYetRule: (needsTrait: boolean) =>
    `No rules yet. A rule says what happens when: “When the whole piece is clicked → Alerts becomes the opposite, tween 200 ms”. ${needsTrait ? "Declare a trait first, so that there is something to change." : ""}`,
  newRule: (layer: string | undefined) => `New rule${layer ? ` on ${layer}` : ""}`,
  behaviourStateChartXml:
    "The behaviour as State Chart XML, a W3C standard; docs/scxml.md says how",
  saveScxml: "Save as SCXML",
  onWholePiece: "on the whole piece",
  noneRulesKind: (rules: number) => `None of the ${rules} rules is of that kind.`,

  // TriggerPart.tsx
  says: (name: string) => `says ${name}`,

  // WhilePart.tsx
  whileWords: (words: string) => `while ${words}`,
  toolsOfRule: (place: number) => `Tools of rule ${place}`,
  shownRules: (shown: number, count: number) => `${shown} of ${count} rules`,
};
