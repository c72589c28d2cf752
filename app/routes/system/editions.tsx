import { usesOf } from "./uses";
import { editions } from "#server";
import { Editions } from "../../editions/publishing/Editions";
import type { Route } from "./+types/editions";
import { withDatabase } from "../trouble";

/** What the project has published, and who uses it. */
export const loader = ({ params }: Route.LoaderArgs) =>
  withDatabase(async () => ({
    published: await editions().of(params.projectId),
    adopters: await usesOf(params.projectId),
    now: Date.now(),
  }));

export default function EditionsRoute({ loaderData }: Route.ComponentProps) {
  return <Editions {...loaderData} />;
}
