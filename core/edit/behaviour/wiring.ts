import { present } from "../../basics";
import { isOfPiece } from "../../machine";
import type { Id } from "../../basics";
import {
  isUnused,
  meets,
  restOf,
  sameCondition,
  traitsOf,
  valuesOf,
  variantsOf,
} from "../../looks";
import { ROOT, inOrder, newId, orderAfter, set } from "../../project";
import type {
  Change,
  Condition,
  Effect,
  Motion,
  Piece,
  Rule,
  Trigger,
  TriggerType,
  Variant,
} from "../../project";
import { nextMotion } from "./rules";
import { editWords } from "../words";

/** Where a wire from layers in some cards leads: to another card, or to a screen. */
export type Wire = { readonly variant: Variant } | { readonly screen: Id; readonly over: boolean };

/** A condition offered for new rules, from wide to narrow, and the variants it covers. */
export interface WireScope {
  readonly when: Condition;
  readonly covers: readonly Variant[];
  /** the one most likely meant */ readonly usual: boolean;
}

/** Which traits must change to get from any of the cards to another, and what they become. */
export const wireEffects = (piece: Piece, from: readonly Variant[], to: Wire): Effect[] => {
  if ("screen" in to) return [{ type: to.over ? "open" : "go", screen: to.screen }];
  return traitsOf(piece).flatMap((t): Effect[] => {
    const value = to.variant[t.id];
    return value !== undefined && from.some((v) => v[t.id] !== value)
      ? [{ type: "set", trait: t.id, to: { value } }]
      : [];
  });
};

/** The values the cards have in a trait, in its order. */
const valuesAmong = (piece: Piece, trait: Id, from: readonly Variant[]): Id[] => {
  const t = piece.traits[trait];
  return t
    ? valuesOf(t)
        .map((v) => v.id)
        .filter((v) => from.some((f) => f[trait] === v))
    : [];
};

/**
 * The conditions a wire may be made with: in every variant; where the traits that change are as in
 * the cards; where also the others that are not at rest are; exactly these cards. Most people mean
 * the second, a rule that works whatever else holds; for a layer that stands for one of several
 * values, the first: it chooses that value from wherever one is.
 */
export const wireScopes = (
  piece: Piece,
  from: readonly Variant[],
  to: Wire,
  layers: readonly Id[] = [],
): WireScope[] => {
  const changed = wireEffects(piece, from, to).flatMap((e) => (e.type === "set" ? [e.trait] : []));
  const said = (traits: readonly Id[]): Condition =>
    Object.fromEntries(
      traits
        .map((t) => [t, valuesAmong(piece, t, from)] as const)
        .filter(([t, values]) => values.length < Object.keys(piece.traits[t]?.values ?? {}).length),
    );
  const chooses =
    layers.length > 0 &&
    layers.every((id) => id !== ROOT) &&
    changed.length > 0 &&
    changed.every((t) => Object.keys(piece.traits[t]?.values ?? {}).length > 2) &&
    !Object.values(piece.rules).some(
      (r) =>
        r.source !== null &&
        layers.includes(r.source) &&
        r.effects.some((e) => e.type === "set" && changed.includes(e.trait)),
    );
  const wide = changed.length === 0 || chooses;
  const off = traitsOf(piece)
    .filter((t) => from.some((v) => v[t.id] !== restOf(t)))
    .map((t) => t.id);
  const all = variantsOf(piece).filter((v) => !isUnused(piece, v));
  const scopes: WireScope[] = [];
  for (const [when, usual] of [
    [{}, wide],
    [said(changed), !wide],
    [said([...new Set([...changed, ...off])]), false],
    [said(traitsOf(piece).map((t) => t.id)), false],
  ] as const) {
    const known = scopes.findIndex((s) => sameCondition(s.when, when));
    if (known < 0) scopes.push({ when, usual, covers: all.filter((v) => meets(when, v)) });
    else if (usual) scopes[known] = { ...present(scopes[known]), usual };
  }
  return scopes;
};

/** What sets off most rules: offered where a wire ends. */
export const wireTriggers: readonly TriggerType[] = [
  "click",
  "press",
  "release",
  "hover",
  "enter",
  "leave",
  "hold",
  "double",
  "focus",
  "drag",
  "delay",
  "settled",
];

/** The trigger and motion used last in a piece: most people wire the same again. */
export const lastWiring = (piece: Piece): { trigger: Trigger; motion: Motion; undo: boolean } => {
  const last = inOrder(piece.rules).findLast((r) => wireTriggers.includes(r.trigger.type));
  const motion = nextMotion(piece);
  return last
    ? { trigger: last.trigger, motion, undo: last.undo }
    : { trigger: { type: "click" }, motion, undo: false };
};

/**
 * Adds a rule for each of the layers (the root stands for the whole piece), as one step of undo.
 */
export const wire = (
  piece: Piece,
  layers: readonly Id[],
  given: Pick<Rule, "trigger" | "when" | "effects" | "motion" | "undo">,
): { change: Change; ids: Id[] } => {
  const all: { id: Id; order: string }[] = Object.values(piece.rules);
  const made = (layers.length ? layers : [ROOT]).map((layer): Rule => {
    const rule: Rule = {
      id: newId(),
      order: orderAfter(all),
      on: true,
      source: layer === ROOT || isOfPiece(given.trigger.type) ? null : layer,
      ...given,
    };
    all.push(rule);
    return rule;
  });
  return {
    ids: made.map((r) => r.id),
    change: {
      label: made.length === 1 ? editWords.wireLayer : editWords.wireLayers(made.length),
      ops: made.map((r) => set(["pieces", piece.id, "rules", r.id], r)),
    },
  };
};
