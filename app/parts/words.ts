/** What people read in parts. */
export const partsWords = {
  // FormAnswer.tsx
  submittedForms: "Submitted forms",
  succeed: "Succeed",
  fail: "Fail",

  // ResultMark.tsx
  notRunYet: "not run yet",

  // EasingPart.tsx
  cubicBZier: "Cubic Bézier",
  bZierValueAt: (valueAt: string) => `Bézier ${valueAt}`,
  numberSteps: "Number of steps",
  jumpPosition: "Jump position",
  atEnd: "at the end",
  atStart: "at the start",
  atBothEnds: "at both ends",
  atNeitherEnd: "at neither end",
  bounces: "Bounces",
  timesFirstRebound: "times, first rebound",
  firstReboundPerCent: "First rebound in per cent",
  by: "by",
  windUpPerCent: "Wind-up in per cent",
  inTime: "in",
  springDurationMilliseconds: "Spring duration in milliseconds",
  untilStaysWithinEnd: "Until it stays within 0.1 % of its end value",
  ms: "ms,",
  springBouncePerCent: "Spring bounce in per cent",
  settlesWithoutOvershoot: "0 %: settles without overshoot",
  bounce: "% bounce",

  // MotionPart.tsx
  motion: "Motion",
  direction: "Direction",
  motionToken: "Motion token",
  curveLabel: "Curve",
  tokenFor: (label: string) => `${label}: token`,
  custom: "custom",
  isToken: (name: string) => `This is ${name}: use the token`,
  nearlyToken: (name: string) => `Nearly ${name}: use the token`,
  msLength: (length: number) => `${Math.round(length)} ms`,
  durationMilliseconds: "Duration in milliseconds",
  after: "after",
  delayMilliseconds: "Delay in milliseconds",

  // AssetPart.tsx
  noIconsFoundTry: "No icons found. Try another word.",
  iconsKeepTypingNarrow: (count: number) => `${count} icons. Keep typing to narrow the list.`,
  n1Icon: "1 icon",
  findIcon: "Find an icon",
  findAmongIcons: (count: number) => `Find among ${count} icons`,
  icons: "Icons",
  usedThisProject: (name: string) => `${name} (used in this project)`,
  couldNotLoadIcons: "Could not load the icons. Close this panel and try again.",
  loadingIcons: "Loading icons…",
  chooseFile: "Choose a file",
  uploading: "Uploading…",
  chooseFileInAssetPart: "Choose a file…",
  noImagesProjectYet:
    "No images in this project yet. Choose a file, or drop or paste one on a card.",
  images: "Images",

  // ColourPart.tsx
  colourFormat: "Colour format",
  colour: "Colour",
  pickFromScreen: "Pick from the screen",
  noColour: "No colour",
  recentColours: "Recent colours",

  // GradientPart.tsx
  stop: (i: number) => `Stop ${i + 1}`,
  stopPosition: "stop position",
  stopPosition2: "Stop position",
  removeStop: "Remove stop",
  reverse: "Reverse",
  angle: "angle",
  angleInGradientPart: "Angle",

  // TokenPart.tsx
  deprecated: "deprecated",
  tokens: "Tokens",

  // FillPanel.tsx
  linear: "Linear",
  radial: "Radial",
  image: "Image",
  token: "Token",
  fill: "Fill",
  fillType: "Fill type",
  imageFit: "Image fit",
  createTokensSystemPage: "Create tokens on the System page or from a value's menu.",
  done: "Done",

  // ShadowPanel.tsx
  colourShadow: (i: number) => `Colour of shadow ${i + 1}`,
  shadow: (label: string, i: number) => `${label} of shadow ${i + 1}`,
  drawShadowInsideLayer: "Draw the shadow inside the layer",
  inset: "inset",
  removeShadow: (i: number) => `Remove shadow ${i + 1}`,
  addShadow: "Add shadow",
  shadows: "Shadows",
  shadowsOrToken: "Shadows or a token",

  // Thumbnail.tsx

  // EasingPart.tsx

  // AssetPart.tsx
  px: (name: string, width: number, height: number) => `${name}, ${width} × ${height} px`,
  centre: "centre",
  centreX: "Centre x",
  centreY: "Centre y",
  radius: "radius",
  radiusX: "Radius x",
  radiusY: "Radius y",
  y: "y",
  iconsFound: (count: number) => `${count} icons`,
};
