import type { Id } from "../basics";
import { newId, orderAfter, remove, set } from "../project";
import type { Change, Piece, Rehearsal, Step } from "../project";
import type { Made } from "./pieces";
import { freeName } from "./pieces";
import { editWords } from "./words";

const at = (piece: Piece, id: Id): string[] => ["pieces", piece.id, "rehearsals", id];

/** A new rehearsal after the others. */
export const addRehearsal = (piece: Piece, steps: readonly Step[], name = "Rehearsal"): Made => {
  const all = Object.values(piece.rehearsals);
  const rehearsal: Rehearsal = {
    id: newId(),
    name: freeName(
      name,
      all.map((r) => r.name),
    ),
    order: orderAfter(all),
    steps,
  };
  return {
    id: rehearsal.id,
    change: {
      label: editWords.newRehearsal(rehearsal.name).slice(0, 200),
      ops: [set(at(piece, rehearsal.id), rehearsal)],
    },
  };
};

export const setSteps = (piece: Piece, id: Id, steps: readonly Step[]): Change => ({
  label: editWords.changeRehearsal,
  ops: [set([...at(piece, id), "steps"], steps)],
});
export const renameRehearsal = (piece: Piece, id: Id, name: string): Change => ({
  label: editWords.renameRehearsal(name).slice(0, 200),
  ops: [set([...at(piece, id), "name"], name)],
});
export const removeRehearsal = (piece: Piece, id: Id): Change => ({
  label: editWords.deleteRehearsal(piece.rehearsals[id]?.name ?? "").slice(0, 200),
  ops: [remove(at(piece, id))],
});

/** Says of a finding that it is as it should be, and why. */
export const acceptFinding = (piece: Piece, id: Id, reason: string): Change => ({
  label: editWords.acceptFinding,
  ops: [set(["pieces", piece.id, "accepted", id], { id, reason })],
});
export const unacceptFinding = (piece: Piece, id: Id): Change => ({
  label: editWords.reopenFinding,
  ops: [remove(["pieces", piece.id, "accepted", id])],
});
