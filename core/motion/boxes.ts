import { present } from "../basics";
import type { Id } from "../basics";
import { findBox, mapPoint, shareBefore, spotOf, wayInto } from "../layout";
import type { LayoutBox, Line } from "../layout";
import type { Motion } from "../project";
import { AS_IT_CAME, HERE, hundredths, mapFour, propertiesOf } from "../properties";
import type { AwayPose, Mixing, Value } from "../properties";
import type { Mix } from "./mix";
import type { Span } from "./span";

export const geometry = ["x", "y", "width", "height"] as const;

const mixable = new Map<string, readonly { key: string; mixing: Mixing }[]>();

/**
 * The properties of a layer's kind that are mixed by their values, not by the boxes layout makes of
 * them.
 */
export const mixableOf = (p: LayoutBox): readonly { key: string; mixing: Mixing }[] => {
  let list = mixable.get(p.layer.kind);
  if (!list)
    mixable.set(
      p.layer.kind,
      (list = propertiesOf(p.layer.kind).filter(
        (e) => e.mixing !== "layout" && e.mixing !== "step",
      )),
    );
  return list;
};

export const equal = (a: unknown, b: unknown): boolean =>
  a === b ||
  (typeof a === "object" && typeof b === "object" && JSON.stringify(a) === JSON.stringify(b));

export const sameWords = (a: readonly Line[], b: readonly Line[]): boolean =>
  a.length === b.length && a.every((l, i) => l.text === b[i]?.text);

export const mixLines =
  (a: readonly Line[], b: readonly Line[]): Mix<readonly Line[]> =>
  (t) =>
    t === 1
      ? b
      : b.map((to, i) => {
          const from = a[i] ?? to;
          const part = (x: number, y: number) => x + (y - x) * t;
          return {
            text: to.text,
            x: part(from.x, to.x),
            baseline: part(from.baseline, to.baseline),
            width: part(from.width, to.width),
          };
        });

/**
 * Corners as far as the box can show them: one that is round at any size does not begin at a radius
 * nobody sees.
 */
export const visibleCorners = (p: LayoutBox): Value => {
  const limit = Math.min(p.width, p.height) / 2;
  return mapFour(present(p.values.radius), (c) => Math.min(c, limit));
};

/**
 * Rapidly interrupted dissolves stack up; older ones than this are dropped, being nearly invisible
 * by then.
 */
const DEEPEST = 4;
const shallow = (p: LayoutBox, depth = DEEPEST): LayoutBox => {
  if (!p.dissolve) return p;
  return depth === 0
    ? { ...p, dissolve: null }
    : { ...p, dissolve: { ...p.dissolve, from: shallow(p.dissolve.from, depth - 1) } };
};

const stilled = (p: LayoutBox): LayoutBox =>
  p.shapes === undefined
    ? p
    : {
        ...p,
        shapes: undefined,
        children: p.children.map(stilled),
        nested: p.nested && stilled(p.nested),
      };

/** A moment of what is on screen, to be kept: it moves no more, so it is painted once. */
export const frozen = (p: LayoutBox): LayoutBox => stilled(shallow(p));

export const byId = (list: readonly LayoutBox[]): ReadonlyMap<string, LayoutBox> =>
  new Map(list.map((p) => [p.layer.id, p]));

/** The pose a layer comes from; null where it fades, as layers do. */
export const comingFrom = ({ values }: LayoutBox): AwayPose | null =>
  typeof values.comesFrom === "object" ? values.comesFrom : null;

/** The pose a layer goes to; null where it fades. */
export const goingTo = (p: LayoutBox): AwayPose | null => {
  const { goesTo } = p.values;
  if (typeof goesTo === "object") return goesTo;
  return goesTo === AS_IT_CAME ? comingFrom(p) : null;
};

/** The properties a pose speaks of. */
export const posedKeys = ["scale", "rotation", "opacity", "blur"] as const;

/** A layer in a pose. */
export const inPose = (p: LayoutBox, pose: AwayPose): LayoutBox => {
  const { values } = p;
  const [sx, sy] = values.scale;
  return {
    ...p,
    x: p.x + pose.x,
    y: p.y + pose.y,
    values: {
      ...values,
      scale: [sx * pose.scale[0], sy * pose.scale[1]],
      rotation: values.rotation + pose.rotation,
      opacity: values.opacity * pose.opacity,
      blur: values.blur + pose.blur,
    },
  };
};

/**
 * The pose of a layer that pops out of the middle of another: shrunk to nothing there; null where
 * the two are not both in the scene.
 */
export const outOf = (scene: LayoutBox, layer: Id, other: Id): AwayPose | null => {
  const placed = findBox(scene, layer)?.placed;
  const from = spotOf(scene, other);
  const at = spotOf(scene, layer);
  if (!placed || !from || !at) return null;
  const [px, py] = placed.values.pivot;
  const middle = mapPoint(from.map, from.width / 2, from.height / 2);
  const pivot = mapPoint(at.map, (placed.width * px) / 100, (placed.height * py) / 100);
  const [x, y] = wayInto(at.parent, middle[0] - pivot[0], middle[1] - pivot[1]);
  return { ...HERE, x: hundredths(x), y: hundredths(y), scale: [0, 0] };
};

/** A layer on its way from one pose to another; `t` from 0 to 1. */
const between = (a: LayoutBox, b: LayoutBox, t: number): LayoutBox => {
  const part = (from: number, to: number): number => from + (to - from) * t;
  const [v, w] = [a.values, b.values];
  return {
    ...a,
    shapes: a.values,
    x: part(a.x, b.x),
    y: part(a.y, b.y),
    values: {
      ...v,
      scale: [part(v.scale[0], w.scale[0]), part(v.scale[1], w.scale[1])],
      rotation: part(v.rotation, w.rotation),
      opacity: part(v.opacity, w.opacity),
      blur: part(v.blur, w.blur),
    },
  };
};

/** A layer on its way out: it fades, goes to a pose, or goes the way it came. */
export interface Leaving {
  readonly placed: LayoutBox;
  readonly span: Span;
  readonly by: readonly [number, number] | null;
  readonly to: LayoutBox | null;
}

export const awayFrom = ({ placed, span, by, to }: Leaving, now: number): LayoutBox => {
  const t = span.progressAt(now);
  const shapes = placed.values;
  // what overshoots on the way out would come back from the other side
  if (to) return between(placed, to, Math.min(1, t));
  return by
    ? { ...placed, shapes, x: placed.x + by[0] * t, y: placed.y + by[1] * t }
    : { ...placed, shapes, presence: placed.presence * Math.min(1, Math.max(0, 1 - t)) };
};

/**
 * What a layer looked like before, going where it goes now: an icon or a picture as large, a text
 * aligned as it is.
 */
export const alongside = (from: LayoutBox, now: LayoutBox): LayoutBox => {
  const sized = from.layer.kind === "icon" || from.layer.kind === "picture";
  const slack = sized ? 0 : shareBefore(now.values.alignText);
  const along: LayoutBox = {
    ...from,
    shapes: from.values,
    x: now.x + (now.width - from.width) * slack,
    y: now.y,
    ...(sized ? { width: now.width, height: now.height } : {}),
  };
  // what it was dissolving from itself goes along, too
  return from.dissolve?.own
    ? { ...along, dissolve: { ...from.dissolve, from: alongside(from.dissolve.from, along) } }
    : along;
};

/** How far beyond the edge something waits that slides over others, px. */
const BEYOND = 24;

/**
 * From where an overlay comes when its motion slides it in, and to where it goes; px from its
 * place. Null: it fades.
 */
export const appearing = (motion: Motion, it: LayoutBox): readonly [number, number] | null => {
  if (
    (motion.kind !== "slide" && motion.kind !== "push" && motion.kind !== "rise") ||
    !it.layer.id.startsWith("~") ||
    it.layer.id.endsWith("-dim")
  )
    return null;
  const to = motion.kind === "rise" ? "up" : (motion.to ?? "up");
  if (to === "left") {
    return [it.width + BEYOND, 0];
  }
  if (to === "right") {
    return [-it.width - BEYOND, 0];
  }
  return to === "up" ? [0, it.height + BEYOND] : [0, -it.height - BEYOND];
};
