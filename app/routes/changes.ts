import { data } from "react-router";
import { issueText } from "#core/project";
import { appendRequest, projectLog } from "#server";
import type { Logged } from "#server";
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

/** More than this is not even read to its end, bytes. */
const HOPELESS = 32_000_000;

/** The body as text, or null when it is larger than allowed. It is read to its end, or the sender would never hear why. */
const readBody = async (request: Request): Promise<string | null> => {
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  for (;;) {
    const next = await reader?.read();
    if (!next || next.done) break;
    size += next.value.byteLength;
    if (size <= LARGEST) chunks.push(next.value);
    else chunks.length = 0;
    if (size > HOPELESS) {
      await reader?.cancel();
      break;
    }
  }
  return size > LARGEST ? null : Buffer.concat(chunks).toString("utf8");
};

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
  const body = await readBody(request);
  if (body === null) return refuse("the change is larger than 1 MB", 413);
  const parsed = appendRequest.safeParse(parse(body));
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
