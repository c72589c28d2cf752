import type { Id } from "../../basics";
import { inOrder, newId, orderAfter, orderAt, remove, set } from "../../project";
import type { Change, Piece, Sample } from "../../project";
import { editWords } from "../words";
import type { Made } from "../pieces";

const at = (piece: Piece, sample: Id, ...rest: string[]): string[] => [
  "pieces",
  piece.id,
  "samples",
  sample,
  ...rest,
];

/** A new sample after the others, as the component is at rest unless values are given. */
export const addSample = (
  piece: Piece,
  { advice, values = {} }: Pick<Sample, "advice"> & Partial<Pick<Sample, "values">>,
): Made => {
  const sample: Sample = {
    id: newId(),
    order: orderAfter(Object.values(piece.samples)),
    caption: "",
    advice,
    values,
  };
  return {
    id: sample.id,
    change: { label: editWords.addSample(piece.name), ops: [set(at(piece, sample.id), sample)] },
  };
};

/** Changes parts of a sample. */
export const setSample = (
  piece: Piece,
  id: Id,
  parts: Partial<Pick<Sample, "caption" | "advice" | "values">>,
): Change => ({
  label: editWords.changeSample(piece.name),
  ops: Object.entries(parts).map(([key, value]) => set(at(piece, id, key), value)),
});

export const moveSample = (piece: Piece, id: Id, index: number): Change => {
  const others = inOrder(piece.samples).filter((s) => s.id !== id);
  return {
    label: editWords.moveSample(piece.name),
    ops: [set(at(piece, id, "order"), orderAt(others, index))],
  };
};

export const removeSample = (piece: Piece, id: Id): Change => ({
  label: editWords.deleteSample(piece.name),
  ops: [remove(at(piece, id))],
});
