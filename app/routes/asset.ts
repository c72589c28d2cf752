import { readAsset } from "#server";
import type { Route } from "./+types/asset";
import { routesWords } from "./words";

/**
 * A kept file. Its address is its contents, so it may be cached for ever; it is never taken for a
 * page (`nosniff`).
 */
export const loader = async ({ params }: Route.LoaderArgs) => {
  const asset = await readAsset(params.hash);
  if (!asset) return new Response(routesWords.fileNotFound, { status: 404 });
  return new Response(new Uint8Array(asset.bytes), {
    headers: { "Content-Type": asset.type, "Cache-Control": "public, max-age=31536000, immutable" },
  });
};
