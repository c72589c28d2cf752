import { useEffect, useRef } from "react";
import type { LayoutEnv } from "#core/layout";
import { variantKey, variantName } from "#core/looks";
import type { Piece, Project, Variant } from "#core/project";
import { Player } from "#player";

/** How many copies are tried beside the first. */
export const MOST_BESIDE = 3;

/** Another running copy, which began in a variant of its own. */
export const Beside = ({
  env,
  project,
  piece,
  start,
  scale,
  restarts,
  rate,
  touch,
}: {
  env: LayoutEnv;
  project: Project;
  piece: Piece;
  start: Variant;
  scale: number;
  restarts: number;
  rate: number;
  touch: boolean;
}) => {
  const host = useRef<HTMLDivElement>(null);
  const player = useRef<Player>(null);
  const latest = useRef(project);
  const key = variantKey(piece, start);
  useEffect(() => {
    if (!host.current) return;
    const made = (player.current = new Player(host.current, {
      env,
      project: latest.current,
      piece: piece.id,
      margin: 8,
    }));
    for (const [trait, value] of Object.entries(start)) made.set(piece.id, trait, value);
    return () => {
      made.destroy();
      player.current = null;
    };
    // begun anew for another start or a restart, never for an edit
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [env, piece.id, key, restarts]);
  useEffect(() => {
    latest.current = project;
    player.current?.update(project);
  }, [project]);
  useEffect(() => {
    player.current?.setScale(scale);
    player.current?.setRate(rate);
    player.current?.setTouch(touch);
  }, [scale, rate, touch, key, restarts]);
  return (
    <figure className="beside">
      <div ref={host} />
      <figcaption>{variantName(piece, start)}</figcaption>
    </figure>
  );
};
