import { useRef, useState } from "react";
import type { PointerEvent } from "react";
import { AnyWhere } from "./AnyWhere";
import { usePiece } from "../state/context";
import { edgesNear } from "./gestures/edges";
import { usePixels } from "./usePixels";
import { pointerOn } from "./pointer";
import { toolsWords } from "./words";

interface Way {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

/** Within how many px on screen the ruler catches on the edges of a reference picture. */
const REACH = 6;

/**
 * Measuring by hand on a card, as on a reference picture, on whose edges it catches unless Ctrl is
 * held: drag from one place to another; Shift keeps it straight.
 */
export const Ruler = ({ zoom }: { zoom: number }) => {
  const host = useRef<SVGSVGElement>(null);
  const [way, setWay] = useState<Way | null>(null);
  const [pulling, setPulling] = useState(false);
  const reference = usePiece((p) => p.reference);
  const pixels = usePixels(reference);
  const halves = (n: number) => Math.round(n * 2) / 2;
  const at = (e: PointerEvent): [number, number] => {
    const { x, y, ctrl } = pointerOn(host.current, e, zoom);
    const isFree = ctrl || !reference || !pixels;
    const caught = isFree ? null : edgesNear(pixels, reference, { x, y }, REACH / zoom);
    return [halves(caught?.x ?? x), halves(caught?.y ?? y)];
  };
  const move = (e: PointerEvent) => {
    if (!pulling || !way) return;
    let [x2, y2] = at(e);
    if (e.shiftKey) {
      if (Math.abs(x2 - way.x1) > Math.abs(y2 - way.y1)) y2 = way.y1;
      else x2 = way.x1;
    }
    setWay({ ...way, x2, y2 });
  };
  const text = way
    ? `${Math.abs(way.x2 - way.x1)} × ${Math.abs(way.y2 - way.y1)}, ${Math.round(Math.hypot(way.x2 - way.x1, way.y2 - way.y1) * 10) / 10}`
    : "";
  return (
    <svg
      ref={host}
      className="shaping pen ruler"
      role="application"
      aria-label={toolsWords.rulerDragMeasure}
      onPointerDown={(e) => {
        e.stopPropagation();
        e.currentTarget.setPointerCapture(e.pointerId);
        const [x, y] = at(e);
        setPulling(true);
        setWay({ x1: x, y1: y, x2: x, y2: y });
      }}
      onPointerMove={move}
      onPointerUp={() => setPulling(false)}
      onDoubleClick={(e) => e.stopPropagation()}
    >
      <AnyWhere />
      {way && (
        <>
          <line x1={way.x1 * zoom} y1={way.y1 * zoom} x2={way.x2 * zoom} y2={way.y2 * zoom} />
          <rect
            x={way.x2 * zoom + 10}
            y={way.y2 * zoom - 22}
            width={text.length * 7 + 12}
            height={18}
            rx={5}
          />
          <text x={way.x2 * zoom + 16} y={way.y2 * zoom - 9}>
            {text}
          </text>
        </>
      )}
    </svg>
  );
};
