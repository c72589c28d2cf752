/** What people read in checks. */
export const checksWords = {
  // Checks.tsx
  doesNotWork: "does not work",
  peopleWillStumble: "people will stumble",
  meantSo: "meant so?",
  whyShouldBe: "Why it is as it should be",
  accept: "Accept",
  leave: "Leave",
  where: "Where",
  rule: "The rule",
  rules: "The rules",
  showMe: "Show me",
  acceptInChecks: "Accept …",
  allMouseTouchKeyboard: (looked: string) =>
    `All ${looked} of mouse, touch and keyboard looked at.`,
  firstLookedAtThere: (looked: string) =>
    `The first ${looked} looked at; there are more, so nothing is said of what can never happen.`,
  firstLookedAtAll: (looked: string, variants: number) =>
    `The first ${looked} looked at, and all ${variants} variants by their traits alone.`,
  lookingAtEverythingPiece: "Looking at everything the piece can come to …",
  lookingAgain: "Looking again …",
  nothingFoundWouldTrip: "Nothing found that would trip anybody up.",
  accepted: "Accepted",
  takeBack: "Take that back",
  situations: (count: number) => `${count} situation${count === 1 ? "" : "s"}`,
};
