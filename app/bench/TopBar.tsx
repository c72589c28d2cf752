import { memo, useState } from "react";
import { Link } from "react-router";
import { renamePiece } from "#core/edit";
import { NameField } from "../ui/NameField";
import { SaveMark } from "../session/parts/SaveMark";
import { UndoButtons } from "../session/parts/UndoButtons";
import { useProject, useSession } from "../session/context";
import { usePiece } from "./state/state";

export const TopBar = memo(function TopBar({ onHelp }: { onHelp: () => void }) {
  const session = useSession();
  const project = useProject();
  const piece = usePiece();
  const [renaming, setRenaming] = useState(false);
  return (
    <header className="bar">
      <Link to="/" className="brand">
        Nubble
      </Link>
      <nav className="crumbs" aria-label="Where you are">
        <Link to={`/projects/${session.id}`}>{project.name}</Link>
        <span className="quiet">/</span>
        {renaming ? (
          <NameField
            value={piece.name}
            label="Name of the piece"
            onDone={(name) => {
              setRenaming(false);
              if (name) session.edit(renamePiece(piece.id, name));
            }}
          />
        ) : (
          <button
            type="button"
            className="plain-name strong"
            title="Rename"
            onClick={() => setRenaming(true)}
          >
            {piece.name}
          </button>
        )}
      </nav>
      <UndoButtons />
      <SaveMark />
      <span className="flex-grow-1" />
      <button type="button" className="tool" onClick={onHelp} title="Keys (?)">
        Keys
      </button>
      <Link
        className="btn btn-primary btn-sm px-3"
        to={`/projects/${session.id}/play${piece.kind === "screen" ? `/${piece.id}` : ""}`}
      >
        Play
      </Link>
    </header>
  );
});
