import type { KeyEntry } from "../../ui/keys";
import type { SheetHand } from "./hand";

/** What the keys of the sheet act on. */
export interface SheetKeys {
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
  { keys: [...arrows, ...pages], words: "Go to another cell", run: walk },
  { keys: withKey("Shift"), words: "Choose a range", run: walk },
  { keys: withKey("$mod"), words: "Go to the last cell that way", run: walk },
  {
    keys: ["Home", "End", "$mod+Home", "$mod+End"],
    words: "Go to the first or last variant",
    run: walk,
  },
  {
    keys: ["Enter", "F2"],
    words: "Edit the cell; a yes becomes a no",
    run: ({ hand }) => hand.press(),
  },
  {
    keys: ["$mod+Enter"],
    words: "Give the other chosen columns this value",
    run: ({ hand }) => hand.fillChosen(),
  },
  {
    keys: ["Delete", "Backspace"],
    words: "Inherit again",
    run: ({ hand }) => hand.clear(),
  },
  {
    keys: ["Shift+F10", "ContextMenu"],
    words: "What can be done with the cell",
    run: ({ openMenu }) => openMenu(),
  },
];
