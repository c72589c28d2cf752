import { useRef } from "react";
import type { KeyboardEvent, MouseEvent, PointerEvent } from "react";
import { withPose, withoutPose } from "#core/edit";
import { laneLabel, laneValue, timingOf } from "#core/motion";
import type { LaneName } from "#core/motion";
import { newId } from "#core/project";
import type { Pose } from "#core/project";
import { property } from "#core/properties";
import { keyStep } from "../../ui/keys";
import { LaneDrag, SNAP, gripAt, nearest } from "./gestures/lane";
import type { Ends } from "./gestures/lane";
import { rowKey } from "./useTiming";
import type { Timed } from "./useTiming";
import { timingWords } from "./words";

interface Props {
  timed: Timed;
  name: LaneName | null;
  own: boolean;
  delay: number;
  length: number;
  goes: number;
  scale: number;
  spring: boolean;
  poses: readonly Pose[];
  picked: boolean;
  /** moments that others lie at, ms */ edges: () => readonly number[];
  /** shows the moment it snaps to */ onGuide: (ms: number | null) => void;
  onPick: (add: boolean) => void;
  /** puts the playhead to a moment, ms */ onSeek: (ms: number) => void;
  onShift: (by: number, ends: Ends, gesture: string) => void;
}

/** How often a lane goes, as a mark behind its length; nothing where it goes once. */
const timesMark = (goes: number): string => {
  if (goes <= 1) return "";
  return goes === Infinity ? " ∞" : ` × ${goes}`;
};

/** Poses are at least so far apart, as shares of their lane. */
const APART = 0.005;
/** How far Shift and an arrow key go, ms. */
const FAR = 50;

interface BuoyProps {
  timed: Timed;
  name: LaneName;
  pose: Pose;
  index: number;
  /** ms */ begin: number;
  length: number;
  scale: number;
  edges: () => readonly number[];
  onGuide: (ms: number | null) => void;
}

/** A value in the middle of a lane, as a buoy on its bar. */
const Buoy = ({ timed, name, pose, index, begin, length, scale, edges, onGuide }: BuoyProps) => {
  const from = useRef<number | null>(null);
  // it stays between its neighbours: which pose a hand holds is told by its place among them
  const poses = timingOf(timed.motion, name).poses ?? [];
  const low = (poses[index - 1]?.at ?? 0) + APART;
  const high = (poses[index + 1]?.at ?? 1 + APART) - APART;
  const move = (at: number) => {
    const next = Math.min(high, Math.max(low, Math.round(at * 1000) / 1000));
    timed.set(
      withPose(withoutPose(timed.motion, name, index), name, { ...pose, at: next }),
      `pose-move ${rowKey(name)}`,
    );
  };
  return (
    <button
      type="button"
      className="buoy"
      style={{ left: (begin + pose.at * length) * scale }}
      aria-label={timingWords.keyframeMs(
        index,
        typeof pose.value === "number" ? pose.value : "",
        pose.at * length,
      )}
      title={timingWords.msDragMoveDelete(
        laneLabel(name.key ?? ""),
        typeof pose.value === "number" || typeof pose.value === "string" ? pose.value : "",
        pose.at * length,
      )}
      onPointerDown={(e) => {
        e.stopPropagation();
        e.currentTarget.setPointerCapture(e.pointerId);
        from.current = e.clientX - pose.at * length * scale;
      }}
      onPointerMove={(e) => {
        if (from.current === null || e.buttons !== 1) return;
        const ms = (e.clientX - from.current) / scale;
        const at = e.altKey ? null : nearest(edges(), begin + ms, scale);
        onGuide(at);
        const free = e.altKey ? ms : Math.round(ms / SNAP) * SNAP;
        move((at === null ? free : at - begin) / length);
      }}
      onPointerUp={() => {
        from.current = null;
        onGuide(null);
      }}
      onKeyDown={(e) => {
        if (e.key === "Delete" || e.key === "Backspace")
          timed.set(withoutPose(timed.motion, name, index));
        else if (e.key === "ArrowLeft" || e.key === "ArrowRight")
          move(pose.at + ((e.key === "ArrowRight" ? 1 : -1) * (e.shiftKey ? FAR : SNAP)) / length);
        else return;
        e.preventDefault();
        e.stopPropagation();
      }}
    />
  );
};

/** What a lane is called. */
const labelOf = ({ piece }: Timed, name: LaneName | null): string => {
  if (name === null) return timingWords.allLayers2;
  const key = name.key === null ? "" : ` ${laneLabel(name.key)}`;
  return `${piece.layers[name.layer]?.name ?? ""}${key}`;
};

/** Dragging a bar, by hand or by keys. */
const useLaneHand = (props: Props) => {
  const { timed, name, delay, length, scale, picked } = props;
  const { edges, onGuide, onPick, onShift } = props;
  const drag = useRef<{ x: number; gesture: string; lane: LaneDrag } | null>(null);
  const onPointerDown = (e: PointerEvent<HTMLButtonElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    e.currentTarget.setPointerCapture(e.pointerId);
    const lane = new LaneDrag({
      // an end can be taken unless the bar is too short to tell them apart
      ends: gripAt(e.clientX - box.left, box.width),
      begin: delay,
      end: delay + length,
      earliest: name === null ? 0 : timed.motion.delay,
      edges: edges(),
      scale,
    });
    drag.current = { x: e.clientX, gesture: `drag ${rowKey(name)} ${newId()}`, lane };
    if (!picked || e.ctrlKey || e.metaKey) onPick(e.ctrlKey || e.metaKey || e.shiftKey);
  };
  const onPointerMove = (e: PointerEvent) => {
    const { current } = drag;
    if (!current || e.buttons !== 1) return;
    const { by, guide } = current.lane.to(e.clientX - current.x, e.altKey);
    onGuide(guide);
    if (by !== 0) onShift(by, current.lane.ends, current.gesture);
  };
  const onPointerUp = () => {
    drag.current = null;
    onGuide(null);
  };
  const onKeyDown = (e: KeyboardEvent) => {
    const by = keyStep(e.key, "ArrowLeft", "ArrowRight") * (e.shiftKey ? FAR : SNAP);
    if (!by) return;
    e.preventDefault();
    e.stopPropagation();
    onShift(by, e.altKey ? "end" : "whole", `keys ${rowKey(name)}`);
  };
  return { onPointerDown, onPointerMove, onPointerUp, onKeyDown };
};

/** When a lane moves, as a bar that is dragged by its middle or its ends. */
export const LaneBar = (props: Props) => {
  const { timed, name, own, delay, length, goes, scale, spring, poses, picked } = props;
  const { edges, onGuide } = props;
  const hand = useLaneHand(props);
  const left = delay * scale;
  const width = Math.max(6, length * scale);
  const label = labelOf(timed, name);
  const addPose = (e: MouseEvent<HTMLButtonElement>) => {
    if (name?.key == null || !property(name.key)) return;
    const box = e.currentTarget.getBoundingClientRect();
    const at = Math.min(0.99, Math.max(0.01, (e.clientX - box.left) / box.width));
    const value = laneValue(timed.change.frame(delay + at * length), name.layer, name.key);
    if (value === undefined) return;
    // the pose's value is typed at the playhead, in the row it belongs to
    props.onSeek(delay + at * length);
    props.onPick(false);
    timed.set(
      withPose(
        timed.motion,
        { layer: name.layer, key: name.key },
        {
          at: Math.round(at * 1000) / 1000,
          value: typeof value === "number" ? Math.round(value * 100) / 100 : value,
          easing: "ease-in-out",
        },
      ),
    );
  };
  return (
    <>
      {goes > 1 && (
        <span
          className="lane-goes"
          style={{ left: left + width, width: goes === Infinity ? "100%" : width * (goes - 1) }}
          title={goes === Infinity ? timingWords.infinite : timingWords.times(goes)}
        />
      )}
      <button
        type="button"
        className={`lane-bar${own ? " own" : ""}${picked ? " picked" : ""}${spring ? " spring" : ""}`}
        style={{ left, width }}
        aria-pressed={picked}
        aria-label={timingWords.timingDelayMsDuration(label, delay, length, own)}
        title={timingWords.msDragChangeDelay(delay, delay + length, name?.key != null)}
        {...hand}
        onDoubleClick={addPose}
      >
        <span className="lane-length mono">
          {timingWords.lengthAndTimes(length, timesMark(goes))}
        </span>
      </button>
      {name !== null &&
        name.key !== null &&
        poses.map((p, i) => (
          <Buoy
            key={i}
            timed={timed}
            name={name}
            pose={p}
            index={i}
            begin={delay}
            length={length}
            scale={scale}
            edges={edges}
            onGuide={onGuide}
          />
        ))}
    </>
  );
};
