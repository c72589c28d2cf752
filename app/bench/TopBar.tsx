import { memo, useState } from "react";
import { Link } from "react-router";
import { renamePiece } from "#core/edit";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { ProjectBar } from "../session/parts/ProjectBar";
import { ThemePicks } from "../session/parts/ThemePicks";
import { EditableName } from "../ui/fields/EditableName";
import { LinkButton } from "../ui/LinkButton";
import { countRender } from "../ui/renders";
import { Tool } from "../ui/Tool";
import { PlaceOn } from "./PlaceOn";
import { useBench, useCommand, usePieceParts } from "./state/context";
import { useBenchMemory } from "./state/memory";
import { benchWords } from "./words";

/** The name of the piece: the heading of the page. */
const PieceName = () => {
  const command = useCommand();
  const { id, name } = usePieceParts("id", "name");
  const memory = useBenchMemory();
  // the bench may be drawn more than once before it is there
  const [isFresh] = useState(() => memory.isFresh(id));
  return (
    <h1 className="bar-name" tabIndex={-1}>
      <EditableName
        name={name}
        label={benchWords.pieceName}
        className="strong"
        begins={isFresh}
        onEnd={() => memory.named()}
        onName={(text) => command(() => renamePiece(id, text))}
      />
    </h1>
  );
};

/** The head of the bench: where one is, undo, saving, and Play. */
export const TopBar = memo(function TopBar() {
  countRender("top bar");
  const session = useSession();
  const project = useDisplayedProject((p) => p.name);
  const { id, kind } = usePieceParts("id", "kind");
  const openDialog = useBench((s) => s.openDialog);
  const { home, moment } = session;
  return (
    <ProjectBar
      crumbs={[
        <Link key="project" to={home}>
          {project}
        </Link>,
        <PieceName key="piece" />,
      ]}
    >
      <Tool title={benchWords.keyboardShortcuts2} onClick={() => openDialog({ kind: "keys" })}>
        {benchWords.shortcuts}
      </Tool>
      <ThemePicks />
      {kind === "component" && moment === null && (
        <>
          <LinkButton variant="tool" to={`${home}/system/components/${id}`}>
            {benchWords.inLibrary}
          </LinkButton>
          <PlaceOn />
        </>
      )}
      <LinkButton size="sm" to={`${home}/play/${id}`}>
        {benchWords.play}
      </LinkButton>
    </ProjectBar>
  );
});
