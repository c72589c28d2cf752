import { goToPart } from "../ui/focus/parts";
import type { KeyEntry } from "../ui/keys";
import { benchWords } from "./words";

/** Keys that lead from part to part of the bench, also out of a field. */
export const partKeys: readonly KeyEntry<void>[] = [
  { keys: ["F6"], words: benchWords.goToNextPart, run: () => goToPart(1) },
  { keys: ["Shift+F6"], words: benchWords.goPreviousPart, run: () => goToPart(-1) },
];
