import type { Id } from "../../basics";
import { traitsOf, valuesOf } from "../../looks";
import type { Motion, Piece, Trait, TraitValue } from "../../project";
import { newTrait } from "../behaviour/traits";
import { editWords } from "../words";
import { becomes, number, numberOf, numbered } from "./making";
import type { Draft, Maker, Setting } from "./making";

export type TouchTrigger = "hover" | "focus" | "press";

/** Words by which people call the values of a contact. */
const contactWords: readonly { trigger: TouchTrigger; words: readonly string[] }[] = [
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

interface Touch {
  readonly trigger: TouchTrigger;
  readonly trait: Trait;
  readonly value: TraitValue;
}

/** A value for as long as a contact lasts; `back` is how long the way back takes, ms. */
const draftOf = (
  { trigger, trait, value }: Touch,
  source: Id | null,
  motion: Motion,
  back: number,
): Draft => {
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
  return isOwn ? { ...draft, back: { ...own, duration: back } } : draft;
};

/** The contacts that a trait has a value for. */
const touchesOf = (trait: Trait): readonly Touch[] =>
  contactWords.flatMap(({ trigger, words }) => {
    const value = valueFor(trait, words);
    return value ? [{ trigger, trait, value }] : [];
  });

/** The contact that a trait of two values is called after, such as Hovered: no, yes. */
export const touchNamedBy = (trait: Trait): Touch | null => {
  const values = valuesOf(trait);
  const [, value] = values;
  const name = trait.name.toLowerCase();
  const trigger = contactWords.find((c) => c.words.includes(name))?.trigger;
  return values.length === 2 && value && trigger ? { trigger, trait, value } : null;
};

/** Rules for contacts, with the time they take and the time the way back takes. */
const lasting = (
  { piece, layers, motion }: Setting,
  named: Pick<Maker, "id" | "name">,
  touches: readonly Touch[],
  traits: readonly Trait[],
): Maker => {
  const source = layers.length === 1 ? (layers[0] ?? null) : null;
  const there = number("there", editWords.duration, motion.duration, "ms", [0, 5000, 10]);
  const back = number("back", editWords.returnDuration, motion.duration, "ms", [0, 5000, 10]);
  return {
    ...named,
    parameters: [there, back],
    draw: (given) => {
      const own = { ...motion, duration: numberOf(given, there) };
      const goingBack = given.back === undefined ? own.duration : numberOf(given, back);
      const drafts = touches.map((touch) => draftOf(touch, source, own, goingBack));
      return { traits, rules: numbered(piece, drafts, own), changed: [], looks: [] };
    },
  };
};

/** A trait that is called after a contact is on for as long as that lasts. */
export const duringTouch = (setting: Setting, touch: Touch): Maker => {
  const { trait, trigger } = touch;
  const named = { id: `during ${trait.id}`, name: editWords.duringTouch(trigger, trait.name) };
  return lasting(setting, named, [touch], []);
};

/** Hovered, focused and pressed, each undone when it ends; the trait is made when there is none. */
export const contact = (setting: Setting): Maker => {
  const { piece } = setting;
  const known = contactTrait(piece);
  const trait =
    known ?? newTrait(piece, editWords.contact, ["none", "hovered", "focused", "pressed"]);
  const named = { id: "contact", name: editWords.contactHoveredFocusedPressed };
  return lasting(setting, named, touchesOf(trait), known ? [] : [trait]);
};
