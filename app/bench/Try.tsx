import { memo, useEffect, useRef, useState } from "react";
import { happeningText } from "#core/behaviour";
import type { LogLine } from "#core/behaviour";
import type { LayoutEnv } from "#core/layout";
import { restingVariant, traitsOf, valuesOf } from "#core/looks";
import type { Variant } from "#core/project";
import { Player } from "#player";
import { Icon, Swatch } from "../common/Icon";
import { useProject } from "../store/session-context";
import { useBench, usePiece } from "./state";

const MARGIN = 12;
const MOST_LINES = 200;

const seconds = (ms: number): string => `${(ms / 1000).toFixed(2)} s`;

/** The piece itself, running, all the time; with its traits as switches and the log of what fired. */
export const Try = memo(function Try({ env }: { env: LayoutEnv }) {
  const project = useProject();
  const piece = usePiece();
  const restarts = useBench((s) => s.restarts);
  const restart = useBench((s) => s.restart);
  const host = useRef<HTMLDivElement>(null);
  const room = useRef<HTMLDivElement>(null);
  const player = useRef<Player>(null);
  const latest = useRef(project);
  const [lines, setLines] = useState<readonly (LogLine & { id: number })[]>([]);
  const [variant, setVariant] = useState<Variant>({});
  const [screen, setScreen] = useState(piece.id);
  const [scale, setScale] = useState(1);
  const shownScale = useRef(1);

  useEffect(() => {
    if (!host.current) return;
    let count = 0;
    const made = new Player(host.current, {
      env, project: latest.current, piece: piece.id, margin: MARGIN,
      onHappening: (h) => {
        const line = happeningText(latest.current, h);
        if (line) setLines((all) => [{ ...line, id: ++count }, ...all].slice(0, MOST_LINES));
      },
      onChange: (run) => {
        setVariant(run.variant());
        setScreen(run.screen);
      },
    });
    player.current = made;
    shownScale.current = 1;
    return () => {
      made.destroy();
      player.current = null;
    };
  }, [env, piece.id]);

  useEffect(() => {
    latest.current = project;
    player.current?.update(project);
  }, [project]);

  useEffect(() => {
    if (restarts === 0) return;
    setLines([]);
    player.current?.restart();
  }, [restarts]);

  // the room is watched, not asked: asking would make the browser lay the page out in the middle of every edit
  const [space, setSpace] = useState<{ width: number; height: number } | null>(null);
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => { if (entry) setSpace({ width: entry.contentRect.width, height: entry.contentRect.height }); });
    if (room.current) watch.observe(room.current);
    return () => watch.disconnect();
  }, []);
  useEffect(() => {
    const scene = player.current?.machine.scene();
    if (scene && space) {
      const next = Math.min(1, space.width / (scene.width + 2 * MARGIN), space.height / (scene.height + 2 * MARGIN));
      const rounded = next >= 1 ? 1 : Math.floor(next * 100) / 100;
      setScale(rounded);
      if (rounded !== shownScale.current) player.current?.setScale(rounded);
      shownScale.current = rounded;
    }
  }, [project, piece.id, screen, space]);

  const shown = project.pieces[screen] ?? piece;
  const traits = traitsOf(shown);
  return (
    <aside className="try" aria-label="Try">
      <div className="side-head">
        <h2 className="caption">Try{screen !== piece.id && `: ${shown.name}`}</h2>
        <span className="quiet small-text">{Math.round(scale * 100)} %</span>
        <button type="button" className="tool" title="Restart (R)" onClick={restart}><Icon name="restart" size={14} />Restart</button>
      </div>
      <div className={`try-room ${piece.kind}`} ref={room}><div ref={host} className="try-host" /></div>
      {traits.length > 0 && (
        <div className="try-traits">
          {traits.map((t) => {
            const now = variant[t.id] ?? restingVariant(shown)[t.id];
            return (
              <div key={t.id} className="try-trait">
                <span className="line-name"><Swatch pattern={t.pattern} />{t.name}</span>
                <span className="strip" role="radiogroup" aria-label={`${t.name} in Try`}>
                  {valuesOf(t).map((v) => <button key={v.id} type="button" role="radio" aria-checked={v.id === now} onClick={() => player.current?.set(screen, t.id, v.id)}>{v.name}</button>)}
                </span>
              </div>
            );
          })}
        </div>
      )}
      <ol className="log mono" aria-label="What happened" aria-live="off">
        {lines.length === 0 && <li className="quiet">Use it as people will: what fires is told here.</li>}
        {lines.map((l) => <li key={l.id} className={l.tone}><time>{seconds(l.at)}</time> {l.text}</li>)}
      </ol>
    </aside>
  );
});
