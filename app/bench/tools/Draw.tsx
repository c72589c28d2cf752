import { useEffect, useRef, useState } from "react";
import type { PointerEvent } from "react";
import type { LayoutBox } from "#core/layout";
import { fresh, useInserter } from "../commands/inserting";
import { useBench, useWorkpiece } from "../state/context";
import type { DrawnKind } from "../state/view";
import { useWatched } from "../../ui/watched";
import { AnyWhere } from "./AnyWhere";
import { Drawing, rectOf } from "./gestures/draw";
import type { Drag } from "./gestures/draw";
import type { PenPoint } from "./gestures/pen";
import { Guides } from "./Guides";
import { pointerOn } from "./pointer";
import { toolsWords } from "./words";

/** The outline of what is being drawn, and how large it is. */
const Outline = ({ kind, drag, zoom }: { kind: DrawnKind; drag: Drag; zoom: number }) => {
  const { x, y, width, height } = rectOf(drag);
  const box = { x: x * zoom, y: y * zoom, width: width * zoom, height: height * zoom };
  const right = box.x + box.width;
  const bottom = box.y + box.height;
  switch (kind) {
    case "line":
      return (
        <line
          className="drawn"
          x1={drag.from.x * zoom}
          y1={drag.from.y * zoom}
          x2={drag.to.x * zoom}
          y2={drag.to.y * zoom}
        />
      );
    case "ellipse":
      return (
        <ellipse
          className="drawn"
          cx={box.x + box.width / 2}
          cy={box.y + box.height / 2}
          rx={box.width / 2}
          ry={box.height / 2}
        />
      );
    case "polygon":
      return (
        <polygon
          className="drawn"
          points={`${box.x + box.width / 2},${box.y} ${right},${bottom} ${box.x},${bottom}`}
        />
      );
    case "box":
    case "text":
      return <rect className="drawn" {...box} />;
  }
};

const Size = ({ drag, zoom }: { drag: Drag; zoom: number }) => {
  const { x, y, width, height } = rectOf(drag);
  const round = (n: number) => Math.round(n * 10) / 10;
  const text = `${round(width)} × ${round(height)}`;
  const at = { x: (x + width) * zoom + 10, y: (y + height) * zoom + 6 };
  return (
    <g className="drawn-size">
      <rect {...at} width={text.length * 7 + 12} height={18} rx={5} />
      <text x={at.x + 6} y={at.y + 13}>
        {text}
      </text>
    </g>
  );
};

/** Drawing a layer on a card; Esc gives up what has begun. */
export const Draw = ({ placed, zoom }: { placed: LayoutBox; zoom: number }) => {
  const workpiece = useWorkpiece();
  const insert = useInserter();
  const kind = useBench((s) => s.drawn);
  const [drawing] = useState(() => new Drawing(workpiece, insert));
  const { drag, guides } = useWatched(drawing);
  const host = useRef<SVGSVGElement>(null);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key !== "Escape" || !drawing.drag) return;
      drawing.giveUp();
      e.preventDefault();
      e.stopPropagation();
    };
    window.addEventListener("keydown", onKey, true);
    return () => window.removeEventListener("keydown", onKey, true);
  }, [drawing]);
  const card = { placed, zoom };
  const point = (e: PointerEvent): PenPoint => pointerOn(host.current, e, zoom);
  return (
    <svg
      ref={host}
      className="shaping pen"
      role="application"
      aria-label={toolsWords.drawing(fresh[kind].words)}
      onPointerDown={(e) => {
        e.stopPropagation();
        if (e.button !== 0) return;
        drawing.down(point(e), card);
        e.currentTarget.setPointerCapture(e.pointerId);
      }}
      onPointerMove={(e) => drawing.move(point(e), card)}
      onPointerUp={() => drawing.up(card)}
      onPointerCancel={() => drawing.giveUp()}
      onDoubleClick={(e) => e.stopPropagation()}
    >
      <AnyWhere />
      <Guides guides={guides} zoom={zoom} />
      {drag && <Outline kind={kind} drag={drag} zoom={zoom} />}
      {drag && <Size drag={drag} zoom={zoom} />}
    </svg>
  );
};
