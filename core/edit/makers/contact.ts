import type { Id } from "../../basics";
import { traitsOf, valuesOf } from "../../looks";
import type { Motion, Piece, Trait, TraitValue, TriggerType } from "../../project";
import { newTrait } from "../behaviour/traits";
import { editWords } from "../words";
import { becomes, number, numberOf, numbered } from "./making";
import type { Draft, Maker, Setting } from "./making";

/** Words by which people call the values of a contact. */
const contactWords: readonly { trigger: TriggerType; words: readonly string[] }[] = [
  { trigger: "hover", words: ["hovered", "hover", "over"] },
  { trigger: "focus", words: ["focused", "focus"] },
  { trigger: "press", words: ["pressed", "press", "down", "active"] },
];

const valueFor = (trait: Trait, words: readonly string[]): TraitValue | undefined =>
  valuesOf(trait).find((v) => words.includes(v.name.toLowerCase()));

/**
 * The trait that says how a piece is touched: one with a value for hovering or pressing beside
 * others.
 */
export const contactTrait = (piece: Piece): Trait | undefined =>
  traitsOf(piece).find(
    (t) =>
      contactWords.filter((c) => valueFor(t, c.words)).length > 1 ||
      (valuesOf(t).length > 1 &&
        contactWords.some((c) => c.trigger === "hover" && valueFor(t, c.words))),
  );

/** A press answers faster than a hover; ms. */
const PRESS = 100;

const draftsFor = (trait: Trait, source: Id | null, motion: Motion, back: number): Draft[] =>
  contactWords.flatMap(({ trigger, words }): Draft[] => {
    const value = valueFor(trait, words);
    if (!value) return [];
    const duration = trigger === "press" ? Math.min(PRESS, motion.duration) : motion.duration;
    const own = { ...motion, duration };
    const draft: Draft = {
      trigger: { type: trigger },
      source,
      effects: [becomes(trait, value)],
      undo: true,
      motion: own,
    };
    // a press that ends goes back along with the click, unless asked otherwise
    const isOwn = back !== motion.duration;
    return [isOwn ? { ...draft, back: { ...own, duration: back } } : draft];
  });

/** Hovered, focused and pressed, each undone when it ends; the trait is made when there is none. */
export const contact = ({ piece, layers, motion }: Setting): Maker => {
  const source = layers.length === 1 ? (layers[0] ?? null) : null;
  const known = contactTrait(piece);
  const trait =
    known ?? newTrait(piece, editWords.contact, ["none", "hovered", "focused", "pressed"]);
  const there = number("there", editWords.duration, motion.duration, "ms", [0, 5000, 10]);
  const back = number("back", editWords.returnDuration, motion.duration, "ms", [0, 5000, 10]);
  return {
    id: "contact",
    name: editWords.contactHoveredFocusedPressed,
    parameters: [there, back],
    draw: (given) => {
      const own = { ...motion, duration: numberOf(given, there) };
      const goingBack = given.back === undefined ? own.duration : numberOf(given, back);
      const drafts = draftsFor(trait, source, own, goingBack);
      return {
        traits: known ? [] : [trait],
        rules: numbered(piece, drafts, own),
        changed: [],
        looks: [],
      };
    },
  };
};
