import { data, Outlet } from "react-router";
import { MomentProvider } from "../../session/context";
import { withDatabase } from "../trouble";
import { routesWords } from "../words";
import { momentAt } from "./at";
import type { Route } from "./+types/moment";

export const loader = async ({ params }: Route.LoaderArgs) => {
  const found = await withDatabase(() => momentAt(params.projectId, params.seq));
  if (!found) throw data(routesWords.thereNoMoment, { status: 404 });
  const { editions, at, ...start } = found;
  return { id: params.projectId, start, editions, at };
};

/** A moment stays what it was. */
export const shouldRevalidate = ({
  currentParams,
  nextParams,
}: {
  currentParams: Record<string, string | undefined>;
  nextParams: Record<string, string | undefined>;
}) => currentParams.projectId !== nextParams.projectId || currentParams.seq !== nextParams.seq;

export const meta: Route.MetaFunction = ({ data: loaded }) => [
  { title: loaded ? routesWords.nubble(loaded.start.project.name) : routesWords.brand },
];

/** A project as it was at an earlier moment: its pieces are looked at and played, not changed. */
export default function MomentRoute({ loaderData }: Route.ComponentProps) {
  const { id, start, editions, at } = loaderData;
  return (
    <MomentProvider key={`${id} ${start.seq}`} id={id} start={start} editions={editions} at={at}>
      <Outlet />
    </MomentProvider>
  );
}
