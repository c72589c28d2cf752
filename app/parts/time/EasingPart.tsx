import { Form } from "react-bootstrap";
import {
  cssWords,
  isSpring,
  namedCurves,
  settlingTime,
  springLasting,
  swingOf,
} from "#core/motion";
import type { Easing } from "#core/project";
import { NumberField } from "../../ui/fields/NumberField";
import { SearchPick } from "../../ui/fields/SearchPick";
import { CurveMark } from "./CurveMark";
import { partsWords } from "../words";

type Kind = "bézier" | "spring" | "bounce" | "windup" | "steps";

/** What kind of curve it is; null for a CSS word. */
const kindOf = (e: Easing): Kind | null => {
  if (typeof e === "string") {
    return null;
  }
  return !("kind" in e) ? "bézier" : e.kind;
};

const same = (a: Easing, b: Easing): boolean => JSON.stringify(a) === JSON.stringify(b);

const BEZIER = "bézier";
/** It has a name, and so needs no numbers. */
const namedOvershoot = namedCurves.find((c) => kindOf(c.easing) === "bézier")?.name;

/** What a curve of one's own begins with. */
const bezier: Easing = [0.3, 0, 0.2, 1];

/** All curves that are offered, each with a little picture. */
const offered: readonly {
  readonly value: string;
  readonly words: string;
  readonly easing: Easing;
}[] = [
  ...cssWords.map((w) => ({ value: w, words: w, easing: w })),
  ...namedCurves.map(({ name, easing }) => ({ value: name, words: name, easing })),
  { value: BEZIER, words: partsWords.cubicBZier, easing: bezier },
];
const choices = offered.map((o) => ({ ...o, mark: <CurveMark easing={o.easing} /> }));

/** Which of the curves that are offered one is. */
const chosenIn = (easing: Easing): string => {
  const exact = offered.find((o) => same(o.easing, easing));
  if (exact) return exact.value;
  const kind = kindOf(easing);
  return offered.find((o) => kindOf(o.easing) === kind && kind !== "bézier")?.value ?? BEZIER;
};
const hundredth = (n: number): number => Math.round(n * 100) / 100;

const Numbers = ({ easing, onChange }: { easing: Easing; onChange: (e: Easing) => void }) => {
  if (typeof easing === "string") return null;
  if (!("kind" in easing))
    return easing.map((n, i) => (
      <NumberField
        key={i}
        label={partsWords.bZierValueAt(["x1", "y1", "x2", "y2"][i] ?? "")}
        value={n}
        min={i % 2 ? -10 : 0}
        max={i % 2 ? 10 : 1}
        step={0.05}
        onChange={(v) => onChange(easing.map((o, k) => (k === i ? v : o)) as unknown as Easing)}
      />
    ));
  switch (easing.kind) {
    case "steps":
      return (
        <>
          <NumberField
            label={partsWords.numberSteps}
            value={easing.count}
            min={easing.jump === "none" ? 2 : 1}
            max={100}
            step={1}
            onChange={(count) => onChange({ ...easing, count: Math.round(count) })}
          />
          <Form.Select
            className="word"
            aria-label={partsWords.jumpPosition}
            value={easing.jump}
            onChange={(e) => {
              const jump = e.target.value as typeof easing.jump;
              onChange({
                ...easing,
                jump,
                count: jump === "none" ? Math.max(2, easing.count) : easing.count,
              });
            }}
          >
            <option value="end">{partsWords.atEnd}</option>
            <option value="start">{partsWords.atStart}</option>
            <option value="both">{partsWords.atBothEnds}</option>
            <option value="none">{partsWords.atNeitherEnd}</option>
          </Form.Select>
        </>
      );
    case "bounce":
      return (
        <>
          <NumberField
            label={partsWords.bounces}
            value={easing.times}
            min={1}
            max={8}
            step={1}
            unit={partsWords.timesFirstRebound}
            onChange={(times) => onChange({ ...easing, times: Math.round(times) })}
          />
          <NumberField
            label={partsWords.firstReboundPerCent}
            value={Math.round(easing.keeps * 100)}
            min={1}
            max={90}
            step={5}
            unit="%"
            onChange={(n) => onChange({ ...easing, keeps: n / 100 })}
          />
        </>
      );
    case "windup":
      return (
        <>
          <span>{partsWords.by}</span>
          <NumberField
            label={partsWords.windUpPerCent}
            value={Math.round(easing.back * 100)}
            min={0}
            max={100}
            step={2}
            unit="%"
            onChange={(n) => onChange({ ...easing, back: n / 100 })}
          />
        </>
      );
    case "spring": {
      const { bounciness } = swingOf(easing);
      const time = settlingTime(easing);
      const set = (ms: number, b: number) => onChange(springLasting(ms, b, easing.mass));
      return (
        <>
          <span>{partsWords.inTime}</span>
          <NumberField
            label={partsWords.springDurationMilliseconds}
            title={partsWords.untilStaysWithinEnd}
            value={time}
            min={40}
            max={20_000}
            step={20}
            unit={partsWords.ms}
            onChange={(ms) => set(ms, bounciness)}
          />
          <NumberField
            label={partsWords.springBouncePerCent}
            title={partsWords.settlesWithoutOvershoot}
            value={Math.round(hundredth(bounciness) * 100)}
            min={-90}
            max={97}
            step={2}
            unit={partsWords.bounce}
            onChange={(n) => set(time, n / 100)}
          />
        </>
      );
    }
  }
};

/** Choosing a curve within a sentence, with the numbers of its kind. */
export const EasingPart = ({
  easing,
  onChange,
  label = "Easing",
  duration,
}: {
  easing: Easing;
  onChange: (e: Easing) => void;
  label?: string;
  /** how long it takes, ms: a spring that is chosen takes as long */
  duration?: number;
}) => {
  const chosen = chosenIn(easing);
  const pick = (value: string) => {
    const next = offered.find((o) => o.value === value)?.easing;
    if (next === undefined) return;
    // a spring takes the time that what was before it took
    onChange(isSpring(next) && duration ? springLasting(duration, swingOf(next).bounciness) : next);
  };
  return (
    <>
      <SearchPick label={label} value={chosen} options={choices} onPick={pick} broken={false} />
      {chosen !== namedOvershoot && <Numbers easing={easing} onChange={onChange} />}
    </>
  );
};
