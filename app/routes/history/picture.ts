import { pictureAt, projectLog, sinceRequest } from "#server";
import { unlessDamaged } from "../trouble";
import type { Route } from "./+types/picture";

/**
 * A piece as it looked after a change; no content where nothing can be shown. With the project's
 * generation in the address, for ever.
 */
export const loader = async ({ params }: Route.LoaderArgs) => {
  const { projectId, seq, pieceId } = params;
  const number = sinceRequest.safeParse(seq);
  const svg = number.success
    ? await unlessDamaged(() => pictureAt(projectLog(), projectId, number.data, pieceId))
    : null;
  if (svg === null) return new Response(null, { status: 204 });
  return new Response(svg, {
    headers: {
      "Content-Type": "image/svg+xml",
      "Cache-Control": "private, max-age=31536000, immutable",
    },
  });
};
