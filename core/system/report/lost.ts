import type { Id } from "../../basics";
import { offeredBy } from "../../library";
import type { Offered } from "../../library";
import { inOrder, innerId, tableEntry } from "../../project";
import type { Piece, Project, Rule } from "../../project";
import { OPTION, TRAIT } from "../../properties";
import { systemWords } from "../words";

/** Something that a copy says, or a rule asks of it, that its component no longer has. */
export interface Lost {
  readonly kind: "option" | "trait" | "value" | "signal" | "component";
  /** what it was called */
  readonly name: string;
  /** the look that says it, or the rule that asks it */
  readonly look?: Id;
  readonly rule?: Id;
  /** as the copy says it: "option:ID", "trait:ID" */
  readonly key?: string;
  /** what could be said instead: ids of options, values or signals */
  readonly offers: readonly { readonly id: Id; readonly name: string }[];
  readonly text: string;
}

/** A component before and after; null where it is gone. */
export interface Component {
  readonly before: Piece;
  readonly after: Piece | null;
  readonly offeredBefore: readonly Offered[];
  readonly offeredAfter: readonly Offered[];
}

/** A component of an adopted system, as two worlds have it. */
export const componentIn = (before: Project, after: Project, id: Id): Component | null => {
  const piece = tableEntry(before.pieces, id);
  if (!piece) return null;
  const now = tableEntry(after.pieces, id) ?? null;
  return {
    before: piece,
    after: now,
    offeredBefore: offeredBy(before, id),
    offeredAfter: now ? offeredBy(after, id) : [],
  };
};

const lostOption = (component: Component, key: string, look: Id): Lost[] => {
  const was = component.offeredBefore.find((o) => o.key === key);
  if (!was || component.offeredAfter.some((o) => o.key === key && o.type.is === was.type.is))
    return [];
  const offers = component.offeredAfter
    .filter((o) => !o.isTrait && o.type.is === was.type.is)
    .map((o) => ({ id: o.key.slice(OPTION.length), name: o.name }));
  return [
    { kind: "option", name: was.name, look, key, offers, text: systemWords.lostOption(was.name) },
  ];
};

const lostTrait = ({ before, after }: Component, key: string, value: Id, look: Id): Lost[] => {
  const id = key.slice(TRAIT.length);
  const was = tableEntry(before.traits, id);
  const is = after && tableEntry(after.traits, id);
  if (!was?.values[value]) return [];
  if (!is) {
    const offers = inOrder(after?.traits ?? {}).map((t) => ({ id: t.id, name: t.name }));
    const text = systemWords.lostTrait(was.name);
    return [{ kind: "trait", name: was.name, look, key, offers, text }];
  }
  if (is.values[value]) return [];
  const offers = inOrder(is.values).map((v) => ({ id: v.id, name: v.name }));
  const name = was.values[value].name;
  const text = systemWords.lostValue(name, is.name);
  return [{ kind: "value", name, look, key, offers, text }];
};

/** What the looks of a piece say of a copy that is not there any more. */
const lostInLooks = (piece: Piece, layer: Id, component: Component): Lost[] =>
  inOrder(piece.looks).flatMap((look) =>
    Object.entries(tableEntry(look.changes, layer) ?? {}).flatMap(([key, said]) => {
      if (key.startsWith(OPTION)) return lostOption(component, key, look.id);
      if (key.startsWith(TRAIT) && typeof said === "string")
        return lostTrait(component, key, said, look.id);
      return [];
    }),
  );

const lostSignal = (rule: Rule, layer: Id, { before, after }: Component): Lost[] => {
  const { type, signal = "" } = rule.trigger;
  const was = tableEntry(before.signals, signal);
  if (type !== "signal" || rule.source !== layer || !was) return [];
  if (after && tableEntry(after.signals, signal)) return [];
  const offers = inOrder(after?.signals ?? {}).map((s) => ({ id: s.id, name: s.name }));
  const text = systemWords.lostSignal(was.name);
  return [{ kind: "signal", name: was.name, rule: rule.id, offers, text }];
};

const lostInEffects = (rule: Rule, layer: Id, component: Component): Lost[] =>
  rule.effects.flatMap((effect): Lost[] => {
    if (effect.type === "option" && effect.layer === layer)
      return lostOption(component, OPTION + effect.option, "").map(({ look: _look, ...lost }) => ({
        ...lost,
        rule: rule.id,
      }));
    if (effect.type !== "nested" || effect.layer !== layer) return [];
    const trait = tableEntry(component.before.traits, effect.trait);
    const value = "value" in effect.to ? effect.to.value : Object.keys(trait?.values ?? {})[0];
    const found = lostTrait(component, TRAIT + effect.trait, value ?? "", "");
    const counts = found.filter((lost) => lost.kind === "trait" || "value" in effect.to);
    return counts.map(({ look: _look, ...lost }) => ({ ...lost, rule: rule.id }));
  });

/**
 * What a copy of a component, and rules about it, say that is not there any more: options, traits,
 * values and signals, each with what could be said instead.
 */
export const lostBy = (piece: Piece, layer: Id, component: Component): readonly Lost[] => {
  if (!component.after) {
    const { name, id } = component.before;
    const text = systemWords.lostComponent(name);
    return [{ kind: "component", name, key: innerId(id), offers: [], text }];
  }
  return [
    ...lostInLooks(piece, layer, component),
    ...inOrder(piece.rules).flatMap((rule) => [
      ...lostSignal(rule, layer, component),
      ...lostInEffects(rule, layer, component),
    ]),
  ];
};
