import { nearNumber, tokenTypeOfPart, withPart } from "#core/edit";
import type { Timed } from "#core/edit";
import { isSpring } from "#core/motion";
import { useDisplayedProject } from "../../session/displayed";
import { units } from "../../ui/units";
import { CurveMark } from "./CurveMark";
import { EasingPart } from "./EasingPart";
import { TimeToken } from "./TimeToken";
import { TypedNumber } from "../TypedNumber";
import { partsWords } from "../words";

const MINUTE = 60_000;

interface Props<T extends Timed> {
  readonly timed: T;
  /** the same with what its tokens say */
  readonly shown: Timed;
  readonly onChange: (timed: T) => void;
}

interface TimeProps<T extends Timed> extends Props<T> {
  readonly part: "duration" | "delay";
  readonly label: string;
  readonly step?: number;
}

/** A duration or a delay, said here or by a token. A spring lasts as long as it swings. */
export const TimeField = <T extends Timed>(props: TimeProps<T>) => {
  const { timed, shown, part, label, step = 20, onChange } = props;
  const tokens = useDisplayedProject((p) => p.tokens);
  if (part === "duration" && isSpring(shown.easing)) return null;
  const pick = <TimeToken timed={timed} part={part} label={label} onChange={onChange} />;
  if (timed.parts?.[part] === undefined)
    return (
      <TypedNumber
        near={(project, ms) => nearNumber(project, tokenTypeOfPart[part], ms)}
        label={label}
        value={Math.round(timed[part])}
        min={0}
        max={MINUTE}
        step={step}
        unit={units.ms}
        beside={pick}
        onChange={(ms) => onChange({ ...timed, [part]: ms })}
        onToken={(token) => onChange(withPart(tokens, timed, part, token))}
      />
    );
  return (
    <span className="measured">
      {pick}
      <span className="quiet">{partsWords.msLength(shown[part])}</span>
    </span>
  );
};

interface CurveProps<T extends Timed> extends Props<T> {
  readonly label?: string;
}

/** A curve, said here or by a token. */
export const CurveField = <T extends Timed>({ timed, shown, label, onChange }: CurveProps<T>) => (
  <span className="measured">
    {timed.parts?.easing === undefined ? (
      <EasingPart
        easing={timed.easing}
        duration={timed.duration}
        {...(label === undefined ? {} : { label })}
        onChange={(easing) => onChange({ ...timed, easing })}
      />
    ) : (
      <CurveMark easing={shown.easing} />
    )}
    <TimeToken
      timed={timed}
      part="easing"
      label={label ?? partsWords.curveLabel}
      onChange={onChange}
    />
  </span>
);
