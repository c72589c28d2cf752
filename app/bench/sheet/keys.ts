import type { KeyEntry } from "../../ui/keys";
import type { SheetHand } from "./hand";
import { sheetWords } from "./words";

/** What the keys of the sheet act on. */
interface SheetKeys {
  readonly hand: SheetHand;
  readonly openMenu: () => void;
}

type SheetKey = KeyEntry<SheetKeys>;

/** Goes about by the event's own key, with its modifiers. */
const walk: SheetKey["run"] = ({ hand }, e) => {
  hand.walk(e.key, e.ctrlKey || e.metaKey, e.shiftKey);
};

const arrows = ["ArrowUp", "ArrowDown", "ArrowLeft", "ArrowRight"];
const pages = ["PageUp", "PageDown"];
const withKey = (modifier: string) => arrows.map((key) => `${modifier}+${key}`);

/** The keys of the sheet, on a cell that is not being edited. */
export const sheetKeys: readonly SheetKey[] = [
  { keys: [...arrows, ...pages], words: sheetWords.goAnotherCell, run: walk },
  { keys: withKey("Shift"), words: sheetWords.selectRange, run: walk },
  { keys: withKey("$mod"), words: sheetWords.goLastCellDirection, run: walk },
  {
    keys: ["Home", "End", "$mod+Home", "$mod+End"],
    words: sheetWords.goFirstOrLast,
    run: walk,
  },
  {
    keys: ["Enter", "F2"],
    words: sheetWords.editCellSwitchesYes,
    run: ({ hand }) => hand.press(),
  },
  {
    keys: ["$mod+Enter"],
    words: sheetWords.fillOtherSelectedColumns,
    run: ({ hand }) => hand.fillChosen(),
  },
  {
    keys: ["Delete", "Backspace"],
    words: sheetWords.clearUseInheritedValue,
    run: ({ hand }) => hand.clear(),
  },
  {
    keys: ["Shift+F10", "ContextMenu"],
    words: sheetWords.openCellsMenu,
    run: ({ openMenu }) => openMenu(),
  },
];
