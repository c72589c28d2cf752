import { projectLog, tileOf } from "#server";
import { withDatabase } from "../trouble";
import type { Route } from "./+types/tile";

/** What the tile of a project shows. */
export const loader = async ({ params }: Route.LoaderArgs) =>
  Response.json(await withDatabase(() => tileOf(projectLog(), params.projectId)));
