import { addOption, addToken, removeOption, tokenTypeOf } from "#core/edit";
import { cutText, optionKeys } from "#core/project";
import type { OptionKey, TokenType, TokenValue } from "#core/project";
import { isOneOf } from "#core/basics";
import { labelOf } from "#core/properties";
import type { MenuItem } from "../../ui/floating/ContextMenu";
import type { BenchEdits } from "../commands/edits";
import { shownLayers } from "../state/active";
import type { Workpiece } from "../state/workpiece";
import type { Cell, Row } from "./rows";
import { sheetWords } from "./words";

/** A cell, and what changes it. */
export interface Here {
  readonly workpiece: Workpiece;
  readonly edits: BenchEdits;
  readonly row: Row;
  readonly cell: Cell;
}

/** Says a value of all chosen layers. */
const sayAll = (
  { workpiece, edits, row }: Here,
  said: NonNullable<Cell["said"]>,
  gesture: string | null = null,
): void =>
  edits.set(
    Object.fromEntries(shownLayers(workpiece.state.chosen).map((id) => [id, { [row.key]: said }])),
    gesture,
  );

/** Makes a token of what a cell says and binds the cell to it, in one step of undo. */
export const makeToken = (here: Here, type: TokenType, name: string, group: string): void => {
  const { workpiece, edits, cell } = here;
  const gesture = sheetWords.tokenName(name);
  const made = workpiece.make(
    (project) => addToken(project, type, cutText(name, 100), cell.said as TokenValue, group),
    gesture,
  );
  if (!made) return;
  sayAll(here, { token: made.id }, gesture);
  edits.endGesture();
  edits.note(sheetWords.createdTokenLinkedValue(name));
};

/** Letting each placed copy set this, or no longer. */
const optionItem = ({ workpiece, row }: Here): MenuItem[] => {
  const { piece, state } = workpiece;
  const layer = piece?.layers[shownLayers(state.chosen)[0] ?? ""];
  if (!piece || !layer || !isOneOf(optionKeys, row.key)) return [];
  const key: OptionKey = row.key;
  const option = Object.values(piece.options).find((o) => o.layer === layer.id && o.key === key);
  return [
    {
      label: option ? sheetWords.removeOption : sheetWords.letEachCopySet,
      onPick: () =>
        workpiece.run((_, now) =>
          option ? removeOption(now, option.id) : addOption(now, layer.id, key).change,
        ),
    },
  ];
};

/** Asks for the name of a token that is to be made, with a suggestion. */
export type AskName = (type: TokenType, suggested: string) => void;

/** Menu items of a cell about tokens and options. */
export const tokenItems = (here: Here, onName: AskName): MenuItem[] => {
  const { workpiece, row, cell } = here;
  const layer = workpiece.piece?.layers[shownLayers(workpiece.state.chosen)[0] ?? ""];
  const type = tokenTypeOf(row.key, cell.said);
  const { value } = cell;
  const items: MenuItem[] = [];
  if (type !== null && layer)
    items.push({
      label: sheetWords.createToken,
      onPick: () => onName(type, `${layer.name} ${labelOf(row.key) ?? row.label}`),
    });
  if (cell.token !== null && value !== undefined)
    items.push({
      label: sheetWords.unlinkTokenKeepValue,
      onPick: () => sayAll(here, value),
    });
  items.push(...optionItem(here));
  return items.length ? ["line", ...items] : items;
};
