/** What people read in stage. */
export const stageWords = {
  limited: "Limited to",
  narrowerThanSuggestedUntil: "Narrower than suggested, until you select another layer or card.",
  backTo: (words: string) => `Back to ${words}`,
  widen: "Widen",
  // AlignBar.tsx
  align: "Align",
  alignLeft: "Align left",
  alignCentreHorizontally: "Align centre horizontally",
  alignRight: "Align right",
  alignTop: "Align top",
  alignCentreVertically: "Align centre vertically",
  alignBottom: "Align bottom",
  equalGapsHorizontally: "Equal gaps horizontally",
  equalGapsVertically: "Equal gaps vertically",
  alignDistribute: "Align and distribute",
  group: "Group",
  groupCtrlG: "Group (Ctrl+G)",

  // CardHead.tsx
  pinned: "Pinned",
  variantName2: "Variant name",
  shiftCtrlSelectSeveral: "Shift or Ctrl to select several cards",
  default: "default",
  nextEditAppliesHere: "The next edit applies here",
  editsHere: "Edits here",

  // Corners.tsx
  dragRoundAllCorners: "Drag to round all corners; hold Alt for this one",

  // move.ts
  laysOutLayersSo: (name: string, arrange: undefined | string, layerName: string) =>
    `${name} lays out its layers in a ${String(arrange)}, so ${layerName} cannot be moved freely. Take it out of flow, or reorder it in the tree.`,

  // OnionPath.tsx
  ms: (at: number) => `${at} ms`,

  // Reference.tsx
  referenceX: "Reference x",
  referenceY: "Reference y",
  width: "width",
  referenceWidth: "Reference width",
  scalePerCent: "Scale in per cent",
  scaleImagePerCent: "Scale of the image, in per cent of its own size",
  showImage: "Show the image at 100 %",
  opacityReferenceImage: "Opacity of the reference image",
  pickColourFromImage: "Pick a colour from the image (Q)",
  pick: "Pick",
  referenceImage: "Reference image",
  removeReferenceImage: "Remove reference image",
  remove: "Remove",
  chooseFileReferenceImage: "Choose file… (reference image)",
  chooseFile: "Choose file…",
  imageBehindCardsMeasure2:
    "An image behind the cards to measure (M) or trace. It is not part of the piece.",
  imageBehindCardsMeasure: "An image behind the cards to measure or trace",

  // ScopeBar.tsx
  onlyVariant: "the only variant",
  onlyThisOne: "only this one",
  onlyThese: (reach: number) => `only these ${reach}`,
  close: "Close",
  changesApply: "Changes apply to",
  earlierMoment: "An earlier moment: look, try and play. Nothing in it can be changed.",
  cardsSelected: (variants: number) => `${variants} cards selected`,

  // StageGrid.tsx
  unused: (variantName: string) => `${variantName}: unused`,
  useAgain: "Use again",
  pinnedCards: "Pinned cards",
  pinnedAbove: "pinned above",

  // variantMenu.ts
  renameVariant: "Rename variant…",
  showOnlyCard: "Show only this card",
  unpin: "Unpin",
  pinTop: "Pin to top",
  compareSelectAnotherCard: "Compare… (select another card first)",
  compare: (variantName: string) => `Compare with “${variantName}”…`,
  copyLook: "Copy look",
  pasteLook: (variantName: string) => `Paste look of “${variantName}”`,
  pasteLook2: "Paste look",
  resetVariant: "Reset variant",
  markVariantAsUnused: "Mark this variant as unused",
  markAsUnusedWhere: (condition: string) => `Mark as unused where ${condition}`,

  // GridBar.tsx
  rows: "Rows",
  columns: "Columns",
  cardsHidden: (hidden: number) => `Cards, ${hidden} hidden`,
  cards: "Cards",
  chooseWhichCardsShow: "Choose which cards to show and how to arrange them",
  hidden: (hidden: number) => `${hidden} hidden`,
  resetCards: "Reset cards",

  // ZoomBar.tsx
  zoom: "Zoom",
  allCards: "All cards",
  unused2: (unused: number) => `${unused} unused`,
  zoomOut: "Zoom out",
  realSize: "Real size",
  zoom2: "Zoom in",
  fit: "Fit",
  selectWholePieceSet: "Select the whole piece to set its size and fill",
  wholePiece: "Whole piece",

  // Stage.tsx
  dragWhereThenPress: (name: string, comes: boolean) =>
    `Drag ${name} to where it ${comes ? "enters from" : "exits to"}, then press Enter.`,
  dragCardDrawClick: (kind: string) =>
    `${kind}: drag on a card to draw. Click or press Enter for the default size.`,
  emptyInsertShapeText: (kind: string) =>
    `This ${kind} is empty. Insert a shape or text from the left, draw with the pen (P), or drop an image or SVG file here. Then add traits: each combination of values becomes a card.`,
  showingFirstVariantsUse: (mostCards: number, all: boolean, mostVariants: number, all2: number) =>
    `Showing the first ${mostCards} of ${all ? `more than ${mostVariants}` : all2} variants. Use “Cards” to choose which.`,

  // CardHead.tsx
  actionsVariant: (name: string) => `Actions for variant ${name}`,

  // Card.tsx
  variantName: (name: string) => `Variant ${name}`,

  // ScopeBar.tsx
  selectedCardsSmallestScope: "; the selected cards, or the smallest scope that contains them",
  appliesVariants: (reach: number, all: number, value: string) =>
    `Applies to ${reach} of ${all} variants${value}`,

  // GridBar.tsx
  direction: (name: string) => `Direction of ${name}`,
  stage: "Stage",
  allVariants: (count: number) => `all ${count} variants`,
  where: (condition: string) => `where ${condition}`,
};
