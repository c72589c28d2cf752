import { useEffect, useRef, useState } from "react";
import { ListGroup } from "react-bootstrap";
import { Link } from "react-router";
import { piecesOf, startScreen } from "#core/edit";
import type { LayoutEnv } from "#core/layout";
import { tableEntry } from "#core/project";
import type { Project } from "#core/project";
import { Player } from "#player";
import { useEnv } from "../services/env";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { LinkButton } from "../ui/LinkButton";
import { Plain } from "../ui/Plain";
import type { Route } from "./+types/play";
import { Tool } from "../ui/Tool";
import { routesWords } from "./words";

const Theatre = ({ env, project, first }: { env: LayoutEnv; project: Project; first: string }) => {
  const session = useSession();
  const host = useRef<HTMLDivElement>(null);
  const player = useRef<Player>(null);
  const latest = useRef(project);
  const [screen, setScreen] = useState(first);
  useEffect(() => {
    if (!host.current) return;
    const made = new Player(host.current, {
      env,
      project: latest.current,
      piece: first,
      onChange: (run) => setScreen(run.screen),
    });
    player.current = made;
    // as the viewer's system says, and when that changes
    const less = window.matchMedia(routesWords.prefersReducedMotionReduce);
    const heed = () => made.setCalm(less.matches);
    heed();
    less.addEventListener("change", heed);
    return () => {
      less.removeEventListener("change", heed);
      made.destroy();
    };
  }, [env, first]);
  useEffect(() => {
    latest.current = project;
    player.current?.update(project);
  }, [project]);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key.toLowerCase() === "r" && !e.ctrlKey && !e.metaKey && !e.altKey)
        player.current?.restart();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  return (
    <div className="play">
      <nav className="play-list" aria-label={routesWords.screens}>
        <Link to={`/projects/${session.id}/pieces/${screen}`} className="brand">
          {routesWords.backTo(project.pieces[screen]?.name)}
        </Link>
        <h1 className="caption" tabIndex={-1}>
          {routesWords.screens}
        </h1>
        <ListGroup as="ul" variant="flush">
          {piecesOf(project, "screen").map((s) => (
            <li key={s.id}>
              <ListGroup.Item
                action
                type="button"
                aria-current={s.id === screen ? "true" : undefined}
                onClick={() => player.current?.goTo(s.id)}
              >
                {s.name}
              </ListGroup.Item>
            </li>
          ))}
        </ListGroup>
        <Tool
          framed
          icon="restart"
          iconSize={14}
          title={routesWords.restartR}
          onClick={() => player.current?.restart()}
        >
          {routesWords.restart}
        </Tool>
      </nav>
      <main className="play-stage" id="content">
        <div ref={host} className="play-host" />
      </main>
    </div>
  );
};

/** The prototype on a page of its own, at real size. */
export default function Play({ params }: Route.ComponentProps) {
  const project = useDisplayedProject();
  const session = useSession();
  const env = useEnv(project.assets);
  const asked =
    params.pieceId === undefined
      ? startScreen(project)
      : tableEntry(project.pieces, params.pieceId);
  if (!asked || asked.kind !== "screen") {
    return (
      <Plain
        title={
          params.pieceId === undefined ? routesWords.nothingPlayYet : routesWords.screenNotFound
        }
      >
        <p>
          {params.pieceId === undefined
            ? routesWords.prototypeNeedsScreenCreate
            : routesWords.screenMayHaveBeen}
        </p>
        <LinkButton to={`/projects/${session.id}`}>{routesWords.back(project.name)}</LinkButton>
      </Plain>
    );
  }
  return env ? (
    <Theatre key={asked.id} env={env} project={project} first={asked.id} />
  ) : (
    <div className="play" />
  );
}
