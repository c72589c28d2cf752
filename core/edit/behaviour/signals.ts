import type { Id } from "../../basics";
import { newId, orderAfter, remove, set } from "../../project";
import type { Change, Piece, Signal } from "../../project";
import type { Made } from "../pieces";
import { freeName } from "../pieces";
import { editWords } from "../words";

/** A new signal, by which a piece can tell what contains it something. */
export const addSignal = (piece: Piece, name: string): Made => {
  const all = Object.values(piece.signals);
  const signal: Signal = {
    id: newId(),
    name: freeName(
      name,
      all.map((s) => s.name),
    ),
    order: orderAfter(all),
  };
  return {
    id: signal.id,
    change: {
      label: editWords.newSignal(signal.name),
      ops: [set(["pieces", piece.id, "signals", signal.id], signal)],
    },
  };
};

export const renameSignal = (piece: Piece, id: Id, name: string): Change => ({
  label: editWords.renameSignal(name).slice(0, 200),
  ops: [set(["pieces", piece.id, "signals", id, "name"], name)],
});

/** Takes a signal away; rules that raise it or listen for it are shown as broken. */
export const removeSignal = (piece: Piece, id: Id): Change => ({
  label: editWords.deleteSignal(piece.signals[id]?.name ?? ""),
  ops: [remove(["pieces", piece.id, "signals", id])],
});
