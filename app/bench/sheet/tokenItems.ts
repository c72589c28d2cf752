import type { Id } from "#core/basics";
import { addOption, addToken, removeOption, tokenTypeOf } from "#core/edit";
import { optionKeys } from "#core/project";
import type { OptionKey, Piece, Project, TokenValue } from "#core/project";
import type { MenuItem } from "../../ui/ContextMenu";
import type { Session } from "../../session/session";
import type { BenchEdits } from "../state/edits";
import type { Cell, Row } from "./rows";

interface Here {
  project: Project;
  session: Session;
  piece: Piece;
  chosen: readonly Id[];
  row: Row;
  cell: Cell;
  edits: BenchEdits;
}

/** Menu items of a cell about tokens and options. */
export const tokenItems = ({
  project,
  session,
  piece,
  chosen,
  row,
  cell,
  edits,
}: Here): MenuItem[] => {
  const items: MenuItem[] = [];
  const layer = piece.layers[chosen[0] ?? ""];
  const all = (said: NonNullable<Cell["said"]>) =>
    Object.fromEntries(chosen.map((id) => [id, { [row.key]: said }]));
  const type = tokenTypeOf(row.key, cell.said);
  if (type !== null && layer) {
    items.push({
      label: "Make a token of it",
      onPick: () => {
        const made = addToken(
          project,
          type,
          `${layer.name} ${row.label}`.slice(0, 100),
          cell.said as TokenValue,
        );
        const gesture = `token ${made.id}`;
        if (!session.edit(made.change, gesture)) return;
        edits.set(all({ token: made.id }), gesture);
        session.endGesture();
        edits.note(
          `Made the token “${layer.name} ${row.label}” and bound this value to it. Rename it on the project’s System page.`,
        );
      },
    });
  }
  if (cell.token !== null && cell.value !== undefined) {
    const { value } = cell;
    items.push({ label: "Keep the value, without the token", onPick: () => edits.set(all(value)) });
  }
  if (layer && (optionKeys as readonly string[]).includes(row.key)) {
    const key = row.key as OptionKey;
    const option = Object.values(piece.options).find((o) => o.layer === layer.id && o.key === key);
    items.push(
      option
        ? {
            label: `No longer an option of each copy`,
            onPick: () => {
              session.edit(removeOption(piece, option.id));
            },
          }
        : {
            label: "Let each copy set this",
            onPick: () => {
              session.edit(addOption(piece, layer.id, key).change);
            },
          },
    );
  }
  return items.length ? ["line", ...items] : items;
};
