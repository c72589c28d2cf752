import { memo, useLayoutEffect, useMemo, useRef } from "react";
import type { Id } from "#core/basics";
import { boundsOf, spotOf, unite } from "#core/layout";
import type { Affine, LayoutBox } from "#core/layout";
import { ROOT } from "#core/project";
import { steady } from "../../ui/steady";
import { useScene, useSceneOf, useWorkpiece } from "../state/context";
import { Corners } from "./Corners";
import { Handles } from "./Handles";

const place = (map: readonly number[], zoom: number): string =>
  `matrix(${map.slice(0, 4).join(",")},${(map[4] ?? 0) * zoom},${(map[5] ?? 0) * zoom})`;

/** How many times as large a map makes what it maps; 1 for one that makes nothing of it. */
const scaleOf = ([a, b, c, d]: Affine): number => Math.sqrt(Math.abs(a * d - b * c)) || 1;

/** What the parts of a frame follow from, wherever it lies; sizes in px of the piece. */
interface Shape {
  readonly width: number;
  readonly height: number;
  /** how many times as large it is shown */
  readonly scale: number;
}

const readShape = (id: Id) =>
  steady(
    (placed: LayoutBox | null): Shape | null => {
      const spot = placed && spotOf(placed, id);
      return spot ? { width: spot.width, height: spot.height, scale: scaleOf(spot.map) } : null;
    },
    (a, b) =>
      a === b ||
      (a !== null &&
        b !== null &&
        a.width === b.width &&
        a.height === b.height &&
        a.scale === b.scale),
  );

interface FrameProps {
  /** the key of the card */
  readonly of: string;
  readonly id: Id;
  readonly zoom: number;
  readonly handles: boolean;
}

/** A frame around one layer. It is moved beside React: an edit that only moves renders nothing. */
const Frame = ({ of, id, zoom, handles }: FrameProps) => {
  const { scenes } = useWorkpiece();
  const frame = useRef<HTMLDivElement>(null);
  const layers = useMemo(() => [id], [id]);
  const read = useMemo(() => readShape(id), [id]);
  const shape = useSceneOf(of, read);
  const there = shape !== null;
  useLayoutEffect(() => {
    const lay = () => {
      const placed = scenes.get(of);
      const spot = placed && spotOf(placed, id);
      if (spot && frame.current) frame.current.style.transform = place(spot.map, zoom);
    };
    lay();
    return scenes.subscribe(of, lay);
  }, [scenes, of, id, zoom, there]);
  if (!shape) return null;
  const { width, height, scale } = shape;
  const style = {
    width: width * zoom,
    height: height * zoom,
    transformOrigin: "0 0",
    "--handle-scale": 1 / scale,
  };
  return (
    <div ref={frame} className="frame" data-frame={id} style={style}>
      {handles && id !== ROOT && <Corners of={of} id={id} zoom={zoom} />}
      {handles && <Handles layers={layers} of={of} zoom={zoom} width={width} height={height} />}
    </div>
  );
};

interface AroundProps {
  /** the key of the card */
  readonly of: string;
  readonly ids: readonly Id[];
  readonly zoom: number;
}

const FrameAround = ({ of, ids, zoom }: AroundProps) => {
  const placed = useScene(of);
  const box = placed && unite(ids.flatMap((id) => boundsOf(placed, id) ?? []));
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
      <Handles layers={ids} of={of} zoom={zoom} width={width} height={height} />
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
  const several = chosen.length > 1 && !chosen.includes(ROOT);
  return (
    <>
      {chosen.map((id) => (
        <Frame key={id} of={of} id={id} zoom={zoom} handles={handles && chosen.length === 1} />
      ))}
      {handles && several && <FrameAround of={of} ids={chosen} zoom={zoom} />}
    </>
  );
});
