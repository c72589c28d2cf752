import { memo, useState } from "react";
import { Button } from "react-bootstrap";
import { Link } from "react-router";
import { renamePiece } from "#core/edit";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { SaveMark } from "../session/parts/SaveMark";
import { UndoButtons } from "../session/parts/UndoButtons";
import { LinkButton } from "../ui/LinkButton";
import { NameField } from "../ui/NameField";
import { countRender } from "../ui/renders";
import { Tool } from "../ui/Tool";
import { useBench, useCommand, usePieceParts } from "./state/context";

/** The name of the piece, which a click lets one type anew. */
const PieceName = () => {
  const command = useCommand();
  const { id, name } = usePieceParts("id", "name");
  const [renaming, setRenaming] = useState(false);
  const named = (text: string | null) => {
    setRenaming(false);
    if (text) command(() => renamePiece(id, text));
  };
  return renaming ? (
    <NameField value={name} label="Name of the piece" onDone={named} />
  ) : (
    <Button variant="name" className="strong" title="Rename" onClick={() => setRenaming(true)}>
      {name}
    </Button>
  );
};

/** The head of the bench: where one is, undo, saving, and Play. */
export const TopBar = memo(function TopBar() {
  countRender("top bar");
  const session = useSession();
  const project = useDisplayedProject((p) => p.name);
  const { id, kind } = usePieceParts("id", "kind");
  const openDialog = useBench((s) => s.openDialog);
  return (
    <header className="bar">
      <Link to="/" className="brand">
        Nubble
      </Link>
      <nav className="crumbs" aria-label="Where you are">
        <Link to={`/projects/${session.id}`}>{project}</Link>
        <span className="quiet">/</span>
        <PieceName />
      </nav>
      <UndoButtons />
      <SaveMark />
      <span className="push" />
      <Tool title="Keys (?)" onClick={() => openDialog({ kind: "keys" })}>
        Keys
      </Tool>
      <LinkButton
        size="sm"
        to={`/projects/${session.id}/play${kind === "screen" ? `/${id}` : ""}`}
      >
        Play
      </LinkButton>
    </header>
  );
});
