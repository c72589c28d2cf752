import type { Id } from "../../basics";
import { ruleText } from "../../describe";
import { rulesOf } from "../../machine";
import { rehearse } from "../../rehearse";
import { same } from "../../project";
import type { LayoutEnv } from "../../layout";
import type { Motion, Rule } from "../../project";
import { made } from "../differences";
import type { Difference } from "../differences";
import { systemWords } from "../words";
import type { Pair } from "./face";
import { compareTables } from "./tables";

type Timing = readonly (Motion | undefined)[];

/** How a rule moves what it changes, as far as two of them change as much. */
const timing = ({ motion, back, effects }: Rule, other: Rule): Timing => [
  motion,
  back,
  ...(effects.length === other.effects.length ? effects.map((e) => e.motion) : []),
];

/** What a rule does, whenever and however fast. */
const doing = ({ trigger, source, when, undo, on, effects }: Rule): unknown => [
  trigger,
  source,
  when,
  undo,
  on,
  effects.map(({ motion: _motion, ...effect }) => effect),
];

const table = ({ project, piece }: Pair["before"]): Readonly<Record<Id, Rule>> =>
  Object.fromEntries(rulesOf(project, piece).map((rule) => [rule.id, rule]));

/** How the rules of a component differ, with what their tokens say put in. */
export const ruleDifferences = (pair: Pair): Difference[] => {
  const { before, after } = pair;
  const { gone, added, both } = compareTables(table(before), table(after));
  const of = (part: Id) => ({ subject: { table: "pieces", id: before.piece.id }, part }) as const;
  const was = (rule: Rule): string => ruleText(before.project, before.piece, rule);
  const is = (rule: Rule): string => ruleText(after.project, after.piece, rule);
  return [
    ...gone.map((rule) => made("rule-removed", of(rule.id), systemWords.ruleRemoved(was(rule)))),
    ...added.map((rule) => made("rule-added", of(rule.id), systemWords.ruleAdded(is(rule)))),
    ...both.flatMap(([a, b]) => [
      ...(same(doing(a), doing(b))
        ? []
        : [made("rule-changed", of(b.id), systemWords.ruleChanged(was(a), is(b)))]),
      ...(same(timing(a, b), timing(b, a))
        ? []
        : [made("motion", of(b.id), systemWords.motionChanged(is(b)))]),
    ]),
  ];
};

/** What people relied on: rehearsals of the earlier edition that fail with the later one. */
export const reliedDifferences = (env: LayoutEnv, { before, after }: Pair): Difference[] => {
  const subject = { table: "pieces", id: before.piece.id } as const;
  return Object.values(before.piece.rehearsals).flatMap((rehearsal) => {
    const passed = rehearse(env, before.project, before.piece.id, rehearsal.steps) === null;
    const failure = passed ? rehearse(env, after.project, after.piece.id, rehearsal.steps) : null;
    if (!failure) return [];
    const text = systemWords.relied(rehearsal.name, failure.step + 1, failure.why);
    return [made("relied", { subject, part: rehearsal.id }, text)];
  });
};
