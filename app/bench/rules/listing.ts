import type { Id } from "#core/basics";
import { triggerText } from "#core/describe";
import { meets } from "#core/looks";
import { ROOT, inOrder } from "#core/project";
import type { Piece, Rule, Variant } from "#core/project";
import { rulesWords } from "./words";

export type Grouping = "order" | "layer" | "trigger";
export interface Listing {
  /** only rules on these layers, or that set something in these copies */ readonly layers:
    readonly Id[] | null;
  /** only rules that may fire in this variant */ readonly variant: Variant | null;
  readonly grouping: Grouping;
}
export interface RuleGroup {
  readonly key: string;
  readonly name: string;
  readonly rules: readonly Rule[];
}

const concerns = (rule: Rule, layers: readonly Id[]): boolean =>
  layers.includes(rule.source ?? ROOT) ||
  rule.effects.some((e) => e.type === "nested" && layers.includes(e.layer));

const capital = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

/** The key and the name of the group a rule stands in. */
const groupOf = (rule: Rule, grouping: Listing["grouping"], source: string): [string, string] => {
  switch (grouping) {
    case "layer":
      return [rule.source ?? ROOT, source];
    case "trigger":
      return [rule.trigger.type, capital(triggerText(rule.trigger.type))];
    case "order":
      return ["", ""];
  }
};

/**
 * The rules to show, in groups; each group in the rules' own order, groups in the order of their
 * first rule.
 */
export const listed = (piece: Piece, { layers, variant, grouping }: Listing): RuleGroup[] => {
  const groups = new Map<string, { name: string; rules: Rule[] }>();
  for (const rule of inOrder(piece.rules)) {
    if ((layers && !concerns(rule, layers)) || (variant && !meets(rule.when, variant))) continue;
    const source =
      rule.source === null
        ? rulesWords.wholePiece
        : (piece.layers[rule.source]?.name ?? rulesWords.deletedLayer);
    const [key, name] = groupOf(rule, grouping, source);
    const group = groups.get(key);
    if (group) group.rules.push(rule);
    else groups.set(key, { name, rules: [rule] });
  }
  return [...groups].map(([key, group]) => ({ key, ...group }));
};
