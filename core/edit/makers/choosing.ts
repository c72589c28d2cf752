import { present } from "../../basics";
import { valuesOf } from "../../looks";
import type { Trait, TraitValue } from "../../project";
import { editWords } from "../words";
import { becomes, number, numberOf, numbered, rulesOnly, where } from "./making";
import { sourceOf } from "./pressed";
import type { Draft, Maker, Setting } from "./making";

/** Words by which people call a value that is none of the others. */
const noneWords: readonly string[] = ["none", "nothing", "no", "0", "off", "empty"];

/**
 * The values that so many layers choose, each its own: all, or all but a first one that is none of
 * the others; null where there are more values or fewer.
 */
export const pickedBy = (trait: Trait, layers: number): readonly TraitValue[] | null => {
  const values = valuesOf(trait);
  if (values.length === layers) return values;
  const [first, ...others] = values;
  const hasNone = first !== undefined && noneWords.includes(first.name.toLowerCase());
  return hasNone && others.length === layers ? others : null;
};

/**
 * As many layers as values: a click on a layer chooses its value. The layers come as one sees them,
 * from first to last.
 */
export const pick = ({ piece, layers, motion }: Setting, trait: Trait): Maker => {
  const drafts = (pickedBy(trait, layers.length) ?? []).map((value, i): Draft => ({
    trigger: { type: "click" },
    source: present(layers[i]),
    effects: [becomes(trait, value)],
  }));
  return {
    id: `pick ${trait.id}`,
    name: editWords.oneLayerPerValue(trait.name),
    parameters: [],
    draw: () => rulesOnly(numbered(piece, drafts, motion)),
  };
};

/** A click turns a trait of two values over: one rule, or two where the way back has its own time. */
export const thereAndBack = (setting: Setting, trait: Trait): Maker => {
  const { piece, motion } = setting;
  const source = sourceOf(setting);
  const there = number("there", editWords.duration, motion.duration, "ms", [0, 5000, 10]);
  const back = number("back", editWords.returnDuration, motion.duration, "ms", [0, 5000, 10]);
  const click = { trigger: { type: "click" }, source } as const;
  return {
    id: `back ${trait.id}`,
    name: editWords.toggleClick(trait.name),
    parameters: [there, back],
    draw: (given) => {
      const own = { ...motion, duration: numberOf(given, there) };
      const goingBack = given.back === undefined ? own.duration : numberOf(given, back);
      if (goingBack === own.duration) {
        const effects = [{ type: "set", trait: trait.id, to: { step: "opposite" } } as const];
        return rulesOnly(numbered(piece, [{ ...click, effects }], own));
      }
      const first = present(valuesOf(trait)[0]);
      const second = present(valuesOf(trait)[1]);
      const drafts: Draft[] = [
        { ...click, when: where(trait, first), effects: [becomes(trait, second)] },
        {
          ...click,
          when: where(trait, second),
          effects: [becomes(trait, first)],
          motion: { ...own, duration: goingBack },
        },
      ];
      return rulesOnly(numbered(piece, drafts, own));
    },
  };
};

/** The first layer opens, the second and Escape close. It is for traits of two values. */
export const openClose = ({ piece, layers, motion }: Setting, trait: Trait): Maker => {
  const [opens, closes] = layers;
  const shut = present(valuesOf(trait)[0]);
  const open = present(valuesOf(trait)[1]);
  const drafts: Draft[] = [
    { trigger: { type: "click" }, source: opens ?? null, effects: [becomes(trait, open)] },
    {
      trigger: { type: "click" },
      source: closes ?? null,
      when: where(trait, open),
      effects: [becomes(trait, shut)],
    },
    {
      trigger: { type: "key", key: "Escape" },
      source: null,
      when: where(trait, open),
      effects: [becomes(trait, shut)],
    },
  ];
  return {
    id: `open ${trait.id}`,
    name: editWords.openClose(trait.name),
    parameters: [],
    draw: () => rulesOnly(numbered(piece, drafts, motion)),
  };
};

/** From value to value, each after a wait; once to the end, or round for ever. */
export const steps = ({ piece, motion }: Setting, trait: Trait, round: boolean): Maker => {
  const values = valuesOf(trait);
  const wait = number("wait", editWords.delay, 800, "ms", [0, 60_000, 50]);
  return {
    id: `${round ? "round" : "steps"} ${trait.id}`,
    name: editWords.advanceAutomatically(trait.name, round),
    parameters: [wait],
    draw: (given) => {
      const ms = numberOf(given, wait);
      const drafts = values.flatMap((value, i): Draft[] => {
        const next = values[i + 1] ?? (round ? values[0] : undefined);
        if (!next) return [];
        return [
          {
            trigger: { type: "delay", ms },
            source: null,
            when: where(trait, value),
            effects: [becomes(trait, next)],
          },
        ];
      });
      return rulesOnly(numbered(piece, drafts, motion));
    },
  };
};
