import { data } from "react-router";
import { editionContent } from "#server";
import type { EditionAnswer } from "#server";
import { withDatabase } from "./trouble";
import type { Route } from "./+types/edition";

/** What is named by what it holds never changes. */
const FOR_EVER = "private, max-age=31536000, immutable";

/** What an edition holds. */
export const loader = async ({ params }: Route.LoaderArgs) => {
  const answer = await withDatabase(() => editionContent(params.hash));
  const headers: HeadersInit = answer.kind === "content" ? { "Cache-Control": FOR_EVER } : {};
  return data<EditionAnswer>(answer, { status: answer.kind === "unknown" ? 404 : 200, headers });
};
