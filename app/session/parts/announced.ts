import type { Steps } from "../undo";
import { sessionWords } from "../words";

/** What is told to those who do not see it: what was done, taken back or done again; "" for nothing. */
export const announced = (before: Steps, now: Steps): string => {
  if (now.redo && now.redo.label === before.undo?.label && now.undo !== before.undo) {
    if (before.redo !== now.redo) return sessionWords.undone(now.redo.label);
  }
  if (now.undo === before.undo || !now.undo) return "";
  const again =
    before.redo !== null && before.redo !== now.redo && now.undo.label === before.redo.label;
  return again ? sessionWords.redone(now.undo.label) : now.undo.label;
};
