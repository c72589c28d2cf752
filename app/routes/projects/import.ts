import { data } from "react-router";
import { LARGEST_FILE, projectFileWords } from "#core/formats/project";
import { importProject, logger, packsApart, projectLog, troubleOf } from "#server";
import type { Imported } from "#server";
import { readBody } from "../body";
import { routesWords } from "../words";
import type { Route } from "./+types/import";

const answer = (result: Imported, status: number) => data<Imported>(result, { status });
const refuse = (reason: string, status: number) => answer({ kind: "refused", reason }, status);

/** Makes a project of a project file. */
export const action = async ({ request }: Route.ActionArgs) => {
  const bytes = await readBody(request, LARGEST_FILE);
  // a page of another site cannot send this type without being asked first
  if (request.headers.get("content-type") !== "application/octet-stream")
    return refuse(routesWords.fileMustBeSent, 415);
  if (bytes === null) return refuse(projectFileWords.tooLarge(LARGEST_FILE / 1e6), 413);
  try {
    const result = await importProject(projectLog(), bytes, packsApart);
    return answer(result, result.kind === "refused" ? 422 : 200);
  } catch (error) {
    const trouble = troubleOf(error);
    if (trouble) return refuse(trouble, 503);
    logger.error({ error }, "a project file could not be imported");
    return refuse(routesWords.serverHitError, 422);
  }
};
