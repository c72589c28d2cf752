import { data } from "react-router";
import { projectLog } from "#server";
import { withDatabase } from "./trouble";
import type { Route } from "./+types/snapshot";

/** The whole project as it is now, for a window that fell too far behind. */
export const loader = async ({ params }: Route.LoaderArgs) => {
  const snapshot = await withDatabase(() => projectLog().read(params.projectId));
  return snapshot ? data(snapshot) : data(null, { status: 404 });
};
