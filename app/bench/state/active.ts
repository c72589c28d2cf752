import type { Id } from "#core/basics";
import {
  exactly,
  reached,
  sameConditions,
  suggestedScope,
  variantFrom,
  variantKey,
} from "#core/looks";
import { ROOT } from "#core/project";
import type { Condition, Piece, Variant, Varying } from "#core/project";
import type { BenchState } from "./state";

/** The cards chosen and the scope the next edit has there. */
export interface Active {
  /** the card looked at */
  readonly variant: Variant;
  /** all chosen cards, the one looked at first */
  readonly variants: readonly Variant[];
  /** the conditions the next edit is made in */
  readonly whens: readonly Condition[];
  readonly suggested: boolean;
}

export const activeOf = (
  piece: Varying,
  state: Pick<BenchState, "variant" | "scope" | "also">,
): Active => {
  const variant = variantFrom(piece, state.variant);
  const keys = new Set([variantKey(piece, variant)]);
  const others = state.also
    .map((v) => variantFrom(piece, v))
    .filter((v) => !keys.has(variantKey(piece, v)) && keys.add(variantKey(piece, v)));
  const variants = [variant, ...others];
  const usual = variants.length > 1 ? exactly(piece, variants) : [suggestedScope(piece, variant)];
  const { scope } = state;
  const holds =
    scope !== null &&
    variants.every((v) => reached(scope, v)) &&
    scope.every((c) => Object.keys(c).every((t) => piece.traits[t]));
  const whens = holds ? scope : usual;
  return { variant, variants, whens, suggested: sameConditions(whens, usual) };
};

/** Chooses cards: one alone, or one more or less beside those already chosen. */
export const chooseCard = (
  piece: Varying,
  state: BenchState,
  variant: Variant,
  add: boolean,
): void => {
  if (!add) {
    state.look(variant);
    return;
  }
  const { variants } = activeOf(piece, state);
  const key = variantKey(piece, variant);
  const rest = variants.filter((v) => variantKey(piece, v) !== key);
  const next = rest.length < variants.length && rest.length > 0 ? rest : [variant, ...rest];
  const [first = variant, ...others] = next;
  state.look(first, others);
};

/** What a card is called on the stage: never empty, though a piece without traits has one card. */
export const cardKey = (piece: Varying, variant: Variant): string =>
  variantKey(piece, variant) || "only";

/** The layers whose values are shown and set: the chosen ones, or the piece as a whole. */
export const shownLayers = (chosen: readonly Id[]): readonly Id[] =>
  chosen.length ? chosen : [ROOT];

/** Where new layers go: into the chosen box, empty or not, else beside the chosen layer, else into the piece. */
export const parentForNew = (piece: Piece, chosen: readonly Id[]): Id => {
  const first = chosen[0] === undefined ? undefined : piece.layers[chosen[0]];
  if (!first) return ROOT;
  return first.kind === "box" ? first.id : (first.parent ?? ROOT);
};
