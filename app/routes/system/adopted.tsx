import { Adopted } from "../../editions/adopted/Adopted";
import type { Route } from "./+types/adopted";
import { systemsOf } from "./systems";

export const loader = ({ params }: Route.LoaderArgs) => systemsOf(params.projectId);

/** The systems a project uses. */
export default function AdoptedRoute({ loaderData }: Route.ComponentProps) {
  return <Adopted {...loaderData} />;
}
