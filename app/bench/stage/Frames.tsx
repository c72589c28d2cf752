import { memo, useMemo } from "react";
import type { Id } from "#core/basics";
import { boundsOf, spotOf, unite } from "#core/layout";
import type { Affine, LayoutBox } from "#core/layout";
import { ROOT } from "#core/project";
import { useScene } from "../state/context";
import { Corners } from "./Corners";
import { Handles } from "./Handles";

const place = (map: readonly number[], zoom: number): string =>
  `matrix(${map.slice(0, 4).join(",")},${(map[4] ?? 0) * zoom},${(map[5] ?? 0) * zoom})`;

/** How many times as large a map makes what it maps; 1 for one that makes nothing of it. */
const scaleOf = ([a, b, c, d]: Affine): number => Math.sqrt(Math.abs(a * d - b * c)) || 1;

const IN_PLACE: Affine = [1, 0, 0, 1, 0, 0];

interface FrameProps {
  readonly placed: LayoutBox;
  readonly id: Id;
  readonly zoom: number;
  readonly handles: boolean;
}

const Frame = ({ placed, id, zoom, handles }: FrameProps) => {
  const layers = useMemo(() => [id], [id]);
  const spot = spotOf(placed, id);
  if (!spot) return null;
  const { width, height, map } = spot;
  const style = {
    width: width * zoom,
    height: height * zoom,
    transform: place(map, zoom),
    transformOrigin: "0 0",
    "--handle-scale": 1 / scaleOf(map),
  };
  return (
    <div className="frame" data-frame={id} style={style}>
      {handles && id !== ROOT && <Corners placed={placed} id={id} zoom={zoom} />}
      {handles && (
        <Handles
          layers={layers}
          placed={placed}
          zoom={zoom}
          map={map}
          width={width}
          height={height}
        />
      )}
    </div>
  );
};

interface AroundProps {
  readonly placed: LayoutBox;
  readonly ids: readonly Id[];
  readonly zoom: number;
}

const FrameAround = ({ placed, ids, zoom }: AroundProps) => {
  const box = unite(ids.flatMap((id) => boundsOf(placed, id) ?? []));
  if (!box) return null;
  const { width, height } = box;
  return (
    <div
      className="frame around"
      style={{
        width: width * zoom,
        height: height * zoom,
        transform: `translate(${box.x * zoom}px, ${box.y * zoom}px)`,
      }}
    >
      <Handles
        layers={ids}
        placed={placed}
        zoom={zoom}
        map={IN_PLACE}
        width={width}
        height={height}
      />
    </div>
  );
};

interface FramesProps {
  /** the key of the card */
  readonly of: string;
  readonly chosen: readonly Id[];
  readonly zoom: number;
  readonly handles: boolean;
}

/** Frames around the chosen layers; on the card one looks at with handles. */
export const Frames = memo(function Frames({ of, chosen, zoom, handles }: FramesProps) {
  const placed = useScene(of);
  if (!placed) return null;
  const several = chosen.length > 1 && !chosen.includes(ROOT);
  return (
    <>
      {chosen.map((id) => (
        <Frame
          key={id}
          placed={placed}
          id={id}
          zoom={zoom}
          handles={handles && chosen.length === 1}
        />
      ))}
      {handles && several && <FrameAround placed={placed} ids={chosen} zoom={zoom} />}
    </>
  );
});
