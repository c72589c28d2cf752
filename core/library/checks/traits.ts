import { ownPieces } from "../../world";
import { isNameOf, proposedAria } from "../../access";
import type { Id } from "../../basics";
import { renameTraitValue } from "../../edit";
import { traitsOf, valuesOf } from "../../looks";
import { inOrder } from "../../project";
import type { Op, Piece, Project, Trait, TriggerType } from "../../project";
import { libraryWords } from "../words";
import type { SystemFinding } from "./types";

/** A name that stands for something, in one component. */
interface Spelled {
  readonly piece: Piece;
  readonly trait: Trait;
  /** what the names stand for; those of the same meaning should be the same */
  readonly meaning: string;
  readonly names: readonly { readonly value: Id; readonly name: string }[];
}

const contacts: ReadonlySet<TriggerType> = new Set(["hover", "press", "focus"]);

/** Values that are there as long as a contact lasts: what they stand for is the contact. */
const ofContacts = (piece: Piece): readonly Spelled[] =>
  inOrder(piece.rules).flatMap((rule) => {
    if (!rule.undo || !contacts.has(rule.trigger.type)) return [];
    return rule.effects.flatMap((effect): Spelled[] => {
      if (effect.type !== "set" || !("value" in effect.to)) return [];
      const trait = piece.traits[effect.trait];
      const value = trait?.values[effect.to.value];
      if (!trait || !value || isOneOfNeutral(value.name)) return [];
      const names = [{ value: value.id, name: value.name }];
      return [{ piece, trait, meaning: rule.trigger.type, names }];
    });
  });

const isOneOfNeutral = (name: string): boolean =>
  libraryWords.neutral.includes(name.trim().toLowerCase());

/**
 * The two values of a trait that says a state of WAI-ARIA: not so, and so. Names that speak of
 * something else, such as single trip and season pass, are of their component alone.
 */
const ofStates = (piece: Piece): readonly Spelled[] =>
  traitsOf(piece).flatMap((trait): Spelled[] => {
    const aria = trait.aria ?? proposedAria(trait);
    const values = valuesOf(trait);
    const on = values.find((v) => aria?.on.includes(v.id));
    const off = values.find((v) => aria?.on.includes(v.id) === false);
    if (!aria || values.length !== 2 || !on || !off) return [];
    const names = [off, on].map((v) => ({ value: v.id, name: v.name }));
    const isNeutral = names.every((n) => isOneOfNeutral(n.name));
    if (!isNeutral && !isNameOf(aria.state, on.name)) return [];
    return [{ piece, trait, meaning: isNeutral ? "neutral" : aria.state, names }];
  });

const namesOf = ({ names }: Spelled): string => names.map((n) => n.name).join("/");

/** One way to call the values, and how often it occurs: the most usual first. */
const usualOf = (spelled: readonly Spelled[]): readonly Spelled[] => {
  const counts = new Map<string, number>();
  for (const s of spelled) counts.set(namesOf(s), (counts.get(namesOf(s)) ?? 0) + 1);
  return spelled.toSorted((a, b) => (counts.get(namesOf(b)) ?? 0) - (counts.get(namesOf(a)) ?? 0));
};

const renames = (one: Spelled, as: Spelled): readonly Op[] =>
  one.names.flatMap(({ value, name }, i) => {
    const wanted = as.names[i]?.name ?? name;
    const isTaken = Object.values(one.trait.values).some(
      (v) => v.id !== value && v.name === wanted,
    );
    return wanted === name || isTaken
      ? []
      : renameTraitValue(one.piece, one.trait.id, value, wanted).ops;
  });

const findingOf = (one: Spelled, as: Spelled): SystemFinding | null => {
  const ops = renames(one, as);
  if (ops.length === 0) return null;
  const label = libraryWords.alignNames(one.piece.name);
  const called = `${one.trait.name}: ${namesOf(one)}`;
  const meaning = libraryWords.meanings[one.meaning] ?? one.meaning;
  return {
    id: `trait-names ${one.piece.id} ${one.trait.id} ${one.meaning}`,
    check: "trait-names",
    text: libraryWords.spelled(one.piece.name, called, namesOf(as), meaning),
    pieces: [one.piece.id],
    fixes: [{ label, change: { label, ops } }],
  };
};

/**
 * Values that are called otherwise than what stands for the same thing in most components: that
 * something is so or not, a state of WAI-ARIA, or what a contact shows.
 */
export const traitNames = (project: Project): readonly SystemFinding[] => {
  const all = ownPieces(project)
    .filter((p) => p.kind === "component")
    .flatMap((p) => [...ofStates(p), ...ofContacts(p)]);
  const meanings = [...new Set(all.map((s) => s.meaning))];
  return meanings.flatMap((meaning) => {
    const spelled = all.filter((s) => s.meaning === meaning);
    const [usual, ...others] = usualOf(spelled);
    return usual ? others.flatMap((one) => findingOf(one, usual) ?? []) : [];
  });
};
