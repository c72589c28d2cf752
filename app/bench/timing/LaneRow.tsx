import type { ReactNode } from "react";
import { withLane } from "#core/edit";
import { goesOf, isSpring, laneOf, lengthOf, springLasting, swingOf, timingOf } from "#core/motion";
import type { LaneName } from "#core/motion";
import type { Lane, Motion } from "#core/project";
import { LaneBar } from "./LaneBar";
import type { LaneView } from "./useLaneView";
import { rowKey } from "./useTiming";
import type { Timed } from "./useTiming";
import { timingWords } from "./words";

/** The lanes' ends and poses that others may snap to, ms. */
const edgesOf = (motion: Motion, names: readonly LaneName[]): number[] =>
  names.flatMap((name) => {
    const lane = timingOf(motion, name);
    const begin = motion.delay + lane.delay;
    const length = lengthOf(lane);
    return [begin, begin + length, ...(lane.poses ?? []).map((p) => begin + p.at * length)];
  });

const edgesBut = (
  timed: Timed,
  head: number | null,
  moved: readonly (LaneName | null)[],
): readonly number[] => {
  const { motion, moving } = timed;
  const rows = moving.flatMap(({ layer, keys }): LaneName[] => [
    { layer, key: null },
    ...keys.filter((k) => laneOf(motion, { layer, key: k })).map((key) => ({ layer, key })),
  ]);
  const others = rows.filter(
    (r) =>
      !moved.some(
        (m) => m === null || (m.layer === r.layer && (m.key === null || m.key === r.key)),
      ),
  );
  return [
    0,
    motion.delay,
    ...(moved.includes(null) ? [] : [motion.delay + lengthOf(motion)]),
    ...(head === null ? [] : [head]),
    ...edgesOf(motion, others),
  ];
};

/** What lets a lane last so long: of a spring how it swings. */
const lasting = ({ easing }: Lane, ms: number): Partial<Lane> => {
  const duration = Math.max(10, Math.round(ms));
  return isSpring(easing)
    ? { easing: springLasting(duration, swingOf(easing).bounciness, easing.mass) }
    : { duration };
};

/** A motion with some of its lanes, or all of it (null), in another time. */
const shifted = (
  motion: Motion,
  names: readonly (LaneName | null)[],
  change: (l: Lane) => Partial<Lane>,
): Motion =>
  names.reduce((m, n) => {
    if (n !== null) return withLane(m, n, change(timingOf(motion, n)));
    const next = change({
      layer: "",
      key: null,
      delay: m.delay,
      duration: m.duration,
      easing: m.easing,
    });
    return {
      ...m,
      ...(next.delay === undefined ? {} : { delay: next.delay }),
      ...(next.duration === undefined ? {} : { duration: next.duration }),
      ...(next.easing === undefined ? {} : { easing: next.easing }),
    };
  }, motion);

/** When the same lane moves on the way back. */
const BackBar = ({ back, name, scale }: { back: Motion; name: LaneName | null; scale: number }) => {
  const lane = name && timingOf(back, name);
  const begin = back.delay + (lane?.delay ?? 0);
  const long = lengthOf(lane ?? back);
  return (
    <span
      className="lane-back"
      style={{ left: begin * scale, width: Math.max(3, long * scale) }}
      title={timingWords.returnMs(begin, begin + long)}
    />
  );
};

interface Props {
  timed: Timed;
  name: LaneName | null;
  view: LaneView;
  head: number | null;
  picked: readonly (LaneName | null)[];
  back: Motion | null;
  onPick: (name: LaneName | null, add: boolean) => void;
  onGuide: (ms: number | null) => void;
  onSeek: (ms: number) => void;
  children: ReactNode;
}

/** One lane: what it is called, and its bar. */
export const LaneRow = ({
  timed,
  name,
  view,
  head,
  picked,
  back,
  onPick,
  onGuide,
  onSeek,
  children,
}: Props) => {
  const { motion } = timed;
  const lane = name === null ? null : timingOf(motion, name);
  const chosen = picked.some((p) => rowKey(p) === rowKey(name));
  const together = chosen && picked.length > 1 ? picked : [name];
  return (
    <div
      className={`lane-row${chosen ? " picked" : ""}${name?.key != null ? " of-key" : ""}`}
      data-lane={rowKey(name)}
    >
      <div
        className="lane-name"
        onClick={(e) => onPick(name, e.ctrlKey || e.metaKey || e.shiftKey)}
      >
        {children}
      </div>
      <div className="lane-track">
        <div className="lane-time" style={view.away}>
          {back && <BackBar back={back} name={name} scale={view.scale} />}
          <LaneBar
            timed={timed}
            name={name}
            own={name === null || laneOf(motion, name) !== undefined}
            delay={motion.delay + (lane?.delay ?? 0)}
            length={lengthOf(lane ?? motion)}
            goes={lane ? goesOf(lane) : 1}
            scale={view.scale}
            spring={isSpring(lane?.easing ?? motion.easing)}
            poses={lane?.poses ?? []}
            picked={chosen}
            edges={() => edgesBut(timed, head, together)}
            onGuide={onGuide}
            onPick={(add) => onPick(name, add)}
            onSeek={onSeek}
            onShift={(by, ends, gesture) =>
              timed.set(
                shifted(motion, together, (l) => {
                  const delay = Math.max(0, l.delay + by);
                  if (ends === "end") return lasting(l, lengthOf(l) + by);
                  return ends === "begin" ? { delay, ...lasting(l, lengthOf(l) - by) } : { delay };
                }),
                gesture,
              )
            }
          />
        </div>
      </div>
    </div>
  );
};
