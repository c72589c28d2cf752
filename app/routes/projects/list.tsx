import { listBin, listProjects, projectLog } from "#server";
import { Projects } from "../../projects/Projects";
import { isAway } from "../away";
import { withDatabase } from "../trouble";
import { routesWords } from "../words";
import { act } from "./act";
import { refused } from "./refused";
import type { Route } from "./+types/list";

export const meta: Route.MetaFunction = () => [{ title: routesWords.projectsNubble }];

export const loader = () =>
  withDatabase(async () => {
    // the list is in the database that the log has opened
    projectLog();
    const [projects, binned] = [await listProjects(), await listBin()];
    return { projects, binned: binned.length, now: Date.now() };
  });

export const action = ({ request }: Route.ActionArgs) => act(request);

export const clientAction = async ({ serverAction }: Route.ClientActionArgs) =>
  serverAction().catch((error: unknown) => {
    // with this status the page is not asked for anew
    if (isAway(error)) return refused(routesWords.serverAway, 503);
    throw error;
  });

export default function ProjectsRoute({ loaderData, actionData }: Route.ComponentProps) {
  const { projects, binned, now } = loaderData;
  const refusal = actionData?.kind === "refused" ? actionData.reason : null;
  return <Projects projects={projects} binned={binned} now={now} refusal={refusal} />;
}
