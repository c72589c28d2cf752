import { shownAddress } from "#server";
import type { Project } from "#core/project";
import { Opened, titleOf } from "../play/Opened";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import type { Route } from "./+types/play";

/** Where a phone is shown the same. */
export const loader = ({ params }: Route.LoaderArgs) => ({
  phone: shownAddress(params.projectId),
});

export const meta: Route.MetaFunction = ({ matches, params }) => {
  const loaded = matches.find((m) => m?.id === "routes/project")?.loaderData;
  const project = (loaded as { project?: Project } | undefined)?.project;
  return [{ title: titleOf(project, params.pieceId) }];
};

/** The prototype, or a component, on a page of its own. */
export default function Play({ params, loaderData }: Route.ComponentProps) {
  const project = useDisplayedProject();
  const session = useSession();
  const home = `/projects/${session.id}`;
  const place = { play: `${home}/play`, home, phone: loaderData.phone };
  return <Opened project={project} place={place} pieceId={params.pieceId} />;
}
