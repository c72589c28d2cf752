/**
 * What kinds of layer a piece can hold. A box without children is a rectangle; a compound paints
 * the outline that the shapes inside it make together.
 */
export const layerKinds = [
  "box",
  "ellipse",
  "line",
  "polygon",
  "path",
  "compound",
  "text",
  "picture",
  "icon",
  "instance",
] as const;
export type LayerKind = (typeof layerKinds)[number];
