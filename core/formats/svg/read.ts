import type { Value } from "../../properties";
import type { Draft, ReadSvg } from "./draft";
import { length, readTransform, times } from "./geometry";
import type { Matrix } from "./geometry";
import { hrefId, idIn } from "./paint";
import { shapeOf } from "./shape";
import { soundDrafts } from "./sound";
import { nameOf, rounded, wholeOf } from "./source";
import type { Source } from "./source";
import { textsOf } from "./texts";
import { readTree } from "./tree";
import type { Element } from "./tree";
import { viewOf } from "./view";
import type { UserSpace } from "./view";
import { svgWords } from "./words";

/**
 * Files with more elements than this are refused rather than made into layers nobody can work with.
 */
const MOST = 4000;
/** Groups inside one another that become groups; what lies deeper goes into the last of them. */
const DEEPEST_GROUP = 60;
/** Uses of uses that are followed: one may lead back to itself. */
const MOST_USES = 20;

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

/** Elements that are not taken, in words. */
const lostElements: Readonly<Record<string, string>> = {
  image: svgWords.imageInsideFile,
  foreignObject: svgWords.foreignObject,
  script: svgWords.script,
};

const lostWords = (tag: string): string => {
  const isAnimation = tag === "set" || tag.startsWith("animate");
  return lostElements[tag] ?? (isAnimation ? svgWords.animation : svgWords.element(tag));
};

/** The space of an element that has a place of its own (SVG 2 §5.5, §5.1.2). */
const movedTo = (e: Element, { matrix, room }: UserSpace): Matrix =>
  times(matrix, [1, 0, 0, 1, length(e.attrs.x, room.width), length(e.attrs.y, room.height)]);

/** What is said of a use itself, not of what it shows. */
const ofUseAlone = new Set([
  "opacity",
  "transform",
  "clip-path",
  "mask",
  "filter",
  "mix-blend-mode",
  "display",
]);

/** An element with what it inherits from where it is used (SVG 2 §5.5.2). */
const dressed = (e: Element, from: Element["style"]): Element => {
  const inherited = Object.entries(from).filter(
    ([key]) => e.style[key] === undefined && !ofUseAlone.has(key),
  );
  const style = { ...e.style, ...Object.fromEntries(inherited) };
  return { ...e, style, children: e.children.map((c) => dressed(c, from)) };
};

/** What masks by its shape alone: a clip is filled, whatever it looks like. */
const filled = (e: Element): Element => ({
  ...e,
  style: {
    ...e.style,
    fill: "#000000",
    stroke: "none",
    "fill-rule": e.style["clip-rule"] ?? "nonzero",
  },
  children: e.children.map(filled),
});

interface Shaper {
  readonly key: "clip-path" | "mask";
  readonly word: "clip" | "mask";
  readonly name: "Clip" | "Mask";
  readonly units: "clipPathUnits" | "maskContentUnits";
}
const shaperKinds: readonly Shaper[] = [
  { key: "clip-path", word: "clip", name: "Clip", units: "clipPathUnits" },
  { key: "mask", word: "mask", name: "Mask", units: "maskContentUnits" },
];

class Reader implements Source {
  readonly lost = new Set<string>();
  private count = 0;
  constructor(readonly byId: ReadonlyMap<string, Element>) {}

  readonly lose = (what: string): void => {
    this.lost.add(what);
  };

  layers(list: readonly Element[], space: UserSpace): Draft[] {
    return list.flatMap((e) => this.layer(e, space));
  }

  private layer(e: Element, space: UserSpace): Draft[] {
    if (++this.count > MOST) {
      this.lose(svgWords.elementsAfterFirst(MOST));
      return [];
    }
    if (quiet.has(e.tag) || e.style.display === "none") return [];
    const matrix = times(space.matrix, readTransform(e.style.transform));
    const inner: UserSpace = { ...space, matrix, depth: space.depth + 1 };
    if (e.tag === "g" && space.depth >= DEEPEST_GROUP) {
      this.lose(svgWords.groupsMoreThanDeep(DEEPEST_GROUP, nameOf(e)));
      return this.layers(e.children, { ...inner, depth: space.depth });
    }
    if (e.tag === "g" || e.tag === "a" || e.tag === "switch")
      return this.group(
        e,
        this.layers(e.tag === "switch" ? e.children.slice(0, 1) : e.children, inner),
        inner,
      );
    if (e.tag === "svg") {
      const view = viewOf(e, space.room);
      return this.group(
        e,
        this.layers(e.children, {
          ...inner,
          matrix: times(movedTo(e, { ...space, matrix }), view.matrix),
          room: view.room,
        }),
        inner,
      );
    }
    if (e.tag === "use") return this.use(e, inner);
    if (e.style.visibility === "hidden" || e.style.visibility === "collapse") return [];
    if (shapes.has(e.tag)) return this.masked(e, shapeOf(this, e, inner), inner);
    if (e.tag === "text") return this.masked(e, textsOf(this, e, inner), inner);
    this.lose(lostWords(e.tag));
    return [];
  }

  private use(e: Element, space: UserSpace): Draft[] {
    const target = this.byId.get(hrefId(e));
    if (!target) {
      this.lose(svgWords.referenceSomethingOutsideFile);
      return [];
    }
    if (space.uses >= MOST_USES) {
      this.lose(svgWords.referenceItself(nameOf(e)));
      return [];
    }
    const moved = movedTo(e, space);
    const inside = { ...space, matrix: moved, depth: space.depth + 1, uses: space.uses + 1 };
    const t = dressed(target, e.style);
    if (t.tag !== "symbol" && t.tag !== "svg") return this.group(e, this.layer(t, inside), space);
    const room = {
      width: length(e.attrs.width ?? t.attrs.width, space.room.width, space.room.width),
      height: length(e.attrs.height ?? t.attrs.height, space.room.height, space.room.height),
    };
    const view = viewOf(
      { ...t, attrs: { ...t.attrs, width: String(room.width), height: String(room.height) } },
      space.room,
    );
    return this.group(
      e,
      this.layers(t.children, { ...inside, matrix: times(moved, view.matrix), room: view.room }),
      space,
    );
  }

  /**
   * Layers that belong together become a group around them; one alone without anything of the
   * group's own stays itself.
   */
  private group(e: Element, inside: readonly Draft[], space: UserSpace): Draft[] {
    if (inside.length === 0) return [];
    const whole = wholeOf(this, e);
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
    return [grouped(nameOf(e), [...this.shapers(e, space), ...inside], whole)];
  }

  /** A shape with a clip or a mask needs a group around it to hold both. */
  private masked(e: Element, made: readonly Draft[], space: UserSpace): Draft[] {
    const shapers = made.length ? this.shapers(e, space) : [];
    return shapers.length ? [grouped(nameOf(e), [...shapers, ...made], {})] : [...made];
  }

  private shapers(e: Element, space: UserSpace): Draft[] {
    const out = shaperKinds.flatMap((kind) => this.shaper(e, space, kind) ?? []);
    // two shapers would shape one after the other: only the nearer one can
    if (out.length > 1) this.lose(svgWords.maskClipSameElement);
    return out.slice(0, 1);
  }

  private shaper(e: Element, space: UserSpace, kind: Shaper): Draft | null {
    const said = e.style[kind.key];
    const id = idIn(said);
    if (id === null) {
      if (said && said !== "none") this.lose(`a ${kind.word}`);
      return null;
    }
    const target = this.byId.get(id);
    if (!target) return null;
    if (target.attrs[kind.units] === "objectBoundingBox") {
      this.lose(svgWords.unitsBox(kind.word));
      return null;
    }
    const isMask = kind.key === "mask";
    const matrix = times(space.matrix, readTransform(target.style.transform));
    const inside = this.layers(isMask ? target.children : target.children.map(filled), {
      ...space,
      matrix,
    });
    if (isMask && /#(?!ffffff\b)[0-9a-f]{6}/.test(JSON.stringify(inside)))
      this.lose(svgWords.luminanceMaskKeptAs);
    const [first] = inside;
    if (!first) return null;
    const one = inside.length === 1 ? first : grouped(kind.name, inside, {});
    return { ...one, name: kind.name, values: { ...one.values, masks: true } };
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
    values: { x: rounded(x), y: rounded(y), widthMode: "fit", heightMode: "fit", ...values },
    inside: inside.map((d) => ({
      ...d,
      values: { ...d.values, x: rounded(num(d, "x") - x), y: rounded(num(d, "y") - y) },
    })),
  };
};

const nothingWords = (lost: readonly string[]): string =>
  svgWords.fileContainsNothingCan(lost.length, lost.slice(0, 3).join(", "));

/**
 * Reads an SVG file (SVG 1.1 and what is common of 2) into layers: shapes, paths, groups, texts,
 * gradients, transforms, clips, masks, opacity, `use`, style sheets. Scripts and anything unknown
 * are never taken over; what is left out is named.
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
      width: rounded(view.size.width),
      height: rounded(view.size.height),
      layers: sound,
      lost: [...reader.lost],
    },
  };
};
