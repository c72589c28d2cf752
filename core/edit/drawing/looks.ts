import { isOneOf, present } from "../../basics";
import type { Id } from "../../basics";
import {
  conditionText,
  lookFor,
  meets,
  onlyScope,
  originOf,
  sameCondition,
  specificity,
  suggestedScope,
} from "../../looks";
import type { Named } from "../../looks";
import { BASE, byOrder, newId, orderAfter, remove, set } from "../../project";
import type {
  Change,
  Condition,
  Layer,
  LayerChanges,
  Look,
  Op,
  Piece,
  Variant,
} from "../../project";
import { isBound, labelOf, sheetEntry, propertiesOf, styleKeys } from "../../properties";
import type { SpecifiedValue } from "../../properties";
import { editWords } from "../words";

/** New values by layer, then property. */
export type Edits = Readonly<Record<Id, Readonly<Record<string, SpecifiedValue>>>>;

const lookPath = (piece: Piece, look: Id): string[] => ["pieces", piece.id, "looks", look];

const describe = (piece: Piece, edits: Edits): string => {
  const layers = Object.keys(edits);
  const keys = [...new Set(layers.flatMap((l) => Object.keys(edits[l] ?? {})))];
  const what = keys.length === 1 ? (labelOf(present(keys[0])) ?? "value") : "looks";
  return editWords.set(what, layers.length, piece.layers[present(layers[0])]?.name);
};

/** A text style replaces what the same look said about the single properties it sets. */
const unstyled = (
  changes: LayerChanges,
  values: Readonly<Record<string, SpecifiedValue>>,
): string[] => ("style" in values ? styleKeys.filter((k) => k in changes && !(k in values)) : []);

/**
 * A look of one variant alone that lies before equally specific ones would be hidden by them. To
 * say something there that shows, it goes behind them all; what they hid of it, and so was nowhere
 * to be seen, goes.
 */
const comesLast = (piece: Piece, look: Look, edits: Edits): Op[] => {
  const variant = Object.fromEntries(
    Object.entries(look.when).map(([t, values]) => [t, values[0] ?? ""]),
  );
  if (
    Object.keys(piece.traits).length !== specificity(look.when) ||
    Object.values(look.when).some((v) => v.length !== 1)
  )
    return [];
  const rivals = Object.values(piece.looks).filter(
    (l) =>
      l !== look &&
      specificity(l.when) === specificity(look.when) &&
      meets(l.when, variant) &&
      byOrder(l, look) > 0,
  );
  const hides = (layer: Id, key: string) =>
    rivals.some((l) => {
      const said = l.changes[layer];
      return said && (key in said || ("style" in said && isOneOf(styleKeys, key)));
    });
  if (
    !Object.entries(edits).some(([layer, values]) =>
      Object.keys(values).some((key) => hides(layer, key)),
    )
  )
    return [];
  const dead = Object.entries(look.changes).flatMap(([layer, values]) =>
    Object.keys(values)
      .filter((key) => hides(layer, key) && edits[layer]?.[key] === undefined)
      .map((key) => remove([...lookPath(piece, look.id), "changes", layer, key])),
  );
  return [
    set([...lookPath(piece, look.id), "order"], orderAfter(Object.values(piece.looks))),
    ...dead,
  ];
};

const isSeveral = (when: Condition | readonly Condition[]): when is readonly Condition[] =>
  Array.isArray(when);

/**
 * Says values in scopes: in the look that has exactly each condition, which is made if there is
 * none. Several conditions are several looks with the same edits.
 */
export const setValues = (
  piece: Piece,
  when: Condition | readonly Condition[],
  edits: Edits,
  label?: string,
): Change => {
  const ops: Op[] = [];
  const made: Look[] = [];
  for (const condition of isSeveral(when) ? when : [when]) {
    const look = lookFor(piece, condition);
    if (!look) {
      const next: Look = {
        id: newId(),
        when: condition,
        order: orderAfter([...Object.values(piece.looks), ...made]),
        changes: edits,
      };
      made.push(next);
      ops.push(set(lookPath(piece, next.id), next));
      continue;
    }
    ops.push(...comesLast(piece, look, edits));
    for (const [layer, values] of Object.entries(edits)) {
      const at = [...lookPath(piece, look.id), "changes", layer];
      const before = look.changes[layer];
      if (!before) {
        ops.push(set(at, values));
        continue;
      }
      for (const key of unstyled(before, values)) ops.push(remove([...at, key]));
      for (const [key, value] of Object.entries(values)) ops.push(set([...at, key], value));
    }
  }
  return { label: label ?? describe(piece, edits), ops };
};

/**
 * Steps that take back what a look says about properties of layers; empty remains are swept away.
 */
const clearOps = (piece: Piece, look: Look, gone: (layer: Id, key: string) => boolean): Op[] => {
  const ops: Op[] = [];
  let left = 0;
  for (const [layer, changes] of Object.entries(look.changes)) {
    const keys = Object.keys(changes);
    const cleared = keys.filter((k) => gone(layer, k));
    left += keys.length - cleared.length;
    const at = [...lookPath(piece, look.id), "changes", layer];
    if (cleared.length === keys.length) ops.push(remove(at));
    else for (const key of cleared) ops.push(remove([...at, key]));
  }
  return left === 0 && look.id !== BASE ? [remove(lookPath(piece, look.id))] : ops;
};

/** Takes back what a look says about a property, so that the layer inherits it again. */
export const clearValue = (piece: Piece, look: Id, layer: Id, key: string): Change => {
  const record = piece.looks[look];
  return {
    label: editWords.clear(labelOf(key)),
    ops: record ? clearOps(piece, record, (l, k) => l === layer && k === key) : [],
  };
};

/**
 * The looks that are a variant's own: those that hold for what sets it apart, or for it alone.
 * Never the base look.
 */
export const ownLooks = (piece: Piece, variant: Variant): Look[] =>
  Object.values(piece.looks).filter(
    (l) =>
      Object.keys(l.when).length > 0 &&
      (sameCondition(l.when, suggestedScope(piece, variant)) ||
        sameCondition(l.when, onlyScope(piece, variant))),
  );

/**
 * Takes back all a variant says for itself, about some layers or about all; null when it says
 * nothing.
 */
export const resetVariant = (
  piece: Piece,
  variant: Variant,
  layers?: readonly Id[],
): Change | null => {
  const ops = ownLooks(piece, variant).flatMap((look) =>
    clearOps(piece, look, (l) => !layers || layers.includes(l)),
  );
  return ops.length
    ? { label: layers ? editWords.resetLayersThisVariant : editWords.resetVariant, ops }
    : null;
};

/**
 * Says something in another scope instead: wider, so that more variants share it, or narrower. Null
 * when the look does not say it.
 */
export const moveSaying = (
  piece: Piece,
  look: Id,
  layers: readonly Id[],
  keys: readonly string[],
  to: Condition,
): Change | null => {
  const from = piece.looks[look];
  if (!from || sameCondition(from.when, to)) return null;
  const edits: Record<Id, Record<string, SpecifiedValue>> = {};
  for (const layer of layers)
    for (const key of keys) {
      const said = from.changes[layer]?.[key];
      if (said !== undefined) (edits[layer] ??= {})[key] = said;
    }
  if (Object.keys(edits).length === 0) return null;
  const where = Object.keys(to).length
    ? `where ${conditionText(piece, to)}`
    : editWords.allVariants;
  // a base look that stops saying something would leave nothing to show, so it keeps it
  const cleared = look === BASE ? [] : clearOps(piece, from, (l, k) => edits[l]?.[k] !== undefined);
  return {
    label: editWords.set2(where).slice(0, 200),
    ops: [...cleared, ...setValues(piece, to, edits).ops],
  };
};

/**
 * Makes a variant look like another one, in all its layers or some: what differs is said in the
 * variant's own scope, or for it alone where something more specific would hide it. Null when
 * nothing differs.
 */
export const carryVariant = (
  named: Named,
  piece: Piece,
  from: Variant,
  to: Variant,
  layers?: readonly Id[],
): Change | null => {
  const own = suggestedScope(piece, to);
  const only = onlyScope(piece, to);
  // a resting variant shares its scope with all others: what it alone shall show must be said for
  // it alone
  const usual = Object.keys(own).length ? own : only;
  const wide: Record<Id, Record<string, SpecifiedValue>> = {};
  const narrow: Record<Id, Record<string, SpecifiedValue>> = {};
  for (const layer of Object.values(piece.layers)) {
    if (layers && !layers.includes(layer.id)) continue;
    const keys = new Set(
      Object.values(piece.looks).flatMap((l) => Object.keys(l.changes[layer.id] ?? {})),
    );
    for (const key of keys) {
      const wanted = originOf(named, piece, from, layer, key).value;
      const now = originOf(named, piece, to, layer, key);
      if (wanted === undefined || JSON.stringify(wanted) === JSON.stringify(now.value)) continue;
      const winner = piece.looks[now.from ?? ""];
      const hidden =
        winner &&
        !sameCondition(winner.when, usual) &&
        specificity(winner.when) >= specificity(usual);
      ((hidden ? narrow : wide)[layer.id] ??= {})[key] = wanted;
    }
  }
  if (Object.keys(wide).length + Object.keys(narrow).length === 0) return null;
  const apart = !sameCondition(usual, only);
  const ops = apart ? [wide, narrow] : [merged(wide, narrow)];
  return {
    label: editWords.pasteLook,
    ops: ops.flatMap((edits, i) =>
      Object.keys(edits).length ? setValues(piece, i === 0 ? usual : only, edits).ops : [],
    ),
  };
};

const merged = (a: Edits, b: Edits): Edits =>
  Object.fromEntries(
    [...new Set([...Object.keys(a), ...Object.keys(b)])].map((id) => [id, { ...a[id], ...b[id] }]),
  );

const styleGroups = new Set(["paint", "border", "text"]);
const contents = new Set(["text", "picture", "icon", "shape", "sides"]);

/**
 * The style of a layer as its looks say it, tokens and all, without what it holds or where it lies:
 * what can be carried over to another layer. What comes with a text style is left to that style.
 */
export const styleOf = (
  named: Named,
  piece: Piece,
  variant: Variant,
  layer: Layer,
): LayerChanges => {
  const out: Record<string, SpecifiedValue> = {};
  for (const { key } of propertiesOf(layer.kind)) {
    const group = sheetEntry(key)?.group ?? "";
    if (!styleGroups.has(group) || contents.has(key)) continue;
    const { value, styled } = originOf(named, piece, variant, layer, key);
    if (value !== undefined && !styled && !(key === "style" && !isBound(value))) out[key] = value;
  }
  return out;
};
