import { proposedAria } from "../../access";
import type { Id } from "../../basics";
import { conditionText, restOf, variantsOf } from "../../looks";
import { inOrder, newId, orderAfter, orderAt, remove, set } from "../../project";
import type { Change, Look, Motion, Op, Piece, Trait, TraitAria, TraitValue } from "../../project";
import type { Made } from "../pieces";
import { freeName } from "../pieces";
import { editWords } from "../words";

const values = (names: readonly string[]): Record<Id, TraitValue> => {
  const list: TraitValue[] = [];
  for (const name of names) list.push({ id: newId(), name, order: orderAfter(list) });
  return Object.fromEntries(list.map((v) => [v.id, v]));
};

/**
 * A trait the piece does not have yet, with its values in order; the first is its resting value. It
 * stands for the state its name speaks of, if that is one.
 */
export const newTrait = (piece: Piece, name: string, valueNames: readonly string[]): Trait => {
  const all = Object.values(piece.traits);
  const trait: Trait = {
    id: newId(),
    name: freeName(
      name,
      all.map((t) => t.name),
    ),
    order: orderAfter(all),
    rest: null,
    pattern: all.length % 6,
    values: values(valueNames),
  };
  const aria = proposedAria(trait);
  return aria ? { ...trait, aria } : trait;
};

/** Adds a trait with its values in order. */
export const addTrait = (piece: Piece, name: string, valueNames: readonly string[]): Made => {
  const trait = newTrait(piece, name, valueNames);
  return {
    id: trait.id,
    change: {
      label: editWords.addTrait(trait.name),
      ops: [set(["pieces", piece.id, "traits", trait.id], trait)],
    },
  };
};

const at = (piece: Piece, trait: Id, ...rest: string[]): string[] => [
  "pieces",
  piece.id,
  "traits",
  trait,
  ...rest,
];

export const renameTrait = (piece: Piece, trait: Id, name: string): Change => ({
  label: editWords.renameTrait(name),
  ops: [set(at(piece, trait, "name"), name)],
});

export const addTraitValue = (piece: Piece, trait: Trait, name: string): Made => {
  const list = Object.values(trait.values);
  const value: TraitValue = {
    id: newId(),
    name: freeName(
      name,
      list.map((v) => v.name),
    ),
    order: orderAfter(list),
  };
  return {
    id: value.id,
    change: {
      label: editWords.addValue(value.name, trait.name),
      ops: [set(at(piece, trait.id, "values", value.id), value)],
    },
  };
};

export const renameTraitValue = (piece: Piece, trait: Id, value: Id, name: string): Change => ({
  label: editWords.renameValue(name),
  ops: [set(at(piece, trait, "values", value, "name"), name)],
});

/**
 * Moves a trait to a place among the traits (counted without it): rows and columns of the stage
 * follow their order.
 */
export const moveTrait = (piece: Piece, trait: Id, index: number): Change => ({
  label: editWords.reorderTraits,
  ops: [
    set(
      at(piece, trait, "order"),
      orderAt(
        Object.values(piece.traits).filter((t) => t.id !== trait),
        index,
      ),
    ),
  ],
});

/**
 * Moves a value to a place among a trait's values. A trait that rests on its first value keeps
 * resting where it did.
 */
export const moveTraitValue = (piece: Piece, trait: Trait, value: Id, index: number): Change => ({
  label: editWords.reorderValues(trait.name),
  ops: [
    set(
      at(piece, trait.id, "values", value, "order"),
      orderAt(
        Object.values(trait.values).filter((v) => v.id !== value),
        index,
      ),
    ),
    ...(trait.rest === null ? [set(at(piece, trait.id, "rest"), restOf(trait))] : []),
  ],
});

/** Says which state a trait stands for to assistive technology; null: it is only seen. */
export const setTraitAria = (piece: Piece, trait: Id, aria: TraitAria | null): Change => ({
  label: editWords.changeState,
  ops: [aria ? set(at(piece, trait, "aria"), aria) : remove(at(piece, trait, "aria"))],
});

/** Gives a trait a motion of its own, or takes it away: one time and curve for all that changes. */
export const setTraitMotion = (piece: Piece, trait: Id, motion: Motion | null): Change => {
  const path = at(piece, trait, "motion");
  if (!motion) return { label: editWords.changeTraitMotion, ops: [remove(path)] };
  const { kind, duration, delay, easing } = motion;
  return {
    label: editWords.changeTraitMotion,
    ops: [set(path, { kind, duration, delay, easing })],
  };
};

/** Chooses the patterned swatch of a trait. */
export const setPattern = (piece: Piece, trait: Id, pattern: number): Change => ({
  label: editWords.changeSwatch,
  ops: [set(at(piece, trait, "pattern"), pattern)],
});

/** What would go with a value: in words, for before and after it is removed. */
export const lostWith = (
  piece: Piece,
  trait: Trait,
  value: Id,
): { variants: number; looks: number; rules: number; text: string } => {
  const variants = variantsOf(piece).filter((v) => v[trait.id] === value).length;
  const looks = Object.values(piece.looks).filter(
    (l) => l.when[trait.id]?.length === 1 && l.when[trait.id]?.[0] === value,
  );
  const rules = Object.values(piece.rules).filter(
    (r) =>
      (r.when[trait.id]?.length === 1 && r.when[trait.id]?.[0] === value) ||
      r.effects.some(
        (e) => e.type === "set" && e.trait === trait.id && "value" in e.to && e.to.value === value,
      ),
  ).length;
  const said = looks.reduce(
    (n, l) => n + Object.values(l.changes).reduce((m, c) => m + Object.keys(c).length, 0),
    0,
  );
  const parts = [
    editWords.variants(variants),
    ...(said
      ? [
          editWords.valueSetWhere(
            said,
            looks
              .map((l) => conditionText(piece, l.when))
              .slice(0, 2)
              .join(editWords.or),
            looks.length,
          ),
        ]
      : []),
  ];
  return {
    variants,
    looks: looks.length,
    rules,
    text: `${parts.join(" and ")}${rules ? editWords.ruleWillStopWorking(rules) : ""}`,
  };
};

export const setRest = (piece: Piece, trait: Id, value: Id): Change => ({
  label: editWords.setDefaultValue,
  ops: [set(at(piece, trait, "rest"), value)],
});

/** Notes about variants that are no more. */
const noteOps = (
  piece: Piece,
  trait: Trait,
  gone: (value: Id) => boolean,
  dropTrait: boolean,
): Op[] =>
  Object.values(piece.notes).flatMap((note): Op[] => {
    const named = note.when[trait.id];
    const path = ["pieces", piece.id, "notes", note.id];
    if (!named) return [];
    const left = named.filter((v) => !gone(v));
    const { [trait.id]: _dropped, ...others } = note.when;
    if (dropTrait && named.includes(restOf(trait)) && Object.keys(others).length > 0)
      return [set([...path, "when"], others)];
    if (dropTrait || left.length === 0) return [remove(path)];
    return left.length < named.length ? [set([...path, "when", trait.id], left)] : [];
  });

/** Looks that would say nothing any more, or something else, without certain values of a trait. */
const lookOps = (
  piece: Piece,
  trait: Trait,
  gone: (value: Id) => boolean,
  dropTrait: boolean,
): Op[] => {
  const rest = restOf(trait);
  const ops: Op[] = [];
  for (const look of Object.values(piece.looks)) {
    const named = look.when[trait.id];
    if (!named) continue;
    const left = named.filter((v) => !gone(v));
    const path = ["pieces", piece.id, "looks", look.id];
    if (dropTrait && named.includes(rest)) {
      const { [trait.id]: _dropped, ...when } = look.when;
      ops.push(set([...path, "when"], when));
    } else if (dropTrait || left.length === 0) ops.push(remove(path));
    else if (left.length < named.length) ops.push(set([...path, "when", trait.id], left));
  }
  return ops;
};

/**
 * Removes a trait: the looks of its resting value stay, those of its other values go; rules that
 * name it are shown as broken.
 */
export const removeTrait = (piece: Piece, trait: Trait): Change => ({
  label: editWords.deleteTrait(trait.name),
  ops: [
    ...lookOps(piece, trait, () => true, true),
    ...noteOps(piece, trait, () => true, true),
    remove(at(piece, trait.id)),
  ],
});

/** Removes a value with the looks that hold for it alone; null for the last one. */
export const removeTraitValue = (piece: Piece, trait: Trait, value: Id): Change | null => {
  if (Object.keys(trait.values).length <= 1) return null;
  const ops = [
    ...lookOps(piece, trait, (v) => v === value, false),
    ...noteOps(piece, trait, (v) => v === value, false),
  ];
  if (trait.rest === value) ops.push(set(at(piece, trait.id, "rest"), null));
  return {
    label: editWords.deleteValue(trait.values[value]?.name ?? ""),
    ops: [...ops, remove(at(piece, trait.id, "values", value))],
  };
};

/**
 * A new value that looks as another does, right after the others. Rules are not copied:
 * `rulesForValue` brings them.
 */
export const duplicateTraitValue = (piece: Piece, trait: Trait, value: Id): Made => {
  const made = addTraitValue(piece, trait, trait.values[value]?.name ?? "value");
  const ops = [...made.change.ops];
  const looks = inOrder(piece.looks);
  for (const look of [...looks]) {
    const said = look.when[trait.id];
    if (!said?.includes(value)) continue;
    // one that is said for several values is said for one more; one for this value alone gets a
    // twin
    if (said.length > 1) {
      ops.push(set(["pieces", piece.id, "looks", look.id, "when", trait.id], [...said, made.id]));
      continue;
    }
    // right after the original, so that it wins and loses as that does
    const at = looks.indexOf(look) + 1;
    const twin: Look = {
      ...look,
      id: newId(),
      order: orderAt(looks, at),
      when: { ...look.when, [trait.id]: [made.id] },
    };
    looks.splice(at, 0, twin);
    ops.push(set(["pieces", piece.id, "looks", twin.id], twin));
  }
  return {
    id: made.id,
    change: { label: editWords.duplicateName(trait.values[value]?.name), ops },
  };
};
