import { data } from "react-router";
import { withDatabase } from "../trouble";
import { momentAt } from "./at";
import type { Route } from "./+types/project";

/** The whole project as it was after a change, with all that it had adopted. */
export const loader = async ({ params }: Route.LoaderArgs) => {
  const found = await withDatabase(() => momentAt(params.projectId, params.seq));
  return found ? data(found) : data(null, { status: 404 });
};
