import type { Id } from "#core/basics";
import type { KeyEntry } from "../../ui/keys";
import { treeWords } from "./words";

/** What the keys of the tree do. */
export interface TreeHands {
  /** goes where the event's own key leads, or folds; see `treeStep` */
  readonly step: (key: string) => void;
  readonly move: (by: 1 | -1) => void;
  readonly rename: (id: Id) => void;
  readonly remove: () => void;
  /** the layer one is at */
  readonly lead: Id;
}

/** The keys of the tree; letters lead to the layer whose name begins with them. */
export const treeKeys: readonly KeyEntry<TreeHands>[] = [
  { keys: ["Alt+ArrowUp"], words: treeWords.bringForward, run: ({ move }) => move(1) },
  { keys: ["Alt+ArrowDown"], words: treeWords.sendBackward, run: ({ move }) => move(-1) },
  {
    keys: ["ArrowUp", "ArrowDown", "Home", "End"],
    words: treeWords.goAnotherLayer,
    run: ({ step }, e) => step(e.key),
  },
  {
    keys: ["ArrowLeft", "ArrowRight"],
    words: treeWords.collapseGoOutExpand,
    run: ({ step }, e) => step(e.key),
  },
  { keys: ["Enter", "F2"], words: treeWords.rename, run: ({ rename, lead }) => rename(lead) },
  { keys: ["Delete", "Backspace"], words: treeWords.delete, run: ({ remove }) => remove() },
];
