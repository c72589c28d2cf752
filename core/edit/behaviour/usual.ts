import type { Id } from "../../basics";
import { traitsOf } from "../../looks";
import type { Effect, Op, Piece, Project, Trait } from "../../project";
import { piecesOf } from "../pieces";
import type { Made } from "../pieces";
import { editWords } from "../words";
import { addRule } from "./rules";
import { addTrait } from "./traits";

const turns = (trait: Trait): Effect => ({
  type: "set",
  trait: trait.id,
  to: Object.keys(trait.values).length === 2 ? { step: "opposite" } : { step: "next" },
});

/**
 * What a rule most likely does: turn the first trait on, or where there is none, go to another
 * screen; null where there is neither.
 */
export const usualEffect = (project: Project, piece: Piece): Effect | null => {
  const [trait] = traitsOf(piece);
  if (trait) return turns(trait);
  const screen = piecesOf(project, "screen").find((s) => s.id !== piece.id);
  return piece.kind === "screen" && screen ? { type: "go", screen: screen.id } : null;
};

/**
 * A new rule on a click of a source that does what is most likely. A piece in which nothing can be
 * done yet gets a trait to be turned, in the same step.
 */
export const addUsualRule = (project: Project, piece: Piece, source: Id | null): Made => {
  const usual = usualEffect(project, piece);
  if (usual) return addRule(piece, { source, effects: [usual] });
  const made = addTrait(piece, editWords.on, [editWords.no, editWords.yes]);
  // adding a trait sets the trait first
  const trait = (made.change.ops[0] as Extract<Op, { op: "set" }>).value as Trait;
  const rule = addRule(piece, { source, effects: [turns(trait)] });
  const { label } = rule.change;
  return { id: rule.id, change: { label, ops: [...made.change.ops, ...rule.change.ops] } };
};
