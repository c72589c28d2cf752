import { data } from "react-router";
import { issueText } from "#core/project";
import { appendRequest, projectLog } from "#server";
import type { Logged } from "#server";
import { readBody } from "../common/body";
import { isAway } from "../common/trouble";
import type { Route } from "./+types/changes";

/** Largest change accepted, bytes of JSON. */
const LARGEST = 1_000_000;

/** What a window is told about a change it sent. */
export type SaveAnswer =
  | { readonly kind: "kept"; readonly seq: number; readonly missed: readonly Logged[] }
  | { readonly kind: "refused"; readonly reason: string }
  | { readonly kind: "unknown" }
  | { readonly kind: "away"; readonly reason: string };

const refuse = (reason: string, status: number) => data<SaveAnswer>({ kind: "refused", reason }, { status });

const parse = (text: string): unknown => {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
};

export const action = async ({ request, params }: Route.ActionArgs) => {
  // a page of another site cannot send this type without being asked first, so it cannot change anything here
  if (!request.headers.get("content-type")?.startsWith("application/json")) return refuse("a change must be sent as application/json", 415);
  const bytes = await readBody(request, LARGEST);
  if (bytes === null) return refuse("the change is larger than 1 MB", 413);
  const parsed = appendRequest.safeParse(parse(bytes.toString("utf8")));
  if (!parsed.success) return refuse(`the change is malformed: ${issueText(parsed.error)}`, 400);
  const { changeId, clientId, since, change } = parsed.data;
  try {
    const result = await projectLog().append(params.projectId, changeId, clientId, since, change);
    return data<SaveAnswer>(result, { status: result.kind === "kept" ? 200 : result.kind === "refused" ? 422 : 404 });
  } catch (error) {
    if (!isAway(error)) console.error(error);
    return data<SaveAnswer>({ kind: "away", reason: isAway(error) ? "the database does not answer" : "the server ran into a fault" }, { status: 503 });
  }
};
