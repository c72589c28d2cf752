import { isUnused, meets, restingVariant, variantKey, variantsOf } from "../looks";
import type { Piece, Rule, Variant } from "../project";
import { targetValue } from "./rules/target";

/** Where a rule of a piece leads from a variant: its own traits as the effects leave them. */
const ledTo = (piece: Piece, rule: Rule, from: Variant): Variant =>
  rule.effects.reduce((v, e) => {
    const to = e.type === "set" ? targetValue(piece, v, e.trait, e.to) : null;
    return e.type === "set" && to !== null ? { ...v, [e.trait]: to } : v;
  }, from);

/** The variants a rule can set out from, those first that it changes. */
export const startsOf = (piece: Piece, rule: Rule): readonly Variant[] => {
  const all = variantsOf(piece).filter((v) => meets(rule.when, v) && !isUnused(piece, v));
  const changed = (v: Variant) => variantKey(piece, ledTo(piece, rule, v)) !== variantKey(piece, v);
  return [...all.filter(changed), ...all.filter((v) => !changed(v))];
};

/**
 * From where to where a rule leads, as one looks at it: from the variant one looks at where that
 * can be, else from one that leads to it, else from the first.
 */
export const endsOf = (
  piece: Piece,
  rule: Rule,
  looked: Variant,
): { readonly from: Variant; readonly to: Variant } => {
  const starts = startsOf(piece, rule);
  const key = variantKey(piece, looked);
  const led = (v: Variant) => variantKey(piece, ledTo(piece, rule, v));
  const from =
    starts.find((v) => variantKey(piece, v) === key && led(v) !== key) ??
    starts.find((v) => led(v) === key && variantKey(piece, v) !== key) ??
    starts.find((v) => variantKey(piece, v) === key) ??
    starts[0] ??
    restingVariant(piece);
  return { from, to: ledTo(piece, rule, from) };
};

/**
 * The rule that leads back from where another leads to, as near as can be to where it came from;
 * null when there is none. The rule itself, where it leads both ways.
 */
export const backOf = (
  piece: Piece,
  rules: readonly Rule[],
  rule: Rule,
  ends: { readonly from: Variant; readonly to: Variant },
): Rule | null => {
  const home = variantKey(piece, ends.from);
  if (home === variantKey(piece, ends.to)) return null;
  const back = (r: Rule) =>
    meets(r.when, ends.to) && variantKey(piece, ledTo(piece, r, ends.to)) === home;
  return back(rule) ? rule : (rules.find(back) ?? null);
};

/** The rules that lead from one variant straight to another. */
export const between = (
  piece: Piece,
  rules: readonly Rule[],
  from: Variant,
  to: Variant,
): readonly Rule[] =>
  rules.filter(
    (r) =>
      meets(r.when, from) && variantKey(piece, ledTo(piece, r, from)) === variantKey(piece, to),
  );
