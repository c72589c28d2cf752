import type { Placed } from "../layout/types";
import type { Four, Shadow, Values } from "../properties/types";
import { scalePath } from "./path";

/** An element of SVG as plain data. Equal subtrees keep their identity, so a renderer can skip them. */
export interface Paint {
  readonly tag: "g" | "rect" | "ellipse" | "path" | "text" | "clipPath";
  /** unique among siblings and steady over time */
  readonly key: string;
  readonly attrs: Readonly<Record<string, string | number>>;
  readonly children: readonly Paint[];
  readonly text?: string;
}

const r = (n: number): number => Math.round(n * 1000) / 1000;

const path = (w: number, h: number, [tl, tr, br, bl]: Four): string =>
  `M${r(tl)} 0H${r(w - tr)}A${r(tr)} ${r(tr)} 0 0 1 ${r(w)} ${r(tr)}V${r(h - br)}A${r(br)} ${r(br)} 0 0 1 ${r(w - br)} ${r(h)}H${r(bl)}A${r(bl)} ${r(bl)} 0 0 1 0 ${r(h - bl)}V${r(tl)}A${r(tl)} ${r(tl)} 0 0 1 ${r(tl)} 0Z`;

type Attrs = Record<string, string | number>;

/** A layer's outline grown by `by` px on every side (shadow spread, or the middle of an inner border when negative). */
const outline = (p: Placed, by: number): { tag: Paint["tag"]; attrs: Attrs } => {
  const w = Math.max(0, p.width + 2 * by), h = Math.max(0, p.height + 2 * by);
  if (p.layer.kind === "ellipse") return { tag: "ellipse", attrs: { cx: r(p.width / 2), cy: r(p.height / 2), rx: r(w / 2), ry: r(h / 2) } };
  if (p.layer.kind === "path") return { tag: "path", attrs: { d: scalePath(p.values.shape as string, p.width, p.height) } };
  const limit = Math.min(w, h) / 2;
  const corners = (p.values.radius as Four).map((c) => Math.max(0, Math.min(c > 0 ? c + by : 0, limit))) as unknown as Four;
  if (corners.every((c) => c === corners[0])) return { tag: "rect", attrs: { x: r(-by), y: r(-by), width: r(w), height: r(h), rx: r(corners[0]) } };
  return { tag: "path", attrs: { d: path(w, h, corners), ...(by ? { transform: `translate(${r(-by)} ${r(-by)})` } : {}) } };
};

/** Splits #rrggbbaa into SVG's colour and opacity, which every reader of SVG understands. */
const ink = (name: "fill" | "stroke", colour: string): Attrs =>
  colour.length === 9 ? { [name]: colour.slice(0, 7), [`${name}-opacity`]: r(Number.parseInt(colour.slice(7), 16) / 255) } : { [name]: colour };

const shape = (p: Placed): Paint[] => {
  const v = p.values;
  const out: Paint[] = [];
  (v.shadow as readonly Shadow[]).forEach((s, i) => {
    const { tag, attrs } = outline(p, s.spread);
    const moved = `translate(${r(s.x)} ${r(s.y)})`;
    const blur: Attrs = s.blur > 0 ? { style: `filter:blur(${r(s.blur / 2)}px)` } : {};
    out.push({ tag, key: `s${i}`, attrs: { ...attrs, ...ink("fill", s.colour), ...blur, transform: attrs.transform ? `${moved} ${attrs.transform}` : moved }, children: [] });
  });
  out.reverse();
  const border = v.borderColour === "none" ? 0 : (v.borderWidth as number);
  const open = p.layer.kind === "path";
  if (v.fill !== "none") out.push({ tag: outline(p, 0).tag, key: "f", attrs: { ...outline(p, 0).attrs, ...ink("fill", v.fill as string) }, children: [] });
  if (border > 0) {
    const line = outline(p, open ? 0 : -border / 2);
    const ends: Attrs = open ? { "stroke-linecap": "round", "stroke-linejoin": "round" } : {};
    out.push({ tag: line.tag, key: "b", attrs: { ...line.attrs, fill: "none", ...ink("stroke", v.borderColour as string), "stroke-width": r(border), ...ends }, children: [] });
  }
  return out;
};

const quoted = (family: string): string => `'${family.replaceAll("'", "")}', sans-serif`;

const text = (p: Placed): Paint[] => {
  const v = p.values;
  return p.lines.map((line, i): Paint => ({
    tag: "text", key: `t${i}`, text: line.text, children: [],
    attrs: {
      x: r(line.x), y: r(line.baseline), ...ink("fill", v.fill as string),
      "font-family": quoted(v.font as string), "font-weight": v.weight as string, "font-size": r(v.size as number),
      ...(v.spacing ? { "letter-spacing": r(v.spacing as number) } : {}),
      style: "white-space:pre;font-kerning:normal;font-variant-ligatures:none;text-rendering:geometricPrecision",
    },
  }));
};

const placing = (p: Placed, v: Values): Attrs => {
  const out: Attrs = {};
  const angle = v.rotation as number;
  const move = p.x || p.y ? `translate(${r(p.x)} ${r(p.y)})` : "";
  const turn = angle ? `rotate(${r(angle)} ${r(p.width / 2)} ${r(p.height / 2)})` : "";
  if (move || turn) out.transform = [move, turn].filter(Boolean).join(" ");
  const opacity = (v.opacity as number) * p.presence;
  if (opacity < 1) out.opacity = r(opacity);
  return out;
};

const kept = new WeakMap<Placed, Paint>();

/** A clip's id says its geometry, so equal ids always mean equal clips, wherever several scenes share a document. */
const clipped = (p: Placed, inner: readonly Paint[]): Paint[] => {
  const limit = Math.min(p.width, p.height) / 2;
  const corners = (p.values.radius as Four).map((c) => r(Math.min(c, limit))) as unknown as Four;
  const d = path(p.width, p.height, corners);
  const id = `clip-${r(p.width)}-${r(p.height)}-${corners.join("-")}`.replaceAll(".", "_");
  return [
    { tag: "clipPath", key: "shape", attrs: { id }, children: [{ tag: "path", key: "d", attrs: { d }, children: [] }] },
    { tag: "g", key: "clip", attrs: { "clip-path": `url(#${id})` }, children: inner },
  ];
};

/**
 * Paints a placed tree as SVG elements in the coordinates of its parent. A layer is one <g data-layer="id"> that holds
 * its own shapes, then its children. Nothing here depends on what was painted before.
 */
export const paint = (p: Placed): Paint => {
  const known = kept.get(p);
  if (known) return known;
  const own = p.layer.kind === "text" ? text(p) : p.layer.kind === "instance" ? [] : shape(p);
  const below = [...p.children.map(paint), ...(p.nested ? [paint(p.nested)] : [])];
  const children = p.values.clip && below.length ? [...own, ...clipped(p, below)] : [...own, ...below];
  let node: Paint = { tag: "g", key: p.layer.id, attrs: { "data-layer": p.layer.id, ...placing(p, p.values) }, children };
  if (p.dissolve) {
    // plus-lighter in an isolated group makes old × (1 − t) + new × t, without the dip of two half-transparent layers
    const { from, progress } = p.dissolve;
    const old: Paint = { ...paint(from), key: "old" };
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
