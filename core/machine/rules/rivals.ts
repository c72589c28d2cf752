import { entryOf } from "../../basics";
import type { Id } from "../../basics";
import { specificity } from "../../looks";
import { ROOT } from "../../project";
import type { Condition, Piece, Project, Rule } from "../../project";
import { rulesOf } from "../piece";
import { contest } from "./contest";

/** Another rule that wants the same at the same event; only the order decides between the two. */
export interface Rival {
  readonly rule: Id;
  /** whether the rule this is told of has it */
  readonly wins: boolean;
}

/** Whether two conditions can hold at once. */
const canMeet = (a: Condition, b: Condition): boolean =>
  Object.entries(a).every(([trait, values]) => {
    const others = b[trait];
    return others === undefined || values.some((v) => others.includes(v));
  });

const isSameEvent = (a: Rule, b: Rule): boolean =>
  (a.source ?? ROOT) === (b.source ?? ROOT) &&
  a.trigger.type === b.trigger.type &&
  a.trigger.key === b.trigger.key &&
  a.trigger.signal === b.trigger.signal &&
  a.trigger.direction === b.trigger.direction &&
  (a.trigger.ms ?? 0) === (b.trigger.ms ?? 0);

/** Whether of two rules only one can have what both want, and nothing but their order says which. */
const fight = (first: Rule, second: Rule): boolean =>
  isSameEvent(first, second) &&
  specificity(first.when) === specificity(second.when) &&
  canMeet(first.when, second.when) &&
  contest([first, second]).losses.length > 0;

/** The rules of a piece that fight over the same, by rule. */
export const rivalsIn = (project: Project, piece: Piece): ReadonlyMap<Id, readonly Rival[]> => {
  const out = new Map<Id, Rival[]>();
  const rules = rulesOf(project, piece);
  for (const [i, first] of rules.entries())
    for (const second of rules.slice(i + 1)) {
      if (!fight(first, second)) continue;
      entryOf(out, first.id, () => []).push({ rule: second.id, wins: true });
      entryOf(out, second.id, () => []).push({ rule: first.id, wins: false });
    }
  return out;
};
