import { editions } from "#server";
import { Comparison } from "../../editions/Comparison";
import type { Route } from "./+types/compare";
import { withDatabase } from "../trouble";

export const loader = ({ params }: Route.LoaderArgs) =>
  withDatabase(async () => ({ published: await editions().of(params.projectId) }));

/** Any two editions of a project beside one another. */
export default function Compare({ loaderData }: Route.ComponentProps) {
  return <Comparison published={loaderData.published} />;
}
