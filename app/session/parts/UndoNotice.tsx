import { useEffect, useState } from "react";
import { useSession, useUndo } from "../context";
import { Notice } from "../../ui/floating/Notice";
import { sessionWords } from "../words";

/**
 * What was just done, with a way to take it back; gone as soon as something else would be taken
 * back.
 */
export const UndoNotice = ({ text, onClose }: { text: string; onClose: () => void }) => {
  const session = useSession();
  const { undo } = useUndo();
  const [step] = useState(undo);
  const isOver = undo !== step;
  useEffect(() => {
    if (isOver) onClose();
  }, [isOver, onClose]);
  if (isOver) return null;
  return (
    <Notice
      text={text}
      action={{ label: sessionWords.undo, run: () => session.undo() }}
      onClose={onClose}
    />
  );
};
