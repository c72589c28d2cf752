import { present } from "../../basics";
import type { Id } from "../../basics";
import { changesIn, looksIn, restingVariant, traitsOf, valuesIn, valuesOf } from "../../looks";
import type { Condition, Effect, Piece, Project, Trait, Variant } from "../../project";
import type { Value } from "../../properties";
import { newTrait } from "../behaviour/traits";
import { editWords } from "../words";
import { contactTrait } from "./contact";
import { choice, choiceOf, duration, number, numberOf, numbered, where } from "./making";
import type { Draft, Given, Maker, Making, Setting } from "./making";

const raisedIn = (piece: Piece, variant: Variant, id: Id): number =>
  Number(changesIn(looksIn(piece, variant), id).findLast((c) => c.stack !== undefined)?.stack ?? 0);

/** Layers from the one in front to the one at the back: those raised first, then by the tree. */
const pileIn = (piece: Piece, layers: readonly Id[], variant: Variant): readonly Id[] =>
  [...layers].sort(
    (a, b) =>
      raisedIn(piece, variant, b) - raisedIn(piece, variant, a) ||
      ((piece.layers[b]?.order ?? "") > (piece.layers[a]?.order ?? "") ? 1 : -1),
  );

/** Whether a trait's looks already say which of the layers lies in front. */
const isPiled = (piece: Piece, layers: readonly Id[], trait: Trait): boolean =>
  Object.values(piece.looks).some(
    (look) =>
      look.when[trait.id] !== undefined &&
      layers.some((id) => look.changes[id]?.stack !== undefined),
  );

const ORDINALS = [
  editWords.first,
  editWords.second,
  editWords.third,
  editWords.fourth,
  editWords.fifth,
  editWords.sixth,
];
const ordinal = (i: number): string => ORDINALS[i] ?? String(i + 1);

/** What of a card is as its place in the pile: where it lies, and how large and clear it is. */
const ofPlace = ["x", "y", "rotation", "scale", "opacity"] as const;

const placeOf = (project: Project, piece: Piece, id: Id): Record<string, Value> => {
  const layer = present(piece.layers[id]);
  const v = valuesIn(project, piece, restingVariant(piece), layer);
  return Object.fromEntries(ofPlace.map((key) => [key, v[key]]));
};

/**
 * A look for every value: the cards take one another's places as they lie at rest, so that each
 * lies in front once.
 */
const looksOfPile = (project: Project, piece: Piece, pile: readonly Id[], trait: Trait) => {
  const n = pile.length;
  const places = pile.map((id) => placeOf(project, piece, id));
  return valuesOf(trait).map((value, i) => ({
    when: i === 0 ? ({} satisfies Condition) : where(trait, value),
    edits: Object.fromEntries(
      pile.map((_, rank) => [present(pile[(i + rank) % n]), { ...places[rank], stack: n - rank }]),
    ),
  }));
};

const isForPile = (piece: Piece, layers: readonly Id[], trait: Trait): boolean =>
  valuesOf(trait).length === layers.length && trait !== contactTrait(piece);

const ANY = "any";
const TWO = "two";
const FRESH = "new";

const ways = choice("ways", editWords.drag, [
  { value: ANY, words: editWords.anyWayGoesOn },
  { value: TWO, words: editWords.leftOnRightBack },
]);
const travel = number("travel", editWords.travel, 140, "px", [20, 2000, 10]);
const part = number("part", editWords.doneFrom, 40, "%", [5, 100, 5]);
const speed = number("speed", editWords.orFasterThan, 500, "px/s", [50, 10_000, 50]);
const lean = number("lean", editWords.lean, 12, "°", [0, 60, 1]);

const goes = (trait: Trait, step: "next" | "previous"): readonly Effect[] => [
  { type: "set", trait: trait.id, to: { step } },
];

/** How cards are dragged: free ones keep with the hand. */
const dragsOf = (given: Given) => {
  const line = {
    type: "drag",
    travel: numberOf(given, travel),
    part: numberOf(given, part) / 100,
    speed: numberOf(given, speed),
  } as const;
  return { line, free: { ...line, way: "free", lean: numberOf(given, lean) } as const };
};

/** The rules of the card that lies in front with a value: on, and back. */
const draftsOfCard = (given: Given, trait: Trait, i: number, card: Id): readonly Draft[] => {
  const values = valuesOf(trait);
  const { line, free } = dragsOf(given);
  const inFront = where(trait, present(values[i]));
  const atTheBack = where(trait, present(values[(i + 1) % values.length]));
  const on = { source: card, when: inFront, effects: goes(trait, "next") };
  const back = { source: card, effects: goes(trait, "previous") };
  if (choiceOf(given, ways) === TWO)
    return [
      { ...on, trigger: { ...free, direction: "left" } },
      { ...back, trigger: { ...line, direction: "right" }, when: inFront },
    ];
  // the card that was thrown off lies at the back, and is drawn out there again
  return [
    { ...on, trigger: { ...free, direction: "any" } },
    { ...back, trigger: { ...free, direction: "any" }, when: atTheBack },
  ];
};

/** The same by the arrow keys: not everybody can drag. */
const draftsOfKeys = (trait: Trait): readonly Draft[] => [
  {
    trigger: { type: "key", key: "ArrowRight" },
    source: null,
    effects: goes(trait, "next"),
  },
  {
    trigger: { type: "key", key: "ArrowLeft" },
    source: null,
    effects: goes(trait, "previous"),
  },
];

/**
 * Cards in a pile: the one in front keeps with the hand, flies off the way it was thrown and comes
 * back behind the others; the last one can be brought back. Arrow keys do the same. Without a trait
 * for it, the pile is made of the cards as they lie.
 */
export const deck = ({ project, piece, layers, motion }: Setting): Maker => {
  const known = traitsOf(piece).filter((t) => isForPile(piece, layers, t));
  const fresh = newTrait(
    piece,
    editWords.inFront,
    layers.map((_, i) => ordinal(i)),
  );
  const traits = choice("trait", editWords.trait, [
    ...known.map((t) => ({ value: t.id, words: t.name })),
    { value: FRESH, words: editWords.newTraitNamed(fresh.name) },
  ]);
  const time = duration(motion, 240);
  const draw = (given: Given): Making => {
    const trait = known.find((t) => t.id === choiceOf(given, traits)) ?? fresh;
    const rest = restingVariant(piece);
    const isThere = trait !== fresh && isPiled(piece, layers, trait);
    const pile = pileIn(piece, layers, rest);
    const frontWith = (value: Id): readonly Id[] =>
      pileIn(piece, layers, { ...rest, [trait.id]: value });
    const drafts = valuesOf(trait).flatMap((value, i) => {
      const card = isThere ? frontWith(value.id)[0] : pile[i];
      return draftsOfCard(given, trait, i, present(card));
    });
    const own = { ...motion, duration: numberOf(given, time) };
    return {
      traits: trait === fresh ? [trait] : [],
      rules: numbered(piece, [...drafts, ...draftsOfKeys(trait)], own),
      changed: [],
      looks: isThere ? [] : looksOfPile(project, piece, pile, trait),
    };
  };
  return {
    id: "deck",
    name: editWords.dragDeck,
    parameters: [traits, ways, travel, part, speed, lean, time],
    draw,
  };
};
