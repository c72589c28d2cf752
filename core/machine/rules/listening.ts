import { entryOf } from "../../basics";
import type { Id } from "../../basics";
import { ROOT } from "../../project";
import type { Piece, Project, Rule, TriggerType } from "../../project";
import type { RuleFilter } from "../events";
import { rulesOf } from "../piece";
import { triggerOf } from "./triggers";

/** Rules with one of these triggers. */
export const listensFor =
  (...types: readonly TriggerType[]): RuleFilter =>
  (rule) =>
    types.includes(rule.trigger.type);

const byContact: ReadonlySet<string> = new Set(["press", "hover", "focus", "key"]);
const known = new WeakMap<readonly Rule[], ReadonlySet<Id>>();

/**
 * The layers of a piece that working rules listen on for a pointer, a focus or a key, whatever
 * their condition. The whole piece is its root layer.
 */
export const listeningLayers = (project: Project, piece: Piece): ReadonlySet<Id> => {
  const rules = rulesOf(project, piece);
  return entryOf(known, rules, () => {
    const touched = rules.filter((r) => byContact.has(triggerOf(r).by));
    return new Set(touched.map((r) => r.source ?? ROOT));
  });
};
