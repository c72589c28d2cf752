import { mapFour } from "../properties";
import { present } from "../basics";
import type { Four, Pair } from "../properties";
import { clipsChildren } from "./types";
import type { LayoutBox, Rect } from "./types";

/**
 * A layer found under a point: its path (instances, then layer, joined by "/") and the placed
 * layer.
 */
export interface Hit {
  readonly path: string;
  readonly placed: LayoutBox;
}

const pivotOf = (p: LayoutBox): Pair => {
  const [px, py] = p.values.pivot;
  return [(p.width * px) / 100, (p.height * py) / 100];
};

/**
 * A point of a layer seen from its parent: scaled and turned about its pivot, then moved to its
 * place.
 */
export const toParent = (p: LayoutBox): ((x: number, y: number) => [number, number]) => {
  const [sx, sy] = p.values.scale;
  const [cx, cy] = pivotOf(p);
  const angle = (p.values.rotation * Math.PI) / 180;
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  return (x, y) => {
    const dx = (x - cx) * sx;
    const dy = (y - cy) * sy;
    return [p.x + cx + dx * cos - dy * sin, p.y + cy + dx * sin + dy * cos];
  };
};

/**
 * A point seen from inside a layer: relative to its top left, with its rotation and scale about its
 * pivot undone.
 */
export const toLocal = (p: LayoutBox, x: number, y: number): { x: number; y: number } => {
  const lx = x - p.x;
  const ly = y - p.y;
  const angle = p.values.rotation;
  const [sx, sy] = p.values.scale;
  if (!angle && sx === 1 && sy === 1) return { x: lx, y: ly };
  const r = (-angle * Math.PI) / 180;
  const [cx, cy] = pivotOf(p);
  const dx = lx - cx;
  const dy = ly - cy;
  return {
    x: cx + (dx * Math.cos(r) - dy * Math.sin(r)) / (sx || 1e-9),
    y: cy + (dx * Math.sin(r) + dy * Math.cos(r)) / (sy || 1e-9),
  };
};

const inEllipse = (x: number, y: number, w: number, h: number): boolean =>
  ((x - w / 2) / (w / 2)) ** 2 + ((y - h / 2) / (h / 2)) ** 2 <= 1;

const inRounded = (x: number, y: number, w: number, h: number, radius: Four): boolean => {
  if (x < 0 || y < 0 || x > w || y > h) return false;
  const limit = Math.min(w, h) / 2;
  const [tl, tr, br, bl] = mapFour(radius, (r) => Math.min(r, limit));
  const corner = (r: number, cx: number, cy: number) => (x - cx) ** 2 + (y - cy) ** 2 <= r * r;
  if (x < tl && y < tl) return corner(tl, tl, tl);
  if (x > w - tr && y < tr) return corner(tr, w - tr, tr);
  if (x > w - br && y > h - br) return corner(br, w - br, h - br);
  if (x < bl && y > h - bl) return corner(bl, bl, h - bl);
  return true;
};

/**
 * Whether a point (in the layer's own coordinates) is on the layer itself: its shape, or its touch
 * area if that is larger.
 */
const onSelf = (p: LayoutBox, x: number, y: number): boolean => {
  const touch = p.values.touch;
  if (touch > 0) return x >= -touch && y >= -touch && x <= p.width + touch && y <= p.height + touch;
  return onShape(p, x, y);
};

const onShape = (p: LayoutBox, x: number, y: number): boolean => {
  if (p.layer.kind === "ellipse") return inEllipse(x, y, p.width, p.height);
  // a line is thin: the pointer may miss it a little
  if (p.layer.kind === "line")
    return (
      x >= -3 &&
      x <= p.width + 3 &&
      Math.abs(y - p.height / 2) <= Math.max(4, present(p.values.borderWidth) / 2 + 2)
    );
  if (p.layer.kind === "box" || p.layer.kind === "picture")
    return inRounded(x, y, p.width, p.height, present(p.values.radius));
  return x >= 0 && y >= 0 && x <= p.width && y <= p.height;
};

const inRect = (r: Rect, x: number, y: number): boolean =>
  x >= r.x && y >= r.y && x <= r.x + r.width && y <= r.y + r.height;

/** What a hit test asks of each layer it comes to. */
export interface HitRules {
  /** the layer and all inside it are seen through */
  readonly skips?: (path: string) => boolean;
  /**
   * The area that a layer takes itself, px of its own: its shape with its touch area, a box, or
   * nothing, so that what lies beneath is met. Its shape where nobody says.
   */
  readonly area?: (path: string, placed: LayoutBox) => "shape" | Rect | null;
}

/** Whether a point of a parent is within what its children from `at` downwards are masked by. */
const isMasked = (children: readonly LayoutBox[], at: number, x: number, y: number): boolean => {
  const mask = children.slice(0, at).findLast((c) => c.values.masks && c.presence > 0);
  if (!mask) return false;
  const local = toLocal(mask, x, y);
  return !onShape(mask, local.x, local.y);
};

/**
 * The innermost, frontmost layer under a point, or null. Layers that are on their way out are not
 * hit, nor what is clipped or masked there. Without rules a box without any paint is hit, too: it
 * is there, as the whole piece is.
 */
export const hitTest = (
  root: LayoutBox,
  x: number,
  y: number,
  prefix = "",
  rules: HitRules = {},
): Hit | null => {
  const path = prefix + root.layer.id;
  if (root.presence === 0 || rules.skips?.(path)) return null;
  const local = toLocal(root, x, y);
  if (clipsChildren(root) && !onSelf(root, local.x, local.y)) return null;
  const inner = root.layer.kind === "compound" ? [] : root.children;
  for (let i = inner.length - 1; i >= 0; i--) {
    if (isMasked(inner, i, local.x, local.y)) continue;
    const hit = hitTest(present(inner[i]), local.x, local.y, prefix, rules);
    if (hit) return hit;
  }
  if (root.nested) {
    const hit = hitTest(root.nested, local.x, local.y, `${path}/`, rules);
    if (hit) return hit;
  }
  const area = rules.area ? rules.area(path, root) : "shape";
  const isHit =
    area === "shape" ? onSelf(root, local.x, local.y) : area && inRect(area, local.x, local.y);
  return isHit ? { path, placed: root } : null;
};

/**
 * The placed layer with an id in one piece's tree (not inside instances), and its place relative to
 * the root; px.
 */
export const findBox = (
  root: LayoutBox,
  id: string,
  x = 0,
  y = 0,
): { placed: LayoutBox; x: number; y: number } | null => {
  const at = { placed: root, x: x + root.x, y: y + root.y };
  if (root.layer.id === id) return at;
  for (const child of root.children) {
    const found = findBox(child, id, at.x, at.y);
    if (found) return found;
  }
  return null;
};
