import { useSearchParams } from "react-router";
import { sendsForms, startScreen } from "#core/edit";
import { tableEntry } from "#core/project";
import type { Project } from "#core/project";
import { presentedIn } from "../play/address";
import { Theatre } from "../play/Theatre";
import { playWords } from "../play/words";
import { useEnv } from "../services/env";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { LinkButton } from "../ui/LinkButton";
import { Plain } from "../ui/Plain";
import type { Route } from "./+types/play";

export const meta: Route.MetaFunction = ({ matches, params }) => {
  const loaded = matches.find((m) => m?.id === "routes/project")?.loaderData;
  const project = (loaded as { project?: Project } | undefined)?.project;
  const id = params.pieceId;
  const piece = project && id !== undefined ? tableEntry(project.pieces, id) : undefined;
  return [{ title: playWords.title(piece?.name ?? playWords.play, project?.name ?? "") }];
};

/** The prototype, or a component, on a page of its own. */
export default function Play({ params }: Route.ComponentProps) {
  const project = useDisplayedProject();
  const session = useSession();
  const env = useEnv(project.assets);
  const [search] = useSearchParams();
  const home = `/projects/${session.id}`;
  const { pieceId } = params;
  const isStart = pieceId === undefined;
  const asked = isStart ? startScreen(project) : tableEntry(project.pieces, pieceId);
  if (!asked)
    return (
      <Plain title={isStart ? playWords.nothingYet : playWords.notFound}>
        <p>{isStart ? playWords.needsScreen : playWords.mayBeDeleted}</p>
        <LinkButton to={home}>{playWords.backToProject(project.name)}</LinkButton>
      </Plain>
    );
  if (!env) return <div className="play" />;
  return (
    <Theatre
      key={asked.id}
      env={env}
      project={project}
      home={home}
      first={asked}
      shown={presentedIn(project, asked.id, search)}
      sends={sendsForms(project, asked.id)}
    />
  );
}
