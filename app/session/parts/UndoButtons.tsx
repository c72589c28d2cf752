import { useEffect } from "react";
import { Button } from "react-bootstrap";
import type { Session } from "../session";
import { useSession, useUndo } from "../context";
import { Icon } from "../../ui/Icon";
import { isTyping } from "../../ui/typing";

/** Ctrl+Z, Ctrl+Shift+Z and Ctrl+Y, unless one is typing. */
const useUndoKeys = (session: Session): void => {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const isHeld = (event.ctrlKey || event.metaKey) && !event.altKey;
      if (!isHeld || event.defaultPrevented || isTyping(event.target)) return;
      const key = event.key.toLowerCase();
      if (key !== "z" && key !== "y") return;
      event.preventDefault();
      if (key === "y" || event.shiftKey) session.redo();
      else session.undo();
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
  const undoTitle = undo === null ? "Nothing to undo" : `Undo: ${undo} (Ctrl+Z)`;
  const redoTitle = redo === null ? "Nothing to redo" : `Redo: ${redo} (Ctrl+Shift+Z)`;
  return (
    <span className="undo-buttons">
      <Button
        bsPrefix="tool"
        className="framed"
        disabled={undo === null}
        title={undoTitle}
        aria-label="Undo"
        onClick={() => session.undo()}
      >
        <Icon name="undo" />
      </Button>
      <Button
        bsPrefix="tool"
        className="framed"
        disabled={redo === null}
        title={redoTitle}
        aria-label="Redo"
        onClick={() => session.redo()}
      >
        <Icon name="redo" />
      </Button>
    </span>
  );
};
