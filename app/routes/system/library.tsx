import { projectLog } from "#server";
import { Library } from "../../library/Library";
import type { Route } from "./+types/library";
import { withDatabase } from "../trouble";

/** When each component was last changed: the project itself does not say it. */
export const loader = async ({ params }: Route.LoaderArgs) => ({
  changedAt: await withDatabase(() => projectLog().piecesChangedAt(params.projectId)),
});

export default function LibraryRoute({ loaderData }: Route.ComponentProps) {
  return <Library changedAt={loaderData.changedAt} />;
}
