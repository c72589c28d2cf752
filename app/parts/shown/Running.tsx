import { useEffect, useRef } from "react";
import type { Id } from "#core/basics";
import type { Project, Variant } from "#core/project";
import { Player } from "#player";
import { useEnv } from "../../services/env";
import { useNear } from "./useNear";

/** Room around the piece for shadows and rings, px of the piece. */
const MARGIN = 8;

interface Props {
  readonly project: Project;
  readonly piece: Id;
  /** the values its traits are given; given others, they change as they would when it is used */
  readonly shown?: Variant | undefined;
  readonly onShown?: ((variant: Variant) => void) | undefined;
  readonly label: string;
}

/** Makes a playing piece as large as its room allows, at most at real size. */
const fit = (player: Player, room: HTMLElement): void => {
  const scene = player.machine.goal()?.scene;
  if (!scene) return;
  const wide = room.clientWidth / (scene.width + 2 * MARGIN);
  const high = room.clientHeight / (scene.height + 2 * MARGIN);
  player.setScale(Math.max(0.05, Math.min(1, wide, high)));
};

const setAll = (player: Player, piece: Id, shown: Variant | undefined): void => {
  const now = player.machine.variant();
  for (const [trait, value] of Object.entries(shown ?? {}))
    if (now[trait] !== value) player.set(piece, trait, value);
};

/** A piece that runs, as long as it is in sight. */
export const Running = ({ project, piece, shown, onShown, label }: Props) => {
  const env = useEnv(project.assets);
  const room = useRef<HTMLDivElement>(null);
  const host = useRef<HTMLDivElement>(null);
  const player = useRef<Player | null>(null);
  const latest = useRef({ project, shown, onShown });
  const isNear = useNear(room);
  useEffect(() => {
    latest.current = { project, shown, onShown };
  }, [project, shown, onShown]);
  useEffect(() => {
    const [element, space] = [host.current, room.current];
    if (!env || !isNear || !element || !space) return;
    const playing = new Player(element, {
      env,
      project: latest.current.project,
      piece,
      margin: MARGIN,
      onChange: (run) => {
        if (run.screen === piece) latest.current.onShown?.(run.variant());
      },
    });
    player.current = playing;
    setAll(playing, piece, latest.current.shown);
    const calm = window.matchMedia("(prefers-reduced-motion: reduce)").matches;
    playing.setCalm(calm);
    const watch = new ResizeObserver(() => fit(playing, space));
    watch.observe(space);
    return () => {
      watch.disconnect();
      playing.destroy();
      player.current = null;
    };
  }, [env, isNear, piece]);
  useEffect(() => {
    player.current?.update(project);
    if (player.current && room.current) fit(player.current, room.current);
  }, [project]);
  useEffect(() => {
    if (player.current) setAll(player.current, piece, shown);
  }, [piece, shown]);
  return (
    <div ref={room} className="running" role="group" aria-label={label}>
      <div ref={host} className="running-host" />
    </div>
  );
};
