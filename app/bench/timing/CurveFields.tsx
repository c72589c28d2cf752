import { Form } from "react-bootstrap";
import type { Id } from "#core/basics";
import { easingText } from "#core/describe";
import { tokenValue } from "#core/looks";
import { resolveTimed } from "#core/machine";
import { cssWords, namedCurves } from "#core/motion";
import { inOrder } from "#core/project";
import type { Easing, Lane, MotionValue, Token } from "#core/project";
import { CurveField, TimeField } from "../../parts/time/TimeField";
import { useDisplayedProject } from "../../session/displayed";
import { Check } from "../../ui/fields/Check";
import { NumberField } from "../../ui/fields/NumberField";
import { Pick } from "../../ui/fields/Pick";
import { units } from "../../ui/units";
import type { Timed } from "./useTiming";
import { timingWords } from "./words";

type LaneParts = Partial<Omit<Lane, "layer" | "key">>;
export type SetLane = (parts: LaneParts, gesture: string) => void;

const MINUTE = 60_000;

interface LaneProps {
  readonly lane: Lane;
  readonly set: SetLane;
}

/** When a lane begins, how long it takes, and by which curve. */
export const LaneTime = ({ lane, set }: LaneProps) => {
  const project = useDisplayedProject();
  const shown = resolveTimed(project, lane);
  const change = (gesture: string) => (next: Lane) => {
    const { delay, duration, easing, parts } = next;
    set({ delay, duration, easing, parts }, gesture);
  };
  return (
    <span className="effect">
      {timingWords.after}{" "}
      <TimeField
        timed={lane}
        shown={shown}
        part="delay"
        label={timingWords.laneDelayMilliseconds}
        step={10}
        onChange={change("delay")}
      />
      <TimeField
        timed={lane}
        shown={shown}
        part="duration"
        label={timingWords.laneDurationMilliseconds}
        step={10}
        onChange={change("duration")}
      />
      <CurveField
        timed={lane}
        shown={shown}
        label={timingWords.laneCurve}
        onChange={change("easing")}
      />
    </span>
  );
};

const EVER = "ever";
const oftens = [1, 2, 3, 4, 5, 8].map((n) => ({
  value: String(n),
  words: n === 1 ? timingWords.once : timingWords.times(n),
}));

/** How often a lane is gone through, as it is kept: 0 for ever, nothing for once. */
const timesOf = (choice: string): number | undefined => {
  if (choice === EVER) return 0;
  return choice === "1" ? undefined : Number(choice);
};

/** How often a lane is gone through, and whether back again. */
export const LaneTimes = ({ lane, set }: LaneProps) => (
  <div className="effect small-text">
    {timingWords.repeat}{" "}
    <Pick
      label={timingWords.numberRepeats}
      value={lane.times === 0 ? EVER : String(lane.times ?? 1)}
      options={[...oftens, { value: EVER, words: timingWords.infinite }]}
      onPick={(choice) => set({ times: timesOf(choice) }, "times")}
    />
    <Check
      words={timingWords.alternate}
      checked={lane.turns === true}
      disabled={(lane.times ?? 1) === 1}
      onSwitch={(on) => set({ turns: on ? true : undefined }, "turns")}
    />
  </div>
);

/** When the whole change begins, where it does not wait yet. */
export const Begins = ({ timed }: { timed: Timed }) => (
  <Form.Label className="check small-text">
    {timingWords.delay}
    <NumberField
      label={timingWords.delayAllLayersMilliseconds}
      value={0}
      min={0}
      max={MINUTE}
      step={20}
      unit={units.ms}
      onChange={(delay) => timed.set({ ...timed.said, delay }, "delay")}
    />
  </Form.Label>
);

const moments = [
  { value: "start", words: timingWords.atStart },
  { value: "middle", words: timingWords.halfWay },
  { value: "end", words: timingWords.atEnd },
] as const;

/** When layers that lie over one another change places. */
export const Restacks = ({ timed }: { timed: Timed }) => (
  <Form.Label className="check small-text">
    {timingWords.stackingOrderChanges}
    <Pick
      label={timingWords.whenStackingOrderChanges}
      value={timed.motion.restacks ?? "middle"}
      options={moments}
      onPick={(moment) => {
        const { restacks: _old, ...rest } = timed.said;
        timed.set(moment === "middle" ? rest : { ...rest, restacks: moment });
      }}
    />
  </Form.Label>
);

const TOKEN = "token ";
const NAMED = "named ";

/**
 * The motion that a curve is compared with: a token's, a ready one, or one of CSS; null for none.
 */
export const comparedWith = (
  tokens: Readonly<Record<Id, Token>>,
  other: string,
  duration: number,
): MotionValue | null => {
  if (other === "") return null;
  if (other.startsWith(TOKEN))
    return (tokenValue(tokens, other.slice(TOKEN.length)) as MotionValue | undefined) ?? null;
  const named = namedCurves.find((c) => NAMED + c.name === other);
  return { duration, easing: named?.easing ?? (other as Easing) };
};

interface BesideProps {
  readonly other: string;
  readonly onOther: (other: string) => void;
  readonly compared: MotionValue | null;
}

/** Another curve, drawn beside this one. */
export const BesideCurve = ({ other, onOther, compared }: BesideProps) => {
  const tokens = useDisplayedProject((p) => p.tokens);
  const motions = inOrder(tokens).filter((t) => t.type === "motion");
  return (
    <Form.Label className="check small-text">
      {timingWords.compareWith}
      <Pick
        label={timingWords.compare}
        value={other}
        options={[
          { value: "", words: timingWords.nothing },
          ...motions.map((t) => ({ value: TOKEN + t.id, words: t.name })),
          ...cssWords.map((w) => ({ value: w, words: w })),
          ...namedCurves.map((c) => ({ value: NAMED + c.name, words: c.name })),
        ]}
        onPick={onOther}
      />
      {compared && <span className="quiet">{easingText(compared.easing)}</span>}
    </Form.Label>
  );
};
