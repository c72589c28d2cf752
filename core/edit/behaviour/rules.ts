import { isContact } from "../../machine";
import type { Id } from "../../basics";
import { inOrder, newId, orderAfter, orderAt, remove, set } from "../../project";
import type { Effect, Change, Motion, Option, Piece, Rule, TriggerType } from "../../project";
import type { Made } from "../pieces";
import { freeName } from "../pieces";
import { editWords } from "../words";

/** The motion a first rule gets; later ones repeat the last used. */
const usualMotion: Motion = {
  kind: "tween",
  duration: 200,
  delay: 0,
  easing: "ease-in-out",
};

/** A motion as another rule may take it over: lanes are of the layers it was made for. */
export const repeatable = (motion: Motion): Motion => {
  const { lanes: _own, ...rest } = motion;
  return rest;
};

/** Contacts that are mostly wired to last as long as they do. */
const passing: ReadonlySet<TriggerType> = new Set(["hover", "press", "focus"]);

/** Whether what a trigger does is usually undone when it ends. */
export const usuallyUndone = (type: TriggerType): boolean => passing.has(type);

/** The motion of the first trait that effects set and that has its own. */
const motionOfTraits = (piece: Piece, effects: readonly Effect[]): Motion | undefined =>
  effects
    .flatMap((e) => (e.type === "set" ? [piece.traits[e.trait]?.motion] : []))
    .find((motion) => motion !== undefined);

/** The motion the next rule most likely has: its trait's own, else the last that shows anything. */
export const nextMotion = (piece: Piece, effects: readonly Effect[] = []): Motion => {
  const own = motionOfTraits(piece, effects);
  if (own) return own;
  const last = inOrder(piece.rules).findLast((r) => r.motion.kind !== "cut");
  return last ? repeatable(last.motion) : usualMotion;
};

/** A new rule after the others: on click of a source, with no effect yet unless given. */
export const addRule = (piece: Piece, given: Partial<Omit<Rule, "id" | "order">>): Made => {
  const rule: Rule = {
    on: true,
    trigger: { type: "click" },
    source: null,
    when: {},
    effects: [],
    undo: usuallyUndone(given.trigger?.type ?? "click"),
    motion: nextMotion(piece, given.effects),
    ...given,
    id: newId(),
    order: orderAfter(Object.values(piece.rules)),
  };
  return {
    id: rule.id,
    change: { label: editWords.addRule, ops: [set(["pieces", piece.id, "rules", rule.id], rule)] },
  };
};

/** Whether a rule's contact is undone after it was given another trigger; null as before. */
const undoAfter = (rule: Rule, to: TriggerType): boolean | null => {
  if (rule.trigger.type === to) return null;
  if (!isContact(to)) return rule.undo ? false : null;
  // from one contact to another it is as it was said
  return isContact(rule.trigger.type) || rule.undo ? null : usuallyUndone(to);
};

/**
 * Changes parts of a rule. "Undo when it ends" only stays where a contact can end, and comes where
 * that is usual. A part that is undefined is taken away.
 */
export const setRule = (piece: Piece, id: Id, parts: Partial<Omit<Rule, "id">>): Change => {
  const rule = piece.rules[id];
  const undo = rule && parts.trigger ? undoAfter(rule, parts.trigger.type) : null;
  const fixed = undo === null ? parts : { undo, ...parts };
  const at = ["pieces", piece.id, "rules", id];
  return {
    label: editWords.changeRule,
    ops: Object.entries(fixed).map(([k, v]) =>
      v === undefined ? remove([...at, k]) : set([...at, k], v),
    ),
  };
};

export const removeRule = (piece: Piece, id: Id): Change => ({
  label: editWords.deleteRule,
  ops: [remove(["pieces", piece.id, "rules", id])],
});

/** Moves a rule up (-1) or down (+1); null at the end of the list. */
export const moveRule = (piece: Piece, id: Id, by: 1 | -1): Change | null => {
  const list = inOrder(piece.rules);
  const at = list.findIndex((r) => r.id === id) + by;
  if (at < 0 || at >= list.length) return null;
  return {
    label: editWords.moveRule,
    ops: [
      set(
        ["pieces", piece.id, "rules", id, "order"],
        orderAt(
          list.filter((r) => r.id !== id),
          at,
        ),
      ),
    ],
  };
};

/** Copies a rule right after the original. */
export const duplicateRule = (piece: Piece, rule: Rule): Made => {
  const list = inOrder(piece.rules);
  const id = newId();
  const order = orderAt(list, list.findIndex((r) => r.id === rule.id) + 1);
  return {
    id,
    change: {
      label: editWords.duplicateRule,
      ops: [set(["pieces", piece.id, "rules", id], { ...rule, id, order })],
    },
  };
};

const optionWords: Readonly<Record<string, string>> = {
  text: "",
  visible: " shown",
  picture: " picture",
  icon: " icon",
  fill: " colour",
  component: " slot",
  label: editWords.accessibleName,
};

/**
 * Lets placed copies set something of a layer; `words` name what of a nested copy is shown to the
 * outside.
 */
export const addOption = (piece: Piece, layer: Id, key: Option["key"], words?: string): Made => {
  const all = Object.values(piece.options);
  const base = piece.layers[layer]?.name ?? editWords.layer;
  const name = freeName(
    words === undefined ? base + (optionWords[key] ?? "") : `${base} ${words}`,
    all.map((o) => o.name),
  );
  const option: Option = { id: newId(), name, order: orderAfter(all), layer, key };
  return {
    id: option.id,
    change: {
      label: editWords.newOption(option.name),
      ops: [set(["pieces", piece.id, "options", option.id], option)],
    },
  };
};

export const removeOption = (piece: Piece, id: Id): Change => ({
  label: editWords.removeOption(piece.options[id]?.name ?? ""),
  ops: [remove(["pieces", piece.id, "options", id])],
});
