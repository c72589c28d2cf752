import { useMemo, useRef } from "react";
import type { Id } from "#core/basics";
import { boundsIn, spotOf, unite } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { ROOT } from "#core/project";
import { Corners } from "./Corners";
import { Handles } from "./Handles";

const place = (map: readonly number[], zoom: number): string =>
  `matrix(${map.slice(0, 4).join(",")},${(map[4] ?? 0) * zoom},${(map[5] ?? 0) * zoom})`;

interface FrameProps {
  readonly placed: LayoutBox;
  readonly id: Id;
  readonly zoom: number;
  readonly handles: boolean;
}

const Frame = ({ placed, id, zoom, handles }: FrameProps) => {
  const frame = useRef<HTMLDivElement>(null);
  const layers = useMemo(() => [id], [id]);
  const spot = spotOf(placed, id);
  if (!spot) return null;
  return (
    <>
      <div
        ref={frame}
        className="frame"
        data-frame={id}
        style={{
          width: spot.width * zoom,
          height: spot.height * zoom,
          transform: place(spot.map, zoom),
          transformOrigin: "0 0",
        }}
      >
        {handles && id !== ROOT && <Corners placed={placed} id={id} zoom={zoom} />}
      </div>
      {handles && <Handles frame={frame} layers={layers} zoom={zoom} placed={placed} />}
    </>
  );
};

interface AroundProps {
  readonly placed: LayoutBox;
  readonly ids: readonly Id[];
  readonly zoom: number;
}

const FrameAround = ({ placed, ids, zoom }: AroundProps) => {
  const frame = useRef<HTMLDivElement>(null);
  const bounds = boundsIn(placed);
  const box = unite(ids.flatMap((id) => bounds.get(id) ?? []));
  if (!box) return null;
  return (
    <>
      <div
        ref={frame}
        className="frame around"
        style={{
          width: box.width * zoom,
          height: box.height * zoom,
          transform: `translate(${box.x * zoom}px, ${box.y * zoom}px)`,
        }}
      />
      <Handles frame={frame} layers={ids} zoom={zoom} placed={placed} />
    </>
  );
};

interface FramesProps {
  readonly placed: LayoutBox;
  readonly chosen: readonly Id[];
  readonly zoom: number;
  readonly handles: boolean;
}

/** Frames around the chosen layers; on the card one looks at with handles. */
export const Frames = ({ placed, chosen, zoom, handles }: FramesProps) => {
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
};
