import { present } from "../../basics";
import type { Id } from "../../basics";
import { traitsOf, valuesOf } from "../../looks";
import type { Motion, Piece, Rule, Trait } from "../../project";
import { namedPoses } from "../../properties";
import type { AwayPose } from "../../properties";
import { withLane } from "../behaviour/timing";
import { newTrait } from "../behaviour/traits";
import { editWords } from "../words";
import { becomes, choice, choiceOf, duration, number, numberOf, numbered, where } from "./making";
import type { Given, Maker, Making, Setting } from "./making";

const FADE = "fade";
const FRESH = "new";

const poses = choice("pose", editWords.comesFrom, [
  { value: "from below", words: editWords.fromBelow },
  { value: "pops up", words: editWords.popUp },
  { value: "from the left", words: editWords.fromTheLeft },
  { value: "from the right", words: editWords.fromTheRight },
  { value: FADE, words: editWords.fade },
]);
const interval = number("interval", editWords.oneAfterAnother, 60, "ms", [0, 5000, 10]);

const poseOf = (given: Given): AwayPose | typeof FADE => {
  const name = choiceOf(given, poses);
  return name === FADE ? FADE : (namedPoses[name] ?? FADE);
};

/** The rules that lead to the second value of a trait. */
const rulesTo = (piece: Piece, trait: Trait): Rule[] =>
  Object.values(piece.rules).filter((rule) =>
    rule.effects.some(
      (e) =>
        e.type === "set" &&
        e.trait === trait.id &&
        ("step" in e.to || e.to.value === present(valuesOf(trait)[1]).id),
    ),
  );

/** Layers set out one after the other within a motion. */
const inTurn = (motion: Motion, layers: readonly Id[], ms: number): Motion =>
  layers.reduce(
    (m, layer, i) =>
      withLane(m, { layer, key: null }, { delay: i * ms, duration: motion.duration }),
    motion,
  );

/**
 * Layers appear one after another as the piece comes up, or as a trait of two values takes its
 * second one: hidden before, each from a pose, in the order one reads them.
 */
export const appear = ({ piece, layers, motion }: Setting): Maker => {
  const known = traitsOf(piece).filter((t) => valuesOf(t).length === 2 && rulesTo(piece, t).length);
  const fresh = newTrait(piece, editWords.shown, ["no", "yes"]);
  const traits = choice("trait", editWords.when, [
    { value: FRESH, words: editWords.pieceAppears },
    ...known.map((t) => ({
      value: t.id,
      words: editWords.becomes(t.name, present(valuesOf(t)[1]).name),
    })),
  ]);
  const time = duration(motion, 200);
  return {
    id: "appear",
    name: editWords.appearOneAfterAnother,
    parameters: [traits, poses, interval, time],
    draw: (given): Making => {
      const trait = known.find((t) => t.id === choiceOf(given, traits)) ?? fresh;
      const second = present(valuesOf(trait)[1]);
      const pose = poseOf(given);
      const own = { ...motion, duration: numberOf(given, time) };
      const lanes = (m: Motion) =>
        inTurn({ ...m, duration: own.duration }, layers, numberOf(given, interval));
      const draft = {
        trigger: { type: "delay", ms: 0 },
        source: null,
        effects: [becomes(trait, second)],
        motion: lanes(own),
      } as const;
      const all = <T>(values: T) => Object.fromEntries(layers.map((id) => [id, values]));
      return {
        traits: trait === fresh ? [trait] : [],
        rules: trait === fresh ? numbered(piece, [draft], own) : [],
        changed:
          trait === fresh
            ? []
            : rulesTo(piece, trait).map((r) => ({ ...r, motion: lanes(r.motion) })),
        looks: [
          { when: {}, edits: all({ visible: false, comesFrom: pose }) },
          { when: where(trait, second), edits: all({ visible: true }) },
        ],
      };
    },
  };
};
