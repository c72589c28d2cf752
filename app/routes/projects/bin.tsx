import { BIN_DAYS, listBin, projectLog } from "#server";
import { Bin } from "../../projects/Bin";
import { withDatabase } from "../trouble";
import { routesWords } from "../words";
import type { Route } from "./+types/bin";

export const meta: Route.MetaFunction = () => [{ title: routesWords.binNubble }];

export const loader = () =>
  withDatabase(async () => {
    // the bin is in the database that the log has opened
    projectLog();
    return { binned: await listBin(), days: BIN_DAYS, now: Date.now() };
  });

export default function BinRoute({ loaderData }: Route.ComponentProps) {
  return <Bin {...loaderData} />;
}
