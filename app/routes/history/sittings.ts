import { data } from "react-router";
import { projectLog, sinceRequest, sittingsBefore } from "#server";
import { withDatabase } from "../trouble";
import type { Route } from "./+types/sittings";

/** Sittings whose changes are before a number. */
export const loader = async ({ request, params }: Route.LoaderArgs) => {
  const before = sinceRequest.safeParse(new URL(request.url).searchParams.get("before"));
  if (!before.success) return data(null, { status: 400 });
  return data(
    await withDatabase(() => sittingsBefore(projectLog(), params.projectId, before.data)),
  );
};
