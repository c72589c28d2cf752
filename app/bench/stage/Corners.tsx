import { memo, useRef } from "react";
import type { PointerEvent } from "react";
import type { Id } from "#core/basics";
import { findBox } from "#core/layout";
import { useEdits } from "../commands/edits";
import { useScene, useWorkpiece } from "../state/context";
import { Round, inwards, usedRadii } from "./gestures/round";
import { pointingAt } from "./gestures/pointing";
import { stageWords } from "./words";

/** How far from the corner the knob of a radius of 0 lies, px on screen. */
const INSET = 12;
/** The smallest layer that has knobs, px on screen. */
const SMALLEST = 44;
/** Half a knob, px on screen. */
const HALF = 4;

const noPlace = { left: 0, top: 0 };

/**
 * A knob in each corner of a box: drag it to round all corners, with Alt that one; at its end they
 * are round at any size.
 */
export const Corners = memo(function Corners(props: { of: string; id: Id; zoom: number }) {
  const { of, id, zoom } = props;
  const placed = useScene(of);
  const edits = useEdits();
  const workpiece = useWorkpiece();
  const round = useRef<Round | null>(null);
  const box = placed && findBox(placed, id)?.placed;
  if (!box || !["box", "picture"].includes(box.layer.kind)) return null;
  if (Math.min(box.width, box.height) * zoom < SMALLEST) return null;
  const radii = usedRadii(box);
  const down = (corner: number) => (e: PointerEvent<HTMLElement>) => {
    e.stopPropagation();
    e.currentTarget.setPointerCapture(e.pointerId);
    const start = pointingAt(e, noPlace, zoom);
    round.current = new Round(workpiece, edits, { placed, zoom }, box, corner, start);
  };
  const move = (e: PointerEvent) => round.current?.to(pointingAt(e, noPlace, zoom));
  const up = () => {
    round.current?.end();
    round.current = null;
  };
  return radii.map((radius, corner) => {
    const at = Math.max(INSET, radius * zoom * 0.6 + INSET / 2);
    const [wx, wy] = inwards(corner);
    const style = {
      left: (wx > 0 ? at : box.width * zoom - at) - HALF,
      top: (wy > 0 ? at : box.height * zoom - at) - HALF,
    };
    return (
      <span
        key={corner}
        className="corner-knob"
        data-corner={corner}
        title={stageWords.dragRoundAllCorners}
        style={style}
        onPointerDown={down(corner)}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={up}
      />
    );
  });
});
