import { Link } from "react-router";
import { momentsOf } from "#server";
import { Compare } from "../../history/Compare";
import { useSession } from "../../session/context";
import { useDisplayedProject } from "../../session/displayed";
import { ProjectBar } from "../../session/parts/ProjectBar";
import { ProjectPlaces } from "../../session/parts/ProjectPlaces";
import { withDatabase } from "../trouble";
import { routesWords } from "../words";
import "../../editions/editions.scss";
import "../../library/library.scss";
import "../../parts/parts.scss";
import "../../system/system.scss";
import "../../history/history.scss";
import type { Route } from "./+types/compare";

export const meta: Route.MetaFunction = () => [{ title: routesWords.historyNubble }];

export const loader = ({ params }: Route.LoaderArgs) =>
  withDatabase(async () => ({ named: await momentsOf(params.projectId) }));

/** Two moments of a project beside one another. */
export default function CompareRoute({ loaderData }: Route.ComponentProps) {
  const session = useSession();
  const name = useDisplayedProject((p) => p.name);
  return (
    <>
      <ProjectBar
        crumbs={[
          <Link key="project" to={session.home}>
            {name}
          </Link>,
          <Link key="history" to={`${session.home}/history`}>
            {routesWords.history}
          </Link>,
          routesWords.compare,
        ]}
      >
        <ProjectPlaces here="history" />
      </ProjectBar>
      <main className="page" id="content">
        <Compare named={loaderData.named} />
      </main>
    </>
  );
}
