import { memo, useState } from "react";
import { Link } from "react-router";
import { renamePiece } from "#core/edit";
import { Icon } from "../common/Icon";
import { NameField } from "../common/NameField";
import { SaveMark } from "../common/SaveMark";
import { useProject, useSession, useUndo } from "../store/session-context";
import { usePiece } from "./state";

export const UndoButtons = () => {
  const session = useSession();
  const { undo, redo } = useUndo();
  return (
    <span className="d-inline-flex gap-1">
      <button type="button" className="tool framed" disabled={undo === null} title={undo === null ? "Nothing to undo" : `Undo: ${undo} (Ctrl+Z)`} aria-label="Undo" onClick={() => session.undo()}><Icon name="undo" /></button>
      <button type="button" className="tool framed" disabled={redo === null} title={redo === null ? "Nothing to redo" : `Redo: ${redo} (Ctrl+Shift+Z)`} aria-label="Redo" onClick={() => session.redo()}><Icon name="redo" /></button>
    </span>
  );
};

export const TopBar = memo(function TopBar({ onHelp }: { onHelp: () => void }) {
  const session = useSession();
  const project = useProject();
  const piece = usePiece();
  const [renaming, setRenaming] = useState(false);
  return (
    <header className="bar">
      <Link to="/" className="brand">Nubble</Link>
      <nav className="crumbs" aria-label="Where you are">
        <Link to={`/projects/${session.id}`}>{project.name}</Link>
        <span className="quiet">/</span>
        {renaming
          ? <NameField value={piece.name} label="Name of the piece" onDone={(name) => { setRenaming(false); if (name) session.edit(renamePiece(piece.id, name)); }} />
          : <button type="button" className="plain-name strong" title="Rename" onClick={() => setRenaming(true)}>{piece.name}</button>}
      </nav>
      <UndoButtons />
      <SaveMark />
      <span className="flex-grow-1" />
      <button type="button" className="tool" onClick={onHelp} title="Keys (?)">Keys</button>
      <Link className="btn btn-primary btn-sm px-3" to={`/projects/${session.id}/play${piece.kind === "screen" ? `/${piece.id}` : ""}`}>Play</Link>
    </header>
  );
});
