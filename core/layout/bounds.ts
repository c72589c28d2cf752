import type { Id } from "../basics";
import { thousandths } from "../properties";
import type { Pair } from "../properties";
import { findBox, toParent } from "./hit";
import type { LayoutBox, Rect } from "./types";

/** An affine map as SVG's matrix(a b c d e f). */
export type Affine = readonly [number, number, number, number, number, number];

/** A layer where it is shown: its size, and the map from its own coordinates to the piece's; px. */
export interface ShownBox {
  readonly width: number;
  readonly height: number;
  readonly map: Affine;
  readonly parent: Affine;
}

const upright: Affine = [1, 0, 0, 1, 0, 0];
export const mapPoint = (m: Affine, x: number, y: number): Pair => [
  m[0] * x + m[2] * y + m[4],
  m[1] * x + m[3] * y + m[5],
];
/** A way in the piece as a way inside what a map leads out of. */
export const wayInto = (m: Affine, dx: number, dy: number): Pair => {
  const det = m[0] * m[3] - m[1] * m[2] || 1e-9;
  return [(m[3] * dx - m[2] * dy) / det, (m[0] * dy - m[1] * dx) / det];
};

/**
 * Where a placed layer's own px lie in its parent, or further out when the parent's own map is
 * given.
 */
export const mapOf = (p: LayoutBox, parent: Affine = upright): Affine => {
  const place = toParent(p);
  const at = (x: number, y: number) => mapPoint(parent, ...place(x, y));
  const [ox, oy] = at(0, 0);
  const [ax, ay] = at(1, 0);
  const [bx, by] = at(0, 1);
  return [ax - ox, ay - oy, bx - ox, by - oy, ox, oy];
};

/** Where every layer of one piece is shown, turned and scaled with those around it. */
export const spotsIn = (root: LayoutBox): ReadonlyMap<Id, ShownBox> => {
  const out = new Map<Id, ShownBox>();
  const visit = (p: LayoutBox, parent: Affine) => {
    const map = mapOf(p, parent);
    out.set(p.layer.id, { width: p.width, height: p.height, map, parent });
    for (const child of p.children) visit(child, map);
  };
  visit(root, upright);
  return out;
};

/**
 * Where one layer of a piece is shown; undefined when it is not there. Asks only the layers around
 * it.
 */
export const spotOf = (root: LayoutBox, id: Id, around: Affine = upright): ShownBox | undefined => {
  const way = (p: LayoutBox): LayoutBox[] | null => {
    if (p.layer.id === id) return [p];
    for (const child of p.children) {
      const inner = way(child);
      if (inner) {
        inner.push(p);
        return inner;
      }
    }
    return null;
  };
  let parent = around;
  let spot: ShownBox | undefined;
  for (const p of (way(root) ?? []).reverse()) {
    spot = { width: p.width, height: p.height, map: mapOf(p, parent), parent };
    parent = spot.map;
  }
  return spot;
};

/**
 * Where a layer is shown that may lie in copies within a piece: ids of copies, then of the layer,
 * joined by "/".
 */
export const spotAt = (root: LayoutBox, path: string): ShownBox | undefined => {
  let scene: LayoutBox | null = root;
  let spot: ShownBox | undefined;
  for (const id of path.split("/")) {
    if (!scene) return undefined;
    spot = spotOf(scene, id, spot?.map ?? upright);
    scene = findBox(scene, id)?.placed.nested ?? null;
  }
  return spot;
};

/** The upright box around a layer, however it is turned and scaled. */
export const spotBounds = ({ width, height, map }: Omit<ShownBox, "parent">): Rect => {
  const corners = [
    mapPoint(map, 0, 0),
    mapPoint(map, width, 0),
    mapPoint(map, width, height),
    mapPoint(map, 0, height),
  ];
  const xs = corners.map((c) => c[0]);
  const ys = corners.map((c) => c[1]);
  const x = Math.min(...xs);
  const y = Math.min(...ys);
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
};

const kept = new WeakMap<LayoutBox, ReadonlyMap<Id, Rect>>();

/**
 * The upright box each layer of one piece takes up in the piece's own coordinates, turned and
 * scaled as it is shown.
 */
export const boundsIn = (root: LayoutBox): ReadonlyMap<Id, Rect> => {
  let bounds = kept.get(root);
  if (!bounds)
    kept.set(
      root,
      (bounds = new Map([...spotsIn(root)].map(([id, spot]) => [id, spotBounds(spot)]))),
    );
  return bounds;
};

/** The upright box one layer takes up; undefined when it is not there. Asks only the layers around it. */
export const boundsOf = (root: LayoutBox, id: Id): Rect | undefined => {
  const spot = spotOf(root, id);
  return spot && spotBounds(spot);
};

export interface Resize {
  readonly width: number;
  readonly height: number;
  readonly x: number;
  readonly y: number;
}

/**
 * A layer after one of its edges was pulled: `growth` is by how much it grew in its own
 * coordinates, `direction` which edges were pulled (-1, 0, 1). The opposite edge stays where it is
 * shown, or with `centred` the middle does; `ratio` keeps the proportions. Sizes are whole px; the
 * answer is the layer's new size and its new place in its parent.
 */
export const resized = (
  p: LayoutBox,
  direction: Pair,
  growth: Pair,
  how: { readonly ratio: boolean; readonly centred: boolean },
): Resize => {
  const times = how.centred ? 2 : 1;
  let width = Math.max(0, Math.round(p.width + growth[0] * times));
  let height = Math.max(0, Math.round(p.height + growth[1] * times));
  if (direction[0] === 0) width = p.width;
  if (direction[1] === 0) height = p.height;
  if (how.ratio && p.width > 0 && p.height > 0) {
    const across = direction[0] === 0 ? 0 : width / p.width;
    const down = direction[1] === 0 ? 0 : height / p.height;
    const by = Math.max(across, down);
    width = Math.round(p.width * by);
    height = Math.round(p.height * by);
  }
  const anchor = (side: number) => {
    if (how.centred || side === 0) {
      return 0.5;
    }
    return side > 0 ? 0 : 1;
  };
  const ax = anchor(direction[0]);
  const ay = anchor(direction[1]);
  const before = toParent(p)(p.width * ax, p.height * ay);
  const after = toParent({ ...p, width, height })(width * ax, height * ay);
  return {
    width,
    height,
    x: thousandths(p.x + before[0] - after[0]),
    y: thousandths(p.y + before[1] - after[1]),
  };
};
