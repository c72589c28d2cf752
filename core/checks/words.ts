const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What people read in checks. */
export const checksWords = {
  // drawing.ts
  whatSaidWhereChanges: (words: string) =>
    `What is said where ${words} changes nothing: it would look the same without.`,
  takeAway: "Take it away",
  removeLookChangesNothing: "Remove a look that changes nothing",
  removedToken: "a removed token",
  removed: (key: string) => `a removed ${key === "icon" ? "icon" : "picture"}`,
  removedComponent: "a removed component",
  fontWhichNotHere: (said: string) => `the font ${said}, which is not here`,
  removedPicture: "a removed picture",
  uses: (name: string, what: string, label: string) => `${name} uses ${what} as its ${label}.`,
  takeBack: "Take that back",
  clear: (label: string) => `Clear ${label}`,
  takeTurnsAreNever: (name: string, bName: string) =>
    `${name} and ${bName} take turns and are never seen together: as one layer it would move instead of fading.`,
  remove: (name: string) => `Remove ${name}`,

  // reach.ts
  neverReachedNoRule: (names: string) => `${names} is never reached: no rule leads there.`,
  markNotUsed: "Mark as not used",
  onceNothingAnswersAny: (name: string, valueName: string) =>
    `Once ${name} is ${valueName}, nothing answers any more: a dead end.`,
  onceThereNoWay: (name: string, valueName: string, restName: string) =>
    `Once ${name} is ${valueName}, there is no way back to ${restName}.`,
  wholePiece: "the whole piece",
  removedLayer: "a removed layer",
  conditionNeverHolds: "its condition never holds",
  alwaysLoses: (winner: string | null) => `it always loses to “${winner ?? "another rule"}”`,
  liesBeneathWhereverOne: (layerName: string, layerName2: string) =>
    `${layerName} lies beneath ${layerName2} wherever one presses`,
  hasNoPlaceWhere: (layerName: string) => `${layerName} has no place where it could be pressed`,
  nothingLeads: "nothing leads to it",
  canNeverHappen: (rule: string, whyNever: string) => `“${rule}” can never happen: ${whyNever}.`,
  removeRule: "Remove the rule",
  that: (layerName: string, trigger: string, text: string) =>
    `That ${layerName} ${trigger} ${text}`,
  neverComesAboutFinger: "never comes about with a finger: it needs a pointer that hovers first.",
  cannotBeDoneBy: "cannot be done by keyboard.",
  whatDraggingDoesCan: (layerName: string) =>
    `What dragging ${layerName} does can be done in no other way: not by keyboard, and not by those who cannot drag (WCAG 2.2). A click or a key should do it too.`,

  // rivals.ts
  doesNothing: (quoted: string, reason: string) => `${quoted} does nothing: ${reason}.`,
  switchLosingOneOff: "Switch the losing one off",
  removeInnerOne: "Remove the one further in",
  twoRulesWantSame: (quoted: string, quoted2: string) =>
    `Two rules want the same: ${quoted} wins over ${quoted2} only because it stands first.`,
  onTakesWhatWaits: (name: string, quoted: string, quoted2: string) =>
    `On ${name}, ${quoted} answers instead of ${quoted2}, which does just the same around it: one of them is enough.`,
  theseRulesSendOne: (rules: string) =>
    `These rules send one another round without any time passing, and are stopped: ${rules}.`,
  becomesAgain: (name: string, named: string, ms: string, named2: string, ms2: string) =>
    `${name} becomes ${named} in ${ms}, and ${named2} again in ${ms2}.`,
  both: (ms: string) => `Both in ${ms}`,
  whileNothingHappensWhen: (name: string, valueName: string, name2: string, trigger: string) =>
    `While ${name} is ${valueName}, nothing happens when ${name2} ${trigger}, though it does before and after that.`,
  letAnswerToo: (name: string) => `Let it answer in ${name} too`,

  // surface.ts
  onlyVariant: "the only variant",
  hardReadContrast1: (name: string, where: string, ratio: number, ground: string, needed: number) =>
    `${name} is hard to read in ${where}: contrast ${ratio.toFixed(1)} : 1 against ${ground}, WCAG AA asks for ${needed} : 1.`,
  onlyPxFingerWcag: (name: string, w: number, h: number, smallest: number) =>
    `${name} is only ${Math.round(w)} × ${Math.round(h)} px to the finger; WCAG 2.2 asks for ${smallest} × ${smallest}.`,
  widenTouchAreaBy: (more: number) => `Widen its touch area by ${more} px`,
  hoveringMovesAwayFrom: (name: string) =>
    `Hovering moves ${name} away from under the pointer, near its edge: it is left, comes back and is hovered again, over and over.`,

  // felt.ts
  liesOver: (cover: string, name: string, percent: number) =>
    `${upperFirst(cover)} lies over ${name} and takes the pointer on ${percent} % of it: pressing there does nothing.`,
  letPointerThrough: (cover: string) => `Let the pointer through ${cover}`,

  // spoken.ts
  tabGoesFirst: (later: string, first: string) =>
    `Tab goes to ${later} before ${first}, though ${first} comes first when one reads.`,
  putBefore: (first: string, later: string) => `Put ${first} before ${later} in the tree`,
  hasNoRole: (name: string) =>
    `${upperFirst(name)} can be clicked but has no role: who listens to a screen reader is not told what it is.`,
  setRole: (role: string) => `Make it a ${role}`,
  keyIsNeverHeard: (rule: string) =>
    `“${rule}” does nothing once this is placed: nothing that can have the focus hears the key.`,
  tabMovesOn: (rule: string) => `“${rule}” does nothing: Tab moves the focus on.`,

  // hovers.ts
  hoverStays: (name: string, what: string) =>
    `Hovering ${name} changes ${what} for good: nothing takes that back when the pointer leaves.`,
  undoWhenItEnds: "Undo when it ends",

  // traitspace.ts
  canNeverHappenCondition: (rule: string) =>
    `“${rule}” can never happen: its condition never holds, or a better rule always wins.`,
  neverReachedNoRuleLeadsThere: (name: string, valueName: string) =>
    `${name} ${valueName} is never reached: no rule leads there.`,
  onceThereMayBe: (name: string, valueName: string, name2: string) =>
    `Once ${name} is ${valueName}, there may be no way back to ${name2}.`,
  ms: (ms: number) => `${ms} ms`,
};
