import { conditionText, sameCondition } from "#core/looks";
import { BASE } from "#core/project";
import type { MenuItem } from "../../ui/floating/ContextMenu";
import type { BenchEdits } from "../commands/edits";
import type { Workpiece } from "../state/workpiece";
import type { SheetHand } from "./hand";
import type { Cell, Row } from "./rows";
import { tokenItems } from "./tokenItems";
import type { AskName } from "./tokenItems";
import { sheetWords } from "./words";

interface Here {
  readonly workpiece: Workpiece;
  readonly edits: BenchEdits;
  readonly hand: SheetHand;
  readonly row: Row;
  readonly cell: Cell;
}

/** Saying what a cell says in a wider scope or a narrower one. */
const moveItems = ({ workpiece, edits, hand, row, cell }: Here): MenuItem[] => {
  const { piece, active } = workpiece;
  const scopes = hand.scopes(cell);
  if (!piece || !active || !scopes) return [];
  const { winner, all } = scopes;
  const widest = all[0]?.reach ?? 1;
  const words = (s: (typeof all)[number]): string => {
    if (s.reach === widest) return sheetWords.setAllVariants;
    return s.reach === 1
      ? sheetWords.setOnlyHere
      : sheetWords.setWhere(conditionText(piece, s.when));
  };
  return all
    .filter((s) => !sameCondition(s.when, winner.when))
    .map((s) => ({
      label: words(s),
      onPick: () => {
        // the base is what all others fall back on: there it stays said, too
        if (s.reach === 1 && winner.id === BASE)
          edits.setIn([active.variant], hand.saidBy(winner.id, row));
        else hand.move(row, winner.id, s.when);
      },
    }));
};

/** What can be done with a cell. */
export const cellMenu = (here: Here, onName: AskName): MenuItem[] => {
  const { workpiece, hand, cell } = here;
  const paste = () =>
    void navigator.clipboard?.readText().then(
      (text) => hand.paste(text),
      () => workpiece.state.setProblem(sheetWords.browserBlockedAccessClipboard),
    );
  return [
    cell.origin.own && cell.origin.from === BASE && !cell.origin.styled
      ? { label: sheetWords.resetDefaultAllVariants, onPick: () => hand.clear(true) }
      : {
          label: sheetWords.clearUseInheritedValue,
          keys: "Delete",
          disabled: !cell.origin.own || cell.origin.styled,
          onPick: () => hand.clear(),
        },
    ...moveItems(here),
    "line",
    {
      label: sheetWords.copy,
      keys: sheetWords.ctrlC,
      onPick: () => void navigator.clipboard?.writeText(hand.copy()),
    },
    { label: sheetWords.paste, keys: sheetWords.ctrlV, onPick: paste },
    ...tokenItems(here, onName),
  ];
};
