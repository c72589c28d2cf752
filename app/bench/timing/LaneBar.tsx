import { useRef } from "react";
import { withPose, withoutPose } from "#core/edit";
import { laneLabel, laneValue, timingOf } from "#core/motion";
import type { LaneName } from "#core/motion";
import type { Pose } from "#core/project";
import { property } from "#core/properties";
import { keyStep } from "../../ui/keys";
import { rowKey } from "./useTiming";
import type { Timed } from "./useTiming";

type Ends = "whole" | "begin" | "end";
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
  onShift: (by: number, ends: Ends, gesture: string) => void;
}

/** Times snap to this, ms; with Alt they do not. */
const SNAP = 10;
/** from so near, px, a bar snaps to what others lie at */
const NEAR = 6;
/** Poses are at least so far apart, as shares of their lane. */
const APART = 0.005;
/** px at the ends of a bar that change its length */
const GRIP = 7;

/** The nearest of some moments, if it is near on screen; ms. */
const nearest = (edges: readonly number[], ms: number, scale: number): number | null => {
  const [best] = edges
    .map((at) => ({ at, off: Math.abs(at - ms) * scale }))
    .filter((e) => e.off < NEAR)
    .sort((a, b) => a.off - b.off);
  return best?.at ?? null;
};

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
      `pose ${rowKey(name)} move`,
    );
  };
  return (
    <button
      type="button"
      className="buoy"
      style={{ left: (begin + pose.at * length) * scale }}
      aria-label={`Pose ${index + 1}: ${typeof pose.value === "number" ? pose.value : ""} at ${Math.round(pose.at * length)} ms`}
      title={`${laneLabel(name.key ?? "")} ${typeof pose.value === "number" || typeof pose.value === "string" ? pose.value : ""} at ${Math.round(pose.at * length)} ms. Drag it, or remove it with Delete.`}
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
          move(pose.at + ((e.key === "ArrowRight" ? 1 : -1) * (e.shiftKey ? 50 : SNAP)) / length);
        else return;
        e.preventDefault();
        e.stopPropagation();
      }}
    />
  );
};

/**
 * Which part of a bar is taken at a place; a bar too short to tell its ends apart only as a whole.
 */
const gripAt = (x: number, width: number): Ends => {
  if (width < 3 * GRIP) return "whole";
  if (x > width - GRIP) return "end";
  return x < GRIP ? "begin" : "whole";
};

/** When a lane moves, as a bar that is dragged by its middle or its ends. */
export const LaneBar = ({
  timed,
  name,
  own,
  delay,
  length,
  goes,
  scale,
  spring,
  poses,
  picked,
  edges,
  onGuide,
  onPick,
  onShift,
}: Props) => {
  const drag = useRef<{
    x: number;
    ends: Ends;
    done: number;
    id: number;
    /** where its ends were and the others' are, ms */ begin: number;
    end: number;
    edges: readonly number[];
  } | null>(null);
  const count = useRef(0);
  const left = delay * scale;
  const width = Math.max(6, length * scale);
  const label =
    name === null
      ? "the whole change"
      : `${timed.piece.layers[name.layer]?.name ?? ""}${name.key === null ? "" : ` ${laneLabel(name.key)}`}`;
  const down = (e: React.PointerEvent<HTMLButtonElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    const x = e.clientX - box.left;
    e.currentTarget.setPointerCapture(e.pointerId);
    // an end can be taken unless the bar is too short to tell them apart
    drag.current = {
      x: e.clientX,
      ends: spring ? "whole" : gripAt(x, box.width),
      done: 0,
      id: ++count.current,
      begin: delay,
      end: delay + length,
      edges: edges(),
    };
    if (!picked || e.ctrlKey || e.metaKey) onPick(e.ctrlKey || e.metaKey || e.shiftKey);
  };
  // nothing begins before the change it is part of
  const earliest = name === null ? 0 : timed.motion.delay;
  /**
   * By how much the bar must move so that an end of it lies where another lies; null when none is
   * near, or it cannot go there.
   */
  const snap = (
    d: NonNullable<typeof drag.current>,
    ms: number,
  ): { by: number; at: number } | null => {
    const ends = [...(d.ends === "end" ? [] : [d.begin]), ...(d.ends === "begin" ? [] : [d.end])];
    const [best] = ends
      .flatMap((end) => {
        const at = nearest(d.edges, end + ms, scale);
        return at === null || (d.ends !== "end" && d.begin + at - end < earliest)
          ? []
          : [{ at, by: Math.round(at - end), off: Math.abs(end + ms - at) }];
      })
      .sort((a, b) => a.off - b.off);
    return best ?? null;
  };
  const move = (e: React.PointerEvent) => {
    const d = drag.current;
    if (!d || e.buttons !== 1) return;
    const ms = (e.clientX - d.x) / scale;
    const snapped = e.altKey ? null : snap(d, ms);
    const whole = snapped?.by ?? (e.altKey ? Math.round(ms) : Math.round(ms / SNAP) * SNAP);
    const by = whole - d.done;
    onGuide(snapped?.at ?? null);
    if (by === 0) return;
    d.done = whole;
    onShift(by, d.ends, `drag ${rowKey(name)} ${d.id}`);
  };
  const key = (e: React.KeyboardEvent) => {
    const by = keyStep(e.key, "ArrowLeft", "ArrowRight") * (e.shiftKey ? 50 : SNAP);
    if (!by) return;
    e.preventDefault();
    e.stopPropagation();
    onShift(by, e.altKey ? "end" : "whole", `keys ${rowKey(name)}`);
  };
  const addPose = (e: React.MouseEvent<HTMLButtonElement>) => {
    if (name?.key == null || !property(name.key)) return;
    const box = e.currentTarget.getBoundingClientRect();
    const at = Math.min(0.99, Math.max(0.01, (e.clientX - box.left) / box.width));
    const value = laneValue(timed.change.frame(delay + at * length), name.layer, name.key);
    if (value !== undefined)
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
          title={goes === Infinity ? "for ever" : `${goes} times`}
        />
      )}
      <button
        type="button"
        className={`lane-bar${own ? " own" : ""}${picked ? " picked" : ""}${spring ? " spring" : ""}`}
        style={{ left, width }}
        aria-pressed={picked}
        aria-label={`Timing of ${label}: begins after ${Math.round(delay)} ms, takes ${Math.round(length)} ms${own ? "" : ", as what is around it"}`}
        title={`${Math.round(delay)} – ${Math.round(delay + length)} ms. Drag to delay, drag an end to lengthen; arrow keys too, with Alt the length.${name?.key != null ? " Double-click adds a pose." : ""}`}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={() => {
          drag.current = null;
          onGuide(null);
        }}
        onKeyDown={key}
        onDoubleClick={addPose}
      >
        <span className="lane-length mono">
          {Math.round(length)}
          {goes > 1 && (goes === Infinity ? " ∞" : ` × ${goes}`)}
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
