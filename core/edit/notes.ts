import type { Id } from "../basics";
import { nameNote, onlyScope, unusedBy } from "../looks";
import { newId, orderAfter, remove, set } from "../project";
import type { Change, Condition, Piece, Reference, Variant, VariantNote } from "../project";
import { editWords } from "./words";

const at = (piece: Piece, id: Id): string[] => ["pieces", piece.id, "notes", id];

const add = (
  piece: Piece,
  part: Pick<VariantNote, "when" | "name" | "unused">,
  label: string,
): Change => {
  const note: VariantNote = { id: newId(), order: orderAfter(Object.values(piece.notes)), ...part };
  return { label, ops: [set(at(piece, note.id), note)] };
};

/**
 * Gives a variant a name of its own; an empty one takes it back, so that it is called by its values
 * again.
 */
export const nameVariant = (piece: Piece, variant: Variant, name: string): Change => {
  const known = nameNote(piece, variant);
  const text = name.trim();
  if (known)
    return {
      label: text ? editWords.nameVariant(text) : editWords.removeVariantName,
      ops: [text ? set([...at(piece, known.id), "name"], text) : remove(at(piece, known.id))],
    };
  return text
    ? add(
        piece,
        { when: onlyScope(piece, variant), name: text, unused: false },
        editWords.nameVariant(text),
      )
    : { label: editWords.nameVariantInNotes, ops: [] };
};

/**
 * Marks all variants where a condition holds as not used: they are neither shown nor reached by
 * edits. What looks say about them is kept.
 */
export const markUnused = (piece: Piece, when: Condition): Change =>
  add(piece, { when, name: null, unused: true }, editWords.markUnused);

/** Uses variants again that were marked as unused together with the given one. */
export const usedAgain = (piece: Piece, variant: Variant): Change => {
  const note = unusedBy(piece, variant);
  return { label: editWords.useAgain, ops: note ? [remove(at(piece, note.id))] : [] };
};

/** Lays a picture under the stage to measure and trace, or takes it away. */
export const setReference = (piece: Piece, reference: Reference | null): Change => ({
  label: reference ? editWords.referenceImage : editWords.removeReferenceImage,
  ops: [set(["pieces", piece.id, "reference"], reference)],
});
