import { data } from "react-router";
import { editionRequest, editions } from "#server";
import type { EditionAbout } from "#server";
import type { EditionResult } from "../editions/publishing/result";
import { isAway } from "./away";
import { jsonOf, readBody } from "./body";
import { withDatabase } from "./trouble";
import type { Route } from "./+types/editions";
import { routesWords } from "./words";

/** The largest edition that is published: its notes and reasons, bytes. */
const LARGEST = 600_000;

const refused = (reason: string, status: number) =>
  data<EditionResult>({ kind: "refused", reason }, { status });

/** What a project has published: what another one may adopt; null where nobody can be asked. */
interface PublishedAnswer {
  readonly published: readonly EditionAbout[] | null;
}

export const loader = ({ params }: Route.LoaderArgs): Promise<PublishedAnswer> =>
  withDatabase(async () => ({ published: await editions().of(params.projectId) }));

/** Without a connection a part of the page says so, and the page stays as it is. */
export const clientLoader = async ({
  serverLoader,
}: Route.ClientLoaderArgs): Promise<PublishedAnswer> =>
  serverLoader().catch((error: unknown) => {
    if (isAway(error)) return { published: null };
    throw error;
  });

export const clientAction = async ({ serverAction }: Route.ClientActionArgs) =>
  serverAction().catch((error: unknown) => {
    // with this status the page is not asked for anew
    if (isAway(error)) return refused(routesWords.serverAway, 503);
    throw error;
  });

/** Publishes an edition, or withdraws one. */
export const action = async ({ request, params }: Route.ActionArgs) => {
  // a page of another site cannot send this type without being asked first
  if (!request.headers.get("content-type")?.startsWith("application/json"))
    return refused(routesWords.editionMustBeSent, 415);
  const bytes = await readBody(request, LARGEST);
  const asked = editionRequest.safeParse(bytes && jsonOf(bytes));
  if (!asked.success) return refused(routesWords.editionMalformed, 400);
  const { data: wanted } = asked;
  return withDatabase(async () => {
    if (wanted.intent === "withdraw") {
      const { number, withdrawn } = wanted;
      const isDone = await editions().withdraw(params.projectId, number, withdrawn);
      if (!isDone) return refused(routesWords.noSuchEdition(number), 404);
      return data<EditionResult>({ kind: "withdrawn", number });
    }
    const answer = await editions().publish(params.projectId, wanted);
    switch (answer.kind) {
      case "published":
        return data<EditionResult>(answer);
      case "changed":
        return data<EditionResult>(answer, { status: 409 });
      case "refused":
        return refused(answer.reason, 422);
      case "unknown":
        return refused(routesWords.thereNoProjectAddress, 404);
    }
  });
};
