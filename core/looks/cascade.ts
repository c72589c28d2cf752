import { byOrder } from "../project/ids";
import { defaultsOf, OPTION, property, TRAIT } from "../properties/registry";
import type { Value, Values } from "../properties/types";
import type { Id, Layer, LayerChanges, Look, Piece, Variant } from "../project/types";
import { onlyScope, suggestedScope } from "./scope";
import { meets, sameCondition, specificity } from "./variants";

const sorted = new WeakMap<object, readonly Look[]>();

/** Looks from the least to the most specific, ties by their own order: the last that sets a property wins. */
export const looksOf = (piece: Piece): readonly Look[] => {
  const known = sorted.get(piece.looks);
  if (known) return known;
  const list = Object.values(piece.looks).sort((a, b) => specificity(a.when) - specificity(b.when) || byOrder(a, b));
  sorted.set(piece.looks, list);
  return list;
};

/** The looks that hold in a variant, weakest first. */
export const looksIn = (piece: Piece, variant: Variant): Look[] => looksOf(piece).filter((l) => meets(l.when, variant));

/** What the looks say about one layer, weakest first. Equal inputs give equal object identities, so results can be kept. */
export const changesIn = (looks: readonly Look[], layer: Id): LayerChanges[] => {
  const out: LayerChanges[] = [];
  for (const look of looks) {
    const changes = look.changes[layer];
    if (changes) out.push(changes);
  }
  return out;
};

/** The values of every property of a layer, from its kind's defaults and the given changes, weakest first. */
export const cascade = (layer: Layer, changes: readonly LayerChanges[]): Values => Object.assign({}, defaultsOf(layer.kind), ...changes) as Values;

/** All values of one layer in one variant. */
export const valuesIn = (piece: Piece, variant: Variant, layer: Layer): Values => cascade(layer, changesIn(looksIn(piece, variant), layer.id));

/** A value and where it comes from. */
export interface Origin {
  readonly value: Value | undefined;
  /** the look that says it; null: nobody, it is the property's own default */
  readonly from: Id | null;
  /** looks that say something else here and lose, strongest first */
  readonly hidden: readonly Id[];
  /** true when the variant says it for itself: the winning look's condition is the variant's own (see suggestedScope) or holds only here */
  readonly own: boolean;
}

/** Resolves one property with its origin: which look won, which said something else and lost. */
export const originOf = (piece: Piece, variant: Variant, layer: Layer, key: string): Origin => {
  const saying = looksIn(piece, variant).filter((l) => l.changes[layer.id]?.[key] !== undefined).reverse();
  const winner = saying[0];
  const fallback = key.startsWith(TRAIT) || key.startsWith(OPTION) ? undefined : (defaultsOf(layer.kind)[key] ?? property(key)?.fallback);
  return {
    value: winner ? winner.changes[layer.id]?.[key] : fallback,
    from: winner?.id ?? null,
    hidden: saying.slice(1).map((l) => l.id),
    own: winner !== undefined && (sameCondition(winner.when, suggestedScope(piece, variant)) || sameCondition(winner.when, onlyScope(piece, variant))),
  };
};
