import { data } from "react-router";
import { readAssetFace } from "#server";
import type { Route } from "./+types/face";

/** The measures of a kept font. */
export const loader = async ({ params }: Route.LoaderArgs) => {
  const face = await readAssetFace(params.hash);
  return face
    ? data(face, { headers: { "Cache-Control": "public, max-age=31536000, immutable" } })
    : data(null, { status: 404 });
};
