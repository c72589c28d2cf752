import { shownAddress } from "#server";
import { Opened, titleOf } from "../play/Opened";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { startOf } from "./start";
import type { Route } from "./+types/play";

/** Where a phone is shown the same: the project as it is now, never an earlier moment. */
export const loader = ({ params }: Route.LoaderArgs) => ({
  phone: "seq" in params ? null : shownAddress(params.projectId),
});

export const meta: Route.MetaFunction = ({ matches, params }) => {
  return [{ title: titleOf(startOf(matches)?.project, params.pieceId) }];
};

/** The prototype, or a component, on a page of its own. */
export default function Play({ params, loaderData }: Route.ComponentProps) {
  const project = useDisplayedProject();
  const session = useSession();
  const { home } = session;
  const place = { play: `${home}/play`, home, phone: loaderData.phone };
  return <Opened project={project} place={place} pieceId={params.pieceId} />;
}
