import { toolsWords } from "./words";
import { useEffect, useMemo, useRef, useState } from "react";
import type { KeyboardEvent, PointerEvent } from "react";
import type { Id } from "#core/basics";
import { mapPoint } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { placeOn, writeOutlines } from "#core/paths";
import type { Knot, PathPoint } from "#core/paths";
import { useEdits } from "../commands/edits";
import { useWorkpiece } from "../state/context";
import { useWatched } from "../../ui/watched";
import { PathShaping, pathOn, samePoint } from "./gestures/shape";
import type { Grip, ShapePoint, ShownPath } from "./gestures/shape";
import { pointerOn } from "./pointer";

type Place = (p: PathPoint) => PathPoint;

/** Lays knots of a path on the screen. */
const placed = (k: Knot, on: Place): Knot => ({
  ...on(k),
  before: k.before && on(k.before),
  after: k.after && on(k.after),
});

interface PointsProps {
  readonly shaping: PathShaping;
  readonly path: ShownPath;
  readonly on: Place;
  readonly onDown: (grip: Grip) => (e: PointerEvent<SVGElement>) => void;
}

/** The handles of a chosen point. */
const Bends = ({ k, grip, onDown }: { k: Knot; grip: Grip } & Pick<PointsProps, "onDown">) =>
  (["before", "after"] as const).map((part) => {
    const handle = k[part];
    if (!handle) return null;
    return (
      <g key={part}>
        <line x1={k.x} y1={k.y} x2={handle.x} y2={handle.y} />
        <circle
          cx={handle.x}
          cy={handle.y}
          r={4}
          className="bend"
          data-bend={part}
          onPointerDown={onDown({ ...grip, part })}
        />
      </g>
    );
  });

const Points = ({ shaping, path, on, onDown }: PointsProps) =>
  path.outlines.map((o, outline) =>
    o.knots.map((knotAt, knot) => {
      const k = placed(knotAt, on);
      const grip: Grip = { outline, knot, part: "knot" };
      const chosen = shaping.chosen.some((c) => samePoint(c, grip));
      return (
        <g key={`${outline}.${knot}`}>
          {chosen && <Bends k={k} grip={grip} onDown={onDown} />}
          <rect
            x={k.x - 4}
            y={k.y - 4}
            width={8}
            height={8}
            rx={k.before || k.after ? 4 : 1}
            className={`knot${chosen ? " on" : ""}`}
            data-knot={`${outline}.${knot}`}
            onPointerDown={onDown(grip)}
            onDoubleClick={(e) => {
              e.stopPropagation();
              shaping.turn(grip, path);
            }}
          />
        </g>
      );
    }),
  );

/** Where another point would go. */
const Ghost = ({ shaping, path, on }: Omit<PointsProps, "onDown">) => {
  const { ghost } = shaping;
  const outline = ghost && path.outlines[ghost.outline];
  if (!ghost || !outline) return null;
  const at = on(placeOn(outline, ghost.line, ghost.t));
  return <circle cx={at.x} cy={at.y} r={3.5} className="ghost" />;
};

interface Props {
  readonly placed: LayoutBox;
  readonly id: Id;
  readonly zoom: number;
}

/**
 * The points of a path, on the card one looks at: drag points and handles, click the line for
 * another point, double-click a point to make a corner smooth or sharp. Arrow keys move the chosen
 * points, Tab goes on, Delete removes them.
 */
export const Shaping = ({ placed: scene, id, zoom }: Props) => {
  const workpiece = useWorkpiece();
  const edits = useEdits();
  const [made] = useState(() => new PathShaping(workpiece, edits, id));
  const shaping = useWatched(made);
  const host = useRef<SVGSVGElement>(null);
  const path = useMemo(() => pathOn(scene, id), [scene, id]);
  useEffect(() => host.current?.focus(), []);
  if (!path) return null;
  const on: Place = (p) => {
    const [x, y] = mapPoint(path.map, p.x, p.y);
    return { x: x * zoom, y: y * zoom };
  };
  const point = (e: PointerEvent): ShapePoint => pointerOn(host.current, e, zoom);
  const onDown = (grip: Grip) => (e: PointerEvent<SVGElement>) => {
    if (e.button !== 0) return;
    e.stopPropagation();
    host.current?.focus();
    host.current?.setPointerCapture(e.pointerId);
    shaping.down(grip, point(e), path);
  };
  const onKeyDown = (e: KeyboardEvent) => {
    if (!shaping.key(e.key, e.shiftKey, path)) return;
    e.preventDefault();
    e.stopPropagation();
  };
  const d = writeOutlines(
    path.outlines.map((o) => ({ ...o, knots: o.knots.map((k) => placed(k, on)) })),
  );
  return (
    <svg
      ref={host}
      className="shaping"
      tabIndex={0}
      role="application"
      aria-label={toolsWords.pointsArrowKeysMove(path.box.layer.name)}
      onPointerDown={(e) => {
        if (shaping.add(point(e), path, zoom)) e.stopPropagation();
      }}
      onPointerMove={(e) => shaping.move(point(e), path, zoom)}
      onPointerUp={() => shaping.up()}
      onPointerCancel={() => shaping.up()}
      onDoubleClick={(e) => e.stopPropagation()}
      onKeyDown={onKeyDown}
    >
      <path d={d} className="shaping-line" />
      <Points shaping={shaping} path={path} on={on} onDown={onDown} />
      <Ghost shaping={shaping} path={path} on={on} />
    </svg>
  );
};
