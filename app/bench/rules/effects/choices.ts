import type { Id } from "#core/basics";
import { piecesOf, settableOptions } from "#core/edit";
import { traitsOf, valuesOf } from "#core/looks";
import { componentsAt } from "#core/machine";
import { inOrder } from "#core/project";
import type {
  Effect,
  EffectOf,
  EffectType,
  Layer,
  Piece,
  Project,
  Trait,
  TraitTarget,
} from "#core/project";
import { usualOption } from "../OptionPart";
import { rulesWords } from "../words";

/** What an effect can be made of: the piece it is in, and what it has now. */
export interface Around {
  readonly project: Project;
  readonly piece: Piece;
  readonly effect: Effect;
  /** makes a signal of the piece; null when that was refused */
  readonly newSignal: () => string | null;
}

interface Choice {
  readonly value: string;
  readonly words: string;
}

/** How a kind of effect is chosen: a choice begins with the kind, then what it is about. */
interface EffectChoices<K extends EffectType> {
  readonly offers: (around: Around) => readonly Choice[];
  /** the choice that stands for an effect */
  readonly chosen: (effect: EffectOf<K>) => string;
  /** the effect of a choice; null when it cannot be made */
  readonly make: (around: Around, a: string, b: string) => EffectOf<K> | null;
}

/** A trait's next value most people mean: the other of two, else the second. */
const usualTarget = (trait: Trait): TraitTarget => {
  const second = valuesOf(trait)[1];
  return second ? { value: second.id } : { step: "next" };
};

/** Screens a piece can lead to. */
export const screensFor = ({ project, piece }: Around): Piece[] =>
  piecesOf(project, "screen").filter((s) => s.id !== piece.id);

/** Traits of the copies in a piece that a rule can set. */
export const nestedTraits = (
  project: Project,
  piece: Piece,
): { readonly layer: Layer; readonly trait: Trait }[] =>
  Object.values(piece.layers)
    .filter((l) => l.kind === "instance")
    .flatMap((layer) =>
      componentsAt(project, piece, layer.id).flatMap((c) =>
        traitsOf(c).map((trait) => ({ layer, trait })),
      ),
    );

const layersThatSay = (piece: Piece, key: string): Layer[] =>
  Object.values(piece.layers).filter((l) =>
    Object.values(piece.looks).some((k) => k.changes[l.id]?.[key] !== undefined),
  );

/** Layers that can be scrolled to. */
export const scrollTargets = (piece: Piece): Layer[] =>
  Object.values(piece.layers).filter((l) => l.parent !== null);

const leadsToScreen = ({ effect }: Around): boolean =>
  effect.type === "go" || effect.type === "open";

const screenFor = (around: Around): string | undefined => {
  const { effect } = around;
  return effect.type === "go" || effect.type === "open" ? effect.screen : screensFor(around)[0]?.id;
};

const toScreen = <K extends "go" | "open">(
  type: K,
  words: string,
  to: (screen: Id) => EffectOf<K>,
): EffectChoices<K> => ({
  offers: (around) =>
    screensFor(around).length || leadsToScreen(around) ? [{ value: type, words }] : [],
  chosen: () => type,
  make: (around) => {
    const screen = screenFor(around);
    return screen === undefined ? null : to(screen);
  },
});

/** A kind that says nothing beside its kind. */
const plain = <K extends EffectType>(
  made: EffectOf<K>,
  words: string,
  isOffered: (around: Around) => boolean = () => true,
): EffectChoices<K> => ({
  offers: (around) => (isOffered(around) ? [{ value: made.type, words }] : []),
  chosen: () => made.type,
  make: () => made,
});

/** Every kind, in the order in which they are offered. */
const choices: { readonly [K in EffectType]: EffectChoices<K> } = {
  set: {
    offers: ({ piece }) => traitsOf(piece).map((t) => ({ value: `set ${t.id}`, words: t.name })),
    chosen: ({ trait }) => `set ${trait}`,
    make: ({ piece }, a) => {
      const trait = piece.traits[a];
      return trait ? { type: "set", trait: trait.id, to: usualTarget(trait) } : null;
    },
  },
  nested: {
    offers: ({ project, piece }) =>
      nestedTraits(project, piece).map(({ layer, trait }) => ({
        value: `nested ${layer.id} ${trait.id}`,
        words: `${layer.name}: ${trait.name}`,
      })),
    chosen: ({ layer, trait }) => `nested ${layer} ${trait}`,
    make: ({ project, piece }, a, b) => {
      const found = nestedTraits(project, piece).find((n) => n.layer.id === a && n.trait.id === b);
      return found ? { type: "nested", layer: a, trait: b, to: usualTarget(found.trait) } : null;
    },
  },
  option: {
    offers: ({ project, piece }) =>
      settableOptions(project, piece).map(({ layer, option }) => ({
        value: `option ${layer.id} ${option.id}`,
        words: `${layer.name}: ${option.name}`,
      })),
    chosen: ({ layer, option }) => `option ${layer} ${option}`,
    make: ({ project, piece }, a, b) => {
      const found = settableOptions(project, piece).find(
        (s) => s.layer.id === a && s.option.id === b,
      );
      return found
        ? {
            type: "option",
            layer: a,
            option: b,
            value: usualOption(project, found.component, found.option),
          }
        : null;
    },
  },
  go: toScreen("go", rulesWords.go, (screen) => ({ type: "go", screen })),
  open: toScreen("open", rulesWords.showAsOverlay, (screen) => ({ type: "open", screen })),
  close: plain({ type: "close" }, rulesWords.closeOverlay),
  clip: {
    // what is about one clip stands together, its moments too
    offers: ({ piece }) =>
      layersThatSay(piece, "plays").flatMap((l) => [
        { value: `clip ${l.id}`, words: rulesWords.playOrPause(l.name) },
        { value: `seek ${l.id}`, words: rulesWords.goName(l.name) },
      ]),
    chosen: ({ layer }) => `clip ${layer}`,
    make: (_around, layer) => ({ type: "clip", layer, act: "turn" }),
  },
  seek: {
    offers: () => [],
    chosen: ({ layer }) => `seek ${layer}`,
    make: (_around, layer) => ({ type: "seek", layer, ms: 0 }),
  },
  stir: plain({ type: "stir" }, rulesWords.animateLanesOnly),
  scroll: {
    offers: ({ piece }) =>
      scrollTargets(piece).length ? [{ value: "scroll", words: rulesWords.scroll }] : [],
    chosen: () => "scroll",
    make: ({ piece }) => {
      const [first] = scrollTargets(piece);
      return first ? { type: "scroll", layer: first.id } : null;
    },
  },
  empty: plain(
    { type: "empty" },
    rulesWords.resetForm,
    ({ piece }) => layersThatSay(piece, "entry").length > 0,
  ),
  back: plain({ type: "back" }, rulesWords.goBack),
  raise: {
    offers: () => [{ value: "raise", words: rulesWords.sendSignal }],
    chosen: () => "raise",
    make: ({ piece, newSignal }) => {
      const signal = inOrder(piece.signals)[0]?.id ?? newSignal();
      return signal === null ? null : { type: "raise", signal };
    },
  },
  address: {
    offers: () => [{ value: "address", words: rulesWords.openWebAddress }],
    chosen: () => "address",
    make: () => ({ type: "address", to: "https://example.com" }),
  },
};

const choicesFor = <K extends EffectType>(effect: EffectOf<K>): EffectChoices<K> =>
  choices[effect.type];

const isKind = (text: string): text is EffectType => text in choices;

/** All effects that can be chosen. */
export const effectChoices = (around: Around): readonly Choice[] =>
  Object.values(choices).flatMap((c) => c.offers(around));

/** The choice in the first field of an effect that stands for it. */
export const choiceOf = (effect: Effect): string => choicesFor(effect).chosen(effect);

/** The effect of a choice; null when it cannot be made. */
export const effectOfChoice = (around: Around, choice: string): Effect | null => {
  const [kind = "", a = "", b = ""] = choice.split(" ");
  return isKind(kind) ? choices[kind].make(around, a, b) : null;
};
