import { specificity } from "../../looks";
import type { Rule } from "../../project";
import { claimOf } from "./effects";

/**
 * Of rules answering one event, those that fire and those that lose, to which: the more specific
 * condition wins, then the earlier rule.
 */
export const contest = (
  rules: readonly Rule[],
): { wins: Rule[]; losses: { rule: Rule; to: Rule }[] } => {
  const ranked = rules
    .map((rule, i) => ({ rule, i }))
    .sort((a, b) => specificity(b.rule.when) - specificity(a.rule.when) || a.i - b.i);
  const taken = new Map<string, Rule>();
  const wins = new Set<Rule>();
  const losses: { rule: Rule; to: Rule }[] = [];
  for (const { rule } of ranked) {
    const claims = rule.effects.map(claimOf).filter((claim) => claim !== null);
    const rival = claims.map((claim) => taken.get(claim)).find((r) => r !== undefined);
    if (rival) {
      losses.push({ rule, to: rival });
      continue;
    }
    for (const claim of claims) taken.set(claim, rule);
    wins.add(rule);
  }
  return { wins: rules.filter((r) => wins.has(r)), losses };
};
