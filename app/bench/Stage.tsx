import { useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import type { LayoutEnv } from "#core/layout";
import { MOST_VARIANTS, reached, variantKey, variantsOf } from "#core/looks";
import { ROOT } from "#core/project";
import { Icon, Swatch } from "../common/Icon";
import { useProject } from "../store/session-context";
import { Card } from "./Card";
import { gridOf, headings, variantOf } from "./grid";
import { useScenes } from "./scenes";
import { ScopeBar } from "./ScopeBar";
import { useActive, useBench, useBenchStore } from "./state";

const PAD = 26, PAD_DOWN = 20, HEAD = 30, GAP = 12, SIDE = 104, NARROWEST = 190;
/** More cards than this are not painted at once. */
const MOST_CARDS = 200;
const steps = [0.1, 0.25, 0.33, 0.5, 0.67, 0.75, 1, 1.25, 1.5, 2, 3, 4, 6, 8];

const fitZoom = (room: { width: number; height: number }, columns: number, rows: number, w: number, h: number, side: number): number => {
  const byWidth = ((room.width - side - 40) / columns - GAP - 2 * PAD) / Math.max(1, w);
  const byHeight = ((room.height - 34) / rows - GAP - HEAD - 2 * PAD_DOWN) / Math.max(1, h);
  const best = Math.min(2, byWidth, Math.max(byHeight, Math.min(byWidth, 0.5)));
  return Math.max(0.1, Math.round(best * 100) / 100);
};

/** The variants as live cards, laid out along the traits. */
export const Stage = ({ env }: { env: LayoutEnv }) => {
  const project = useProject();
  const { piece, variant, variants: cards, whens } = useActive();
  const zoomChoice = useBench((s) => s.zoom);
  const put = useBench((s) => s.put);
  const choose = useBench((s) => s.choose);
  const [fits, setFits] = useState(0);
  const grid = useMemo(() => gridOf(piece), [piece]);
  const variants = useMemo(() => variantsOf(piece).slice(0, MOST_CARDS), [piece]);
  const scenes = useScenes(env, project, piece, variants);
  const room = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 760, height: 440 });
  useEffect(() => {
    if (!room.current) return;
    const watch = new ResizeObserver(([entry]) => { if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height }); });
    watch.observe(room.current);
    return () => watch.disconnect();
  }, []);

  const w = Math.max(1, ...scenes.map((s) => s.placed?.width ?? 0)), h = Math.max(1, ...scenes.map((s) => s.placed?.height ?? 0));
  const side = grid.rows.length > 1 ? SIDE : 0;
  // fitted anew when the room or the grid changes or when asked, never under the hand of somebody who is drawing
  const reason = `${size.width} ${size.height} ${grid.columns.length} ${grid.rows.length} ${fits}`;
  const [fitted, setFitted] = useState({ reason: "", zoom: 1 });
  if (fitted.reason !== reason) setFitted({ reason, zoom: fitZoom(size, grid.columns.length, grid.rows.length, w, h, side) });
  const zoom = zoomChoice === "fit" ? fitted.zoom : zoomChoice;
  const byKey = new Map(scenes.map((s) => [s.key, s]));
  const store = useBenchStore();
  useLayoutEffect(() => { store.getState().scenes.current = new Map(scenes.map((s) => [s.key, s.placed])); });
  const cardWidth = Math.max(NARROWEST, w * zoom + 2 * PAD);
  const several = variants.length > 1;
  const empty = Object.keys(piece.layers).length === 1;
  const turn = (by: 1 | -1) => {
    const next = by > 0 ? steps.find((s) => s > zoom + 0.01) : steps.findLast((s) => s < zoom - 0.01);
    if (next !== undefined) put({ zoom: next });
  };
  const columns = grid.columns.length;
  const tracks = `${side ? `${SIDE}px ` : ""}repeat(${columns}, ${cardWidth}px)`;
  const traited = grid.columns[0]?.values.length ?? 0;

  return (
    <div className="stage">
      <ScopeBar />
      <div className="stage-room" ref={room} onPointerDown={(e) => { if (e.target === e.currentTarget || (e.target as Element).classList.contains("stage-grid")) choose([]); }}>
        {empty && <p className="stage-empty">An empty {piece.kind}. Insert a box, an ellipse or a text on the left, then declare its traits: every combination becomes a card here.</p>}
        <div className="stage-grid" style={{ gridTemplateColumns: tracks, gap: GAP }}>
          {traited > 0 && <>
            {side > 0 && <span />}
            {grid.columns.map((column, c) => (
              <div key={column.key} className="line-head">
                {headings(grid.columns, c).map((v) => <span key={v.trait.id} className="line-name"><Swatch pattern={v.trait.pattern} />{v.trait.name}: <b>{v.name}</b></span>)}
              </div>
            ))}
          </>}
          {grid.rows.map((row, r) => [
            side > 0 && (
              <div key={`head${row.key}`} className="line-head side">
                {headings(grid.rows, r).map((v) => <span key={v.trait.id} className="line-name"><Swatch pattern={v.trait.pattern} /><span>{v.trait.name}: <b>{v.name}</b></span></span>)}
              </div>
            ),
            ...grid.columns.map((column) => {
              const cell = variantOf(row, column);
              const key = variantKey(piece, cell) || "only";
              const scene = byKey.get(key);
              return scene && <Card key={key} piece={piece} variant={scene.variant} placed={scene.placed} zoom={zoom} lit={reached(whens, cell)} several={several} active={variantKey(piece, variant) === variantKey(piece, cell)} picked={cards.length > 1 && cards.some((v) => variantKey(piece, v) === variantKey(piece, cell))} />;
            }),
          ])}
        </div>
        {variants.length >= MOST_CARDS && <p className="stage-empty">Only the first {MOST_CARDS} of {variantsOf(piece).length >= MOST_VARIANTS ? `more than ${MOST_VARIANTS}` : variantsOf(piece).length} variants are shown.</p>}
      </div>
      <div className="zoom-bar" role="group" aria-label="Zoom">
        <button type="button" className="tool" onClick={() => turn(-1)} aria-label="Smaller"><Icon name="minus" /></button>
        <button type="button" className="tool mono" onClick={() => put({ zoom: 1 })} title="Real size">{Math.round(zoom * 100)} %</button>
        <button type="button" className="tool" onClick={() => turn(1)} aria-label="Larger"><Icon name="plus" /></button>
        <button type="button" className={`tool${zoomChoice === "fit" ? " on" : ""}`} aria-pressed={zoomChoice === "fit"} onClick={() => { put({ zoom: "fit" }); setFits(fits + 1); }}>Fit</button>
        <button type="button" className="tool" onClick={() => choose([ROOT])} title="Choose the whole piece, to set its size and fill">Whole piece</button>
      </div>
    </div>
  );
};
