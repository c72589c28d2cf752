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
  useMotionAll: "Use this motion for all",
  turnOff: "Turn off",
  turn: "Turn on",
  duplicateCtrlCCtrl: "Duplicate; Ctrl+C and Ctrl+V also work here, into other pieces too",
  duplicate: "Duplicate",
  deleteDeleteKey: "Delete (Delete key)",
  delete: "Delete",
  clearSelection: "Clear selection",
  clearSelectionEsc: "Clear selection (Esc)",

  // listing.ts
  wholePiece: "The whole piece",
  deletedLayer: "A deleted layer",

  readyMade: "Ready-made behaviour…",

  // OptionPart.tsx
  text: "Text",
  newValue: (name: string) => `New value of ${name}`,
  becomes: "becomes",
  visible: "visible",
  hidden: "hidden",
  defaultFill: "default fill",

  // choices.ts
  go: "go to",
  showAsOverlay: "show as overlay",
  closeOverlay: "close the overlay",
  playOrPause: (name: string) => `play or pause ${name}`,
  goName: (name: string) => `${name}: go to`,
  animateLanesOnly: "animate lanes only",
  scroll: "scroll to",
  resetForm: "reset the form",
  goBack: "go back",
  sendSignal: "send signal",
  openWebAddress: "open web address",

  // fields.tsx
  nextValue: "the next value",
  previousValue: "the previous value",
  oppositeValue: "the opposite value",
  firstValue: "the first value",
  screen: "Screen",
  clipAction: "Clip action",
  togglePlayPause: "toggle play and pause",
  play: "play",
  pause: "pause",
  clipPositionMilliseconds: "Clip position in milliseconds",
  layerScroll: "Layer to scroll to",
  signal: "Signal",
  newSignal: "new signal…",
  webAddress: "Web address",

  // EffectPart.tsx
  effect: "Effect",
  useSeparateTiming: "Use separate timing",
  useRulesTiming: "Use the rule's timing",
  removeEffect: "Remove effect",

  // RuleTools.tsx
  addReturnRuleRule: (place: number) => `Add return rule of rule ${place}`,
  addRuleReversesOne: "Add a rule that reverses this one",
  moveRuleUp: (place: number) => `Move rule ${place} up`,
  moveRuleDown: (place: number) => `Move rule ${place} down`,
  duplicateRule: (place: number) => `Duplicate rule ${place}`,
  deleteRule: (place: number) => `Delete rule ${place}`,

  // KeyField.tsx
  key: "Key",
  pressKey: "Press a key…",
  chooseKey: "Choose a key",

  // TriggerFields.tsx
  direction: "Direction",
  anyDirection: "in any direction",
  dragDistancePixels: "Drag distance in pixels",
  distanceFullDrag: "Distance of the full drag",
  pxCompletesPast: "px, completes past",
  thresholdPerCent: "Threshold in per cent",
  releasedPastShareDrag: "Released past this share, the drag completes; before it, it returns",
  or: "% or",
  speedThreshold: "Speed threshold",
  releasedFasterThanDrag: "Released faster than this, the drag completes at any distance",
  waitMilliseconds: "Wait in milliseconds",
  positionMilliseconds: "Position in milliseconds",
  heldMilliseconds: "Held for milliseconds",

  // TriggerPart.tsx
  delayed: "… after a delay",
  whenPieceSettles: "… when the piece settles",
  settles: "settles",
  afterInTriggerPart: "After",
  whenPieceSettles2: "When the piece settles",
  when: (usually: string) => `When … ${usually}`,
  wholePieceInTriggerPart: "the whole piece",
  whenPiece: "When the piece",
  whenInTriggerPart: "When",
  source: "Source",
  trigger: "Trigger",

  // WhilePart.tsx
  everyVariant: "in every variant",
  pieceHasNoTraits: "The piece has no traits yet.",
  removeDeletedTrait: "Remove the deleted trait",
  is: (name: string) => `${name} is`,

  // RuleLine.tsx
  and: "and",
  addEffect: "Add effect",
  rule: (place: number) => `Rule ${place}`,
  selectCtrlAddsRule: "Select. Ctrl adds a rule, Shift selects a range",
  ruleOn: (place: number) => `Rule ${place} is on`,
  whenEnds: "When it ends",
  revertsWithSeparateTiming: "reverts with separate timing",
  winsOver: "wins over",
  losesTo: "loses to",
  because: (wins: boolean) => ` because ${wins ? "it" : "that one"} comes first`,
  dragPath: "Drag path",
  dragWays: { line: "along a line", free: "freely" },
  tiltingUp: "tilting up to",
  maxLeanDegrees: "Max lean in degrees",
  howFarLayerTilts: "How far the layer tilts at most, depending on drag speed",
  degreesCounts: "°,",
  revertsWhenEnds: "reverts when it ends",
  staysAfterwards: "stays afterwards",

  // Signals.tsx
  signals: "Signals",
  messagesPieceCanSend: "Messages this piece can send to the piece that contains it",
  signalName: "Signal name",
  doubleClickOrF2: "Double-click or F2 to rename",
  deleteSignal: (name: string) => `Delete signal ${name}`,
  addSignal: "Add signal",

  // Rules.tsx
  order: "in order",
  byLayer: "by layer",
  byTrigger: "by trigger",
  selection: "For the selection",
  active: (variantName: string) => `Active in ${variantName}`,
  ruleOrder: "Rule order",
  noRulesYetRule: (needsTrait: boolean) =>
    `No rules yet. A rule describes what happens and when: “When the whole piece is clicked → Alerts becomes the opposite value, tween 200 ms”. ${needsTrait ? "Add a trait first, so that rules have something to change." : ""}`,
  addRule: (layer: string | undefined) => `Add rule${layer ? ` on ${layer}` : ""}`,
  behaviourStateChartXml:
    "The behaviour as State Chart XML, a W3C standard; docs/scxml.md says how",
  exportAsScxml: "Export as SCXML",
  addRuleWholePiece: "Add rule to the whole piece",
  noneRulesMatchThese: (rules: number) => `None of the ${rules} rules match these filters.`,

  // TriggerPart.tsx
  sends: (name: string) => `sends ${name}`,

  // WhilePart.tsx
  whileWords: (words: string) => `while ${words}`,
  toolsOfRule: (place: number) => `Tools of rule ${place}`,
  shownRules: (shown: number, count: number) => `${shown} of ${count} rules`,
};
