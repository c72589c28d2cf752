import type { Id } from "../../basics";
import { apply } from "../../project";
import type { Effect, LayerChanges, Op, Piece, Project, Rule } from "../../project";
import { OPTION, TRAIT } from "../../properties";
import type { Lost } from "../report/lost";
import { pieceOps } from "./references";

/** What a copy says instead of what its component no longer has. */
export interface Mapping {
  readonly piece: Id;
  readonly layer: Id;
  readonly lost: Lost;
  /** one of what is offered instead */
  readonly to: Id;
}

/** What a copy says with something lost said otherwise. */
const inChanges = (changes: LayerChanges, { lost, to }: Mapping): LayerChanges => {
  const { [lost.key ?? ""]: said, ...others } = changes;
  if (said === undefined) return changes;
  if (lost.kind === "option") return { ...others, [OPTION + to]: said };
  // another trait has other values: it starts as its component has it
  return lost.kind === "value" ? { ...others, [lost.key ?? ""]: to } : others;
};

const inEffect = (effect: Effect, { layer, lost, to }: Mapping): Effect => {
  if (effect.type === "option" && effect.layer === layer && lost.key === OPTION + effect.option)
    return { ...effect, option: to };
  const isAsked =
    effect.type === "nested" && effect.layer === layer && lost.key === TRAIT + effect.trait;
  if (!isAsked) return effect;
  return lost.kind === "trait"
    ? { ...effect, trait: to, to: { step: "next" } }
    : { ...effect, to: { value: to } };
};

/** A rule that asks or hears something else in the place of what is lost. */
const inRule = (rule: Rule, mapping: Mapping): Rule => {
  const { lost, to } = mapping;
  if (lost.kind === "signal") return { ...rule, trigger: { ...rule.trigger, signal: to } };
  return { ...rule, effects: rule.effects.map((effect) => inEffect(effect, mapping)) };
};

const inLook = (piece: Piece, mapping: Mapping): Piece => {
  const { layer, lost } = mapping;
  const look = piece.looks[lost.look ?? ""];
  const changes = look?.changes[layer];
  if (!look || !changes) return piece;
  const next = { ...look.changes, [layer]: inChanges(changes, mapping) };
  return { ...piece, looks: { ...piece.looks, [look.id]: { ...look, changes: next } } };
};

const inRules = (piece: Piece, mapping: Mapping): Piece => {
  const rule = piece.rules[mapping.lost.rule ?? ""];
  if (!rule) return piece;
  return { ...piece, rules: { ...piece.rules, [rule.id]: inRule(rule, mapping) } };
};

/** The steps by which copies and rules say something else than what is lost. */
export const mappedOps = (project: Project, mappings: readonly Mapping[]): Op[] => {
  let now = project;
  const ops: Op[] = [];
  for (const mapping of mappings) {
    const piece = now.pieces[mapping.piece];
    if (!piece) continue;
    const next = pieceOps(piece, inRules(inLook(piece, mapping), mapping));
    ops.push(...next);
    now = apply(now, next).doc;
  }
  return ops;
};
