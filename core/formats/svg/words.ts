/** What people read in svg. */
export const svgWords = {
  // entities.ts
  impossibleCharacter: (whole: string) => `the impossible character ${whole}`,

  // tree.ts
  styleRule: (head: string) => `the style rule “${head}”`,
  styleSelector: (head: string) => `the style selector “${head}”`,
  whatLiesMoreThan: (deepest: number) => `what lies more than ${deepest} groups deep`,
  fileNotWellFormed: (error: string | null) =>
    `the file is not well-formed XML (${error ?? "unreadable"})`,
  fileHasNoSvg: "the file has no <svg> element",

  // icon.ts
  iconHasNoSize: "the icon has no size",
  iconsNeedFilledOutlines: "icons need filled outlines; this one has strokes",
  iconCannotHaveClips: "an icon cannot have clips, masks or filters",
  iconCannotHave: (tag: string) => `an icon cannot have <${tag}>`,
  pathIconCannotBe: "a path of the icon cannot be read",
  iconShowsNothing: "the icon shows nothing",

  // paint.ts
  skewSlantingGradient: "the skew of a slanting gradient",
  focusRadialGradient: "the focus of a radial gradient",
  slantRadialGradient: "the slant of a radial gradient",
  gradient: (spreadMethod: string) => `the ${spreadMethod} of a gradient`,
  pattern: "a pattern",
  paint: (text: string) => `the paint “${text}”`,

  // source.ts
  shape: "Shape",
  box: "Box",
  circle: "Circle",
  ellipse: "Ellipse",
  line: "Line",
  polygon: "Polygon",
  text: "Text",
  group: "Group",
  copy: "Copy",
  drawing: "Drawing",
  layer: "Layer",
  blending: (mix: string) => `the blending “${mix}”`,
  filter: "a filter",
  markersAtLineEnds: "markers at line ends",

  // shape.ts
  unreadablePath: (d: string) => `the unreadable path “${d}”`,
  gradientLine: "a gradient in a line",
  unevenWidthStretchedLine: "the uneven width of a stretched line",
  exactLengthsDashes: "the exact lengths of dashes",
  lineJoin: (joins: string) => `the line join “${joins}”`,

  // sound.ts
  pathTooLongThousand: (name: string, count: number) =>
    `“${name}” (its path is too long: ${Math.round(count)} thousand characters)`,
  beyondWhatLayerCan: (name: string, label: string) =>
    `“${name}” (its ${label} is beyond what a layer can have)`,
  of: (label: string, name: string) => `${label} of “${name}”`,

  // texts.ts
  lettersPlacedOneBy: "letters placed one by one",
  textOnPath: "a text on a path",
  exactPlaceWordsFollow: "the exact place of words that follow one another in a text",
  slantedLetters: "slanted letters",
  slantText: "the slant of a text",

  // read.ts
  imageInsideFile: "an image inside the file",
  foreignObject: "a foreign object",
  script: "a script",
  animation: "an animation",
  element: (tag: string) => `the element <${tag}>`,
  elementsAfterFirst: (most: number) => `elements after the first ${most}`,
  groupsMoreThanDeep: (deepestGroup: number, name: string) =>
    `groups more than ${deepestGroup} deep (the contents of “${name}” are kept)`,
  referenceSomethingOutsideFile: "a reference to something outside the file",
  referenceItself: (name: string) => `a reference to itself (“${name}”)`,
  maskClipSameElement: "a mask and a clip of the same element: only the clip is kept",
  unitsBox: (word: string) => `a ${word} in units of its box`,
  luminanceMaskKeptAs: "a luminance mask (kept as a shape)",
  fileContainsNothingCan: (count: number, lost: string) =>
    `the file contains nothing that can be imported as a layer${count > 0 ? `: it has ${lost}` : ""}`,
};
