import { data, Outlet } from "react-router";
import { editionsSeenBy, projectLog, projects } from "#server";
import { withDatabase } from "./trouble";
import { SessionProvider } from "../session/context";
import type { Route } from "./+types/project";
import { routesWords } from "./words";

export const loader = async ({ params }: Route.LoaderArgs) => {
  const snapshot = await withDatabase(() => projectLog().read(params.projectId));
  if (!snapshot) throw data(routesWords.thereNoProjectAddress, { status: 404 });
  if (await withDatabase(() => projects().binnedSince(params.projectId)))
    throw data(routesWords.projectIsBinned(snapshot.project.name), { status: 410 });
  const editions = await withDatabase(() => editionsSeenBy(snapshot.project));
  return { start: snapshot, editions, id: params.projectId };
};

/** The window keeps the project up to date by itself once it has it. */
export const shouldRevalidate = ({
  currentParams,
  nextParams,
}: {
  currentParams: Record<string, string | undefined>;
  nextParams: Record<string, string | undefined>;
}) => currentParams.projectId !== nextParams.projectId;

export const meta: Route.MetaFunction = ({ data: loaded }) => [
  { title: loaded ? routesWords.nubble(loaded.start.project.name) : routesWords.brand },
];

export default function ProjectRoute({ loaderData }: Route.ComponentProps) {
  return (
    <SessionProvider
      key={loaderData.id}
      id={loaderData.id}
      start={loaderData.start}
      editions={loaderData.editions}
    >
      <Outlet />
    </SessionProvider>
  );
}
