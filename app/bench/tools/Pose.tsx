import { useEffect, useRef } from "react";
import type { PointerEvent } from "react";
import type { LayoutBox } from "#core/layout";
import { useEdits } from "../commands/edits";
import { useBench, useWorkpiece } from "../state/context";
import type { Posing } from "../state/view";
import { AnyWhere } from "./AnyWhere";
import { posedScene } from "../commands/posing";
import { PoseHand, cornersOf, middleOf } from "./gestures/pose";
import type { PoseGrip } from "./gestures/pose";
import { pointerOn } from "./pointer";
import { toolsWords } from "./words";

/** How far the grip that turns lies outside of the layer, px on screen. */
const OUTSIDE = 22;
const steps: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Keys while a pose is set: arrows move it, Esc and Enter are done. */
const usePoseKeys = (placed: LayoutBox, posing: Posing) => {
  const edits = useEdits();
  const pose = useBench((s) => s.pose);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.target instanceof Element && e.target.closest("input, textarea, select")) return;
      const step = steps[e.key];
      const by = e.shiftKey ? 10 : 1;
      if (step)
        new PoseHand(edits, placed, posing, "place", [0, 0]).nudge(step[0] * by, step[1] * by);
      else if (e.key === "Escape" || e.key === "Enter") pose(null);
      else return;
      e.preventDefault();
      e.stopPropagation();
    };
    window.addEventListener("keydown", onKey, true);
    return () => window.removeEventListener("keydown", onKey, true);
  }, [edits, placed, posing, pose]);
};

interface Props {
  readonly placed: LayoutBox;
  readonly posing: Posing;
  readonly zoom: number;
}

/**
 * The pose a layer comes from or goes to, set on the card: drag it to its place, its corner makes it
 * larger or smaller, the round grip turns it. A press beside it is done.
 */
export const Pose = ({ placed, posing, zoom }: Props) => {
  const workpiece = useWorkpiece();
  const edits = useEdits();
  const pose = useBench((s) => s.pose);
  const host = useRef<SVGSVGElement>(null);
  const hand = useRef<PoseHand | null>(null);
  usePoseKeys(placed, posing);
  const corners = cornersOf(posedScene(placed, posing), posing.layer);
  const home = cornersOf(placed, posing.layer);
  if (!corners || !home) return null;
  const at = (e: PointerEvent): readonly [number, number] => {
    const { x, y } = pointerOn(host.current, e, zoom);
    return [x, y];
  };
  const grab = (grip: PoseGrip, e: PointerEvent<SVGElement>) => {
    e.stopPropagation();
    if (e.button !== 0) return;
    host.current?.setPointerCapture(e.pointerId);
    hand.current = new PoseHand(edits, placed, posing, grip, at(e));
    workpiece.state.setEditing(true);
  };
  const end = () => {
    hand.current?.end();
    hand.current = null;
    workpiece.state.setEditing(false);
  };
  const points = (list: readonly (readonly [number, number])[]) =>
    list.map(([x, y]) => `${x * zoom},${y * zoom}`).join(" ");
  const [mx, my] = middleOf(corners);
  const [hx, hy] = middleOf(home);
  const corner = corners[2] ?? [mx, my];
  const side = corners[0] && corners[3] ? middleOf([corners[0], corners[3]]) : [mx, my];
  return (
    <svg
      ref={host}
      className="shaping pen posing"
      role="application"
      aria-label={toolsWords.entranceLayerDragResize(posing.key === "comesFrom")}
      onPointerDown={(e) => {
        e.stopPropagation();
        pose(null);
      }}
      onPointerMove={(e) => hand.current?.to(at(e), e.shiftKey)}
      onPointerUp={end}
      onPointerCancel={end}
      onDoubleClick={(e) => e.stopPropagation()}
    >
      <AnyWhere />
      <polygon className="pose-home" points={points(home)} />
      <line className="pose-way" x1={hx * zoom} y1={hy * zoom} x2={mx * zoom} y2={my * zoom} />
      <polygon
        className="pose-box"
        points={points(corners)}
        onPointerDown={(e) => grab("place", e)}
      />
      <circle
        className="pose-middle"
        cx={mx * zoom}
        cy={my * zoom}
        r={9}
        onPointerDown={(e) => grab("place", e)}
      />
      <circle
        className="pose-turn"
        cx={Number(side[0]) * zoom - OUTSIDE}
        cy={Number(side[1]) * zoom}
        r={6}
        onPointerDown={(e) => grab("turn", e)}
      />
      <rect
        className="pose-size"
        x={corner[0] * zoom + 4}
        y={corner[1] * zoom + 4}
        width={12}
        height={12}
        rx={3}
        onPointerDown={(e) => grab("size", e)}
      />
    </svg>
  );
};
