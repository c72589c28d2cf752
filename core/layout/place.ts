import type { ComputedLayer } from "../looks";
import type { LayerValues } from "../properties";
import { arrange, isArranged, limited, padded } from "./flex";
import type { Measure } from "./flex";
import type { FontBook } from "./fonts";
import { setText } from "./text";
import type { Box, LayoutBox } from "./types";

/** What layout needs from outside: the measures of fonts. */
export interface LayoutEnv {
  readonly fonts: FontBook;
}

interface Kept {
  readonly width: number | undefined;
  readonly height: number | undefined;
  readonly box: Box;
}
/**
 * Sizes a layer is asked for in one layout: as large as it wants, at a width, at its final size.
 */
const MOST_KEPT = 6;
const boxes = new WeakMap<ComputedLayer, { env: LayoutEnv; kept: Kept[] }>();
const places = new WeakMap<Box, LayoutBox>();

const stacked = (children: readonly LayoutBox[]): readonly LayoutBox[] =>
  children.some((c) => c.values.stack !== 0)
    ? [...children].sort((a, b) => a.values.stack - b.values.stack)
    : children;

const put = (box: Box, x: number, y: number): LayoutBox => {
  const before = places.get(box);
  if (before && before.x === x && before.y === y) return before;
  const { node, width, height, lines, children, nested } = box;
  const placed: LayoutBox = {
    layer: node.layer,
    values: node.values,
    x,
    y,
    width,
    height,
    lines,
    children,
    nested,
    presence: 1,
    dissolve: null,
  };
  places.set(box, placed);
  return placed;
};

/**
 * Where a child goes along one axis when its free parent is `delta` px larger than drawn (`ratio`
 * times as large).
 */
const follow = (
  mode: LayerValues["followX"],
  at: number,
  size: number,
  delta: number,
  ratio: number,
): { at: number; size: number } => {
  switch (mode) {
    case "end":
      return { at: at + delta, size };
    case "centre":
      return { at: at + delta / 2, size };
    case "both":
      return { at, size: Math.max(0, size + delta) };
    case "scale":
      return { at: at * ratio, size: size * ratio };
    case "start":
      return { at, size };
  }
};

/** A size within the layer's own limits. */
const within = (v: LayerValues, axis: "Width" | "Height", size: number): number =>
  Math.max(v[`min${axis}`], Math.min(v[`max${axis}`], size));

const fixedOr = (
  v: LayerValues,
  modeKey: "widthMode" | "heightMode",
  key: "width" | "height",
): number | undefined => (v[modeKey] === "fit" ? undefined : v[key]);

/** What the properties of one axis are called. */
const acrossNames = {
  size: "width",
  axis: "Width",
  mode: "widthMode",
  at: "x",
  follow: "followX",
} as const;
const downNames = {
  size: "height",
  axis: "Height",
  mode: "heightMode",
  at: "y",
  follow: "followY",
} as const;
type AxisNames = typeof acrossNames | typeof downNames;

/** One axis of a parent that arranges freely: how large it was drawn and how large it is; px. */
interface FreeAxis {
  readonly names: AxisNames;
  readonly drawn: number;
  readonly now: number;
  /** whether what is inside grows with it */
  readonly scales: boolean;
}

const axisOf = (names: AxisNames, parent: LayerValues, now: number): FreeAxis => ({
  names,
  drawn: parent[names.mode] === "fit" ? now : parent[names.size],
  now,
  scales: parent.resizing === "scale",
});

/** Where a child is along one axis, and how large. `natural` is how large it wants to be. */
const placeOn = (
  axis: FreeAxis,
  child: LayerValues,
  natural: number,
): { at: number; size: number } => {
  const { names, drawn, now } = axis;
  if (child[names.mode] === "stretch") return { at: 0, size: within(child, names.axis, now) };
  const mode = axis.scales ? "scale" : child[names.follow];
  return follow(mode, child[names.at], natural, now - drawn, drawn ? now / drawn : 1);
};

/** The size a child is asked to have along one axis; undefined where its contents say. */
const askedOn = (axis: FreeAxis, child: LayerValues, size: number): number | undefined => {
  const follows = child[axis.names.follow];
  const isOwn = !axis.scales && follows !== "both" && follows !== "scale";
  return child[axis.names.mode] === "fit" && isOwn ? undefined : size;
};

const computeChild = (
  env: LayoutEnv,
  child: ComputedLayer,
  across: FreeAxis,
  down: FreeAxis,
): LayoutBox => {
  const v = child.values;
  const width = fixedOr(v, "widthMode", "width");
  const height = fixedOr(v, "heightMode", "height");
  const isFixed = width !== undefined && height !== undefined;
  const natural = isFixed ? null : boxOf(env, child, width, height);
  const w = placeOn(across, v, width ?? natural?.width ?? 0);
  const h = placeOn(down, v, height ?? natural?.height ?? 0);
  const isNatural = natural?.width === w.size && natural.height === h.size;
  const box = isNatural
    ? natural
    : boxOf(env, child, askedOn(across, v, w.size), askedOn(down, v, h.size));
  return put(box, w.at, h.at);
};

const sameAxis = (a: FreeAxis, b: FreeAxis): boolean =>
  a.now === b.now && a.drawn === b.drawn && a.scales === b.scales;

interface Lain {
  readonly env: LayoutEnv;
  readonly across: FreeAxis;
  readonly down: FreeAxis;
  readonly box: LayoutBox;
}

/** Where layers lay last: after an edit of one all others beside it are where they were. */
const lain = new WeakMap<ComputedLayer, Lain>();

const placeChild = (
  env: LayoutEnv,
  child: ComputedLayer,
  across: FreeAxis,
  down: FreeAxis,
): LayoutBox => {
  const known = lain.get(child);
  if (known?.env === env && sameAxis(known.across, across) && sameAxis(known.down, down))
    return known.box;
  const box = computeChild(env, child, across, down);
  lain.set(child, { env, across, down, box });
  return box;
};

/**
 * Children of a layer that arranges freely: at their own x and y, following the edges they are tied
 * to.
 */
const placeFree = (
  env: LayoutEnv,
  node: ComputedLayer,
  width: number,
  height: number,
): LayoutBox[] => {
  const across = axisOf(acrossNames, node.values, width);
  const down = axisOf(downNames, node.values, height);
  return node.children
    .filter((child) => child.values.visible)
    .map((child) => placeChild(env, child, across, down));
};

/**
 * How far the children of a box reach beyond it in the direction it scrolls, with the padding at
 * their end; px.
 */
export const scrollRoom = (
  v: LayerValues,
  children: readonly LayoutBox[],
  width: number,
  height: number,
): number => {
  const [, right, bottom] = v.padding ?? [0, 0, 0, 0];
  const across = v.scrolls === "across";
  if (v.scrolls === undefined || v.scrolls === "no") return 0;
  return Math.max(
    0,
    ...children.map((c) =>
      across ? c.x + c.width + right - width : c.y + c.height + bottom - height,
    ),
  );
};

/** Children of a box that scrolls, moved by as much as it is scrolled and there is room for. */
const scrolled = (
  v: LayerValues,
  children: readonly LayoutBox[],
  width: number,
  height: number,
): readonly LayoutBox[] => {
  const by = Math.min(v.scrolledBy ?? 0, scrollRoom(v, children, width, height));
  if (!(by > 0)) return children;
  return children.map((c) =>
    v.scrolls === "across" ? { ...c, x: c.x - by } : { ...c, y: c.y - by },
  );
};

/** A size a layer is asked for; undefined: as large as it wants. */
type Asked = number | undefined;

const textBox = (env: LayoutEnv, node: ComputedLayer, width: Asked, height: Asked): Box => {
  const v = node.values;
  const natural = setText(env.fonts, v, width, height);
  const w = width ?? within(v, "Width", natural.width);
  const text = w === natural.width ? natural : setText(env.fonts, v, w, height);
  return {
    node,
    width: w,
    height: height ?? within(v, "Height", text.height),
    lines: text.lines,
    children: [],
    nested: null,
  };
};

/** How many times as large as it is a piece is shown that is scaled into a size. */
const ratioInto = (own: Box, width = Infinity, height = Infinity): number => {
  const ratio = Math.min(width / own.width, height / own.height);
  return Number.isFinite(ratio) ? ratio : 1;
};

/** A piece shown so many times as large, about its corner. */
const scaledBy = (placed: LayoutBox, ratio: number): LayoutBox => {
  const { scale, pivot } = placed.values;
  const grown = (ratio - 1) / 100;
  return {
    ...placed,
    x: placed.width * pivot[0] * grown,
    y: placed.height * pivot[1] * grown,
    values: { ...placed.values, scale: [scale[0] * ratio, scale[1] * ratio] },
  };
};

/**
 * A copy: laid out again in the size it is asked for, or scaled as a whole. Then its box keeps the
 * proportions, and is what one sees.
 */
const instanceBox = (env: LayoutEnv, node: ComputedLayer, width: Asked, height: Asked): Box => {
  const { nested, values } = node;
  const isScaled = values.resizing === "scale";
  const [w, h] = isScaled ? [] : [width, height];
  const own =
    nested &&
    boxOf(
      env,
      nested,
      w ?? fixedOr(nested.values, "widthMode", "width"),
      h ?? fixedOr(nested.values, "heightMode", "height"),
    );
  const ratio = own && isScaled ? ratioInto(own, width, height) : 1;
  const sizeOf = (asked: Asked, ownSize: number | undefined, usual: number): number =>
    isScaled && ownSize !== undefined ? ownSize * ratio : (asked ?? ownSize ?? usual);
  return {
    node,
    width: sizeOf(width, own?.width, 80),
    height: sizeOf(height, own?.height, 40),
    lines: [],
    children: [],
    nested: own && (isScaled ? scaledBy(put(own, 0, 0), ratio) : put(own, 0, 0)),
  };
};

/** How large a child of a row or column is; `raw` leaves its own limits out. */
const measureIn =
  (env: LayoutEnv): Measure =>
  (child, width, height, raw) => {
    if (!raw) return boxOf(env, child, width, height);
    if (child.layer.kind === "text") return setText(env.fonts, child.values, width, height);
    return isArranged(child)
      ? arrange(child, width, height, measureIn(env))
      : boxOf(env, child, width, height);
  };

const arrangedBox = (env: LayoutEnv, node: ComputedLayer, width: Asked, height: Asked): Box => {
  const measure = measureIn(env);
  const asked = {
    width: width === undefined ? undefined : Math.max(width, padded(node, "Width")),
    height: height === undefined ? undefined : Math.max(height, padded(node, "Height")),
  };
  const natural = arrange(node, asked.width, asked.height, measure);
  // limits of its own may leave a layer more or less room than its contents want
  const w = asked.width ?? limited(node, "Width", natural.width);
  const h = asked.height ?? limited(node, "Height", natural.height);
  const isNatural = w === natural.width && h === natural.height;
  const { children } = isNatural ? natural : arrange(node, w, h, measure);
  const placed = children.map((c) => put(boxOf(env, c.node, c.width, c.height), c.x, c.y));
  return {
    node,
    width: w,
    height: h,
    lines: [],
    children: scrolled(node.values, stacked(placed), w, h),
    nested: null,
  };
};

const freeBox = (env: LayoutEnv, node: ComputedLayer, width: Asked, height: Asked): Box => {
  const v = node.values;
  const isGiven = width !== undefined && height !== undefined;
  const content = isGiven ? [] : placeFree(env, node, width ?? 0, height ?? 0);
  const w = width ?? within(v, "Width", Math.max(0, ...content.map((c) => c.x + c.width)));
  const h = height ?? within(v, "Height", Math.max(0, ...content.map((c) => c.y + c.height)));
  return {
    node,
    width: w,
    height: h,
    lines: [],
    children: scrolled(v, stacked(placeFree(env, node, w, h)), w, h),
    nested: null,
  };
};

const compute = (env: LayoutEnv, node: ComputedLayer, width: Asked, height: Asked): Box => {
  if (node.layer.kind === "text") return textBox(env, node, width, height);
  if (node.layer.kind === "instance") return instanceBox(env, node, width, height);
  if (isArranged(node)) return arrangedBox(env, node, width, height);
  return freeBox(env, node, width, height);
};

/**
 * The insides of a layer at a size (undefined: as large as it wants), kept until the layer or the
 * size changes.
 */
const boxOf = (env: LayoutEnv, node: ComputedLayer, width: Asked, height: Asked): Box => {
  let known = boxes.get(node);
  if (known?.env !== env) {
    known = { env, kept: [] };
    boxes.set(node, known);
  }
  const { kept } = known;
  for (const k of kept) if (k.width === width && k.height === height) return k.box;
  const box = compute(env, node, width, height);
  if (kept.length >= MOST_KEPT) kept.shift();
  kept.push({ width, height, box });
  return box;
};

/** Lays out a resolved tree: its root at 0, 0 with its own size unless `size` says another; px. */
export const layout = (
  env: LayoutEnv,
  root: ComputedLayer,
  size?: { width?: number; height?: number },
): LayoutBox =>
  put(
    boxOf(
      env,
      root,
      size?.width ?? fixedOr(root.values, "widthMode", "width"),
      size?.height ?? fixedOr(root.values, "heightMode", "height"),
    ),
    0,
    0,
  );
