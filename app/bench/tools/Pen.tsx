import { useEffect, useRef, useState } from "react";
import type { PointerEvent } from "react";
import { findBox } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { ROOT } from "#core/project";
import { writeOutlines } from "#core/paths";
import type { Knot, PathPoint } from "#core/paths";
import { useWorkpiece } from "../state/context";
import { useWatched } from "../../ui/watched";
import { AnyWhere } from "./AnyWhere";
import { PenDrawing } from "./gestures/pen";
import type { PenPoint } from "./gestures/pen";
import { Guides } from "./Guides";
import { pointerOn } from "./pointer";
import { toolsWords } from "./words";

/** Knots as they lie on screen. */
const onScreen = (knots: readonly Knot[], zoom: number): Knot[] =>
  knots.map((k) => {
    const at = (p: PathPoint) => ({ x: p.x * zoom, y: p.y * zoom });
    return { ...at(k), before: k.before && at(k.before), after: k.after && at(k.after) };
  });

/** Keys of a path that has begun: every card has a pen, and they are for that one. */
const usePenKeys = (pen: PenDrawing, placed: LayoutBox, zoom: number) => {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (pen.knots.length === 0) return;
      if (e.key === "Enter") pen.finish(false, { placed, zoom });
      else if (e.key === "Backspace") pen.back();
      else if (e.key === "Escape") pen.giveUp();
      else return;
      e.preventDefault();
      e.stopPropagation();
    };
    window.addEventListener("keydown", onKey, true);
    return () => window.removeEventListener("keydown", onKey, true);
  }, [pen, placed, zoom]);
};

const Knots = ({ knots }: { knots: readonly Knot[] }) =>
  knots.map((k, i) => (
    <g key={i}>
      {(["before", "after"] as const).map(
        (part) => k[part] && <line key={part} x1={k.x} y1={k.y} x2={k[part].x} y2={k[part].y} />,
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
  ));

/**
 * Drawing a path point by point on a card: a press sets a point, a drag bends the line through it,
 * a press on the first point closes. Enter or a double press ends an open path, Backspace takes the
 * last point back, Esc gives up.
 */
export const Pen = ({ placed, zoom }: { placed: LayoutBox; zoom: number }) => {
  const workpiece = useWorkpiece();
  const [drawing] = useState(() => new PenDrawing(workpiece));
  const { knots, at, pulling } = useWatched(drawing);
  const host = useRef<SVGSVGElement>(null);
  usePenKeys(drawing, placed, zoom);
  const card = { placed, zoom };
  const point = (e: PointerEvent): PenPoint => pointerOn(host.current, e, zoom);
  const next = at && knots.length && !pulling ? [{ ...at, before: null, after: null }] : [];
  const preview = [...knots, ...next];
  const root = findBox(placed, ROOT)?.placed;
  return (
    <svg
      ref={host}
      className="shaping pen"
      role="application"
      aria-label={toolsWords.drawPath(root?.layer.name ?? toolsWords.piece)}
      onPointerDown={(e) => {
        e.stopPropagation();
        if (e.button !== 0) return;
        drawing.down(point(e), card, e.detail > 1);
        if (drawing.pulling) e.currentTarget.setPointerCapture(e.pointerId);
      }}
      onPointerMove={(e) => drawing.move(point(e), card)}
      onPointerUp={() => drawing.up()}
      onPointerLeave={() => drawing.leave()}
    >
      <AnyWhere />
      {at && <Guides guides={at.guides} zoom={zoom} />}
      {preview.length > 1 && (
        <path
          d={writeOutlines([{ knots: onScreen(preview, zoom), closed: false }])}
          className="shaping-line"
        />
      )}
      <Knots knots={onScreen(knots, zoom)} />
    </svg>
  );
};
