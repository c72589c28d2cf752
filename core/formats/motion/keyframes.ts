import { plainText } from "../../basics";
import type { LayoutBox } from "../../layout";
import { cssEasing, goesOf, laneValue, lengthOf, movingLayers, timingOf } from "../../motion";
import type { Lane, Motion } from "../../project";
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

/**
 * A change between two scenes as CSS (Animations 1, Transforms 2, Easing 2): one keyframes rule for
 * each property of each layer
 * that changes, with its own delay, duration and curve. Springs and bounces are written as
 * linear(); the largest error is told
 * in a comment. Layers get a class of their name; what CSS has no word for is listed at the end.
 */
export const cssKeyframes = (
  title: string,
  from: LayoutBox,
  to: LayoutBox,
  motion: Motion,
): string => {
  const blocks: string[] = [];
  const left: string[] = [];
  const names = new Map<string, number>();
  let error = 0;
  const curve = (lane: Pick<Lane, "easing">): string => {
    const css = cssEasing(lane.easing);
    error = Math.max(error, css.error);
    return css.css;
  };
  for (const { layer, name, keys } of motion.kind === "cut" ? [] : movingLayers(from, to, motion)) {
    const n = (names.get(slug(name)) ?? 0) + 1;
    const css = n > 1 ? `${slug(name)}-${n}` : slug(name);
    const animations: string[] = [];
    const rules: string[] = [];
    names.set(slug(name), n);
    for (const key of keys) {
      const lane = timingOf(motion, { layer, key });
      const say = declarations[key];
      const b = laneValue(to, layer, key) ?? (key === "presence" ? 0 : undefined);
      const a = laneValue(from, layer, key) ?? (key === "presence" ? 0 : b);
      if (!say || !sayable(key, a) || !sayable(key, b)) {
        left.push(`${name}: ${key}`);
        continue;
      }
      const poses = lane.key === key ? (lane.poses ?? []) : [];
      const goes = goesOf(lane);
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
      rules.push(
        `@keyframes ${css}-${slug(key)} {\n${stops.map((s) => `  ${num(s.at * 100)}% { ${say(s.value)};${s.next ? ` animation-timing-function: ${curve({ easing: s.next })};` : ""} }`).join("\n")}\n}`,
      );
      animations.push(
        `${css}-${slug(key)} ${num(lengthOf(lane))}ms ${num(motion.delay + lane.delay)}ms ${goes === Infinity ? "infinite" : num(goes)}${lane.turns ? " alternate" : ""} both`,
      );
    }
    if (animations.length)
      blocks.push(
        `.${css} {\n  animation:\n    ${animations.join(",\n    ")};\n}\n${rules.join("\n")}`,
      );
  }
  const notes = [
    title,
    error > 0 ? `Curves written as linear() are within ${num(error * 100)} % of the way.` : "",
    left.length ? `Not in CSS: ${left.join(", ")}.` : "",
  ].filter(Boolean);
  return `/* ${notes.join("\n   ").replaceAll("*/", "* /")} */\n${blocks.join("\n\n")}\n`;
};
