import { focusBy } from "#core/project";
import type { Trigger } from "#core/project";
import { NumberField } from "../../ui/fields/NumberField";
import { Pick } from "../../ui/fields/Pick";
import { units } from "../../ui/units";
import { DragFields } from "./DragFields";
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
  <NumberField
    label={label}
    value={value}
    min={0}
    max={max}
    step={step}
    unit={units.ms}
    onChange={onChange}
  />
);

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
        label={rulesWords.positionMilliseconds}
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
