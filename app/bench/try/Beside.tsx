import { useEffect, useRef } from "react";
import type { LayoutEnv } from "#core/layout";
import { variantKey, variantName } from "#core/looks";
import type { Variant } from "#core/project";
import { Player } from "#player";
import { useDisplayedSource } from "../../session/displayed";
import { useBench, useVarying } from "../state/context";
import { useWatched } from "../../ui/watched";
import type { TryRun } from "./run";

/** How many copies are tried beside the first. */
export const MOST_BESIDE = 3;
/** Room around each, px. */
const MARGIN = 8;

interface Props {
  readonly env: LayoutEnv;
  readonly start: Variant;
  readonly run: TryRun;
}

/** Another running copy, which began in a variant of its own. */
export const Beside = ({ env, start, run: made }: Props) => {
  const source = useDisplayedSource();
  const piece = useVarying();
  const id = useBench((s) => s.pieceId);
  const restarts = useBench((s) => s.restarts);
  const { pace, scale } = useWatched(made);
  const host = useRef<HTMLDivElement>(null);
  const player = useRef<Player>(null);
  const key = variantKey(piece, start);
  useEffect(() => {
    if (!host.current) return;
    const copy = new Player(host.current, {
      env,
      project: source.displayed,
      piece: id,
      margin: MARGIN,
    });
    player.current = copy;
    for (const [trait, value] of Object.entries(start)) copy.set(id, trait, value);
    const stop = source.subscribe(() => copy.update(source.displayed));
    return () => {
      stop();
      copy.destroy();
      player.current = null;
    };
    // begun anew for another start or a restart, never for an edit
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [env, source, id, key, restarts]);
  useEffect(() => {
    player.current?.setScale(Math.min(scale, 1));
    player.current?.setRate(pace.paused ? 0 : pace.rate);
    player.current?.setTouch(pace.touch);
    player.current?.setCalm(pace.calm);
  }, [scale, pace, key, restarts]);
  return (
    <figure className="beside">
      <div ref={host} />
      <figcaption>{variantName(piece, start)}</figcaption>
    </figure>
  );
};
