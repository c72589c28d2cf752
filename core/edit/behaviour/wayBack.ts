import type { Id } from "../../basics";
import { restOf } from "../../looks";
import { newId, orderAfter, set } from "../../project";
import type { Change, Effect, Piece, Rule } from "../../project";
import { editWords } from "../words";
import { oppositeOf } from "./opposites";

/**
 * The rule that leads back from where a rule leads: on the same layer, by the trigger's
 * counterpart, where its traits are what it made them, to what they were: what its condition says,
 * else what rests. Null when it goes back by itself, or cannot.
 */
export const wayBack = (piece: Piece, rule: Rule): Rule | null => {
  if (rule.undo) return null;
  const effects: Effect[] = [];
  const when: Record<Id, readonly Id[]> = { ...rule.when };
  for (const effect of rule.effects) {
    const trait = effect.type === "set" ? piece.traits[effect.trait] : undefined;
    if (effect.type !== "set" || !trait || !("value" in effect.to)) continue;
    const said = rule.when[trait.id];
    const before = said?.length === 1 ? said[0] : restOf(trait);
    if (before === undefined || before === effect.to.value) continue;
    effects.push({ type: "set", trait: trait.id, to: { value: before } });
    when[trait.id] = [effect.to.value];
  }
  if (effects.length === 0) return null;
  return {
    ...rule,
    id: newId(),
    order: orderAfter(Object.values(piece.rules)),
    trigger: { ...rule.trigger, type: oppositeOf(rule.trigger.type) ?? rule.trigger.type },
    when,
    effects,
  };
};

/** Adds the way back of a rule; null when there is none to add. */
export const addWayBack = (piece: Piece, rule: Rule): Change | null => {
  const back = wayBack(piece, rule);
  return (
    back && {
      label: editWords.addReturnRule,
      ops: [set(["pieces", piece.id, "rules", back.id], back)],
    }
  );
};
