import { ROOT, apply, set } from "../../project";
import type { Change, Op, Piece, Project } from "../../project";
import type { Value } from "../../properties";
import { addRule } from "../behaviour/rules";
import { addTraitValue, newTrait } from "../behaviour/traits";
import { setValues } from "../drawing/looks";
import { editWords } from "../words";
import { contactTrait } from "./contact";
import type { TouchTrigger } from "./contact";

/** What a contact usually looks like until somebody draws it. */
const usualLook: Record<TouchTrigger, Record<string, Value>> = {
  hover: { opacity: 0.92 },
  press: { opacity: 0.84 },
  focus: { borderColour: "#20302e", borderWidth: 2, borderAt: "outside" },
};

/** The value for a contact, in a trait that is there or is made. */
const valueFor = (
  piece: Piece,
  name: string,
): { readonly trait: string; readonly value: string; readonly ops: readonly Op[] } => {
  const known = contactTrait(piece);
  if (known) {
    const made = addTraitValue(piece, known, name);
    return { trait: known.id, value: made.id, ops: made.change.ops };
  }
  const trait = newTrait(piece, editWords.contact, [editWords.none, name]);
  const value = Object.values(trait.values).find((v) => v.name === name)?.id ?? "";
  return { trait: trait.id, value, ops: [set(["pieces", piece.id, "traits", trait.id], trait)] };
};

/**
 * Lets a component show contacts it does not show yet: a value for each, the rule that sets it for
 * as long as the contact lasts, and a look that can be told from the others.
 */
export const addContacts = (
  project: Project,
  id: string,
  contacts: readonly TouchTrigger[],
): Change => {
  const ops: Op[] = [];
  let now = project;
  const pieceNow = () => now.pieces[id];
  const take = (more: readonly Op[]) => {
    ops.push(...more);
    now = apply(now, more).doc;
  };
  for (const trigger of contacts) {
    const piece = pieceNow();
    if (!piece) break;
    const { trait, value, ops: made } = valueFor(piece, editWords.contactNames[trigger]);
    take(made);
    const effect = { type: "set", trait, to: { value } } as const;
    const withValue = pieceNow() ?? piece;
    take(addRule(withValue, { trigger: { type: trigger }, effects: [effect] }).change.ops);
    const withRule = pieceNow() ?? piece;
    take(setValues(withRule, { [trait]: [value] }, { [ROOT]: usualLook[trigger] }).ops);
  }
  return { label: editWords.addContacts(project.pieces[id]?.name ?? ""), ops };
};
