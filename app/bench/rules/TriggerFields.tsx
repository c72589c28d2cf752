import { usualDrag } from "#core/machine";
import { dragDirections, dragWays, focusBy } from "#core/project";
import type { Trigger } from "#core/project";
import { NumberField } from "../../ui/fields/NumberField";
import { Pick } from "../../ui/fields/Pick";
import { KeyField } from "./KeyField";
import { rulesWords } from "./words";

interface Props {
  readonly trigger: Trigger;
  readonly onChange: (trigger: Trigger) => void;
}

interface TimeProps {
  readonly label: string;
  /** ms */
  readonly value: number;
  readonly max: number;
  readonly step: number;
  readonly onChange: (ms: number) => void;
}

const Time = ({ label, value, max, step, onChange }: TimeProps) => (
  <>
    <NumberField label={label} value={value} min={0} max={max} step={step} onChange={onChange} />
    <span>{rulesWords.ms}</span>
  </>
);

/** Which way a drag goes, how far, and when it counts as done. */
const DragFields = ({ trigger, onChange }: Props) => {
  const { way, lean, direction, travel, part, speed } = { ...usualDrag, ...trigger };
  return (
    <>
      <Pick
        label={rulesWords.dragWay}
        value={way}
        options={dragWays.map((w) => ({ value: w, words: rulesWords.dragWays[w] }))}
        onPick={(next) => onChange({ ...trigger, way: next })}
      />
      {way === "free" && (
        <>
          <span>{rulesWords.leansUpTo}</span>
          <NumberField
            label={rulesWords.leanDegrees}
            title={rulesWords.leansBySpeed}
            value={lean}
            min={0}
            max={90}
            step={1}
            onChange={(degrees) => onChange({ ...trigger, lean: degrees })}
          />
          <span>{rulesWords.degreesCounts}</span>
        </>
      )}
      <Pick
        label={rulesWords.direction}
        value={direction}
        options={dragDirections.map((d) => ({
          value: d,
          words: d === "any" ? rulesWords.anywhere : d,
        }))}
        onPick={(d) => onChange({ ...trigger, direction: d })}
      />
      <NumberField
        label={rulesWords.wayPixels}
        title={rulesWords.howFarWholeWay}
        value={travel}
        min={1}
        max={10_000}
        step={10}
        onChange={(px) => onChange({ ...trigger, travel: px })}
      />
      <span>{rulesWords.pxDoneFrom}</span>
      <NumberField
        label={rulesWords.doneFromPerCent}
        title={rulesWords.letGoPastThis}
        value={Math.round(part * 100)}
        min={0}
        max={100}
        step={5}
        onChange={(percent) => onChange({ ...trigger, part: percent / 100 })}
      />
      <span>{rulesWords.or}</span>
      <NumberField
        label={rulesWords.doneFromSpeed}
        title={rulesWords.letGoFasterThan}
        value={speed}
        min={0}
        max={100_000}
        step={50}
        onChange={(px) => onChange({ ...trigger, speed: px })}
      />
      <span>{rulesWords.pxS}</span>
    </>
  );
};

/** What more a trigger says than its name. */
export const TriggerFields = ({ trigger, onChange }: Props) => {
  const { type, ms = 0 } = trigger;
  const setTime = (next: number) => onChange({ type, ms: next });
  if (type === "delay")
    return (
      <Time
        label={rulesWords.waitMilliseconds}
        value={ms}
        max={600_000}
        step={50}
        onChange={setTime}
      />
    );
  if (type === "reached")
    return (
      <Time
        label={rulesWords.momentMilliseconds}
        value={ms}
        max={600_000}
        step={100}
        onChange={setTime}
      />
    );
  if (type === "hold")
    return (
      <Time
        label={rulesWords.heldMilliseconds}
        value={ms}
        max={60_000}
        step={50}
        onChange={setTime}
      />
    );
  if (type === "focus" || type === "blur")
    return (
      <Pick
        label={rulesWords.focusCounts}
        value={trigger.by ?? "keys"}
        options={focusBy.options.map((by) => ({ value: by, words: rulesWords.focusBy[by] }))}
        onPick={(by) => onChange({ type, by })}
      />
    );
  if (type === "drag") return <DragFields trigger={trigger} onChange={onChange} />;
  if (type !== "key") return null;
  return <KeyField value={trigger.key ?? ""} onPick={(key) => onChange({ type, key })} />;
};
