import { memo, useEffect, useRef } from "react";
import type { PointerEvent } from "react";
import type { Id } from "#core/basics";
import { spotOf, wayInto } from "#core/layout";
import type { Affine, LayoutBox } from "#core/layout";
import { ROOT } from "#core/project";
import { useEdits } from "../commands/edits";
import { useWorkpiece } from "../state/context";
import { Resize } from "./gestures/resize";
import { Turn } from "./gestures/turn";
import { turnOf } from "../commands/turning";

/** Which edges a handle pulls: −1 for left or top, 1 for right or bottom, 0 for neither. */
type Direction = readonly [x: -1 | 0 | 1, y: -1 | 0 | 1];

const corner: Direction = [1, 1];
const otherCorners: readonly Direction[] = [
  [-1, -1],
  [1, -1],
  [-1, 1],
];
const across: readonly Direction[] = [
  [1, 0],
  [-1, 0],
];
const down: readonly Direction[] = [
  [0, -1],
  [0, 1],
];
const ofRoot: readonly Direction[] = [[1, 0], [0, 1], corner];

/**
 * On a small layer handles would cover it: it keeps one at its corner. The root stays at its top
 * left. Sizes in px on screen.
 */
const directionsFor = (layers: readonly Id[], width: number, height: number): Direction[] => {
  if (layers[0] === ROOT) return [...ofRoot];
  const wide = width >= 44;
  const high = height >= 44;
  return [
    ...(wide && high ? otherCorners : []),
    corner,
    ...(high && width >= 22 ? across : []),
    ...(width >= 64 && height >= 22 ? down : []),
  ];
};

/** The name of a direction, as on a compass. */
const compass = ([x, y]: Direction): string =>
  `${["n", "", "s"][y + 1] ?? ""}${["w", "", "e"][x + 1] ?? ""}`;

interface Held {
  readonly end: () => void;
  readonly cancel: () => void;
}

/** The gesture under way; Esc takes it back. */
const useHeld = () => {
  const held = useRef<Held | null>(null);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key !== "Escape" || !held.current) return;
      held.current.cancel();
      held.current = null;
      e.stopPropagation();
      e.preventDefault();
    };
    window.addEventListener("keydown", onKey, true);
    return () => window.removeEventListener("keydown", onKey, true);
  }, []);
  const end = () => {
    held.current?.end();
    held.current = null;
  };
  const begin = (gesture: Held) => {
    held.current = gesture;
  };
  const isHeld = () => held.current !== null;
  return { begin, isHeld, end };
};

interface Props {
  readonly layers: readonly Id[];
  /** the key of the card */
  readonly of: string;
  /** px on screen per px of the piece */
  readonly zoom: number;
  /** of the frame in its own coordinates, px of the piece */
  readonly width: number;
  readonly height: number;
}

const IN_PLACE: Affine = [1, 0, 0, 1, 0, 0];

/** How the frame lies in the piece: as its layer does, or upright around several. */
const mapOf = (placed: LayoutBox, layers: readonly Id[]): Affine => {
  const [only] = layers.length === 1 ? layers : [];
  return (only !== undefined && spotOf(placed, only)?.map) || IN_PLACE;
};

interface PullProps extends Props {
  readonly direction: Direction;
}

/** A handle at an edge or corner; it lies in the frame, and so turns and grows with it. */
const PullHandle = ({ layers, of, zoom, direction }: PullProps) => {
  const workpiece = useWorkpiece();
  const edits = useEdits();
  const { begin, isHeld, end } = useHeld();
  const pull = useRef<{ x: number; y: number; map: Affine; resize: Resize } | null>(null);
  const [dx, dy] = direction;
  const place = {
    left: `${(dx + 1) * 50}%`,
    top: `${(dy + 1) * 50}%`,
    "--dx": dx,
    "--dy": dy,
  };
  const onPointerDown = (e: PointerEvent<HTMLElement>) => {
    const placed = workpiece.scenes.get(of);
    if (e.button !== 0 || !placed) return;
    e.stopPropagation();
    e.currentTarget.setPointerCapture(e.pointerId);
    const resize = new Resize(workpiece, edits, { placed, zoom }, layers);
    pull.current = { x: e.clientX, y: e.clientY, map: mapOf(placed, layers), resize };
    begin(resize);
  };
  const onPointerMove = (e: PointerEvent) => {
    const { current } = pull;
    const placed = workpiece.scenes.get(of);
    if (!current || !placed || !isHeld()) return;
    const [x, y] = wayInto(
      current.map,
      (e.clientX - current.x) / zoom,
      (e.clientY - current.y) / zoom,
    );
    const how = {
      direction,
      growth: [x * dx, y * dy],
      ratio: e.shiftKey,
      centred: e.altKey && layers[0] !== ROOT,
      free: e.ctrlKey || e.metaKey,
    } as const;
    current.resize.to(how, placed);
  };
  return (
    <span
      className="handle"
      data-handle={compass(direction)}
      style={place}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={end}
      onPointerCancel={end}
    />
  );
};

/** The handle that turns a layer about its middle. */
const TurnHandle = ({ of, id }: { of: string; id: Id }) => {
  const workpiece = useWorkpiece();
  const edits = useEdits();
  const { begin, isHeld, end } = useHeld();
  const hand = useRef<{ turn: Turn; middle: readonly [number, number]; by: number } | null>(null);
  const last = useRef<readonly [number, number]>([0, 0]);
  const onPointerDown = (e: PointerEvent<HTMLElement>) => {
    const placed = workpiece.scenes.get(of);
    if (e.button !== 0 || !placed) return;
    e.stopPropagation();
    e.currentTarget.setPointerCapture(e.pointerId);
    const box = e.currentTarget.closest(".frame")?.getBoundingClientRect();
    const turn = new Turn(workpiece, edits, { placed }, id);
    const middle = box ? ([box.x + box.width / 2, box.y + box.height / 2] as const) : null;
    hand.current = middle && { turn, middle, by: 0 };
    last.current = [e.clientX, e.clientY];
    begin(turn);
  };
  const onPointerMove = (e: PointerEvent) => {
    const { current } = hand;
    if (!current || !isHeld()) return;
    const now = [e.clientX, e.clientY] as const;
    current.by += turnOf(current.middle, last.current, now);
    last.current = now;
    current.turn.to(current.by, e.shiftKey);
  };
  return (
    <span
      className="turn-handle"
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={end}
      onPointerCancel={end}
    />
  );
};

/**
 * Handles to resize and turn what is chosen on the card one looks at. Shift keeps the proportions
 * or turns in steps of 15°, Alt resizes about the middle; edges catch those of other layers unless
 * Ctrl is held. They lie in the frame by style alone, so that an edit costs them nothing.
 */
export const Handles = memo(function Handles(props: Props) {
  const { layers, of, zoom, width, height } = props;
  const [only] = layers.length === 1 ? layers : [];
  return (
    <>
      {directionsFor(layers, width * zoom, height * zoom).map((direction) => (
        <PullHandle key={compass(direction)} {...props} direction={direction} />
      ))}
      {only !== undefined && only !== ROOT && <TurnHandle of={of} id={only} />}
    </>
  );
});
