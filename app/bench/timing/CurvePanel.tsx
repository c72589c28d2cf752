import { useState } from "react";
import { Button, Form } from "react-bootstrap";
import { easingText } from "#core/describe";
import { saveMotion, withLane, withoutLane } from "#core/edit";
import { cssEasing, isSpring, laneLabel, laneOf, lengthOf, timingOf } from "#core/motion";
import type { LaneName } from "#core/motion";
import type { Motion, MotionValue } from "#core/project";
import { MotionPart } from "../../parts/time/MotionPart";
import { useDisplayedProject } from "../../session/displayed";
import { Icon } from "../../ui/Icon";
import { useWorkpiece } from "../state/context";
import { Begins, BesideCurve, LaneTime, LaneTimes, Restacks, comparedWith } from "./CurveFields";
import type { SetLane } from "./CurveFields";
import { Plot, SpringPart } from "./CurvePlot";
import { Poses } from "./Poses";
import { rowKey } from "./useTiming";
import type { Timed } from "./useTiming";
import { timingWords } from "./words";

/** A motion in a time of its own is no token's any more. */
const untokened = (motion: Motion, parts: object): Motion => {
  if (!("duration" in parts) && !("easing" in parts)) return motion;
  const { token: _old, ...rest } = motion;
  return rest;
};

interface KeepProps {
  readonly timed: Timed;
  readonly now: MotionValue;
  /** it is the whole change's, which then follows the token */
  readonly whole: boolean;
}

/** Keeps a time and its curve as a motion token, under a name that is typed. */
const KeepMotion = ({ timed, now, whole }: KeepProps) => {
  const workpiece = useWorkpiece();
  const [name, setName] = useState<string | null>(null);
  const keep = () => {
    const text = name?.trim();
    setName(null);
    if (!text) return;
    const made = workpiece.make((project) => saveMotion(project, now, text));
    if (made && whole) timed.set({ ...timed.motion, token: made.id });
  };
  if (name === null)
    return (
      <Button variant="link" size="sm" onClick={() => setName(easingText(now.easing))}>
        {timingWords.saveAsMotionToken}
      </Button>
    );
  return (
    <Form
      onSubmit={(e) => {
        e.preventDefault();
        keep();
      }}
    >
      <Form.Control
        className="word"
        autoFocus
        aria-label={timingWords.motionTokenName}
        value={name}
        onChange={(e) => setName(e.target.value)}
        onFocus={(e) => e.target.select()}
        onBlur={keep}
        onKeyDown={(e) => {
          e.stopPropagation();
          if (e.key === "Escape") setName(null);
        }}
      />
    </Form>
  );
};

const CopyCss = ({ now }: { now: MotionValue }) => {
  const { css, error } = cssEasing(now.easing);
  return (
    <Button
      variant="link"
      size="sm"
      title={error > 0 ? timingWords.accurate(Math.round(error * 1000) / 10) : timingWords.exactly}
      onClick={() => void navigator.clipboard.writeText(css)}
    >
      {timingWords.copyCss}
    </Button>
  );
};

interface WholeProps {
  readonly timed: Timed;
}

/** What only the change as a whole says. */
const WholeFields = ({ timed }: WholeProps) => {
  const { motion } = timed;
  return (
    <>
      {motion.delay === 0 && motion.kind !== "cut" && <Begins timed={timed} />}
      {(timed.restacks || motion.restacks) && <Restacks timed={timed} />}
    </>
  );
};

/** What a curve belongs to. */
const titleOf = ({ piece }: Timed, name: LaneName | null, lanes: number): string => {
  if (lanes > 1) return timingWords.lanesOf(lanes);
  if (name === null) return timingWords.allLayers;
  const key = name.key === null ? "" : `: ${laneLabel(name.key)}`;
  return `${piece.layers[name.layer]?.name ?? ""}${key}`;
};

interface Props {
  readonly timed: Timed;
  /** the lane it is about; null for the whole change */
  readonly name: LaneName | null;
  /** all lanes chosen: they change together */
  readonly names: readonly LaneName[];
}

/**
 * The curve of the whole change or of a lane, plotted; its numbers, how often it goes, and a token
 * to keep it as.
 */
export const CurvePanel = ({ timed, name, names }: Props) => {
  const { motion } = timed;
  const tokens = useDisplayedProject((p) => p.tokens);
  const [other, setOther] = useState("");
  const lane = name && timingOf(motion, name);
  const now: MotionValue = lane ?? motion;
  const { easing } = now;
  const compared = comparedWith(tokens, other, now.duration);
  const set: SetLane = (parts, gesture) =>
    timed.set(
      names.length
        ? names.reduce((m, n) => withLane(m, n, parts), motion)
        : untokened({ ...motion, ...parts }, parts),
      `${gesture} ${rowKey(name)}`,
    );
  return (
    <section className="curve-panel" aria-label={timingWords.curve}>
      <h3 className="caption">{titleOf(timed, name, names.length)}</h3>
      {lane ? (
        <LaneTime lane={lane} set={set} />
      ) : (
        <MotionPart
          motion={timed.said}
          between={timed.away}
          onChange={(m) => timed.set(m, "motion")}
        />
      )}
      <Plot
        easing={easing}
        length={lengthOf(now)}
        other={compared?.easing ?? null}
        otherLength={compared ? lengthOf(compared) : 0}
        onBezier={(e) => set({ easing: e }, "bezier")}
      />
      {isSpring(easing) && (
        <SpringPart spring={easing} onChange={(s) => set({ easing: s }, "spring")} />
      )}
      <BesideCurve other={other} onOther={setOther} compared={compared} />
      {lane && <LaneTimes lane={lane} set={set} />}
      {name?.key != null && lane?.poses && (
        <Poses timed={timed} name={{ ...name, key: name.key }} lane={lane} />
      )}
      {name === null && <WholeFields timed={timed} />}
      <div className="effect small-text">
        <KeepMotion timed={timed} now={now} whole={name === null} />
        {name !== null && laneOf(motion, name) !== undefined && (
          <Button variant="link" size="sm" onClick={() => timed.set(withoutLane(motion, name))}>
            <Icon name="close" size={11} /> {timingWords.deleteLane}
          </Button>
        )}
        <CopyCss now={now} />
      </div>
    </section>
  );
};
