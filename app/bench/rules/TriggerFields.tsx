import { focusBy } from "#core/project";
import type { Trigger } from "#core/project";
import { NumberPart } from "../../parts/NumberPart";
import { Pick } from "../../ui/fields/Pick";
import { units } from "../../ui/units";
import { DragFields } from "./DragFields";
import { KeyField } from "./KeyField";
import { rulesWords } from "./words";

interface Props {
  readonly trigger: Trigger;
  readonly onChange: (trigger: Trigger) => void;
}

/** What the times of triggers are: how they are called, and how far they go. */
const times = {
  delay: { label: rulesWords.waitMilliseconds, max: 600_000, step: 50 },
  reached: { label: rulesWords.positionMilliseconds, max: 600_000, step: 100 },
  hold: { label: rulesWords.heldMilliseconds, max: 60_000, step: 50 },
} as const;

/** What more a trigger says than its name. */
export const TriggerFields = ({ trigger, onChange }: Props) => {
  const { type } = trigger;
  if (type === "delay" || type === "reached" || type === "hold")
    return (
      <NumberPart
        said={trigger}
        name="ms"
        min={0}
        unit={units.ms}
        {...times[type]}
        onChange={onChange}
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
