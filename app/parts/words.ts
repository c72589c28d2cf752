/** What people read in parts. */
export const partsWords = {
  // ResultMark.tsx
  notRunYet: "not run yet",

  // EasingPart.tsx
  bZier: "Bézier",
  bZierValueAt: (valueAt: string) => `Bézier ${valueAt}`,
  numberSteps: "Number of steps",
  jumpsAt: "Jumps at",
  atEnd: "at the end",
  atStart: "at the start",
  atBothEnds: "at both ends",
  atNeitherEnd: "at neither end",
  bounces: "Bounces",
  timesUp: "times, up to",
  comesUpPerCent: "Comes up to per cent",
  by: "by",
  windsUpByPer: "Winds up by per cent",
  inTime: "in",
  timeOfSpring: "Time of the spring in milliseconds",
  untilWithinThousandth: "Until it is within a thousandth of its way for good",
  ms: "ms,",
  bouncinessSpringPerCent: "Bounciness of the spring in per cent",
  n0ComesRestWithout: "0: comes to rest without swinging",
  bouncy: "% bouncy",

  // MotionPart.tsx
  motion: "Motion",
  where: "To where",
  motionToken: "Motion token",
  ownTime: "own time",
  msLength: (length: number) => `${Math.round(length)} ms`,
  durationMilliseconds: "Duration in milliseconds",
  after: "after",
  delayMilliseconds: "Delay in milliseconds",

  // AssetPart.tsx
  noIconHasSuch: "No icon has such a name. Try another word.",
  iconsTypeMoreSee: (count: number) => `${count} icons; type more to see the others`,
  n1Icon: "1 icon",
  findIcon: "Find an icon",
  findAmongIcons: (count: number) => `Find among ${count} icons`,
  icons: "Icons",
  usedThisProject: (name: string) => `${name} (used in this project)`,
  iconsCouldNotBe: "The icons could not be fetched. Close this and try again.",
  fetchingIcons: "Fetching the icons …",
  chooseFile: "Choose a file",
  sending: "Sending …",
  chooseFileInAssetPart: "Choose a file …",
  noPicturesThisProject:
    "No pictures in this project yet. Choose a file, or drop or paste one onto a card.",
  pictures: "Pictures",

  // ColourPart.tsx
  notation: "Notation",
  colour: "Colour",
  pickFromScreen: "Pick from the screen",
  noColour: "No colour",
  recentColours: "Recent colours",

  // GradientPart.tsx
  stop: (i: number) => `Stop ${i + 1}`,
  stopAt: "stop at",
  placeStop: "Place of the stop",
  removeStop: "Remove stop",
  turnRound: "Turn round",
  angle: "angle",
  angleInGradientPart: "Angle",

  // TokenPart.tsx
  tokens: "Tokens",

  // FillPanel.tsx
  linear: "Linear",
  radial: "Radial",
  picture: "Picture",
  token: "Token",
  fill: "Fill",
  kindFill: "Kind of fill",
  fit: "fit to",
  tokensAreMadeOn: "Tokens are made on the project’s System page, or from a value with its menu.",
  done: "Done",

  // ShadowPanel.tsx
  colourShadow: (i: number) => `Colour of shadow ${i + 1}`,
  shadow: (label: string, i: number) => `${label} of shadow ${i + 1}`,
  insideLayer: "Inside the layer",
  inner: "inner",
  removeShadow: (i: number) => `Remove shadow ${i + 1}`,
  addShadow: "Add a shadow",
  shadows: "Shadows",
  shadowsOrToken: "Shadows or a token",

  // Thumbnail.tsx

  // EasingPart.tsx

  // AssetPart.tsx
  px: (name: string, width: number, height: number) => `${name}, ${width} × ${height} px`,
  centre: "centre",
  centreAcross: "Centre across",
  centreDown: "Centre down",
  reach: "reach",
  reachAcross: "Reach across",
  reachDown: "Reach down",
  down: "down",
  iconsFound: (count: number) => `${count} icons`,
};
