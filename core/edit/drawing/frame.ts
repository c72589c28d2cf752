import type { Rect } from "../../layout";
import { childrenOf } from "../../looks";
import { BASE, ROOT, remove, set } from "../../project";
import type { Change, Op, Piece } from "../../project";
import { editWords } from "../words";
import { shift } from "./layers";

const sizeKeys = ["width", "height", "widthMode", "heightMode"] as const;

const said = (piece: Piece) => piece.looks[BASE]?.changes[ROOT] ?? {};

const isArranged = (piece: Piece): boolean => {
  const { arrange } = said(piece);
  return arrange !== undefined && arrange !== "free";
};

/** Whether a piece is as large as what lies in it, and arranges it freely. */
export const isFitting = (piece: Piece): boolean => {
  const { widthMode, heightMode } = said(piece);
  return widthMode === "fit" && heightMode === "fit" && !isArranged(piece);
};

/** Moves all that lies in a piece by a way. */
const shiftAll = (piece: Piece, dx: number, dy: number): Op[] =>
  (childrenOf(piece).get(ROOT) ?? []).flatMap((child) => shift(piece, child.id, dx, dy));

/**
 * Makes a piece's frame as large as what lies in it, in every variant and from now on. `around` is
 * the box around all its layers in all variants, px of the piece; what is arranged stays where the
 * arrangement puts it.
 */
export const fitFrame = (piece: Piece, around: Rect): Change => {
  const at = ["pieces", piece.id, "looks"];
  const ops: Op[] = isArranged(piece) ? [] : shiftAll(piece, -around.x, -around.y);
  for (const look of Object.values(piece.looks))
    for (const key of sizeKeys)
      if (look.id !== BASE && look.changes[ROOT]?.[key] !== undefined)
        ops.push(remove([...at, look.id, "changes", ROOT, key]));
  for (const key of ["widthMode", "heightMode"])
    ops.push(set([...at, BASE, "changes", ROOT, key], "fit"));
  for (const key of ["width", "height"])
    if (said(piece)[key] !== undefined) ops.push(remove([...at, BASE, "changes", ROOT, key]));
  return { label: editWords.fitFrame, ops };
};

/**
 * Brings the layers of a piece whose frame fits them back into it, after one of them was put beyond
 * its left or upper edge. Null when the frame does not fit, or nothing lies beyond.
 */
export const settleFrame = (piece: Piece, around: Rect): Change | null => {
  if (!isFitting(piece)) return null;
  const ops = shiftAll(piece, Math.max(0, -around.x), Math.max(0, -around.y));
  return ops.length ? { label: editWords.fitFrame, ops } : null;
};
