import type { Placed } from "../layout/types";
import type { Pair, Values } from "../properties/types";
import { flattened, isPlain } from "./flat";
import { named } from "./ink";
import { outlinePath } from "./outline";
import { iconPaint, shapePaint, textPaint } from "./shape";
import { r } from "./types";
import type { Attrs, Paint } from "./types";

/** Where a layer lies in its parent: moved to its place, turned and scaled about its pivot. */
const transformOf = (p: Placed): string => {
  const angle = p.values.rotation as number, [sx, sy] = p.values.scale as Pair, [px, py] = p.values.pivot as Pair;
  const cx = r((p.width * px) / 100), cy = r((p.height * py) / 100);
  const scaled = sx !== 1 || sy !== 1;
  return [
    p.x || p.y ? `translate(${r(p.x)} ${r(p.y)})` : "",
    angle ? `rotate(${r(angle)} ${cx} ${cy})` : "",
    scaled ? `translate(${cx} ${cy}) scale(${r(sx)}${sx === sy ? "" : ` ${r(sy)}`}) translate(${-cx} ${-cy})` : "",
  ].filter(Boolean).join(" ");
};

const placing = (p: Placed, v: Values): Attrs => {
  const transform = transformOf(p), opacity = (v.opacity as number) * p.presence;
  const style = [(v.blur as number) > 0 ? `filter:blur(${r(v.blur as number)}px)` : "", v.mixing === "normal" ? "" : `mix-blend-mode:${String(v.mixing)}`].filter(Boolean).join(";");
  return {
    ...(transform ? { transform } : {}), ...(opacity < 1 ? { opacity: r(opacity) } : {}), ...(style ? { style } : {}),
    ...(v.role === "none" ? {} : { role: v.role as string }), ...(v.label ? { "aria-label": v.label as string } : {}),
  };
};

/** The children from back to front; one that masks shows those above it only where it is itself. */
const stacked = (children: readonly Placed[], flat: boolean): Paint[] => {
  const at = children.findIndex((c) => c.values.masks && c.presence > 0);
  const each = (c: Placed) => paint(c, flat);
  if (at < 0) return children.map(each);
  const next = children.findIndex((c, i) => i > at && c.values.masks);
  const until = next < 0 ? children.length : next;
  const shape = children[at] as Placed;
  // the mask may be as large as what it shapes: its own bounds must not cut it
  const mask = named("mask", `${shape.layer.id}-mask`, [paint(shape)], { style: "mask-type:alpha", maskUnits: "userSpaceOnUse", x: -20_000, y: -20_000, width: 40_000, height: 40_000 });
  const inside: Paint = { tag: "g", key: `${shape.layer.id}-masked`, attrs: { mask: `url(#${mask.id})` }, children: children.slice(at + 1, until).map(each) };
  return [...children.slice(0, at).map(each), mask.paint, inside, ...stacked(children.slice(until), flat)];
};

const clipped = (p: Placed, inner: readonly Paint[]): Paint[] => {
  const clip = named("clipPath", "shape", [{ tag: "path", key: "d", attrs: { d: outlinePath(p) }, children: [] }]);
  return [clip.paint, { tag: "g", key: "clip", attrs: { "clip-path": `url(#${clip.id})` }, children: inner }];
};

const ownPaint = (p: Placed): Paint[] => {
  switch (p.layer.kind) {
    case "text": return textPaint(p);
    case "icon": return iconPaint(p);
    case "instance": return [];
    default: return shapePaint(p);
  }
};

const keptDeep = new WeakMap<Placed, Paint>(), keptFlat = new WeakMap<Placed, Paint>();

/**
 * Paints a placed tree as SVG elements in the coordinates of its parent. A layer is one <g data-layer="id"> that holds
 * its own shapes, then its children. Nothing here depends on what was painted before. `flat` paints plain layers without
 * transforms of their own: better for many still pictures, while what moves is moved best by its transform.
 */
export const paint = (p: Placed, flat = false): Paint => {
  const kept = flat ? keptFlat : keptDeep, known = kept.get(p);
  if (known) return known;
  const own = ownPaint(p);
  const plain = flat && isPlain(p) ? flattened(own, p.x, p.y, (p.values.opacity as number) * p.presence) : null;
  if (plain) {
    const { transform: _place, opacity: _whole, ...attrs } = placing(p, p.values);
    const node: Paint = { tag: "g", key: p.layer.id, attrs: { "data-layer": p.layer.id, ...attrs, ...(plain.opacity < 1 ? { opacity: r(plain.opacity) } : {}) }, children: plain.paints };
    kept.set(p, node);
    return node;
  }
  const below = p.layer.kind === "compound" ? [] : [...stacked(p.children, flat), ...(p.nested ? [paint(p.nested, flat)] : [])];
  const children = p.values.clip && below.length ? [...own, ...clipped(p, below)] : [...own, ...below];
  let node: Paint = { tag: "g", key: p.layer.id, attrs: { "data-layer": p.layer.id, ...placing(p, p.values) }, children };
  if (p.dissolve) {
    // plus-lighter in an isolated group makes old × (1 − t) + new × t, without the dip of two half-transparent layers
    const { from, progress } = p.dissolve;
    const old: Paint = { ...paint(from, flat), key: "old" };
    node = {
      tag: "g", key: p.layer.id, attrs: { style: "isolation:isolate" },
      children: [
        { tag: "g", key: "from", attrs: { opacity: r(1 - progress), "pointer-events": "none" }, children: [old] },
        { tag: "g", key: "to", attrs: { opacity: r(progress), style: "mix-blend-mode:plus-lighter" }, children: [node] },
      ],
    };
  }
  kept.set(p, node);
  return node;
};
