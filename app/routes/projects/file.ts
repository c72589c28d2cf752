import contentDisposition from "content-disposition";
import { ENDING, MEDIA_TYPE } from "#core/formats/project";
import { exportProject, packsApart, projectLog } from "#server";
import { withDatabase } from "../trouble";
import type { Route } from "./+types/file";

/** A project as a file to be saved. */
export const loader = async ({ params }: Route.LoaderArgs) => {
  const exported = await withDatabase(() =>
    exportProject(projectLog(), params.projectId, packsApart),
  );
  if (!exported) return new Response(null, { status: 404 });
  return new Response(new Uint8Array(exported.bytes), {
    headers: {
      "Content-Type": MEDIA_TYPE,
      "Content-Disposition": contentDisposition(exported.name + ENDING),
    },
  });
};
