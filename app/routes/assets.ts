import { data } from "react-router";
import { LARGEST_PICTURE, logger, projectLog, storeAsset, troubleOf } from "#server";
import type { StoreAnswer } from "#server";
import { readBody } from "./body";
import type { Route } from "./+types/assets";
import { routesWords } from "./words";

const refuse = (reason: string, status: number) =>
  data<StoreAnswer>({ kind: "refused", reason }, { status });

/**
 * Takes one picture or font file for a project. The change that uses it follows from the window.
 */
export const action = async ({ request, params }: Route.ActionArgs) => {
  const bytes = await readBody(request, LARGEST_PICTURE);
  // a page of another site cannot send this type without being asked first
  if (request.headers.get("content-type") !== "application/octet-stream")
    return refuse(routesWords.fileMustBeSent, 415);
  try {
    if (!(await projectLog().exists(params.projectId)))
      return refuse(routesWords.projectNotFound, 404);
    if (bytes === null) return refuse(routesWords.fileLargerThanMb(LARGEST_PICTURE / 1e6), 413);
    const answer = await storeAsset(bytes);
    return data<StoreAnswer>(answer, { status: answer.kind === "refused" ? 422 : 200 });
  } catch (error) {
    const trouble = troubleOf(error);
    if (trouble) return refuse(trouble, 503);
    logger.error({ error }, "a file could not be kept");
    return refuse(routesWords.serverHitError, 422);
  }
};
