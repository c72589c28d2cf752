import { createHash } from "node:crypto";
import { pictureOf, projectLog } from "#server";
import { unlessDamaged } from "../trouble";
import type { Route } from "./+types/picture";

/** The picture of a project as it is now; no content where nothing can be shown. */
export const loader = async ({ request, params }: Route.LoaderArgs) => {
  const svg = await unlessDamaged(() => pictureOf(projectLog(), params.projectId));
  if (svg === null) return new Response(null, { status: 204 });
  const tag = `"${createHash("sha256").update(svg).digest("base64url")}"`;
  const headers = {
    "Content-Type": "image/svg+xml",
    // kept by browsers, and asked for whether it is still the same
    "Cache-Control": "private, no-cache",
    ETag: tag,
  };
  if (request.headers.get("if-none-match") === tag)
    return new Response(null, { status: 304, headers });
  return new Response(svg, { headers });
};
