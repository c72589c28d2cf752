import { Navigate } from "react-router";
import { isOwn, tableEntry } from "#core/project";
import { Bench } from "../bench/Bench";
import { useEnv } from "../services/env";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { LinkButton } from "../ui/LinkButton";
import { Plain } from "../ui/Plain";
import { startOf } from "./start";
import type { Route } from "./+types/bench";
import { routesWords } from "./words";

export const meta: Route.MetaFunction = ({ matches, params }) => {
  const known = startOf(matches)?.project;
  const name = known && tableEntry(known.pieces, params.pieceId)?.name;
  return [{ title: routesWords.nubbleName(name, known?.name) }];
};

export default function BenchRoute({ params }: Route.ComponentProps) {
  const session = useSession();
  const name = useDisplayedProject((p) => p.name);
  const assets = useDisplayedProject((p) => p.assets);
  const isThere = useDisplayedProject((p) => tableEntry(p.pieces, params.pieceId) !== undefined);
  const env = useEnv(assets);
  if (!isThere) {
    return (
      <Plain title={routesWords.pieceNotFound}>
        <p>{routesWords.hasNoComponentScreen(name)}</p>
        <LinkButton to={session.home}>{routesWords.back(name)}</LinkButton>
      </Plain>
    );
  }
  if (!isOwn(params.pieceId))
    return <Navigate replace to={`/projects/${session.id}/system/components/${params.pieceId}`} />;
  if (!env)
    return (
      <div className="bench-wait" role="status" aria-label={routesWords.openingBench}>
        <header className="bar">
          <span className="brand">{routesWords.brand}</span>
        </header>
      </div>
    );
  return <Bench key={params.pieceId} env={env} pieceId={params.pieceId} />;
}
