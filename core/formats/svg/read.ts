import { isOneOf } from "../../basics";
import { cleanText, cutText } from "../../project";
import { blends } from "../../properties";
import type { Fill, Four, Value } from "../../properties";
import {
  at,
  boundsOf,
  cornersOf,
  growth,
  identity,
  length,
  mapPath,
  outlineOf,
  percentPath,
  readTransform,
  times,
  upright,
} from "./geometry";
import type { Bounds, Matrix } from "./geometry";
import { hrefId, idIn, opacityOf, paintOf } from "./paint";
import type { Draft, ReadSvg } from "./draft";
import { soundDrafts } from "./sound";
import { readTree } from "./tree";
import type { Element } from "./tree";

/**
 * Files with more elements than this are refused rather than made into layers nobody can work with.
 */
const MOST = 4000;
/** Groups inside one another that become groups; what lies deeper goes into the last of them. */
const DEEPEST_GROUP = 60;
/** Uses of uses that are followed: one may lead back to itself. */
const MOST_USES = 20;

const r2 = (n: number): number => Math.round(n * 1e3) / 1e3 || 0;
const quiet = new Set([
  "defs",
  "style",
  "title",
  "desc",
  "metadata",
  "linearGradient",
  "radialGradient",
  "clipPath",
  "mask",
  "symbol",
  "filter",
  "pattern",
  "marker",
]);
const shapes = new Set(["path", "rect", "circle", "ellipse", "line", "polyline", "polygon"]);
const words: Readonly<Record<string, string>> = {
  path: "Shape",
  rect: "Box",
  circle: "Circle",
  ellipse: "Ellipse",
  line: "Line",
  polyline: "Line",
  polygon: "Polygon",
  text: "Text",
  g: "Group",
  use: "Copy",
  svg: "Drawing",
};

interface Here {
  readonly matrix: Matrix;
  readonly room: { readonly width: number; readonly height: number };
  readonly depth: number;
  readonly uses: number;
}

/** Elements that are not taken, in words. */
const lostElements: Readonly<Record<string, string>> = {
  image: "a picture inside the file",
  foreignObject: "a foreign object",
  script: "a script",
};

const lostWords = (tag: string): string => {
  const isAnimation = tag === "set" || tag.startsWith("animate");
  return lostElements[tag] ?? (isAnimation ? "an animation" : `the element <${tag}>`);
};

/** How lines end and meet, by their words in SVG (SVG 2 §13.5). */
const lineEnds: Readonly<Record<string, string>> = { round: "round", square: "square" };
const lineJoins: Readonly<Record<string, string>> = { round: "round", bevel: "cut" };

/** The one colour that stands for what something is filled with. */
const oneColour = (fill: Fill): string => {
  if (typeof fill === "string") return fill;
  return fill.kind === "picture" ? "none" : (fill.stops[0]?.colour ?? "none");
};

class Reader {
  readonly lost = new Set<string>();
  private count = 0;
  constructor(readonly byId: ReadonlyMap<string, Element>) {}

  readonly lose = (what: string): void => {
    this.lost.add(what);
  };

  nameOf(e: Element): string {
    const title = e.children.find((c) => c.tag === "title")?.text.trim();
    const label =
      title ||
      e.attrs["aria-label"] ||
      e.attrs["inkscape:label"] ||
      e.attrs["data-name"] ||
      e.attrs.id?.replace(/_x([0-9A-F]{2})_/gi, (_, h: string) =>
        String.fromCharCode(Number.parseInt(h, 16)),
      );
    const name = cleanText(label || words[e.tag] || e.tag)
      .replace(/\s+/g, " ")
      .trim();
    return cutText(name, 100).trim() || "Layer";
  }

  /** Opacity and blending of an element as a whole. */
  private whole(e: Element): Record<string, Value> {
    const out: Record<string, Value> = {};
    const opacity = opacityOf(e.style.opacity);
    if (opacity < 1) out.opacity = opacity;
    const mix = e.style["mix-blend-mode"];
    if (mix && mix !== "normal") {
      if (isOneOf(blends, mix)) out.mixing = mix;
      else this.lose(`the blending “${mix}”`);
    }
    if (e.style.filter && e.style.filter !== "none") {
      const blur =
        /^\s*blur\(\s*([\d.]+)(px)?\s*\)\s*$/.exec(e.style.filter)?.[1] ??
        this.blurOf(e.style.filter);
      if (blur === undefined) this.lose("a filter");
      else out.blur = Number(blur);
    }
    for (const key of ["marker-start", "marker-mid", "marker-end"])
      if (e.style[key] && e.style[key] !== "none") this.lose("markers at line ends");
    return out;
  }

  /** A filter element that is nothing but a blur. */
  private blurOf(text: string): string | undefined {
    const parts = this.byId.get(idIn(text) ?? "")?.children ?? [];
    return parts.length === 1 &&
      parts[0]?.tag === "feGaussianBlur" &&
      !/\s/.test((parts[0].attrs.stdDeviation ?? "").trim())
      ? parts[0].attrs.stdDeviation
      : undefined;
  }

  layers(list: readonly Element[], here: Here): Draft[] {
    return list.flatMap((e) => this.layer(e, here));
  }

  private layer(e: Element, here: Here): Draft[] {
    if (++this.count > MOST) {
      this.lose(`everything beyond ${MOST} elements`);
      return [];
    }
    if (quiet.has(e.tag) || e.style.display === "none") return [];
    const matrix = times(here.matrix, readTransform(e.style.transform));
    const inner: Here = { ...here, matrix, depth: here.depth + 1 };
    if (e.tag === "g" && here.depth >= DEEPEST_GROUP) {
      this.lose(
        `groups more than ${DEEPEST_GROUP} deep (what is in “${this.nameOf(e)}” is taken without it)`,
      );
      return this.layers(e.children, { ...inner, depth: here.depth });
    }
    if (e.tag === "g" || e.tag === "a" || e.tag === "switch")
      return this.group(
        e,
        this.layers(e.tag === "switch" ? e.children.slice(0, 1) : e.children, inner),
        inner,
      );
    if (e.tag === "svg") {
      const view = viewOf(e, here.room);
      return this.group(
        e,
        this.layers(e.children, {
          ...inner,
          matrix: times(
            times(matrix, [
              1,
              0,
              0,
              1,
              length(e.attrs.x, here.room.width),
              length(e.attrs.y, here.room.height),
            ]),
            view.matrix,
          ),
          room: view.room,
        }),
        inner,
      );
    }
    if (e.tag === "use") return this.use(e, inner);
    if (e.style.visibility === "hidden" || e.style.visibility === "collapse") return [];
    if (shapes.has(e.tag)) return this.masked(e, this.shape(e, inner), inner);
    if (e.tag === "text") return this.masked(e, this.text(e, inner), inner);
    this.lose(lostWords(e.tag));
    return [];
  }

  private use(e: Element, here: Here): Draft[] {
    const target = this.byId.get(hrefId(e));
    if (!target) {
      this.lose("a use of something that is not in the file");
      return [];
    }
    if (here.uses >= MOST_USES) {
      this.lose(`a use inside itself (“${this.nameOf(e)}”)`);
      return [];
    }
    const moved = times(here.matrix, [
      1,
      0,
      0,
      1,
      length(e.attrs.x, here.room.width),
      length(e.attrs.y, here.room.height),
    ]);
    const inside = { ...here, matrix: moved, depth: here.depth + 1, uses: here.uses + 1 };
    // what it inherits comes from where it is used
    const dressed = (t: Element): Element => {
      const style = { ...t.style };
      for (const [key, value] of Object.entries(e.style))
        if (
          style[key] === undefined &&
          ![
            "opacity",
            "transform",
            "clip-path",
            "mask",
            "filter",
            "mix-blend-mode",
            "display",
          ].includes(key)
        )
          style[key] = value;
      return { ...t, style, children: t.children.map(dressed) };
    };
    const t = dressed(target);
    if (t.tag !== "symbol" && t.tag !== "svg") return this.group(e, this.layer(t, inside), here);
    const room = {
      width: length(e.attrs.width ?? t.attrs.width, here.room.width, here.room.width),
      height: length(e.attrs.height ?? t.attrs.height, here.room.height, here.room.height),
    };
    const view = viewOf(
      { ...t, attrs: { ...t.attrs, width: String(room.width), height: String(room.height) } },
      here.room,
    );
    return this.group(
      e,
      this.layers(t.children, { ...inside, matrix: times(moved, view.matrix), room: view.room }),
      here,
    );
  }

  /**
   * Layers that belong together become a group around them; one alone without anything of the
   * group's own stays itself.
   */
  private group(e: Element, inside: readonly Draft[], here: Here): Draft[] {
    if (inside.length === 0) return [];
    const whole = this.whole(e);
    const clip = e.style["clip-path"] && e.style["clip-path"] !== "none";
    const mask = e.style.mask && e.style.mask !== "none";
    if (
      Object.keys(whole).length === 0 &&
      !clip &&
      !mask &&
      (e.tag === "use" || e.tag === "svg" || e.tag === "a" || e.tag === "switch") &&
      inside.length === 1
    )
      return [...inside];
    return [grouped(this.nameOf(e), [...this.shapers(e, here), ...inside], whole)];
  }

  /** A shape with a clip or a mask needs a group around it to hold both. */
  private masked(e: Element, made: readonly Draft[], here: Here): Draft[] {
    const shapers = made.length ? this.shapers(e, here) : [];
    return shapers.length ? [grouped(this.nameOf(e), [...shapers, ...made], {})] : [...made];
  }

  private shapers(e: Element, here: Here): Draft[] {
    const out: Draft[] = [];
    for (const key of ["clip-path", "mask"] as const) {
      const id = idIn(e.style[key]);
      if (id === null) {
        if (e.style[key] && e.style[key] !== "none")
          this.lose(key === "mask" ? "a mask" : "a clip");
        continue;
      }
      const target = this.byId.get(id);
      if (!target) continue;
      if (
        target.attrs[`${key === "mask" ? "maskContentUnits" : "clipPathUnits"}`] ===
        "objectBoundingBox"
      ) {
        this.lose(`a ${key === "mask" ? "mask" : "clip"} in units of its box`);
        continue;
      }
      const solid = (c: Element): Element => ({
        ...c,
        style:
          key === "mask"
            ? c.style
            : {
                ...c.style,
                fill: "#000000",
                stroke: "none",
                "fill-rule": c.style["clip-rule"] ?? "nonzero",
              },
        children: c.children.map(solid),
      });
      const inside = this.layers(target.children.map(solid), {
        ...here,
        matrix: times(here.matrix, readTransform(target.style.transform)),
      });
      if (key === "mask" && JSON.stringify(inside).match(/#(?!ffffff\b)[0-9a-f]{6}/))
        this.lose("the brightness of a mask (its shape is kept)");
      const [first] = inside;
      if (!first) continue;
      const one =
        inside.length === 1 ? first : grouped(key === "mask" ? "Mask" : "Clip", inside, {});
      out.push({
        ...one,
        name: key === "mask" ? "Mask" : "Clip",
        values: { ...one.values, masks: true },
      });
    }
    // two shapers would shape one after the other: only the nearer one can
    if (out.length > 1) {
      this.lose("a mask and a clip of the same element: only the clip is kept");
      out.length = 1;
    }
    return out;
  }

  private stroke(e: Element, box: Bounds, own: Bounds, here: Here): Record<string, Value> {
    const paint = paintOf(this.byId, e, "stroke", box, own, here.matrix, this.lose);
    if (paint === "none") return {};
    const width =
      length(
        e.style["stroke-width"],
        Math.hypot(here.room.width, here.room.height) / Math.SQRT2,
        1,
      ) * growth(here.matrix);
    if (width <= 0) return {};
    if (typeof paint !== "string") this.lose("a gradient in a line");
    const dash = e.style["stroke-dasharray"];
    const dashed = dash !== undefined && dash !== "none" && /[1-9]/.test(dash);
    if (dashed) this.lose("the exact lengths of dashes");
    return {
      borderColour: oneColour(paint),
      borderWidth: r2(width),
      borderAt: "centre",
      ...(dashed
        ? {
            borderStyle:
              e.style["stroke-linecap"] === "round" && /^0\b/.test(dash.trim())
                ? "dotted"
                : "dashed",
          }
        : {}),
    };
  }

  private shape(e: Element, here: Here): Draft[] {
    const d = outlineOf(e, here.room) ?? "";
    if (d.trim() === "" || d.trim() === "none") return [];
    let path;
    try {
      path = mapPath(d, here.matrix);
    } catch {
      this.lose(`the unreadable path “${d.slice(0, 24)}”`);
      return [];
    }
    const box = boundsOf(path);
    const own = boundsOf(mapPath(d, identity));
    if (!box || !own) return [];
    const fill = paintOf(this.byId, e, "fill", box, own, here.matrix, this.lose);
    const line = this.stroke(e, box, own, here);
    const values: Record<string, Value> = {
      x: r2(box.x),
      y: r2(box.y),
      width: r2(box.width),
      height: r2(box.height),
      ...(fill === "none" ? {} : { fill }),
      ...line,
      ...this.whole(e),
    };
    const even = upright(here.matrix);
    if (e.tag === "rect" && even) {
      const [rx, ry] = cornersOf(e, here.room);
      const sx = Math.abs(here.matrix[0]) * rx;
      const sy = Math.abs(here.matrix[3]) * ry;
      if (Math.abs(sx - sy) < 0.01)
        return [
          {
            kind: "box",
            name: this.nameOf(e),
            values: sx
              ? { ...values, radius: [r2(sx), r2(sx), r2(sx), r2(sx)] satisfies Four }
              : values,
            inside: [],
          },
        ];
    }
    if ((e.tag === "circle" || e.tag === "ellipse") && even)
      return [{ kind: "ellipse", name: this.nameOf(e), values, inside: [] }];
    const ends = e.style["stroke-linecap"];
    const joins = e.style["stroke-linejoin"];
    if (joins === "miter-clip" || joins === "arcs") this.lose(`the line join “${joins}”`);
    return [
      {
        kind: "path",
        name: this.nameOf(e),
        inside: [],
        values: {
          ...values,
          shape: percentPath(path, box),
          ...(e.style["fill-rule"] === "evenodd" ? { overlaps: "holes" } : {}),
          ...(line.borderWidth === undefined
            ? {}
            : {
                ends: lineEnds[ends ?? ""] ?? "flat",
                joins: lineJoins[joins ?? ""] ?? "pointed",
              }),
        },
      },
    ];
  }

  /**
   * A text element: each run with its own place becomes a text layer. Widths are only known once
   * fonts are measured.
   */
  private text(e: Element, here: Here): Draft[] {
    const runs: { e: Element; text: string; x: number; y: number }[] = [];
    let x = length(e.attrs.x?.split(/[\s,]+/)[0], here.room.width);
    let y = length(e.attrs.y?.split(/[\s,]+/)[0], here.room.height);
    if (/[\s,]\S/.test((e.attrs.x ?? "").trim()) || e.attrs.rotate)
      this.lose("letters placed one by one");
    const add = (from: Element, text: string) => {
      if (text.trim() !== "") runs.push({ e: from, text: text.replace(/\s+/g, " ").trim(), x, y });
    };
    add(e, e.text);
    for (const span of e.children) {
      if (span.tag === "textPath") {
        this.lose("a text on a path");
        continue;
      }
      if (span.tag !== "tspan") continue;
      if (span.attrs.x !== undefined) x = length(span.attrs.x.split(/[\s,]+/)[0], here.room.width);
      if (span.attrs.y !== undefined) y = length(span.attrs.y.split(/[\s,]+/)[0], here.room.height);
      x += length(span.attrs.dx, here.room.width);
      y += length(span.attrs.dy, here.room.height);
      if (span.attrs.x === undefined && span.attrs.y === undefined && runs.length)
        this.lose("the exact place of words that follow one another in a text");
      add(span, span.text);
    }
    if (!upright(here.matrix)) this.lose("the slant of a text");
    return runs.map((run): Draft => {
      const size = length(run.e.style["font-size"], 16, 16) * growth(here.matrix);
      const [px, py] = at(here.matrix, run.x, run.y);
      const weight =
        { normal: "400", bold: "700", bolder: "700", lighter: "300" }[
          run.e.style["font-weight"] ?? "normal"
        ] ??
        run.e.style["font-weight"] ??
        "400";
      const family = (run.e.style["font-family"] ?? "").split(",")[0]?.replace(/['"]/g, "").trim();
      if (run.e.style["font-style"] && run.e.style["font-style"] !== "normal")
        this.lose("slanted letters");
      const box = { x: px, y: py - size, width: size, height: size };
      const fill = paintOf(this.byId, run.e, "fill", box, box, here.matrix, this.lose);
      const anchor = run.e.style["text-anchor"];
      // half a line above the baseline; the ascent of most faces is close to it
      return {
        kind: "text",
        name: cutText(run.text, 40).trim(),
        inside: [],
        values: {
          x: r2(px),
          y: r2(py - size * 0.98),
          text: run.text,
          size: r2(size),
          lineHeight: 1.3,
          weight: /^[1-9]00$/.test(weight) ? weight : "400",
          fill,
          ...(family ? { font: family } : {}),
          ...(run.e.style["letter-spacing"] && run.e.style["letter-spacing"] !== "normal"
            ? { spacing: r2(length(run.e.style["letter-spacing"], size) * growth(here.matrix)) }
            : {}),
          ...(anchor === "middle" || anchor === "end"
            ? { alignText: anchor === "middle" ? "centre" : "end" }
            : {}),
          ...(/underline/.test(run.e.style["text-decoration"] ?? "")
            ? { decoration: "underlined" }
            : {}),
          ...this.whole(run.e),
        },
      };
    });
  }
}

/** A group around layers, as large as they are, which then lie relative to it. */
const grouped = (
  name: string,
  inside: readonly Draft[],
  values: Readonly<Record<string, Value>>,
): Draft => {
  // read by the keys of place and size alone
  const num = (d: Draft, key: string) => (d.values[key] as number | undefined) ?? 0;
  const x = Math.min(...inside.map((d) => num(d, "x")));
  const y = Math.min(...inside.map((d) => num(d, "y")));
  return {
    kind: "box",
    name,
    values: { x: r2(x), y: r2(y), widthMode: "fit", heightMode: "fit", ...values },
    inside: inside.map((d) => ({
      ...d,
      values: { ...d.values, x: r2(num(d, "x") - x), y: r2(num(d, "y") - y) },
    })),
  };
};

/**
 * The room an svg element gives its contents, and how its view box lies in it (meet, in the middle,
 * as is usual).
 */
const viewOf = (
  e: Element,
  outer: { width: number; height: number },
): {
  room: { width: number; height: number };
  size: { width: number; height: number };
  matrix: Matrix;
} => {
  const box = (e.attrs.viewBox ?? "")
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [bx = 0, by = 0, bw = 0, bh = 0] = box;
  const viewed = box.length === 4 && box.every(Number.isFinite) && bw > 0 && bh > 0;
  const size = {
    width: length(e.attrs.width, outer.width, viewed ? bw : outer.width),
    height: length(e.attrs.height, outer.height, viewed ? bh : outer.height),
  };
  if (!viewed) return { room: size, size, matrix: identity };
  const room = { width: bw, height: bh };
  if (/^none/.test(e.attrs.preserveAspectRatio ?? ""))
    return {
      room,
      size,
      matrix: [
        size.width / bw,
        0,
        0,
        size.height / bh,
        (-bx * size.width) / bw,
        (-by * size.height) / bh,
      ],
    };
  const s = (e.attrs.preserveAspectRatio ?? "").includes("slice")
    ? Math.max(size.width / bw, size.height / bh)
    : Math.min(size.width / bw, size.height / bh);
  return {
    room,
    size,
    matrix: [s, 0, 0, s, (size.width - bw * s) / 2 - bx * s, (size.height - bh * s) / 2 - by * s],
  };
};

const nothingWords = (lost: readonly string[]): string =>
  `the file shows nothing that can become a layer${lost.length > 0 ? `: it has ${lost.slice(0, 3).join(", ")}` : ""}`;

/**
 * Reads an SVG file (SVG 1.1 and what is common of 2) into layers: shapes, paths, groups, texts,
 * gradients, transforms,
 * clips, masks, opacity, `use`, style sheets. Scripts and anything unknown are never taken over;
 * what is left out is named.
 */
export const readSvg = (source: string): ReadSvg => {
  const early: string[] = [];
  const tree = readTree(source, (what) => early.push(what));
  if (!tree.ok) return tree;
  const reader = new Reader(tree.byId);
  for (const what of early) reader.lose(what);
  const view = viewOf(tree.root, { width: 300, height: 150 });
  const layers = reader.layers(tree.root.children, {
    matrix: view.matrix,
    room: view.room,
    depth: 0,
    uses: 0,
  });
  const sound = soundDrafts(layers, reader.lose);
  if (sound.length === 0) return { ok: false, error: nothingWords([...reader.lost]) };
  return {
    ok: true,
    picture: {
      width: r2(view.size.width),
      height: r2(view.size.height),
      layers: sound,
      lost: [...reader.lost],
    },
  };
};
