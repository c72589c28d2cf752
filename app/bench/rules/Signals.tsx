import { addSignal, removeSignal, renameSignal } from "#core/edit";
import { inOrder } from "#core/project";
import { useState } from "react";
import { Button } from "react-bootstrap";
import { NameField } from "../../ui/fields/NameField";
import { usePiece, useWorkpiece } from "../state/context";
import { Tool } from "../../ui/Tool";
import { rulesWords } from "./words";

/** What the piece can tell whatever contains it. */
export const Signals = () => {
  const workpiece = useWorkpiece();
  const signals = usePiece((p) => p.signals);
  const [naming, setNaming] = useState<string | null>(null);
  return (
    <div className="signals" role="group" aria-label={rulesWords.signals}>
      <span className="quiet" title={rulesWords.messagesPieceCanSend}>
        {rulesWords.signals}
      </span>
      {inOrder(signals).map((s) => (
        <span key={s.id} className="signal">
          {naming === s.id ? (
            <NameField
              value={s.name}
              label={rulesWords.signalName}
              onDone={(name) => {
                setNaming(null);
                if (name !== null) workpiece.run((_, piece) => renameSignal(piece, s.id, name));
              }}
            />
          ) : (
            <Button
              variant="name"
              title={rulesWords.doubleClickOrF2}
              onDoubleClick={() => setNaming(s.id)}
              onKeyDown={(e) => {
                if (e.key === "F2" || e.key === "Enter") {
                  e.preventDefault();
                  e.stopPropagation();
                  setNaming(s.id);
                }
              }}
            >
              {s.name}
            </Button>
          )}
          <Tool
            size="sm"
            icon="close"
            iconSize={11}
            label={rulesWords.deleteSignal(s.name)}
            onClick={() => workpiece.run((_, piece) => removeSignal(piece, s.id))}
          />
        </span>
      ))}
      <Button
        variant="add"
        onClick={() => {
          const made = workpiece.make((_, piece) => addSignal(piece, "signal"));
          if (made) setNaming(made.id);
        }}
      >
        {rulesWords.addSignal}
      </Button>
    </div>
  );
};
