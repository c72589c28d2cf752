import { data, redirect } from "react-router";
import { emptyProject } from "#core/edit";
import { newId } from "#core/project";
import { projectLog, projects, projectsRequest } from "#server";
import type { ProjectsRequest } from "#server";
import type { ProjectsAnswer } from "../../projects/answer";
import { readBody } from "../body";
import { withDatabase } from "../trouble";
import { routesWords } from "../words";
import { refused } from "./refused";

/** The largest form that is read, bytes. */
const LARGEST_FORM = 20_000;

/**
 * The fields of a form as browsers send it by themselves; null when it is too large or of another
 * kind.
 */
const readForm = async (request: Request): Promise<Record<string, string> | null> => {
  if (!request.headers.get("content-type")?.startsWith("application/x-www-form-urlencoded"))
    return null;
  const bytes = await readBody(request, LARGEST_FORM);
  return bytes && Object.fromEntries(new URLSearchParams(bytes.toString("utf8")));
};

/** Whether it could be done; of a copy its id. */
const done = async (
  asked: Exclude<ProjectsRequest, { intent: "create" }>,
): Promise<boolean | string | null> => {
  const all = projects();
  const { id } = asked;
  switch (asked.intent) {
    case "rename":
      return all.rename(id, asked.name);
    case "duplicate":
      return all.duplicate(id);
    case "bin":
      return all.bin(id);
    case "restore":
      return all.restore(id);
    case "destroy":
      return all.destroy(id);
  }
};

/** What the pages of projects ask for. */
export const act = async (request: Request) => {
  const form = await readForm(request);
  if (!form) return refused(routesWords.formCouldNotBe, 400);
  const parsed = projectsRequest.safeParse(form);
  if (!parsed.success)
    return refused(parsed.error.issues[0]?.message ?? routesWords.enterNameProject, 422);
  const asked = parsed.data;
  if (asked.intent === "create") {
    const id = newId();
    await withDatabase(() => projectLog().create(id, emptyProject(asked.name)));
    return redirect(`/projects/${id}`);
  }
  const result = await withDatabase(() => done(asked));
  if (result === false || result === null) return refused(routesWords.projectIsGone, 404);
  return data<ProjectsAnswer>({ kind: "done", id: result === true ? asked.id : result });
};
