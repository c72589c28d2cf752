import { useEffect } from "react";
import { runKey } from "../../ui/keys";
import { Tool } from "../../ui/Tool";
import { Toolbar } from "../../ui/focus/Toolbar";
import { isTyping } from "../../ui/typing";
import { useSession, useUndo } from "../context";
import type { Session } from "../session";
import { undoKeys } from "./undoKeys";
import { sessionWords } from "../words";

/** The keys of undo, unless one is typing. */
const useUndoKeys = (session: Session): void => {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.defaultPrevented || isTyping(e.target)) return;
      if (runKey(undoKeys, session, e)) e.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [session]);
};

/** Takes back and up again, by buttons and by keys; on every page of a project. */
export const UndoButtons = () => {
  const session = useSession();
  const { undo, redo } = useUndo();
  useUndoKeys(session);
  return (
    <Toolbar className="undo-buttons" label={sessionWords.undoRedo}>
      <Tool
        framed
        icon="undo"
        label={sessionWords.undo}
        disabled={undo === null}
        title={undo === null ? sessionWords.nothingUndo : sessionWords.undoCtrlZ(undo)}
        onClick={() => session.undo()}
      />
      <Tool
        framed
        icon="redo"
        label={sessionWords.redo}
        disabled={redo === null}
        title={redo === null ? sessionWords.nothingRedo : sessionWords.redoCtrlShiftZ(redo)}
        onClick={() => session.redo()}
      />
    </Toolbar>
  );
};
