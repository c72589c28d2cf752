import { data } from "react-router";
import { limits } from "#core/project";
import {
  decodeApart,
  decodeHere,
  ProjectDamaged,
  ServerOutdated,
  logger,
  noteWindow,
  projectLog,
  sinceRequest,
  troubleOf,
} from "#server";
import type { Missed } from "#server";
import { readBody } from "./body";
import { withDatabase } from "./trouble";
import type { SaveAnswer } from "../session/answer";
import type { Route } from "./+types/changes";
import { routesWords } from "./words";

/** Larger ones are read in a thread of their own, so that nobody else waits, bytes. */
const LARGE = 100_000;
/** What may stand around a change in what is sent, bytes. */
const ENVELOPE = 10_000;

const statuses: Readonly<Record<SaveAnswer["kind"], number>> = {
  kept: 200,
  conflict: 200,
  refused: 422,
  outdated: 409,
  unknown: 404,
  away: 503,
};

const answer = (result: SaveAnswer, status = statuses[result.kind]) =>
  data<SaveAnswer>(result, { status });
const refuse = (reason: string, status: number) => answer({ kind: "refused", reason }, status);

/** Changes after a number, for a window that missed some; as many as may be sent at once. */
export const loader = async ({ request, params }: Route.LoaderArgs) => {
  const since = sinceRequest.safeParse(new URL(request.url).searchParams.get("since") ?? undefined);
  if (!since.success) return data<Missed | null>(null, { status: 400 });
  return withDatabase(async () => {
    const log = projectLog();
    if (!(await log.exists(params.projectId))) return data<Missed | null>(null, { status: 404 });
    return data<Missed | null>(await log.since(params.projectId, since.data));
  });
};

export const action = async ({ request, params }: Route.ActionArgs) => {
  // a page of another site cannot send this type without being asked first, so it cannot change
  // anything here
  if (!request.headers.get("content-type")?.startsWith("application/json"))
    return refuse(routesWords.changeMustBeSent, 415);
  const bytes = await readBody(request, limits.change + ENVELOPE);
  if (bytes === null) return refuse(routesWords.changeLargerThanMb(limits.change / 1e6), 413);
  const decode = bytes.length > LARGE ? decodeApart : decodeHere;
  const proposal = await decode("change", bytes);
  if (!proposal.ok) return refuse(routesWords.changeMalformed(proposal.reason), 400);
  try {
    const result = await projectLog().append(params.projectId, proposal.facts);
    if (result.kind === "kept")
      await noteWindow(proposal.facts.clientId, request.headers.get("user-agent"));
    return answer(result);
  } catch (error) {
    const trouble = troubleOf(error);
    if (trouble) return answer({ kind: "away", reason: trouble });
    if (error instanceof ServerOutdated) return answer({ kind: "away", reason: error.message });
    logger.error({ error }, "a change could not be kept");
    if (error instanceof ProjectDamaged)
      return answer({ kind: "away", reason: routesWords.projectCannotBeRead });
    return refuse(routesWords.serverHitError, 422);
  }
};
