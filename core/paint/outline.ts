import { mapFour } from "../properties";
import { present } from "../basics";
import type { MultiPolygon, Polygon } from "polygon-clipping";
import { scalePath } from "../geometry";
import { toParent } from "../layout";
import type { LayoutBox } from "../layout";
import type { Four } from "../properties";
import { clippingNow } from "./combining";
import { flatten } from "./flatten";
import type { Ring } from "./flatten";
import { r } from "./types";
import type { Attrs, Paint } from "./types";

const rounded = (x: number, y: number, w: number, h: number, [tl, tr, br, bl]: Four): string =>
  `M${r(x + tl)} ${r(y)}H${r(x + w - tr)}A${r(tr)} ${r(tr)} 0 0 1 ${r(x + w)} ${r(y + tr)}V${r(y + h - br)}A${r(br)} ${r(br)} 0 0 1 ${r(x + w - br)} ${r(y + h)}H${r(x + bl)}A${r(bl)} ${r(bl)} 0 0 1 ${r(x)} ${r(y + h - bl)}V${r(y + tl)}A${r(tl)} ${r(tl)} 0 0 1 ${r(x + tl)} ${r(y)}Z`;

type Point = readonly [number, number];

/**
 * Corners of a regular polygon or star stretched over a box; inset (per cent) draws every second
 * point inwards.
 */
const polygonPoints = (sides: number, inset: number, width: number, height: number): Point[] => {
  const n = Math.max(3, Math.round(sides));
  const star = inset > 0;
  const raw = Array.from({ length: star ? 2 * n : n }, (_, i): Point => {
    const angle = -Math.PI / 2 + (i * 2 * Math.PI) / (star ? 2 * n : n);
    const reach = star && i % 2 === 1 ? 1 - inset / 100 : 1;
    return [Math.cos(angle) * reach, Math.sin(angle) * reach];
  });
  const xs = raw.map((p) => p[0]);
  const ys = raw.map((p) => p[1]);
  const left = Math.min(...xs);
  const top = Math.min(...ys);
  const w = Math.max(...xs) - left;
  const h = Math.max(...ys) - top;
  return raw.map(([x, y]) => [((x - left) / w) * width, ((y - top) / h) * height]);
};

/**
 * A closed path through points whose corners are rounded with a radius, as far as the sides allow.
 */
const roundedPolygon = (points: readonly Point[], radius: number): string => {
  const n = points.length;
  const at = (i: number): Point => present(points[(i + n) % n]);
  if (radius <= 0)
    return `${points.map(([x, y], i) => `${i ? "L" : "M"}${r(x)} ${r(y)}`).join("")}Z`;
  return `${points
    .map((p, i) => {
      const before = at(i - 1);
      const after = at(i + 1);
      const a: Point = [before[0] - p[0], before[1] - p[1]];
      const b: Point = [after[0] - p[0], after[1] - p[1]];
      const la = Math.hypot(...a) || 1;
      const lb = Math.hypot(...b) || 1;
      const half =
        Math.acos(Math.max(-1, Math.min(1, (a[0] * b[0] + a[1] * b[1]) / (la * lb)))) / 2;
      const cut = Math.min(radius / Math.max(1e-6, Math.tan(half)), la / 2, lb / 2);
      const from = [p[0] + (a[0] / la) * cut, p[1] + (a[1] / la) * cut] as const;
      const to = [p[0] + (b[0] / lb) * cut, p[1] + (b[1] / lb) * cut] as const;
      const round = cut * Math.tan(half);
      const turn = a[0] * b[1] - a[1] * b[0] > 0 ? 0 : 1;
      return `${i ? "L" : "M"}${r(from[0])} ${r(from[1])}A${r(round)} ${r(round)} 0 0 ${turn} ${r(to[0])} ${r(to[1])}`;
    })
    .join("")}Z`;
};

/** The corners a box can show at its size. */
const cornersOf = (p: LayoutBox, by = 0): Four => {
  const limit = Math.max(0, Math.min(p.width, p.height) / 2);
  return mapFour(present(p.values.radius), (c) =>
    Math.max(0, Math.min(c, limit) + (c > 0 ? by : 0)),
  );
};

/**
 * Whether a layer's outline can be grown and shrunk exactly; the others' borders are cut to shape
 * instead.
 */
export const grows = (p: LayoutBox): boolean =>
  p.layer.kind === "box" || p.layer.kind === "picture" || p.layer.kind === "ellipse";

/**
 * A layer's outline grown by `by` px on every side (shadow spread, or the middle of a border), as
 * an element without paint.
 */
export const outline = (p: LayoutBox, by = 0): { tag: Paint["tag"]; attrs: Attrs } => {
  const w = Math.max(0, p.width + 2 * by);
  const h = Math.max(0, p.height + 2 * by);
  switch (p.layer.kind) {
    case "ellipse":
      return {
        tag: "ellipse",
        attrs: { cx: r(p.width / 2), cy: r(p.height / 2), rx: r(w / 2), ry: r(h / 2) },
      };
    case "path": {
      const d = scalePath(present(p.values.shape), p.width, p.height);
      return {
        tag: "path",
        attrs:
          p.values.overlaps === "holes"
            ? { d, "fill-rule": "evenodd", "clip-rule": "evenodd" }
            : { d },
      };
    }
    case "polygon":
      return {
        tag: "path",
        attrs: {
          d: roundedPolygon(
            polygonPoints(present(p.values.sides), present(p.values.inset), p.width, p.height),
            present(p.values.rounding),
          ),
        },
      };
    case "compound":
      return {
        tag: "path",
        attrs: { d: compoundPath(p), "fill-rule": "evenodd", "clip-rule": "evenodd" },
      };
    case "line":
      return { tag: "path", attrs: { d: `M0 ${r(p.height / 2)}H${r(p.width)}` } };
    case "box":
    case "picture": {
      const corners = cornersOf(p, by);
      if (corners.every((c) => c === corners[0]))
        return {
          tag: "rect",
          attrs: {
            x: r(-by),
            y: r(-by),
            width: r(w),
            height: r(h),
            rx: r(Math.min(corners[0], w / 2, h / 2)),
          },
        };
      return { tag: "path", attrs: { d: rounded(-by, -by, w, h, corners) } };
    }
    case "text":
    case "icon":
    case "instance":
      return { tag: "rect", attrs: { x: 0, y: 0, width: r(p.width), height: r(p.height), rx: 0 } };
  }
};

/** A layer's outline as path data in px. */
export const outlinePath = (p: LayoutBox, by = 0): string => {
  const { tag, attrs } = outline(p, by);
  if (tag === "path") return String(attrs.d);
  const num = (key: string) => Number(attrs[key] ?? 0);
  if (tag === "ellipse") {
    const [cx, cy, rx, ry] = [num("cx"), num("cy"), num("rx"), num("ry")];
    return `M${r(cx - rx)} ${cy}A${rx} ${ry} 0 1 1 ${r(cx + rx)} ${cy}A${rx} ${ry} 0 1 1 ${r(cx - rx)} ${cy}Z`;
  }
  const [x, y, width, height, rx] = [num("x"), num("y"), num("width"), num("height"), num("rx")];
  return rounded(x, y, width, height, [rx, rx, rx, rx]);
};

/** Rings of one layer as polygons: overlapping rings make holes, or not, as the layer says. */
const areaOf = (p: LayoutBox): MultiPolygon => {
  const place = toParent(p);
  const rings = flatten(outlinePath(p)).map((ring): Ring => ring.map(([x, y]) => place(x, y)));
  const [first, ...rest] = rings.map((ring): Polygon => [ring]);
  if (!first) return [];
  const holes = p.layer.kind === "compound" || p.values.overlaps === "holes";
  const clipping = clippingNow();
  return holes ? clipping.xor(first, ...rest) : clipping.union(first, ...rest);
};

const operations = {
  united: "union",
  subtracted: "difference",
  intersected: "intersection",
  excluded: "xor",
} as const;

/**
 * Path data of the outline the shown shapes inside a compound make together, in its own px; curves
 * as fine straight pieces.
 */
const compoundPath = (p: LayoutBox): string => {
  const areas = p.children
    .filter(
      (c) =>
        c.presence > 0 &&
        c.layer.kind !== "text" &&
        c.layer.kind !== "instance" &&
        c.layer.kind !== "icon",
    )
    .map(areaOf);
  const [first, ...rest] = areas;
  if (!first) return "";
  const operation = operations[present(p.values.combine)];
  const area = rest.length ? clippingNow()[operation](first, ...rest) : first;
  return area
    .flatMap((polygon) =>
      polygon.map(
        (ring) =>
          `${ring
            .slice(0, -1)
            .map(([x, y], i) => `${i ? "L" : "M"}${r(x)} ${r(y)}`)
            .join("")}Z`,
      ),
    )
    .join("");
};
