import { tableEntry } from "#core/project";
import { Bench } from "../bench/Bench";
import { useEnv } from "../services/env";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { LinkButton } from "../ui/LinkButton";
import { Plain } from "../ui/Plain";
import type { Route } from "./+types/bench";

export const meta: Route.MetaFunction = ({ matches, params }) => {
  const project = matches.find((m) => m?.id === "routes/project")?.loaderData as
    { project?: { name: string; pieces: Record<string, { name: string }> } } | undefined;
  const name = project?.project && tableEntry(project.project.pieces, params.pieceId)?.name;
  return [{ title: `${name ? `${name} · ` : ""}${project?.project?.name ?? "Project"} · Nubble` }];
};

export default function BenchRoute({ params }: Route.ComponentProps) {
  const session = useSession();
  const name = useDisplayedProject((p) => p.name);
  const assets = useDisplayedProject((p) => p.assets);
  const isThere = useDisplayedProject((p) => tableEntry(p.pieces, params.pieceId) !== undefined);
  const env = useEnv(assets);
  if (!isThere) {
    return (
      <Plain title="There is no such piece">
        <p>
          {name} has no component or screen at this address. It may have been removed; undo brings
          it back where that was done.
        </p>
        <LinkButton to={`/projects/${session.id}`}>Back to {name}</LinkButton>
      </Plain>
    );
  }
  if (!env)
    return (
      <div className="bench-wait" role="status" aria-label="Opening the bench">
        <header className="bar">
          <span className="brand">Nubble</span>
        </header>
      </div>
    );
  return <Bench key={params.pieceId} env={env} pieceId={params.pieceId} />;
}
