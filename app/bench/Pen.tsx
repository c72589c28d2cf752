import { useEffect, useRef, useState } from "react";
import type { PointerEvent } from "react";
import { addLayer } from "#core/edit";
import { findPlaced, spotsIn, wayInto } from "#core/layout";
import type { Placed } from "#core/layout";
import { boundsOfOutlines, moveKnot, writeOutlines } from "#core/paths";
import type { Knot, Outline } from "#core/paths";
import type { Value } from "#core/properties";
import { useSession } from "../store/session-context";
import { parentForNew, useBenchStore } from "./state";

const CLOSE = 8;
const tidy = (n: number): number => Math.round(n * 1000) / 1000;

/**
 * Drawing a path point by point on a card: a press sets a point, a drag bends the line through it, a press on the first
 * point closes. Enter or a double press ends an open path, Backspace takes the last point back, Esc gives up.
 */
export const Pen = ({ placed, zoom }: { placed: Placed; zoom: number }) => {
  const session = useSession();
  const store = useBenchStore();
  const [knots, setKnots] = useState<readonly Knot[]>([]);
  const [at, setAt] = useState<{ x: number; y: number } | null>(null);
  const [pulling, setPulling] = useState(false);
  const host = useRef<SVGSVGElement>(null);

  const place = (e: PointerEvent): { x: number; y: number } => {
    const box = host.current?.getBoundingClientRect();
    const whole = (n: number) => (e.ctrlKey || e.metaKey ? n : Math.round(n));
    const p = { x: whole((e.clientX - (box?.left ?? 0)) / zoom), y: whole((e.clientY - (box?.top ?? 0)) / zoom) };
    const last = knots.at(-1);
    if (e.shiftKey && last) { if (Math.abs(p.x - last.x) > Math.abs(p.y - last.y)) p.y = last.y; else p.x = last.x; }
    return p;
  };
  const finish = (closed: boolean, list: readonly Knot[] = knots) => {
    setKnots([]);
    const state = store.getState(), piece = session.project.pieces[state.pieceId];
    if (list.length < 2 || !piece) { state.put({ tool: "choose" }); return; }
    const parent = parentForNew(piece, state.chosen), around = spotsIn(placed).get(parent)?.map ?? [1, 0, 0, 1, 0, 0] as const;
    const into = (p: { x: number; y: number }) => { const [x, y] = wayInto(around, p.x - around[4], p.y - around[5]); return { x, y }; };
    const outline: Outline = { closed, knots: list.map((k) => ({ ...into(k), before: k.before && into(k.before), after: k.after && into(k.after) })) };
    const box = boundsOfOutlines([outline]), width = tidy(box.width), height = tidy(box.height);
    const shape = writeOutlines([{ ...outline, knots: outline.knots.map((k) => moveKnot(k, -box.x, -box.y)) }], (width || 1) / 100, (height || 1) / 100);
    const look: Record<string, Value> = closed ? { fill: "#a9c6bd" } : { borderColour: "#20302e", borderWidth: 2 };
    const made = addLayer(piece, "path", parent, { x: tidy(box.x), y: tidy(box.y), width, height, shape, ...look });
    if (session.edit(made.change)) state.choose([made.id]);
    state.put({ tool: "choose" });
  };
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key === "Enter") finish(false);
      else if (e.key === "Backspace") setKnots((k) => k.slice(0, -1));
      else if (e.key === "Escape" && knots.length) setKnots([]);
      else return;
      e.preventDefault();
      e.stopPropagation();
    };
    window.addEventListener("keydown", onKey, true);
    return () => window.removeEventListener("keydown", onKey, true);
  });
  const down = (e: PointerEvent<SVGSVGElement>) => {
    e.stopPropagation();
    if (e.button !== 0) return;
    const p = place(e), first = knots[0];
    if (e.detail > 1 && knots.length > 1) { finish(false); return; }
    if (first && knots.length > 1 && Math.hypot(first.x - p.x, first.y - p.y) * zoom < CLOSE) { finish(true); return; }
    e.currentTarget.setPointerCapture(e.pointerId);
    setPulling(true);
    setKnots([...knots, { ...p, before: null, after: null }]);
  };
  const move = (e: PointerEvent) => {
    const p = place(e);
    setAt(p);
    const last = knots.at(-1);
    if (!pulling || !last || Math.hypot(p.x - last.x, p.y - last.y) * zoom < 3) return;
    setKnots([...knots.slice(0, -1), { ...last, after: p, before: { x: 2 * last.x - p.x, y: 2 * last.y - p.y } }]);
  };
  const scaled = (list: readonly Knot[]): Knot[] => list.map((k) => { const s = (p: { x: number; y: number }) => ({ x: p.x * zoom, y: p.y * zoom }); return { ...s(k), before: k.before && s(k.before), after: k.after && s(k.after) }; });
  const preview = at && knots.length && !pulling ? [...knots, { ...at, before: null, after: null }] : knots;
  const root = findPlaced(placed, "root")?.placed;
  return (
    <svg ref={host} className="shaping pen" role="application" aria-label={`Pen on ${root?.layer.name ?? "the piece"}`} onPointerDown={down} onPointerMove={move} onPointerUp={() => setPulling(false)} onPointerLeave={() => setAt(null)}>
      {preview.length > 1 && <path d={writeOutlines([{ knots: scaled(preview), closed: false }])} className="shaping-line" />}
      {scaled(knots).map((k, i) => <g key={i}>{(["before", "after"] as const).map((part) => k[part] && <line key={part} x1={k.x} y1={k.y} x2={k[part].x} y2={k[part].y} />)}<rect x={k.x - 4} y={k.y - 4} width={8} height={8} rx={k.after ? 4 : 1} className={`knot${i === 0 ? " first" : ""}`} /></g>)}
    </svg>
  );
};
