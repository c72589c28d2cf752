import { useCallback, useState } from "react";
import { afterMenu } from "../../ui/floating/afterMenu";
import type { MenuAt } from "../../ui/floating/ContextMenu";
import { useEdits } from "../commands/edits";
import { useWorkpiece } from "../state/context";
import { cellMenu } from "./cellMenu";
import type { SheetHand } from "./hand";
import type { Naming } from "./NameToken";
import type { Cell, Row } from "./rows";
import type { AskName } from "./tokenItems";

/** The menu of a cell, where one asked for it, and the name of a token that one of it asks for. */
export const useCellMenu = (hand: SheetHand) => {
  const workpiece = useWorkpiece();
  const edits = useEdits();
  const [menu, setMenu] = useState<MenuAt | null>(null);
  const [naming, setNaming] = useState<Naming | null>(null);
  const close = useCallback(() => setMenu(null), []);
  const endNaming = useCallback(
    (isAway: boolean) => {
      setNaming(null);
      if (!isAway) hand.focus();
    },
    [hand],
  );
  const open = useCallback(
    (at: { x: number; y: number }, row: Row, cell: Cell) => {
      const here = { workpiece, edits, hand, row, cell };
      // the menu gives the focus back first
      const onName: AskName = (type, suggested) =>
        afterMenu(() => setNaming({ ...here, ...at, type, suggested }));
      setMenu({ ...at, items: cellMenu(here, onName) });
    },
    [workpiece, edits, hand],
  );
  return { menu, open, close, naming, endNaming };
};
