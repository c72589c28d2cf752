import { useEffect, useMemo, useRef, useState } from "react";
import type { PointerEvent } from "react";
import { addLayer, snap } from "#core/edit";
import type { Guide } from "#core/edit";
import { boundsIn, findBox, spotsIn, wayInto } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { boundsOfOutlines, moveKnot, writeOutlines } from "#core/paths";
import type { Knot, KnotOutline } from "#core/paths";
import { thousandths } from "#core/properties";
import type { Value } from "#core/properties";
import { useSession } from "../../session/context";
import { parentForNew, useBenchStore } from "../state/state";

/**
 * px on screen within which a press closes the path, and within which a point catches the edges of
 * layers and other points
 */
const CLOSE = 8;
const REACH = 6;
const single = { x: ["from"], y: ["from"] } as const;

/**
 * Drawing a path point by point on a card: a press sets a point, a drag bends the line through it,
 * a press on the first point closes. Enter or a double press ends an open path, Backspace takes the
 * last point back, Esc gives up.
 */
export const Pen = ({ placed, zoom }: { placed: LayoutBox; zoom: number }) => {
  const session = useSession();
  const store = useBenchStore();
  const [knots, setKnots] = useState<readonly Knot[]>([]);
  const [at, setAt] = useState<{ x: number; y: number; guides: readonly Guide[] } | null>(null);
  const [pulling, setPulling] = useState(false);
  const host = useRef<SVGSVGElement>(null);

  const edges = useMemo(() => [...boundsIn(placed).values()], [placed]);
  /**
   * Where a point would be set: on the edges and middles of layers and in line with other points,
   * else on whole px; Ctrl leaves it free.
   */
  const place = (e: PointerEvent): { x: number; y: number; guides: readonly Guide[] } => {
    const box = host.current?.getBoundingClientRect();
    const free = e.ctrlKey || e.metaKey;
    const p = { x: (e.clientX - (box?.left ?? 0)) / zoom, y: (e.clientY - (box?.top ?? 0)) / zoom };
    let guides: readonly Guide[] = [];
    if (!free) {
      const points = knots.map((k) => ({ x: k.x, y: k.y, width: 0, height: 0 }));
      const caught = snap(
        { ...p, width: 0, height: 0 },
        [...edges, ...points],
        REACH / zoom,
        single,
      );
      guides = caught.guides;
      const on = (axis: "x" | "y") => guides.some((g) => g.axis === axis);
      p.x = on("x") ? p.x + caught.dx : Math.round(p.x);
      p.y = on("y") ? p.y + caught.dy : Math.round(p.y);
    }
    const last = knots.at(-1);
    if (e.shiftKey && last) {
      const level = Math.abs(p.x - last.x) > Math.abs(p.y - last.y);
      if (level) p.y = last.y;
      else p.x = last.x;
      guides = guides.filter((g) => g.axis === (level ? "x" : "y"));
    }
    return { x: thousandths(p.x), y: thousandths(p.y), guides };
  };
  const finish = (closed: boolean, list: readonly Knot[] = knots) => {
    setKnots([]);
    const state = store.getState();
    const piece = session.project.pieces[state.pieceId];
    if (list.length < 2 || !piece) {
      state.put({ tool: "choose" });
      return;
    }
    const parent = parentForNew(piece, state.chosen);
    const around = spotsIn(placed).get(parent)?.map ?? ([1, 0, 0, 1, 0, 0] as const);
    const into = (p: { x: number; y: number }) => {
      const [x, y] = wayInto(around, p.x - around[4], p.y - around[5]);
      return { x, y };
    };
    const outline: KnotOutline = {
      closed,
      knots: list.map((k) => ({
        ...into(k),
        before: k.before && into(k.before),
        after: k.after && into(k.after),
      })),
    };
    const box = boundsOfOutlines([outline]);
    const width = thousandths(box.width);
    const height = thousandths(box.height);
    const shape = writeOutlines(
      [{ ...outline, knots: outline.knots.map((k) => moveKnot(k, -box.x, -box.y)) }],
      (width || 1) / 100,
      (height || 1) / 100,
    );
    const look: Record<string, Value> = closed
      ? { fill: "#a9c6bd" }
      : { borderColour: "#20302e", borderWidth: 2 };
    const made = addLayer(piece, "path", parent, {
      x: thousandths(box.x),
      y: thousandths(box.y),
      width,
      height,
      shape,
      ...look,
    });
    if (session.edit(made.change)) state.choose([made.id]);
    state.put({ tool: "choose" });
  };
  useEffect(() => {
    // every card has a pen: the keys are for the one that has begun
    if (knots.length === 0) return;
    const onKey = (e: KeyboardEvent) => {
      if (e.key === "Enter") finish(false);
      else if (e.key === "Backspace") setKnots((k) => k.slice(0, -1));
      else if (e.key === "Escape") setKnots([]);
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
    const { guides: _shown, ...p } = place(e);
    const first = knots[0];
    if (e.detail > 1 && knots.length > 1) {
      finish(false);
      return;
    }
    if (first && knots.length > 1 && Math.hypot(first.x - p.x, first.y - p.y) * zoom < CLOSE) {
      finish(true);
      return;
    }
    e.currentTarget.setPointerCapture(e.pointerId);
    setPulling(true);
    setKnots([...knots, { ...p, before: null, after: null }]);
  };
  const move = (e: PointerEvent) => {
    const p = place(e);
    setAt(p);
    const last = knots.at(-1);
    if (!pulling || !last || Math.hypot(p.x - last.x, p.y - last.y) * zoom < 3) return;
    setKnots([
      ...knots.slice(0, -1),
      { ...last, after: { x: p.x, y: p.y }, before: { x: 2 * last.x - p.x, y: 2 * last.y - p.y } },
    ]);
  };
  const scaled = (list: readonly Knot[]): Knot[] =>
    list.map((k) => {
      const s = (p: { x: number; y: number }) => ({ x: p.x * zoom, y: p.y * zoom });
      return { ...s(k), before: k.before && s(k.before), after: k.after && s(k.after) };
    });
  const preview =
    at && knots.length && !pulling
      ? [...knots, { x: at.x, y: at.y, before: null, after: null }]
      : knots;
  const root = findBox(placed, "root")?.placed;
  return (
    <svg
      ref={host}
      className="shaping pen"
      role="application"
      aria-label={`Pen on ${root?.layer.name ?? "the piece"}`}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={() => setPulling(false)}
      onPointerLeave={() => setAt(null)}
    >
      {at?.guides.map((g, i) => (
        <line
          key={`g${i}`}
          className="guide"
          {...(g.axis === "x"
            ? { x1: g.at * zoom, x2: g.at * zoom, y1: g.from * zoom, y2: g.to * zoom }
            : { y1: g.at * zoom, y2: g.at * zoom, x1: g.from * zoom, x2: g.to * zoom })}
        />
      ))}
      {preview.length > 1 && (
        <path
          d={writeOutlines([{ knots: scaled(preview), closed: false }])}
          className="shaping-line"
        />
      )}
      {scaled(knots).map((k, i) => (
        <g key={i}>
          {(["before", "after"] as const).map(
            (part) =>
              k[part] && <line key={part} x1={k.x} y1={k.y} x2={k[part].x} y2={k[part].y} />,
          )}
          <rect
            x={k.x - 4}
            y={k.y - 4}
            width={8}
            height={8}
            rx={k.after ? 4 : 1}
            className={`knot${i === 0 ? " first" : ""}`}
          />
        </g>
      ))}
    </svg>
  );
};
