/** What people read in system. */
export const systemWords = {
  // Sample.tsx
  ag: "Ag",

  // TimingSheet.tsx
  noMotionTokensYet: "no motion tokens yet",
  sameButDoesNot: (name: string) => `the same as ${name}, but does not follow it`,
  nearly: (name: string) => `nearly ${name}`,
  own: "of its own",
  chooseMs: (length: number, easing: string) => `Choose ${Math.round(length)} ms ${easing}`,
  ms: (length: number) => `${Math.round(length)} ms`,
  in: (uses: number) => `${uses} ${uses === 1 ? "motion" : "motions"} in`,
  rule: (rule: string) => `: ${rule}`,
  ownTime: (effect: string, motion: string) => `; of it, ${effect}: ${motion}`,
  noRuleMovesAnything: "No rule moves anything yet.",
  of: "of",
  motions: "Motions of",
  wholeProject: "the whole project",
  chosenMotions: (uses: number) => `${uses} ${uses === 1 ? "motion" : "motions"}:`,
  letThemFollow: "Let them follow",
  follow: "follow …",
  chooseNone: "Choose none",
  differentMotionsThemTokens: (
    groups: number,
    groupsGroups: number,
    tokens: number,
    outliers: number,
  ) =>
    `${groups} different motions, ${groupsGroups} of them tokens. ${tokens === 0 ? "Make a motion token to let rules follow it." : ""}${outliers > 0 ? `${outliers} are nearly a token.` : ""}`,
  chooseThese: "Choose these",
  chosen: "Chosen",
  takes: "Takes",
  course: "Course",
  curve: "Curve",
  where: "Where",
  system: "In the system",

  // TokenEditor.tsx
  family: "family",
  whatTakesValueFrom:
    "What it takes its value from is gone. Choose another token, or a value of its own.",
  durationMilliseconds: "Duration in milliseconds",
  msInTokenEditor: "ms",
  value: "Value",
  px: "px",
  takesValueFrom: "takes its value from",
  itself: "itself",
  changeThereOrLet: "Change it there, or let it have a value of its own again.",

  // TimingSheet.tsx
  pieces: (pieces: number) => `${pieces} pieces`,
};
