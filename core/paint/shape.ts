import { present } from "../basics";
import type { LayoutBox } from "../layout";
import type { Fill, IconShape, Shadow } from "../properties";
import { fillOf, ink, named } from "./ink";
import { grows, outline, outlinePath } from "./outline";
import { r } from "./types";
import type { Attrs, Paint } from "./types";

const leaf = (tag: Paint["tag"], key: string, attrs: Attrs): Paint => ({
  tag,
  key,
  attrs,
  children: [],
});
const blurred = (px: number): Attrs => (px > 0 ? { style: `filter:blur(${r(px / 2)}px)` } : {});
const moved = (s: Shadow, attrs: Attrs): Attrs => ({
  ...attrs,
  transform: `translate(${r(s.x)} ${r(s.y)})`,
});

/** Shadows behind the outline; the first of the list lies on top. */
const outer = (p: LayoutBox, s: Shadow, i: number): Paint => {
  const { tag, attrs } = outline(p, grows(p) ? s.spread : 0);
  const thick: Attrs =
    !grows(p) && s.spread > 0
      ? { ...ink("stroke", s.colour), "stroke-width": r(2 * s.spread), "stroke-linejoin": "round" }
      : {};
  return leaf(
    tag,
    `s${i}`,
    moved(s, { ...attrs, ...ink("fill", s.colour), ...thick, ...blurred(s.blur) }),
  );
};

/** A shadow inside: a wide frame around the outline, blurred, seen through the outline. */
const inner = (p: LayoutBox, s: Shadow, i: number): Paint[] => {
  const far = s.blur * 2 + Math.abs(s.spread) + Math.abs(s.x) + Math.abs(s.y) + 20;
  const frame = `M${r(-far)} ${r(-far)}H${r(p.width + far)}V${r(p.height + far)}H${r(-far)}Z`;
  const clip = named("clipPath", `i${i}c`, [leaf("path", "d", { d: outlinePath(p) })]);
  const hole = leaf(
    "path",
    "d",
    moved(s, {
      d: frame + outlinePath(p, grows(p) ? -s.spread : 0),
      "fill-rule": "evenodd",
      ...ink("fill", s.colour),
      ...blurred(s.blur),
    }),
  );
  return [
    clip.paint,
    { tag: "g", key: `i${i}`, attrs: { "clip-path": `url(#${clip.id})` }, children: [hole] },
  ];
};

const shadowsOf = (p: LayoutBox): readonly Shadow[] =>
  present(p.values.shadow).filter((s) => s.colour !== "none");

const joins: Readonly<Record<string, string>> = { round: "round", pointed: "miter", cut: "bevel" };
const ends: Readonly<Record<string, string>> = { round: "round", flat: "butt", square: "square" };

const dashes = (style: unknown, width: number): Attrs => {
  if (style === "dashed") {
    return { "stroke-dasharray": `${r(width * 3)} ${r(width * 2)}` };
  }
  return style === "dotted"
    ? { "stroke-dasharray": `0 ${r(width * 2)}`, "stroke-linecap": "round" }
    : {};
};

const borderPaint = (p: LayoutBox): Paint[] => {
  const v = p.values;
  const width = v.borderColour === "none" ? 0 : present(v.borderWidth);
  if (width <= 0) return [];
  const open = p.layer.kind === "path" || p.layer.kind === "line";
  const stroke = (w: number): Attrs => ({
    fill: "none",
    ...ink("stroke", present(v.borderColour)),
    "stroke-width": r(w),
    ...(open
      ? {
          "stroke-linecap": ends[present(v.ends)] ?? "round",
          "stroke-linejoin": joins[present(v.joins)] ?? "round",
        }
      : {}),
    ...dashes(v.borderStyle, width),
  });
  const at = p.layer.kind === "line" ? "centre" : v.borderAt;
  if (at === "centre" || grows(p)) {
    const side = at === "outside" ? 1 : -1;
    const line = outline(p, at === "centre" ? 0 : (side * width) / 2);
    return [leaf(line.tag, "b", { ...line.attrs, ...stroke(width) })];
  }
  // these outlines cannot be grown exactly: twice the width is drawn, and the half that lies wrong
  // is cut away
  const line = outline(p);
  const d = leaf("path", "d", {
    d: outlinePath(p),
    ...(line.attrs["clip-rule"] ? { "clip-rule": "evenodd", "fill-rule": "evenodd" } : {}),
  });
  const twice = leaf(line.tag, "d", { ...line.attrs, ...stroke(2 * width) });
  if (at === "inside") {
    const clip = named("clipPath", "bc", [d]);
    return [
      clip.paint,
      { tag: "g", key: "b", attrs: { "clip-path": `url(#${clip.id})` }, children: [twice] },
    ];
  }
  const far = width * 4 + 10;
  const all = leaf("rect", "all", {
    x: r(-far),
    y: r(-far),
    width: r(p.width + 2 * far),
    height: r(p.height + 2 * far),
    fill: "#ffffff",
  });
  const mask = named("mask", "bc", [all, { ...d, attrs: { ...d.attrs, fill: "#000000" } }], {
    maskUnits: "userSpaceOnUse",
    x: r(-far),
    y: r(-far),
    width: r(p.width + 2 * far),
    height: r(p.height + 2 * far),
  });
  return [
    mask.paint,
    { tag: "g", key: "b", attrs: { mask: `url(#${mask.id})` }, children: [twice] },
  ];
};

const whole = (p: LayoutBox) => ({ x: 0, y: 0, width: p.width, height: p.height });

/** What fills a shape: a picture layer's own picture, else its fill. */
const fillValue = (p: LayoutBox): Fill => {
  if (p.layer.kind !== "picture") return p.values.fill ?? "none";
  const picture = p.values.picture;
  return typeof picture === "object" && "hash" in picture
    ? { kind: "picture", picture, fit: p.values.fit ?? "cover", focus: present(p.values.focus) }
    : "#dcd5c6";
};

/**
 * Boxes, ellipses, polygons, paths, compounds, lines and pictures: shadows, fill, shadows inside,
 * border.
 */
export const shapePaint = (p: LayoutBox): Paint[] => {
  const shadows = shadowsOf(p);
  const out: Paint[] = [];
  shadows.forEach((s, i) => {
    if (!s.inner) out.unshift(outer(p, s, i));
  });
  if (p.layer.kind !== "line") {
    const { defs, attrs, picture } = fillOf(fillValue(p), whole(p));
    const own = outline(p);
    if (attrs) out.push(...defs, leaf(own.tag, "f", { ...own.attrs, ...attrs }));
    if (picture) {
      const clip = named("clipPath", "fc", [leaf(own.tag, "d", own.attrs)]);
      out.push(clip.paint, {
        tag: "g",
        key: "f",
        attrs: { "clip-path": `url(#${clip.id})` },
        children: [picture],
      });
    }
    for (let i = shadows.length - 1; i >= 0; i--)
      if (shadows[i]?.inner) out.push(...inner(p, present(shadows[i]), i));
  }
  return [...out, ...clipPaint(p), ...borderPaint(p)];
};

/** How far a clip has played, along the foot of its picture. */
const clipPaint = (p: LayoutBox): Paint[] => {
  const { plays, playedTo } = p.values;
  if (!plays) return [];
  const bar = { y: r(p.height - 6), height: 6 };
  const share = Math.min(1, (playedTo ?? 0) / plays);
  return [
    leaf("rect", "clip-whole", {
      x: 0,
      width: r(p.width),
      ...bar,
      fill: "#20302e",
      "fill-opacity": 0.45,
    }),
    leaf("rect", "clip-played", { x: 0, width: r(p.width * share), ...bar, fill: "#e3b341" }),
  ];
};

/** An icon: its drawing fitted into the layer, in one fill. */
export const iconPaint = (p: LayoutBox): Paint[] => {
  const icon = p.values.icon;
  if (typeof icon !== "object" || !("shapes" in icon)) return [];
  const scale = Math.min(p.width / icon.width, p.height / icon.height);
  if (!(scale > 0)) return [];
  const dx = (p.width - icon.width * scale) / 2;
  const dy = (p.height - icon.height * scale) / 2;
  const drawn = (key: string, attrs: Attrs, x = 0, y = 0): Paint => ({
    tag: "g",
    key,
    attrs: {
      ...attrs,
      transform: `translate(${r(dx + x)} ${r(dy + y)}) scale(${Math.round(scale * 1e5) / 1e5})`,
    },
    children: icon.shapes.map((s: IconShape, i): Paint =>
      leaf("path", String(i), s.holes ? { d: s.d, "fill-rule": "evenodd" } : { d: s.d }),
    ),
  });
  const shadows = shadowsOf(p)
    .filter((s) => !s.inner)
    .map((s, i): Paint => ({
      tag: "g",
      key: `s${i}`,
      attrs: blurred(s.blur),
      children: [drawn("d", ink("fill", s.colour), s.x, s.y)],
    }))
    .reverse();
  const { defs, attrs } = fillOf(p.values.fill ?? "none", {
    x: -dx / scale,
    y: -dy / scale,
    width: p.width / scale,
    height: p.height / scale,
  });
  return attrs ? [...shadows, ...defs, drawn("f", attrs)] : shadows;
};

const quoted = (family: string): string => `'${family.replaceAll("'", "")}', sans-serif`;
const drawnLine: Readonly<Record<string, string>> = {
  underlined: "underline",
  struck: "line-through",
};

/** Set lines of text, with their shadows. */
export const textPaint = (p: LayoutBox): Paint[] => {
  const v = p.values;
  const decoration = drawnLine[present(v.decoration)];
  const lines = (key: string, attrs: Attrs, x = 0, y = 0): Paint[] =>
    p.lines.map((line, i): Paint => ({
      tag: "text",
      key: `${key}${i}`,
      text: line.text,
      children: [],
      attrs: {
        x: r(line.x + x),
        y: r(line.baseline + y),
        ...attrs,
        "font-family": quoted(present(v.font)),
        "font-weight": present(v.weight),
        "font-size": r(present(v.size)),
        ...(v.spacing ? { "letter-spacing": r(v.spacing) } : {}),
        ...(decoration ? { "text-decoration": decoration } : {}),
        style:
          "white-space:pre;font-kerning:normal;font-variant:none;text-rendering:geometricPrecision",
      },
    }));
  const shadows = shadowsOf(p)
    .filter((s) => !s.inner)
    .map((s, i): Paint => ({
      tag: "g",
      key: `s${i}`,
      attrs: blurred(s.blur),
      children: lines("t", ink("fill", s.colour), s.x, s.y),
    }))
    .reverse();
  const { defs, attrs } = fillOf(present(v.fill), whole(p));
  return attrs ? [...shadows, ...defs, ...lines("t", attrs)] : shadows;
};
