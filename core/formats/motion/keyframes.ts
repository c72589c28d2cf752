import type { Id } from "../../basics";
import { plainText } from "../../basics";
import { findBox } from "../../layout";
import type { LayoutBox } from "../../layout";
import {
  comingFrom,
  cssEasing,
  goesOf,
  goingTo,
  inPose,
  lengthOf,
  movingLayers,
  posedKeys,
  timingOf,
  valueOfKey,
} from "../../motion";
import type { Easing, Lane, Motion } from "../../project";
import type { Value } from "../../properties";

/** How a property of a layer is said in CSS; what is left out has no counterpart there. */
const declarations: Readonly<Record<string, (v: Value) => string>> = {
  x: (v) => `left: ${num(v)}px`,
  y: (v) => `top: ${num(v)}px`,
  width: (v) => `width: ${num(v)}px`,
  height: (v) => `height: ${num(v)}px`,
  rotation: (v) => `rotate: ${num(v)}deg`,
  scale: (v) => `scale: ${numbersOf(v).map(num).join(" ")}`,
  opacity: (v) => `opacity: ${num(v)}`,
  presence: (v) => `opacity: ${num(v)}`,
  blur: (v) => `filter: blur(${num(v)}px)`,
  radius: (v) =>
    `border-radius: ${numbersOf(v)
      .map((n) => `${num(n)}px`)
      .join(" ")}`,
  fill: (v) => `background-color: ${v === "none" ? "transparent" : plainText(v)}`,
  borderColour: (v) => `border-color: ${v === "none" ? "transparent" : plainText(v)}`,
  borderWidth: (v) => `border-width: ${num(v)}px`,
};
const numbersOf = (v: Value): readonly number[] => [v].flat().filter((n) => typeof n === "number");
const num = (v: unknown): number => Math.round(Number(v) * 1000) / 1000;
const slug = (name: string): string =>
  name
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, "-")
    .replaceAll(/^-|-$/g, "") || "layer";

/** A pose at the very end: of two keyframes at 100 % only one would count. */
const LAST = 0.9999;

/** What CSS can say of a value. */
const sayable = (key: string, value: Value | undefined): value is Value =>
  value !== undefined && !(key === "fill" && typeof value === "object");

/** A layer before and after a change; null where it is not there. */
interface Ends {
  readonly from: LayoutBox | null;
  readonly to: LayoutBox | null;
  /** whether it comes from a pose or goes to one, instead of fading */
  readonly isPosed: boolean;
}

const poseKeys = ["x", "y", ...posedKeys];

const endsOf = (before: LayoutBox, after: LayoutBox, layer: Id): Ends => {
  const from = findBox(before, layer)?.placed ?? null;
  const to = findBox(after, layer)?.placed ?? null;
  const comes = !from && to && comingFrom(to);
  if (comes) return { from: inPose(to, comes), to, isPosed: true };
  const goes = !to && from && goingTo(from);
  if (goes) return { from, to: inPose(from, goes), isPosed: true };
  return { from, to, isPosed: false };
};

/** The keys of a pose that it changes. */
const posedIn = ({ from, to }: Ends): string[] =>
  poseKeys.filter((key) => JSON.stringify(valueAt(from, key)) !== JSON.stringify(valueAt(to, key)));

const valueAt = (box: LayoutBox | null, key: string): Value | undefined =>
  box ? valueOfKey(box, key) : undefined;

/** Writes the keyframes of a change, and notes what CSS cannot say. */
class KeyframeWriter {
  readonly blocks: string[] = [];
  readonly left: string[] = [];
  /** how far curves written as linear() are off, as a share of the way */
  error = 0;
  private readonly names = new Map<string, number>();

  constructor(
    private readonly from: LayoutBox,
    private readonly to: LayoutBox,
    private readonly motion: Motion,
  ) {}

  layer(layer: Id, name: string, keys: readonly string[]): void {
    const css = this.className(name);
    const animations: string[] = [];
    const rules: string[] = [];
    const ends = endsOf(this.from, this.to, layer);
    const posed = keys.flatMap((key) =>
      key === "presence" && ends.isPosed ? posedIn(ends) : [key],
    );
    for (const key of posed) {
      const asked = ends.isPosed ? "presence" : key;
      const lane = timingOf(this.motion, { layer, key: asked });
      const keyframes = this.keyframes(ends, key, lane);
      if (!keyframes) {
        this.left.push(`${name}: ${key}`);
        continue;
      }
      rules.push(`@keyframes ${css}-${slug(key)} {\n${keyframes}\n}`);
      animations.push(`${css}-${slug(key)} ${this.timing(lane)}`);
    }
    if (animations.length)
      this.blocks.push(
        `.${css} {\n  animation:\n    ${animations.join(",\n    ")};\n}\n${rules.join("\n")}`,
      );
  }

  /** A class for a layer; layers of the same name are numbered. */
  private className(name: string): string {
    const n = (this.names.get(slug(name)) ?? 0) + 1;
    this.names.set(slug(name), n);
    return n > 1 ? `${slug(name)}-${n}` : slug(name);
  }

  private curve(easing: Easing): string {
    const { css, error } = cssEasing(easing);
    this.error = Math.max(this.error, error);
    return css;
  }

  private timing(lane: Lane): string {
    const goes = goesOf(lane);
    const times = goes === Infinity ? "infinite" : num(goes);
    const delay = num(this.motion.delay + lane.delay);
    return `${num(lengthOf(lane))}ms ${delay}ms ${times}${lane.turns ? " alternate" : ""} both`;
  }

  /** The stops of one property; null when CSS cannot say them. */
  private keyframes(ends: Ends, key: string, lane: Lane): string | null {
    const say = declarations[key];
    const b = valueAt(ends.to, key) ?? (key === "presence" ? 0 : undefined);
    const a = valueAt(ends.from, key) ?? (key === "presence" ? 0 : b);
    if (!say || !sayable(key, a) || !sayable(key, b)) return null;
    const poses = lane.key === key ? (lane.poses ?? []) : [];
    // in CSS a keyframe says how the stretch after it goes, a pose how the one before it does
    const stops = [
      { at: 0, value: a, next: poses[0]?.easing ?? lane.easing },
      ...poses.map((p, i) => ({
        at: Math.min(p.at, LAST),
        value: p.value,
        next: poses[i + 1]?.easing ?? lane.easing,
      })),
      { at: 1, value: b, next: null },
    ];
    return stops
      .map(({ at, value, next }) => {
        const easing = next ? ` animation-timing-function: ${this.curve(next)};` : "";
        return `  ${num(at * 100)}% { ${say(value)};${easing} }`;
      })
      .join("\n");
  }
}

/**
 * A change between two scenes as CSS (Animations 1, Transforms 2, Easing 2): one keyframes rule for
 * each property of each layer that changes, with its own delay, duration and curve. Springs and
 * bounces are written as linear(); the largest error is told in a comment. Layers get a class of
 * their name; what CSS has no word for is listed at the end.
 */
export const cssKeyframes = (
  title: string,
  from: LayoutBox,
  to: LayoutBox,
  motion: Motion,
): string => {
  const writer = new KeyframeWriter(from, to, motion);
  for (const { layer, name, keys } of motion.kind === "cut" ? [] : movingLayers(from, to, motion))
    writer.layer(layer, name, keys);
  const { blocks, left, error } = writer;
  const notes = [
    title,
    error > 0 ? `Curves written as linear() are accurate to ${num(error * 100)} %.` : "",
    left.length ? `Not supported in CSS: ${left.join(", ")}.` : "",
  ].filter(Boolean);
  return `/* ${notes.join("\n   ").replaceAll("*/", "* /")} */\n${blocks.join("\n\n")}\n`;
};
