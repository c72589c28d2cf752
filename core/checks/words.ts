const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What people read in checks. */
export const checksWords = {
  // drawing.ts
  lookWhereChangesNothing: (words: string) =>
    `The look where ${words} changes nothing. It can be deleted.`,
  deleteLook: "Delete look",
  deleteLookChangesNothing: "Delete a look that changes nothing",
  deletedToken: "a deleted token",
  deleted: (key: string) => `a deleted ${key === "icon" ? "icon" : "image"}`,
  deletedComponent: "a deleted component",
  fontWhichMissing: (said: string) => `the font ${said}, which is missing`,
  deletedImage: "a deleted image",
  uses: (name: string, what: string, label: string) => `${name} uses ${what} as its ${label}.`,
  reset: "Reset",
  clear: (label: string) => `Clear ${label}`,
  areNeverVisibleSame: (name: string, bName: string) =>
    `${name} and ${bName} are never visible at the same time. As one layer they would move instead of fade.`,
  delete: (name: string) => `Delete ${name}`,

  // reach.ts
  noRuleLeads: (names: string) => `No rule leads to ${names}.`,
  markAsUnused: "Mark as unused",
  deadEndOnceNothing: (name: string, valueName: string) =>
    `Dead end: once ${name} is ${valueName}, nothing responds.`,
  onceNothingLeadsBack: (name: string, valueName: string, restName: string) =>
    `Once ${name} is ${valueName}, nothing leads back to ${restName}.`,
  wholePiece: "the whole piece",
  deletedLayer: "a deleted layer",
  conditionNeverTrue: "its condition is never true",
  alwaysWinsOver: (winner: string | null) => `“${winner ?? "another rule"}” always wins over it`,
  completelyCovered: (layerName: string, layerName2: string) =>
    `${layerName} is completely covered by ${layerName2}`,
  hasNoAreaCan: (layerName: string) => `${layerName} has no area that can be pressed`,
  noRuleLeads2: "no rule leads to it",
  neverRuns: (rule: string, whyNever: string) => `“${rule}” never runs: ${whyNever}.`,
  deleteRule: "Delete rule",
  that: (layerName: string, trigger: string, text: string) => `“${layerName} ${trigger}” ${text}`,
  cannotHappenTouchBecause: "cannot happen by touch, because it needs hover first.",
  cannotBeDoneWith: "cannot be done with the keyboard.",
  draggingHasNoAlternative: (layerName: string) =>
    `Dragging ${layerName} has no alternative for people who use a keyboard or cannot drag (WCAG 2.2). Add a click or key that does the same.`,

  // rivals.ts
  doesNotWork: (quoted: string, reason: string) => `${quoted} does not work: ${reason}.`,
  turnOffLosingRule: "Turn off the losing rule",
  deleteInnerRule: "Delete the inner rule",
  twoRulesCompeteWins: (quoted: string, quoted2: string) =>
    `Two rules compete: ${quoted} wins over ${quoted2} because it comes first.`,
  runsInsteadWhichDoes: (name: string, quoted: string, quoted2: string) =>
    `On ${name}, ${quoted} runs instead of ${quoted2}, which does the same on the layer around it. One of them is enough.`,
  endlessLoopTheseRules: (rules: string) =>
    `Endless loop: these rules trigger each other without a pause, so they are stopped: ${rules}.`,
  changesButBack: (name: string, named: string, ms: string, named2: string, ms2: string) =>
    `${name} changes to ${named} in ${ms}, but back to ${named2} in ${ms2}.`,
  useBoth: (ms: string) => `Use ${ms} for both`,
  whileNothingHappensWhen: (name: string, valueName: string, name2: string, trigger: string) =>
    `While ${name} is ${valueName}, nothing happens when ${name2} ${trigger}. With other values something does.`,
  alsoRespond: (name: string) => `Also respond in ${name}`,

  // surface.ts
  onlyVariant: "the only variant",
  inTheme: (variant: string, theme: string) => `${variant} (${theme})`,
  hasLowContrastAgainst: (
    name: string,
    where: string,
    ratio: number,
    ground: string,
    needed: number,
  ) =>
    `${name} has low contrast in ${where}: ${ratio.toFixed(1)} : 1 against ${ground}. WCAG AA requires ${needed} : 1.`,
  touchAreaOnlyPx: (name: string, w: number, h: number, smallest: number) =>
    `The touch area of ${name} is only ${Math.round(w)} × ${Math.round(h)} px. WCAG 2.2 requires ${smallest} × ${smallest} px.`,
  addPxTouchPadding: (more: number) => `Add ${more} px of touch padding`,
  nearEdgeHoveringMoves: (name: string) =>
    `Near its edge, hovering moves ${name} away from the pointer, so the hover flickers on and off.`,

  // felt.ts
  coversClicksThereDo: (cover: string, name: string, percent: number) =>
    `${upperFirst(cover)} covers ${percent} % of ${name}: clicks there do nothing.`,
  letClicksThrough: (cover: string) => `Let clicks through ${cover}`,

  // spoken.ts
  tabReachesBeforeBut: (later: string, first: string) =>
    `Tab reaches ${later} before ${first}, but ${first} comes first in reading order.`,
  moveBeforeTree: (first: string, later: string) => `Move ${first} before ${later} in the tree`,
  canBeClickedBut: (name: string) =>
    `${upperFirst(name)} can be clicked but has no role, so screen readers do not announce what it is.`,
  // states.ts
  noTraitSays: (name: string, role: string, state: string) =>
    `${name} is a ${role}, but no trait says whether it is ${state}.`,
  setState: (trait: string, state: string) => `Let ${trait} stand for ${state}`,

  setRole: (role: string) => `Set role to ${role}`,
  doesNothingPlacedCopy: (rule: string) =>
    `“${rule}” does nothing in a placed copy: no layer that can have focus receives the key.`,
  doesNothingTabMoves: (rule: string) => `“${rule}” does nothing: Tab moves the focus.`,

  // hovers.ts
  hoveringChangesPermanentlyNothing: (name: string, what: string) =>
    `Hovering ${name} changes ${what} permanently: nothing reverts it when the pointer leaves.`,
  revertWhenEnds: "Revert when it ends",

  // traitspace.ts
  neverRunsConditionNever: (rule: string) =>
    `“${rule}” never runs: its condition is never true, or a more specific rule always wins.`,
  noRuleLeads3: (name: string, valueName: string) => `No rule leads to ${name} ${valueName}.`,
  oncePossiblyNothingLeads: (name: string, valueName: string, name2: string) =>
    `Once ${name} is ${valueName}, possibly nothing leads back to ${name2}.`,
  ms: (ms: number) => `${ms} ms`,
};
