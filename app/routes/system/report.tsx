import { Report } from "../../editions/adopted/Report";
import type { Route } from "./+types/report";
import { systemsOf } from "./systems";

export const loader = ({ params }: Route.LoaderArgs) => systemsOf(params.projectId);

/** What a newer edition would do to a project. */
export default function ReportRoute({ loaderData, params }: Route.ComponentProps) {
  return <Report systems={loaderData.systems} adoption={params.adoptionId} />;
}
