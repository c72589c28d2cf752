import { Link } from "react-router";
import { tableEntry } from "#core/project";
import { Bench } from "../bench/Bench";
import { useEnv } from "../services/env";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import type { Route } from "./+types/bench";

export const meta: Route.MetaFunction = ({ matches, params }) => {
  const project = matches.find((m) => m?.id === "routes/project")?.loaderData as
    { project?: { name: string; pieces: Record<string, { name: string }> } } | undefined;
  const name = project?.project && tableEntry(project.project.pieces, params.pieceId)?.name;
  return [{ title: `${name ? `${name} · ` : ""}${project?.project?.name ?? "Project"} · Nubble` }];
};

export default function BenchRoute({ params }: Route.ComponentProps) {
  const project = useDisplayedProject();
  const session = useSession();
  const env = useEnv(project.assets);
  if (!tableEntry(project.pieces, params.pieceId)) {
    return (
      <main className="container py-5" style={{ maxWidth: 620 }}>
        <h1 className="h3">There is no such piece</h1>
        <p>
          {project.name} has no component or screen at this address. It may have been removed; undo
          brings it back where that was done.
        </p>
        <Link className="btn btn-primary" to={`/projects/${session.id}`}>
          Back to {project.name}
        </Link>
      </main>
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
