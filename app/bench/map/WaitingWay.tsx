import { plainText } from "#core/basics";
import { BaseEdge, getBezierPath, getSmoothStepPath } from "@xyflow/react";
import type { Edge, EdgeProps } from "@xyflow/react";
import { useEffect, useState } from "react";
import { mapWords } from "./words";

/**
 * A wait of the running copy: ms of its clock that were left at a moment of the page, and how fast
 * that clock goes.
 */
export interface Wait {
  readonly left: number;
  readonly since: number;
  readonly rate: number;
}

export type WaitingEdge = Edge<
  { readonly wait: Wait; readonly around: boolean; readonly rules: readonly string[] },
  "waiting"
>;

/** How often the remaining time is written anew, ms. */
const TELL = 100;

/** A way that waits: a dot goes along it in the time that is left, which is written on it. */
export const WaitingWay = ({
  sourceX,
  sourceY,
  targetX,
  targetY,
  sourcePosition,
  targetPosition,
  markerEnd,
  label,
  data,
}: EdgeProps<WaitingEdge>) => {
  const ends = { sourceX, sourceY, targetX, targetY, sourcePosition, targetPosition };
  const [path, labelX, labelY] = data?.around ? getSmoothStepPath(ends) : getBezierPath(ends);
  const { left = 0, since = 0, rate = 1 } = data?.wait ?? {};
  const [now, setNow] = useState(since);
  useEffect(() => {
    if (rate === 0) return;
    const timer = setInterval(() => setNow(performance.now()), TELL);
    return () => clearInterval(timer);
  }, [rate]);
  const rest = Math.max(0, left - Math.max(0, now - since) * rate);
  return (
    <>
      <BaseEdge
        path={path}
        {...(markerEnd ? { markerEnd } : {})}
        label={mapWords.msRemaining(plainText(label ?? ""), rate, Math.round(rest / 10) * 10)}
        labelX={labelX}
        labelY={labelY}
        labelBgPadding={[4, 2]}
        labelBgBorderRadius={4}
      />
      {rate > 0 && (
        <circle
          key={since}
          className="wait-dot"
          r={5}
          style={{ offsetPath: `path("${path}")`, animationDuration: `${left / rate}ms` }}
        />
      )}
    </>
  );
};
