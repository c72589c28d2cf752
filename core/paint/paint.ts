import { present } from "../basics";
import { clipsChildren } from "../layout";
import type { LayoutBox } from "../layout";
import type { LayerValues } from "../properties";
import { faded, isPlain, shifted } from "./flat";
import type { Shift } from "./flat";
import { named } from "./ink";
import { outlinePath } from "./outline";
import { placing, transformOf } from "./placing";
import { iconPaint, shapePaint, textPaint } from "./shape";
import { r } from "./types";
import type { Attrs, Paint } from "./types";

/** The children from back to front; one that masks shows those above it only where it is itself. */
const stacked = (children: readonly LayoutBox[], shift: Shift): Paint[] => {
  const at = children.findIndex((c) => c.values.masks && c.presence > 0);
  const each = (c: LayoutBox) => painted(c, shift);
  if (at < 0) return children.map(each);
  const next = children.findIndex((c, i) => i > at && c.values.masks);
  const until = next < 0 ? children.length : next;
  const shape = present(children[at]);
  // the mask may be as large as what it shapes: its own bounds must not cut it
  const mask = named("mask", `${shape.layer.id}-mask`, [painted(shape, shift)], {
    style: "mask-type:alpha",
    maskUnits: "userSpaceOnUse",
    x: -20_000,
    y: -20_000,
    width: 40_000,
    height: 40_000,
  });
  const inside: Paint = {
    tag: "g",
    key: `${shape.layer.id}-masked`,
    attrs: { mask: `url(#${mask.id})` },
    children: children.slice(at + 1, until).map(each),
  };
  return [
    ...children.slice(0, at).map(each),
    mask.paint,
    inside,
    ...stacked(children.slice(until), shift),
  ];
};

const clipped = (p: LayoutBox, inner: readonly Paint[]): Paint[] => {
  const clip = named("clipPath", "shape", [
    { tag: "path", key: "d", attrs: { d: outlinePath(p) }, children: [] },
  ]);
  return [
    clip.paint,
    { tag: "g", key: "clip", attrs: { "clip-path": `url(#${clip.id})` }, children: inner },
  ];
};

const newPaint = (p: LayoutBox): readonly Paint[] => {
  switch (p.layer.kind) {
    case "text":
      return textPaint(p);
    case "icon":
      return iconPaint(p);
    case "instance":
      return [];
    case "box":
    case "ellipse":
    case "line":
    case "polygon":
    case "path":
    case "compound":
    case "picture":
      return shapePaint(p);
  }
};

interface Own {
  width: number;
  height: number;
  lines: LayoutBox["lines"];
  paint: readonly Paint[];
}
const kept = new WeakMap<LayerValues, Own>();

/**
 * What a layer is made of itself. While it only moves about, turns or fades, its shapes stay those
 * of the frame before.
 */
const ownPaint = (p: LayoutBox): readonly Paint[] => {
  const { shapes, width, height, lines } = p;
  if (!shapes || p.layer.kind === "compound") return newPaint(p);
  const known = kept.get(shapes);
  if (known?.width === width && known.height === height && known.lines === lines)
    return known.paint;
  const paint = newPaint(p);
  if (known) Object.assign(known, { width, height, lines, paint });
  else kept.set(shapes, { width, height, lines, paint });
  return paint;
};

const keptDeep = new WeakMap<LayoutBox, Paint>();
const keptFlat = new WeakMap<LayoutBox, { x: number; y: number; node: Paint }>();

const known = (p: LayoutBox, shift: Shift): Paint | undefined => {
  if (!shift) return keptDeep.get(p);
  const kept = keptFlat.get(p);
  return kept?.x === shift[0] && kept.y === shift[1] ? kept.node : undefined;
};

/**
 * Old over into new: plus-lighter in an isolated group makes old × (1 − t) + new × t, without the
 * dip of two half-transparent layers.
 */
const dissolving = (
  key: string,
  old: readonly Paint[],
  is: readonly Paint[],
  progress: number,
  attrs: Attrs = {},
): Paint => ({
  tag: "g",
  key,
  attrs: { style: "isolation:isolate" },
  children: [
    {
      tag: "g",
      key: "from",
      attrs: { opacity: r(1 - progress), "pointer-events": "none", ...attrs },
      children: old,
    },
    {
      tag: "g",
      key: "to",
      attrs: { opacity: r(progress), style: "mix-blend-mode:plus-lighter" },
      children: is,
    },
  ],
});

/**
 * The shapes of a layer in its own px; where it dissolves by itself, those of before too, and of
 * what that dissolved from.
 */
const ownShapes = (p: LayoutBox): readonly Paint[] => {
  if (!p.dissolve?.own) return ownPaint(p);
  const { from, progress } = p.dissolve;
  const x = r(from.x - p.x);
  const y = r(from.y - p.y);
  return [
    dissolving(
      "own",
      ownShapes(from),
      ownPaint(p),
      progress,
      x || y ? { transform: `translate(${x} ${y})` } : {},
    ),
  ];
};

/** The paint of what is inside a layer, in order from back to front. */
const paintInside = (p: LayoutBox, shift: Shift): Paint[] => {
  const below = p.layer.kind === "compound" ? [] : stacked(p.children, shift);
  if (p.nested) below.push(painted(p.nested, shift));
  return below;
};

/** A layer with what dissolves into it, or gives way to it. */
const withDissolve = (p: LayoutBox, shift: Shift, node: Paint): Paint => {
  if (!p.dissolve || p.dissolve.own) return node;
  const old = painted(p.dissolve.from, shift);
  if (p.dissolve.way) return passing(p, old, node);
  return dissolving(p.layer.id, [{ ...old, key: "old" }], [node], p.dissolve.progress);
};

const build = (p: LayoutBox, shift: Shift): Paint => {
  const own = ownShapes(p);
  const here: Shift = shift && [p.x + shift[0], p.y + shift[1]];
  const plain = here && isPlain(p) ? shifted(own, here) : null;
  const inner = plain ? here : shift && ([0, 0] as const);
  const below = paintInside(p, inner);
  const opacity = p.values.opacity * p.presence;
  const [single] = plain?.length === 1 && below.length === 0 ? plain : [];
  const drawn = single && opacity < 1 ? [faded(single, opacity)] : (plain ?? own);
  const attrs = placing(p, plain ? "" : transformOf(p, shift), single ? 1 : opacity);
  const inside = clipsChildren(p) ? clipped(p, below) : below;
  const children = below.length === 0 ? drawn : [...drawn, ...inside];
  return withDissolve(p, shift, { tag: "g", key: p.layer.id, attrs, children });
};

/**
 * How far what rises comes up, and how far what is slid over gives way, as shares of the height and
 * the way.
 */
const RISE = 0.14;
const GIVES_WAY = 0.28;

const unitWays = { left: [-1, 0], right: [1, 0], up: [0, -1], down: [0, 1] } as const;

/** One screen gives way to another: that slides over it, pushes it out, or rises out of it. */
const passing = (p: LayoutBox, old: Paint, node: Paint): Paint => {
  const { progress, way, to = "left" } = present(p.dissolve);
  const [ux, uy] = unitWays[to];
  const left = 1 - progress;
  const move = (x: number, y: number) => ({ transform: `translate(${r(x)} ${r(y)})` });
  const came =
    way === "rise"
      ? { ...move(0, p.height * RISE * left), opacity: r(Math.min(1, Math.max(0, progress))) }
      : move(-ux * p.width * left, -uy * p.height * left);
  const gives = { push: 1, slide: GIVES_WAY, rise: 0 }[way ?? "rise"] * progress;
  const gave = gives === 0 ? {} : move(ux * p.width * gives, uy * p.height * gives);
  const clip = named("clipPath", "room", [
    { tag: "rect", key: "r", attrs: { width: r(p.width), height: r(p.height) }, children: [] },
  ]);
  return {
    tag: "g",
    key: p.layer.id,
    attrs: { "clip-path": `url(#${clip.id})` },
    children: [
      clip.paint,
      {
        tag: "g",
        key: "from",
        attrs: { ...gave, "pointer-events": "none" },
        children: [{ ...old, key: "old" }],
      },
      { tag: "g", key: "to", attrs: came, children: [node] },
    ],
  };
};

const painted = (p: LayoutBox, shift: Shift): Paint => {
  // a copy in motion is another in every frame: nobody asks for its paint again
  if (p.shapes !== undefined) return build(p, shift);
  const before = known(p, shift);
  if (before) return before;
  const node = build(p, shift);
  if (shift) keptFlat.set(p, { x: shift[0], y: shift[1], node });
  else keptDeep.set(p, node);
  return node;
};

/**
 * Paints a placed tree as SVG elements in the coordinates of its parent. A layer is one <g
 * data-layer="id"> that holds its own shapes, then its children. Nothing here depends on what was
 * painted before. `flat` paints plain layers without transforms of their own: better for many still
 * pictures, while what moves is moved best by its transform.
 */
export const paint = (p: LayoutBox, flat = false): Paint => painted(p, flat ? [0, 0] : null);
