/** What people read in stage. */
export const stageWords = {
  narrowed: "Narrowed to",
  narrower: "Narrower than suggested, until you choose another layer or card.",
  backTo: (words: string) => `Back to ${words}`,
  widen: "Widen",
  // AlignBar.tsx
  lineUp: "Line up",
  lineUpOnLeft: "Line up on the left",
  lineUpOnMiddle: "Line up on the middle across",
  lineUpOnRight: "Line up on the right",
  lineUpAtTop: "Line up at the top",
  lineUpOnMiddleDown: "Line up on the middle down",
  lineUpAtBottom: "Line up at the bottom",
  equalGapsAcross: "Equal gaps across",
  equalGapsDown: "Equal gaps down",
  lineUpSpace: "Line up and space",
  group: "Group",
  groupCtrlG: "Group (Ctrl+G)",

  // CardHead.tsx
  pinned: "Pinned",
  nameVariant: "Name of the variant",
  shiftOrCtrlChooses: "Shift or Ctrl chooses several cards",
  resting: "resting",
  nextEditLandsHere: "The next edit lands here",
  editsLandHere: "edits land here",

  // Corners.tsx
  dragRoundCornersAlt: "Drag to round the corners; with Alt this one",

  // move.ts
  arrangesLayersSoKeeps: (name: string, arrange: undefined | string, layerName: string) =>
    `${name} arranges its layers in a ${String(arrange)}, so ${layerName} keeps its place. Let it float, or restack it in the tree.`,

  // OnionPath.tsx
  ms: (at: number) => `${at} ms`,

  // Reference.tsx
  referenceX: "Reference x",
  referenceY: "Reference y",
  wide: "wide",
  referenceWidth: "Reference width",
  referenceShare: "Share of the real size",
  shareOfRealSize: "How large it is shown, of its real size",
  onePixelOnePx: "One pixel of the picture for one px",
  strengthReference: "Strength of the reference",
  pickColourFromQ: "Pick a colour from it (Q)",
  pick: "Pick",
  referencePicture: "Reference picture",
  takeReferencePictureAway: "Take the reference picture away",
  takeAway: "Take it away",
  chooseReferencePicture: "Choose a reference picture",
  choose: "Choose …",
  pictureUnderCardsMeasure:
    "A picture under the cards to measure (M) and trace. It is no part of the piece.",
  pictureUnderCardsMeasureTrace: "A picture under the cards to measure and trace",

  // ScopeBar.tsx
  onlyVariant: "the only variant",
  onlyThisOne: "only this one",
  onlyThese: (reach: number) => `only these ${reach}`,
  close: "Close",
  changesReach: "Changes reach",
  cardsChosen: (variants: number) => `${variants} cards chosen`,

  // StageGrid.tsx
  notUsed: (variantName: string) => `${variantName}: not used`,
  useAgain: "Use it again",
  pinnedCards: "Pinned cards",
  pinnedAbove: "pinned above",

  // variantMenu.ts
  nameThisVariant: "Name this variant …",
  showAloneLarge: "Show it alone, large",
  unpin: "Unpin",
  pinTop: "Pin to the top",
  compareAnotherCardChoose: "Compare with another card (choose one first)",
  compare: (variantName: string) => `Compare with “${variantName}” …`,
  holdThisVariantsLook: "Hold this variant's look",
  makeLookLike: (variantName: string) => `Make it look like “${variantName}”`,
  makeLookLikeHeld: "Make it look like a held one",
  resetWholeVariant: "Reset the whole variant",
  notUsedOnlyThis: "Not used: only this one",
  notUsedWhere: (condition: string) => `Not used: where ${condition}`,

  // GridBar.tsx
  down: "down",
  across: "across",
  cardsLeftOut: (hidden: number) => `Cards, ${hidden} left out`,
  cards: "Cards",
  whichCardsAreShown: "Which cards are shown, and along which traits",
  leftOut: (hidden: number) => `${hidden} left out`,
  showAllCardsUsual: "Show all cards as usual",

  // ZoomBar.tsx
  zoom: "Zoom",
  allCards: "All cards",
  notUsedUnused: (unused: number) => `${unused} not used`,
  smaller: "Smaller",
  realSize: "Real size",
  larger: "Larger",
  fit: "Fit",
  chooseWholePieceSet: "Choose the whole piece, to set its size and fill",
  wholePiece: "Whole piece",

  // Stage.tsx
  poseByDragging: (name: string, comes: boolean) =>
    `Drag ${name} to where it ${comes ? "comes from" : "goes to"}. Enter is done.`,
  drawByDragging: (kind: string) =>
    `${kind}: drag on a card to draw. A press or Enter puts one of the usual size.`,
  emptyInsertBoxEllipse: (kind: string) =>
    `An empty ${kind}. Insert a box, an ellipse or a text on the left, draw with the pen (P), or drop a picture or SVG file here. Then declare its traits: every combination becomes a card.`,
  onlyFirstVariantsAre: (mostCards: number, all: boolean, mostVariants: number, all2: number) =>
    `Only the first ${mostCards} of ${all ? `more than ${mostVariants}` : all2} variants are shown. Choose which ones with “Cards”.`,

  // CardHead.tsx
  moreVariant: (name: string) => `More for variant ${name}`,

  // Card.tsx
  variantName: (name: string) => `Variant ${name}`,

  // ScopeBar.tsx
  exactlyChosenOnesOr: "; exactly the chosen ones or the fewest around them",
  reachesVariants: (reach: number, all: number, value: string) =>
    `Reaches ${reach} of ${all} variants${value}`,

  // GridBar.tsx
  goes: (name: string) => `${name} goes`,
  stage: "Stage",
  allVariants: (count: number) => `all ${count} variants`,
  where: (condition: string) => `where ${condition}`,
};
