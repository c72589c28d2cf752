import type { LayerKind } from "#core/properties";
import type { Row } from "./rows";

const shape = ["fill", "width", "height", "radius", "shadow"] as const;

/** The values one changes most, by the kind of layer. */
const keys: Readonly<Record<LayerKind, readonly string[]>> = {
  box: shape,
  ellipse: ["fill", "width", "height", "shadow"],
  polygon: ["fill", "width", "height", "rotation"],
  path: ["fill", "borderColour", "borderWidth"],
  compound: ["fill", "combine", "shadow"],
  line: ["borderColour", "borderWidth", "width"],
  text: ["text", "size", "weight", "fill"],
  picture: ["picture", "width", "height"],
  icon: ["icon", "fill", "width"],
  instance: [],
};

/** How many values are at hand. */
const MOST = 5;

/** The rows one changes most: those of the kind, and of a copy what it can be given. */
export const handfulOf = (rows: readonly Row[], kind: LayerKind): readonly Row[] => {
  if (kind === "instance")
    return rows.filter((r) => r.group === "copy" && r.key !== "component").slice(0, MOST);
  return keys[kind].flatMap((key) => rows.find((r) => r.key === key) ?? []);
};
