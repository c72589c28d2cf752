/** What people read in map. */
export const mapWords = {
  // WaitingWay.tsx
  msRemaining: (plain: string, rate: number, round: number) =>
    `${plain}: ${rate === 0 ? "paused, " : ""}${round} ms remaining`,

  // MapView.tsx
  neverReached: "never reached",
  deadEnd: "dead end",
  onlyVariant: "only variant",
  pressEnterShowTry: "Press Enter to show it in Try",
  group: "Group by",
  trait: "Trait",
  variant: "Variant",
  tooManyVariantsShow: "Too many variants to show one by one (over 500)",
  showTransitionsWithTrigger: "Show transitions with trigger",
  allTriggers: "All triggers",
  transitionsClickCardShow: (nodes: number, byVariant: boolean, shown: number) =>
    `${nodes} ${byVariant ? "variants" : "values"}, ${shown} transitions. Click a card to show it in Try, or a transition to edit its rule.`,
  noMapYetPiece: "No map yet: this piece has no traits.",
  exploringAllSituations: "Exploring all situations…",
  drawing: "Drawing…",
  after: (ms: number) => `after ${ms} ms`,
};
