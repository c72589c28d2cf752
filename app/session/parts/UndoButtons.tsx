import { useEffect } from "react";
import { runKey } from "../../ui/keys";
import { Tool } from "../../ui/Tool";
import { isTyping } from "../../ui/typing";
import { useSession, useUndo } from "../context";
import type { Session } from "../session";
import { undoKeys } from "./undoKeys";

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
    <span role="group" className="undo-buttons" aria-label="Undo and redo">
      <Tool
        framed
        icon="undo"
        label="Undo"
        disabled={undo === null}
        title={undo === null ? "Nothing to undo" : `Undo: ${undo} (Ctrl+Z)`}
        onClick={() => session.undo()}
      />
      <Tool
        framed
        icon="redo"
        label="Redo"
        disabled={redo === null}
        title={redo === null ? "Nothing to redo" : `Redo: ${redo} (Ctrl+Shift+Z)`}
        onClick={() => session.redo()}
      />
    </span>
  );
};
