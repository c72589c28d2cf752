import { data } from "react-router";
import { changesRequest, projectLog } from "#server";
import { withDatabase } from "../trouble";
import type { Route } from "./+types/changes";

/** What the log says of the changes between two numbers, of the newest that can be told at once. */
export const loader = async ({ request, params }: Route.LoaderArgs) => {
  const asked = changesRequest.safeParse(
    Object.fromEntries(new URL(request.url).searchParams.entries()),
  );
  if (!asked.success) return data(null, { status: 400 });
  const { after, upTo } = asked.data;
  return data(await withDatabase(() => projectLog().entries(params.projectId, upTo + 1, after)));
};
