import { data } from "react-router";
import { editions } from "#server";
import { Edition } from "../../editions/Edition";
import type { Route } from "./+types/edition";
import { withDatabase } from "../trouble";
import { routesWords } from "../words";

export const loader = async ({ params }: Route.LoaderArgs) => {
  const published = await withDatabase(() => editions().of(params.projectId));
  const edition = published.find(({ number }) => number === params.number);
  if (!edition) throw data(routesWords.editionNotFound, { status: 404 });
  return { edition };
};

/** An edition as it was published. */
export default function EditionRoute({ loaderData, params }: Route.ComponentProps) {
  return <Edition edition={loaderData.edition} component={params.innerId ?? null} />;
}
