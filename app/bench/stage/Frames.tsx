import { useRef } from "react";
import type { PointerEvent } from "react";
import type { Id } from "#core/basics";
import { boundsIn, findBox, spotOf, unite, wayInto } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { ENDLESS } from "#core/properties";
import type { Four } from "#core/properties";
import { useSession } from "../../session/context";
import { Handles } from "./Handles";
import { useEdits } from "../state/edits";
import { useBenchStore } from "../state/state";

const place = (map: readonly number[], zoom: number): string =>
  `matrix(${map.slice(0, 4).join(",")},${(map[4] ?? 0) * zoom},${(map[5] ?? 0) * zoom})`;

/**
 * How far from the corner the knob of a radius of 0 lies, px on screen, and the smallest layer that
 * has knobs.
 */
const INSET = 12;
const SMALLEST = 44;

/**
 * A knob in each corner of a box: drag it to round all corners, with Alt that one; at its end they
 * are round at any size.
 */
const Corners = ({ placed, id, zoom }: { placed: LayoutBox; id: Id; zoom: number }) => {
  const edits = useEdits();
  const session = useSession();
  const store = useBenchStore();
  const drag = useRef<{
    x: number;
    y: number;
    radius: Four;
    at: number;
    gesture: string;
    corner: number;
  } | null>(null);
  const found = findBox(placed, id)?.placed;
  const spot = spotOf(placed, id);
  if (
    !found ||
    !spot ||
    !["box", "picture"].includes(found.layer.kind) ||
    Math.min(found.width, found.height) * zoom < SMALLEST
  )
    return null;
  const most = Math.min(found.width, found.height) / 2;
  const radius = (found.values.radius as Four).map((c) => Math.min(c, most)) as unknown as Four;
  const way = (corner: number): readonly [number, number] => [
    corner === 0 || corner === 3 ? 1 : -1,
    corner < 2 ? 1 : -1,
  ];
  const down = (corner: number) => (e: PointerEvent<HTMLElement>) => {
    e.stopPropagation();
    e.currentTarget.setPointerCapture(e.pointerId);
    drag.current = {
      x: e.clientX,
      y: e.clientY,
      radius: found.values.radius as Four,
      at: radius[corner] as number,
      gesture: `round ${Date.now()}`,
      corner,
    };
    store.getState().put({ editing: true });
  };
  const move = (e: PointerEvent) => {
    const d = drag.current;
    if (!d) return;
    const [dx, dy] = wayInto(spot.map, (e.clientX - d.x) / zoom, (e.clientY - d.y) / zoom);
    const [wx, wy] = way(d.corner);
    const to = Math.max(0, Math.round(d.at + (dx * wx + dy * wy) / 2));
    const value = to >= most ? ENDLESS : to;
    edits.set(
      {
        [id]: {
          radius: e.altKey
            ? (d.radius.map((c, i) => (i === d.corner ? value : c)) as unknown as Four)
            : [value, value, value, value],
        },
      },
      d.gesture,
    );
  };
  const up = () => {
    if (!drag.current) return;
    drag.current = null;
    session.endGesture();
    store.getState().put({ editing: false });
  };
  return [0, 1, 2, 3].map((corner) => {
    const at = Math.max(INSET, (radius[corner] as number) * zoom * 0.6 + INSET / 2);
    const [wx, wy] = way(corner);
    const style = {
      left: (wx > 0 ? at : found.width * zoom - at) - 4,
      top: (wy > 0 ? at : found.height * zoom - at) - 4,
    };
    return (
      <span
        key={corner}
        className="corner-knob"
        data-corner={corner}
        title="Drag to round the corners; with Alt this one"
        style={style}
        onPointerDown={down(corner)}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={up}
      />
    );
  });
};

const Frame = ({
  placed,
  id,
  zoom,
  handles,
}: {
  placed: LayoutBox;
  id: Id;
  zoom: number;
  handles: boolean;
}) => {
  const frame = useRef<HTMLDivElement>(null);
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
        {handles && id !== "root" && <Corners placed={placed} id={id} zoom={zoom} />}
      </div>
      {handles && <Handles frame={frame} layers={[id]} zoom={zoom} placed={placed} />}
    </>
  );
};

const FrameAround = ({
  placed,
  ids,
  zoom,
}: {
  placed: LayoutBox;
  ids: readonly Id[];
  zoom: number;
}) => {
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

/** Frames around the chosen layers; on the card one looks at with handles. */
export const Frames = ({
  placed,
  chosen,
  zoom,
  handles,
}: {
  placed: LayoutBox;
  chosen: readonly Id[];
  zoom: number;
  handles: boolean;
}) => {
  const several = chosen.length > 1 && !chosen.includes("root");
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
