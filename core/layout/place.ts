import type { ComputedLayer } from "../looks";
import type { LayerValues } from "../properties";
import { arrange, isArranged, limited, padded } from "./flex";
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
  const v = node.values;
  const drawnW = v.widthMode === "fit" ? width : v.width;
  const drawnH = v.heightMode === "fit" ? height : v.height;
  const out: LayoutBox[] = [];
  for (const child of node.children) {
    const c = child.values;
    if (!c.visible) continue;
    const w0 = fixedOr(c, "widthMode", "width");
    const h0 = fixedOr(c, "heightMode", "height");
    const natural = w0 === undefined || h0 === undefined ? boxOf(env, child, w0, h0) : null;
    const scales = v.resizing === "scale";
    const w =
      c.widthMode === "stretch"
        ? { at: 0, size: within(c, "Width", width) }
        : follow(
            scales ? "scale" : c.followX,
            c.x,
            w0 ?? natural?.width ?? 0,
            width - drawnW,
            drawnW ? width / drawnW : 1,
          );
    const h =
      c.heightMode === "stretch"
        ? { at: 0, size: within(c, "Height", height) }
        : follow(
            scales ? "scale" : c.followY,
            c.y,
            h0 ?? natural?.height ?? 0,
            height - drawnH,
            drawnH ? height / drawnH : 1,
          );
    const same = natural && natural.width === w.size && natural.height === h.size;
    out.push(
      put(
        same
          ? natural
          : boxOf(
              env,
              child,
              c.widthMode === "fit" && !scales && c.followX !== "both" && c.followX !== "scale"
                ? undefined
                : w.size,
              c.heightMode === "fit" && !scales && c.followY !== "both" && c.followY !== "scale"
                ? undefined
                : h.size,
            ),
        w.at,
        h.at,
      ),
    );
  }
  return out;
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

const compute = (
  env: LayoutEnv,
  node: ComputedLayer,
  width: number | undefined,
  height: number | undefined,
): Box => {
  const v = node.values;
  if (node.layer.kind === "text") {
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
  }
  if (node.layer.kind === "instance") {
    const inner = node.nested
      ? boxOf(
          env,
          node.nested,
          width ?? fixedOr(node.nested.values, "widthMode", "width"),
          height ?? fixedOr(node.nested.values, "heightMode", "height"),
        )
      : null;
    return {
      node,
      width: width ?? inner?.width ?? 80,
      height: height ?? inner?.height ?? 40,
      lines: [],
      children: [],
      nested: inner && put(inner, 0, 0),
    };
  }
  if (isArranged(node)) {
    const measure = (
      child: ComputedLayer,
      w: number | undefined,
      h: number | undefined,
      raw?: boolean,
    ): { width: number; height: number } => {
      if (!raw) {
        return boxOf(env, child, w, h);
      }
      if (child.layer.kind === "text") {
        return setText(env.fonts, child.values, w, h);
      }
      return isArranged(child) ? arrange(child, w, h, measure) : boxOf(env, child, w, h);
    };
    if (width !== undefined) width = Math.max(width, padded(node, "Width"));
    if (height !== undefined) height = Math.max(height, padded(node, "Height"));
    const natural = arrange(node, width, height, measure);
    // limits of its own may leave a layer more or less room than its contents want
    const w = width ?? limited(node, "Width", natural.width);
    const h = height ?? limited(node, "Height", natural.height);
    const { children } =
      w === natural.width && h === natural.height ? natural : arrange(node, w, h, measure);
    return {
      node,
      width: w,
      height: h,
      lines: [],
      children: scrolled(
        v,
        stacked(children.map((c) => put(boxOf(env, c.node, c.width, c.height), c.x, c.y))),
        w,
        h,
      ),
      nested: null,
    };
  }
  const content =
    width === undefined || height === undefined
      ? placeFree(env, node, width ?? 0, height ?? 0)
      : [];
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

/**
 * The insides of a layer at a size (undefined: as large as it wants), kept until the layer or the
 * size changes.
 */
const boxOf = (
  env: LayoutEnv,
  node: ComputedLayer,
  width: number | undefined,
  height: number | undefined,
): Box => {
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
