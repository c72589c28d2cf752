import { data, Link } from "react-router";
import {
  createdAt,
  momentRequest,
  momentsOf,
  nameMoment,
  projectLog,
  sittingsBefore,
} from "#server";
import { History } from "../../history/History";
import { useSession } from "../../session/context";
import { useDisplayedProject } from "../../session/displayed";
import { ProjectBar } from "../../session/parts/ProjectBar";
import { ProjectPlaces } from "../../session/parts/ProjectPlaces";
import { isAway } from "../away";
import { readJson } from "../body";
import { withDatabase } from "../trouble";
import { routesWords } from "../words";
import "../../parts/parts.scss";
import "../../system/system.scss";
import "../../library/library.scss";
import "../../history/history.scss";
import type { Route } from "./+types/history";

/** The largest request that is read, bytes. */
const LARGEST = 2000;

export const meta: Route.MetaFunction = () => [{ title: routesWords.historyNubble }];

export const loader = ({ params: { projectId } }: Route.LoaderArgs) =>
  withDatabase(async () => ({
    first: await sittingsBefore(projectLog(), projectId),
    named: await momentsOf(projectId),
    createdAt: await createdAt(projectId),
  }));

const refused = (reason: string, status: number) => data({ reason }, { status });

/** Names a moment. */
export const action = async ({ request, params }: Route.ActionArgs) => {
  const asked = momentRequest.safeParse(await readJson(request, LARGEST));
  if (!asked.success) return refused(routesWords.momentCannotBeNamed, 422);
  const isDone = await withDatabase(() => nameMoment(projectLog(), params.projectId, asked.data));
  return isDone ? data({ reason: null }) : refused(routesWords.momentCannotBeNamed, 422);
};

export const clientAction = async ({ serverAction }: Route.ClientActionArgs) =>
  serverAction().catch((error: unknown) => {
    // with this status the page is not asked for anew
    if (isAway(error)) return refused(routesWords.serverAway, 503);
    throw error;
  });

/** What became of a project, moment by moment. */
export default function HistoryRoute({ loaderData }: Route.ComponentProps) {
  const session = useSession();
  const name = useDisplayedProject((p) => p.name);
  return (
    <>
      <ProjectBar
        crumbs={[
          <Link key="project" to={session.home}>
            {name}
          </Link>,
          routesWords.history,
        ]}
      >
        <ProjectPlaces here="history" />
      </ProjectBar>
      <main className="page history" id="content">
        <History {...loaderData} />
      </main>
    </>
  );
}
