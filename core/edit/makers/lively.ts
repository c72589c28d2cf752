import { present } from "../../basics";
import type { Id } from "../../basics";
import { restingVariant, valuesIn } from "../../looks";
import type { Lane, Pose, Trigger } from "../../project";
import { thousandths } from "../../properties";
import type { Pair, Value } from "../../properties";
import { editWords } from "../words";
import { choice, choiceOf, number, numberOf, numbered, rulesOnly } from "./making";
import type { Given, Maker, Setting } from "./making";

/** What sets a layer stirring. */
const triggers = choice("trigger", editWords.when, [
  { value: "click", words: editWords.clicked },
  { value: "enter", words: editWords.hovered },
  { value: "delay", words: editWords.pieceAppears },
]);
const times = number("times", editWords.timesZeroForEver, 1, "×", [0, 1000, 1]);

const triggerOf = (given: Given): Trigger => {
  const type = choiceOf(given, triggers);
  if (type === "delay") return { type: "delay", ms: 0 };
  return { type: type === "enter" ? "enter" : "click" };
};

const posesAlong = (values: readonly Value[]): Pose[] =>
  values.map((value, i) => ({
    at: thousandths(i / (values.length - 1)),
    value,
    easing: "ease-in-out",
  }));

/** A rule that changes nothing but stirs one property of a layer, there and back to where it is. */
const stirring = (
  { piece, motion }: Setting,
  layer: Id,
  key: "rotation" | "scale",
  values: readonly Value[],
  given: Given,
  duration: number,
) => {
  const lane: Lane = {
    layer,
    key,
    delay: 0,
    duration,
    easing: "linear",
    poses: posesAlong(values),
    times: numberOf(given, times),
  };
  const draft = {
    trigger: triggerOf(given),
    source: triggerOf(given).type === "delay" ? null : layer,
    effects: [{ type: "stir" }],
    motion: { ...motion, kind: "tween", duration, lanes: [lane] },
  } as const;
  return rulesOnly(numbered(piece, [draft], motion));
};

const valuesAtRest = ({ project, piece }: Setting, layer: Id) =>
  valuesIn(project, piece, restingVariant(piece), present(piece.layers[layer]));

/** A layer turns to and fro and comes to rest as it was. */
export const wiggle = (setting: Setting, layer: Id): Maker => {
  const angle = number("angle", editWords.angle, 8, "°", [1, 180, 1]);
  const time = number("time", editWords.duration, 500, "ms", [50, 10_000, 50]);
  return {
    id: "wiggle",
    name: editWords.wiggle,
    parameters: [triggers, angle, time, times],
    draw: (given) => {
      const { rotation } = valuesAtRest(setting, layer);
      const a = numberOf(given, angle);
      const values = [0, -a, a, -a * 0.6, a * 0.3, 0].map((by) => thousandths(rotation + by));
      return stirring(setting, layer, "rotation", values, given, numberOf(given, time));
    },
  };
};

/** A layer grows and comes back to its size. */
export const swell = (setting: Setting, layer: Id): Maker => {
  const size = number("size", editWords.largest, 115, "%", [10, 1000, 5]);
  const time = number("time", editWords.duration, 320, "ms", [50, 10_000, 20]);
  return {
    id: "swell",
    name: editWords.swell,
    parameters: [triggers, size, time, times],
    draw: (given) => {
      const { scale } = valuesAtRest(setting, layer);
      const by = numberOf(given, size) / 100;
      const large: Pair = [thousandths(scale[0] * by), thousandths(scale[1] * by)];
      return stirring(setting, layer, "scale", [scale, large, scale], given, numberOf(given, time));
    },
  };
};
