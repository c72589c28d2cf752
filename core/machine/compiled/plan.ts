import type { Id } from "../../basics";
import type { Effect, Motion, Rule, TraitTarget } from "../../project";
import { facetOf } from "../rules/effects";
import { triggerOf } from "../rules/triggers";
import type { Revert } from "../state";

/** What a rule sets in one copy with one motion. */
export interface Group {
  /** the copy's layer; null for the piece itself */
  readonly copy: Id | null;
  readonly motion: Motion;
  readonly settings: readonly { readonly trait: Id; readonly to: TraitTarget }[];
}

/** What a rule does, as far as that does not depend on where it is fired. */
export interface Plan {
  /** the piece's own first, with the rule's motion, though it may set nothing */
  readonly groups: readonly [Group, ...Group[]];
  /** what it does beside setting */
  readonly others: readonly Effect[];
  readonly stirs: boolean;
  /** with the end of which contact it is undone */
  readonly cause: Revert["cause"] | undefined;
}

/** A working rule with its number in its piece. */
export interface NumberedRule {
  readonly number: number;
  readonly rule: Rule;
  readonly plan: Plan | null;
}

/**
 * The plan of a rule; null where what it sets depends on more than the variants of the copies: it
 * sets options, or one trait twice.
 */
export const planOf = (rule: Rule): Plan | null => {
  const own = { copy: null, motion: rule.motion, settings: new Array<Group["settings"][number]>() };
  const inner: { copy: Id | null; motion: Motion; settings: Group["settings"][number][] }[] = [];
  const seen = new Set<string>();
  for (const effect of rule.effects) {
    const setting = facetOf(effect).sets?.(effect);
    if (!setting) continue;
    if ("option" in setting) return null;
    const key = `${setting.copy ?? ""}/${setting.trait}`;
    if (seen.has(key)) return null;
    seen.add(key);
    const motion = effect.motion ?? rule.motion;
    const known = [own, ...inner].find((g) => g.copy === setting.copy && g.motion === motion);
    const group = known ?? { copy: setting.copy, motion, settings: [] };
    if (!known) inner.push(group);
    group.settings.push({ trait: setting.trait, to: setting.to });
  }
  return {
    groups: [own, ...inner],
    others: rule.effects.filter((e) => facetOf(e).apply !== undefined),
    stirs: rule.effects.some((e) => facetOf(e).runsLanes),
    cause: rule.undo ? triggerOf(rule).contact : undefined,
  };
};
