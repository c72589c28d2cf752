import { isOneOf } from "../basics";
import type { Id } from "../basics";
import { byOrder } from "../project";
import type { Layer, LayerChanges, Look, Piece, Variant } from "../project";
import { OPTION, TRAIT, defaultsOf, property, styleKeys } from "../properties";
import type { LayerValues, SpecifiedValue, Values } from "../properties";
import { onlyScope, suggestedScope } from "./scope";
import { resolveTokens } from "./tokens";
import type { Named } from "./tokens";
import { meets, sameCondition, specificity } from "./variants";

const sorted = new WeakMap<object, readonly Look[]>();

/**
 * Looks from the least to the most specific, ties by their own order: the last that sets a property
 * wins.
 */
export const looksOf = (piece: Pick<Piece, "looks">): readonly Look[] => {
  const known = sorted.get(piece.looks);
  if (known) return known;
  const list = Object.values(piece.looks).sort(
    (a, b) => specificity(a.when) - specificity(b.when) || byOrder(a, b),
  );
  sorted.set(piece.looks, list);
  return list;
};

/** The looks that hold in a variant, weakest first. */
export const looksIn = (piece: Pick<Piece, "looks">, variant: Variant): Look[] =>
  looksOf(piece).filter((l) => meets(l.when, variant));

/**
 * What the looks say about one layer, weakest first. Equal inputs give equal object identities, so
 * results can be kept.
 */
export const changesIn = (looks: readonly Look[], layer: Id): LayerChanges[] => {
  const out: LayerChanges[] = [];
  for (const look of looks) {
    const changes = look.changes[layer];
    if (changes) out.push(changes);
  }
  return out;
};

/**
 * The values of every property of a layer, from its kind's defaults and the given changes, weakest
 * first.
 */
export const cascade = (layer: Layer, changes: readonly Values[]): LayerValues =>
  // looks say values of the properties they name: the schema has seen to that
  Object.assign({}, defaultsOf(layer.kind), ...changes) as LayerValues;

/** All values of one layer in one variant, tokens and assets put in. */
export const valuesIn = (named: Named, piece: Piece, variant: Variant, layer: Layer): LayerValues =>
  cascade(
    layer,
    changesIn(looksIn(piece, variant), layer.id).map((c) => resolveTokens(named, c)),
  );

/** A value, or the token it is bound to, and where it comes from. */
export interface Origin {
  readonly value: SpecifiedValue | undefined;
  /** the look that says it; null: nobody, it is the property's own default */
  readonly from: Id | null;
  /** true when it comes with the text style that the look gives the layer */
  readonly styled: boolean;
  /** looks that say something else here and lose, strongest first */
  readonly hidden: readonly Id[];
  /**
   * true when the variant says it for itself: the winning look's condition is the variant's own
   * (see suggestedScope) or holds only here
   */
  readonly own: boolean;
}

/** What one look says about a property of a layer, itself or by a text style. */
const saidBy = (
  named: Named,
  look: Look,
  layer: Id,
  key: string,
): { said: SpecifiedValue | undefined; styled: boolean } => {
  const changes = look.changes[layer];
  const said = changes?.[key];
  if (said !== undefined || changes?.style === undefined || !isOneOf(styleKeys, key))
    return { said, styled: false };
  return { said: resolveTokens(named, changes)[key], styled: true };
};

/** Resolves one property with its origin: which look won, which said something else and lost. */
export const originOf = (
  named: Named,
  piece: Piece,
  variant: Variant,
  layer: Layer,
  key: string,
): Origin => {
  const saying = looksIn(piece, variant)
    .map((look) => ({ look, ...saidBy(named, look, layer.id, key) }))
    .filter((s) => s.said !== undefined)
    .reverse();
  const winner = saying[0];
  const fallback =
    key.startsWith(TRAIT) || key.startsWith(OPTION)
      ? undefined
      : (defaultsOf(layer.kind)[key] ?? property(key)?.fallback);
  return {
    value: winner ? winner.said : fallback,
    from: winner?.look.id ?? null,
    styled: winner?.styled ?? false,
    hidden: saying.slice(1).map((s) => s.look.id),
    own:
      winner !== undefined &&
      (sameCondition(winner.look.when, suggestedScope(piece, variant)) ||
        sameCondition(winner.look.when, onlyScope(piece, variant))),
  };
};
