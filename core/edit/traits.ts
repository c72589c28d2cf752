import { newId, orderAfter } from "../project/ids";
import { remove, set } from "../project/change";
import type { Change, Op } from "../project/change";
import type { Condition, Id, Piece, Trait, TraitValue } from "../project/types";
import { restOf, traitsOf } from "../looks/variants";
import type { Made } from "./pieces";
import { freeName } from "./pieces";

const values = (names: readonly string[]): Record<Id, TraitValue> => {
  const list: TraitValue[] = [];
  for (const name of names) list.push({ id: newId(), name, order: orderAfter(list) });
  return Object.fromEntries(list.map((v) => [v.id, v]));
};

/** A new trait with its values in order; the first is its resting value. */
export const addTrait = (piece: Piece, name: string, valueNames: readonly string[]): Made => {
  const all = Object.values(piece.traits);
  const trait: Trait = {
    id: newId(), name: freeName(name, all.map((t) => t.name)), order: orderAfter(all), rest: null,
    pattern: all.length % 6, values: values(valueNames),
  };
  return { id: trait.id, change: { label: `New trait ${trait.name}`, ops: [set(["pieces", piece.id, "traits", trait.id], trait)] } };
};

const at = (piece: Piece, trait: Id, ...rest: string[]): string[] => ["pieces", piece.id, "traits", trait, ...rest];

export const renameTrait = (piece: Piece, trait: Id, name: string): Change => ({ label: `Rename trait to ${name}`, ops: [set(at(piece, trait, "name"), name)] });

export const addTraitValue = (piece: Piece, trait: Trait, name: string): Made => {
  const list = Object.values(trait.values);
  const value: TraitValue = { id: newId(), name: freeName(name, list.map((v) => v.name)), order: orderAfter(list) };
  return { id: value.id, change: { label: `New value ${value.name} of ${trait.name}`, ops: [set(at(piece, trait.id, "values", value.id), value)] } };
};

export const renameTraitValue = (piece: Piece, trait: Id, value: Id, name: string): Change =>
  ({ label: `Rename value to ${name}`, ops: [set(at(piece, trait, "values", value, "name"), name)] });

export const setRest = (piece: Piece, trait: Id, value: Id): Change => ({ label: "Choose the resting value", ops: [set(at(piece, trait, "rest"), value)] });

/** Looks that would say nothing any more, or something else, without certain values of a trait. */
const lookOps = (piece: Piece, trait: Trait, gone: (value: Id) => boolean, dropTrait: boolean): Op[] => {
  const rest = restOf(trait);
  const ops: Op[] = [];
  for (const look of Object.values(piece.looks)) {
    const named = look.when[trait.id];
    if (!named) continue;
    const left = named.filter((v) => !gone(v));
    const path = ["pieces", piece.id, "looks", look.id];
    if (dropTrait && named.includes(rest)) {
      const { [trait.id]: _dropped, ...when } = look.when;
      ops.push(set([...path, "when"], when as Condition));
    } else if (dropTrait || left.length === 0) ops.push(remove(path));
    else if (left.length < named.length) ops.push(set([...path, "when", trait.id], left));
  }
  return ops;
};

/** Removes a trait: the looks of its resting value stay, those of its other values go; rules that name it are shown as broken. */
export const removeTrait = (piece: Piece, trait: Trait): Change =>
  ({ label: `Remove trait ${trait.name}`, ops: [...lookOps(piece, trait, () => true, true), remove(at(piece, trait.id))] });

/** Removes a value with the looks that hold for it alone; null for the last one. */
export const removeTraitValue = (piece: Piece, trait: Trait, value: Id): Change | null => {
  if (Object.keys(trait.values).length <= 1) return null;
  const ops = lookOps(piece, trait, (v) => v === value, false);
  if (trait.rest === value) ops.push(set(at(piece, trait.id, "rest"), null));
  return { label: `Remove value ${trait.values[value]?.name ?? ""}`, ops: [...ops, remove(at(piece, trait.id, "values", value))] };
};

/** How many variants a piece would have with one more trait of `n` values. */
export const variantsWith = (piece: Piece, n: number): number => traitsOf(piece).reduce((m, t) => m * Object.keys(t.values).length, n);
