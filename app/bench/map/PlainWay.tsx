import { getBezierPath } from "@xyflow/react";
import type { Edge, EdgeProps } from "@xyflow/react";
import { memo } from "react";

export type PlainEdge = Edge<{ readonly words: string; readonly rules: readonly string[] }, "line">;

/** A way among very many: a line, with its words for whoever points at it. */
export const PlainWay = memo(function PlainWay({
  sourceX,
  sourceY,
  targetX,
  targetY,
  sourcePosition,
  targetPosition,
  data,
}: EdgeProps<PlainEdge>) {
  const [path] = getBezierPath({
    sourceX,
    sourceY,
    targetX,
    targetY,
    sourcePosition,
    targetPosition,
  });
  return (
    <path className="react-flow__edge-path" d={path}>
      <title>{data?.words}</title>
    </path>
  );
});
