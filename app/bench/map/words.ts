/** What people read in map. */
export const mapWords = {
  // WaitingWay.tsx
  msLeft: (plain: string, rate: number, round: number) =>
    `${plain}: ${rate === 0 ? "stands still, " : ""}${round} ms left`,

  // MapView.tsx
  neverReached: "never reached",
  nothingLeadsOn: "nothing leads on",
  onlyVariant: "the only variant",
  pressEnterShowTry: "Press Enter to show it in Try",
  drawnBy: "Drawn by",
  byTrait: "By trait",
  byVariant: "By variant",
  moreThan500Variants: "More than 500 variants are folded by trait",
  onlyWaysSetOff: "Only ways set off by",
  allWays: "all ways",
  waysClickOneShow: (nodes: number, byVariant: boolean, shown: number) =>
    `${nodes} ${byVariant ? "variants" : "values"}, ${shown} ways. Click one to show it in Try, a way to edit its rule.`,
  thereNothingDrawPiece: "There is nothing to draw: the piece has no traits.",
  lookingAtEverythingPiece: "Looking at everything the piece can come to …",
  drawing: "Drawing …",
  after: (ms: number) => `after ${ms} ms`,
};
