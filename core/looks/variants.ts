import { inOrder } from "../project";
import type { Condition, Trait, TraitValue, Variant, VariantNote, Varying } from "../project";
import { looksWords, restingName } from "./words";

/**
 * Beyond this many combinations only the first are listed; a piece that large must be filtered to
 * be shown.
 */
export const MOST_VARIANTS = 4096;

const traitCache = new WeakMap<object, readonly Trait[]>();
const valueCache = new WeakMap<object, readonly TraitValue[]>();

/** A piece's traits in order. Traits without values are left out: they have no say. */
export const traitsOf = (piece: Varying): readonly Trait[] => {
  const known = traitCache.get(piece.traits);
  if (known) return known;
  const list = inOrder(piece.traits).filter((t) => Object.keys(t.values).length > 0);
  traitCache.set(piece.traits, list);
  return list;
};

/** A trait's values in order. */
export const valuesOf = (trait: Trait): readonly TraitValue[] => {
  const known = valueCache.get(trait.values);
  if (known) return known;
  const list = inOrder(trait.values);
  valueCache.set(trait.values, list);
  return list;
};

/** The resting value of a trait: the marked one, else the first. */
export const restOf = (trait: Trait): string => {
  const marked = trait.rest !== null && trait.values[trait.rest] ? trait.rest : undefined;
  return marked ?? valuesOf(trait)[0]?.id ?? "";
};

const varyingCache = new WeakMap<object, Varying>();

/** What a piece's variants follow from; the same object as long as that is the same. */
export const varyingOf = ({ traits, notes }: Varying): Varying => {
  const known = varyingCache.get(traits);
  if (known?.notes === notes) return known;
  const varying: Varying = { traits, notes };
  varyingCache.set(traits, varying);
  return varying;
};

const restCache = new WeakMap<object, Variant>();

/** The variant with every trait at rest; the same object as long as the traits are. */
export const restingVariant = (piece: Varying): Variant => {
  let rest = restCache.get(piece.traits);
  if (!rest)
    restCache.set(
      piece.traits,
      (rest = Object.freeze(Object.fromEntries(traitsOf(piece).map((t) => [t.id, restOf(t)])))),
    );
  return rest;
};

/**
 * Completes and corrects a partial variant: unknown traits and values are dropped, missing ones
 * rest.
 */
export const variantFrom = (piece: Varying, partial: Variant): Variant =>
  Object.fromEntries(
    traitsOf(piece).map((t) => {
      const wanted = partial[t.id];
      return [t.id, wanted !== undefined && t.values[wanted] ? wanted : restOf(t)];
    }),
  );

const listed = new WeakMap<object, { notes: object; list: readonly Variant[] }>();

/** All used combinations in trait order, the last trait changing fastest. */
export const variantsOf = (piece: Varying): readonly Variant[] => {
  const known = listed.get(piece.traits);
  if (known?.notes === piece.notes) return known.list;
  let list: Variant[] = [{}];
  for (const trait of traitsOf(piece)) {
    list = list
      .flatMap((v) => valuesOf(trait).map((value) => ({ ...v, [trait.id]: value.id })))
      .slice(0, MOST_VARIANTS);
  }
  const used = list.filter((v) => !isUnused(piece, v));
  listed.set(piece.traits, { notes: piece.notes, list: used });
  return used;
};

/** The note that marks a variant as unused, if there is one. The resting variant is always used. */
export const unusedBy = (piece: Varying, variant: Variant): VariantNote | undefined => {
  const rest = restingVariant(piece);
  if (Object.keys(rest).every((t) => rest[t] === variant[t])) return undefined;
  return Object.values(piece.notes).find((n) => n.unused && meets(n.when, variant));
};
export const isUnused = (piece: Varying, variant: Variant): boolean =>
  unusedBy(piece, variant) !== undefined;

/** The note that names exactly this variant. */
export const nameNote = (piece: Varying, variant: Variant): VariantNote | undefined =>
  Object.values(piece.notes).find(
    (n) =>
      n.name !== null &&
      traitsOf(piece).every(
        (t) => n.when[t.id]?.length === 1 && n.when[t.id]?.[0] === variant[t.id],
      ) &&
      Object.keys(n.when).length === traitsOf(piece).length,
  );

/** A text that is equal for equal variants of one piece. */
export const variantKey = (piece: Varying, variant: Variant): string =>
  traitsOf(piece)
    .map((t) => variant[t.id] ?? "")
    .join(".");

/** Values that say that nothing is the matter; names leave them out. */
const blank = new Set(["no", "none", "false"]);

/**
 * A variant's own name, else "on, pressed"-like words: a plain yes takes its trait's name, a plain
 * no or none is left out, others stand for themselves.
 */
export const variantName = (piece: Varying, variant: Variant): string => {
  const traits = traitsOf(piece);
  if (traits.length === 0) return looksWords.onlyVariant;
  const given = nameNote(piece, variant)?.name;
  if (given) return given;
  const words = traits.flatMap((t) => {
    const name = t.values[variant[t.id] ?? ""]?.name ?? "?";
    const low = name.toLowerCase();
    if (low === "yes" || low === "true") return [t.name.toLowerCase()];
    return blank.has(low) ? [] : [name];
  });
  if (words.length) return words.join(", ");
  return variantKey(piece, variant) === variantKey(piece, restingVariant(piece))
    ? restingName
    : traits.map((t) => `no ${t.name.toLowerCase()}`).join(", ");
};

/** Whether a variant meets a condition. Traits and values that no longer exist are never met. */
export const meets = (condition: Condition, variant: Variant): boolean => {
  for (const trait in condition) {
    const allowed = condition[trait];
    if (!allowed || !allowed.includes(variant[trait] ?? "")) return false;
  }
  return true;
};

/** How specific a condition is: the number of traits it names. */
export const specificity = (condition: Condition): number => Object.keys(condition).length;

/** Whether two conditions say the same, whatever the order of their parts. */
export const sameCondition = (a: Condition, b: Condition): boolean => {
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((k) => {
      const x = a[k] ?? [];
      const y = b[k];
      return y !== undefined && x.length === y.length && x.every((v) => y.includes(v));
    })
  );
};

/**
 * The condition in words: "Alerts is on and Pressed is yes"; empty text for the empty condition.
 */
export const conditionText = (piece: Varying, condition: Condition): string =>
  Object.entries(condition)
    .map(([traitId, ids]) => {
      const trait = piece.traits[traitId];
      if (!trait) return looksWords.deletedTrait;
      const values = ids.map((id) => trait.values[id]?.name ?? looksWords.deletedValue);
      return looksWords.traitIs(trait.name, values.join(looksWords.or));
    })
    .join(looksWords.and);

/**
 * A condition in the fewest words, for where there is little room: "on + pressed"; "all" for the
 * empty one.
 */
export const conditionShort = (piece: Varying, condition: Condition): string =>
  Object.entries(condition)
    .map(([traitId, ids]) => {
      const trait = piece.traits[traitId];
      if (!trait) return "?";
      return ids
        .map((id) => {
          const name = trait.values[id]?.name ?? "?";
          const low = name.toLowerCase();
          if (low === "yes" || low === "true") {
            return trait.name.toLowerCase();
          }
          return low === "no" || low === "false" ? `not ${trait.name.toLowerCase()}` : name;
        })
        .join("/");
    })
    .join(" + ") || "all";
