import { useSearchParams } from "react-router";
import type { Id } from "#core/basics";
import { sendsForms, startScreen } from "#core/edit";
import { tableEntry } from "#core/project";
import type { Project } from "#core/project";
import { useEnv } from "../services/env";
import { LinkButton } from "../ui/LinkButton";
import { Plain } from "../ui/Plain";
import { presentedIn, themeIn } from "./address";
import type { Place } from "./place";
import { Theatre } from "./Theatre";
import { playWords } from "./words";

interface Props {
  readonly project: Project;
  readonly place: Place;
  /** what the address names; nothing for the first screen */
  readonly pieceId: Id | undefined;
}

/** What an address asks to be played: the prototype, a screen or a component in a state. */
export const Opened = ({ project, place, pieceId }: Props) => {
  const env = useEnv(project.assets);
  const [search] = useSearchParams();
  const isStart = pieceId === undefined;
  const asked = isStart ? startScreen(project) : tableEntry(project.pieces, pieceId);
  if (!asked)
    return (
      <Plain title={isStart ? playWords.nothingYet : playWords.notFound}>
        <p>{isStart ? playWords.needsScreen : playWords.mayBeDeleted}</p>
        {place.home !== null && (
          <LinkButton to={place.home}>{playWords.backToProject(project.name)}</LinkButton>
        )}
      </Plain>
    );
  if (!env) return <div className="play" />;
  return (
    <Theatre
      key={asked.id}
      env={env}
      base={project}
      theme={themeIn(search)}
      place={place}
      first={asked}
      shown={presentedIn(project, asked.id, search)}
      sends={sendsForms(project, asked.id)}
    />
  );
};

/** The title of a page that plays something. */
export const titleOf = (project: Project | undefined, pieceId: Id | undefined): string => {
  const piece = project && pieceId !== undefined ? tableEntry(project.pieces, pieceId) : undefined;
  return playWords.title(piece?.name ?? playWords.play, project?.name ?? "");
};
