import { usualDrag } from "#core/machine";
import { dragDirections } from "#core/project";
import type { Trigger } from "#core/project";
import { NumberField } from "../../ui/NumberField";
import { Pick } from "../../ui/Pick";
import { KeyField } from "./KeyField";

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
    <span>ms</span>
  </>
);

/** Which way a drag goes, how far, and when it counts as done. */
const DragFields = ({ trigger, onChange }: Props) => {
  const { direction, travel, part, speed } = { ...usualDrag, ...trigger };
  return (
    <>
      <Pick
        label="Direction"
        value={direction}
        options={dragDirections.map((d) => ({ value: d, words: d === "any" ? "anywhere" : d }))}
        onPick={(d) => onChange({ ...trigger, direction: d })}
      />
      <NumberField
        label="Way in pixels"
        title="How far the whole way is"
        value={travel}
        min={1}
        max={10_000}
        step={10}
        onChange={(px) => onChange({ ...trigger, travel: px })}
      />
      <span>px, done from</span>
      <NumberField
        label="Done from per cent"
        title="Let go past this share of the way it is done, before it goes back"
        value={Math.round(part * 100)}
        min={0}
        max={100}
        step={5}
        onChange={(percent) => onChange({ ...trigger, part: percent / 100 })}
      />
      <span>% or</span>
      <NumberField
        label="Done from speed"
        title="Let go faster than this it is done, however short the way"
        value={speed}
        min={0}
        max={100_000}
        step={50}
        onChange={(px) => onChange({ ...trigger, speed: px })}
      />
      <span>px/s</span>
    </>
  );
};

/** What more a trigger says than its name. */
export const TriggerFields = ({ trigger, onChange }: Props) => {
  const { type, ms = 0 } = trigger;
  const setTime = (next: number) => onChange({ type, ms: next });
  if (type === "delay")
    return (
      <Time label="Wait in milliseconds" value={ms} max={600_000} step={50} onChange={setTime} />
    );
  if (type === "reached")
    return (
      <Time label="Moment in milliseconds" value={ms} max={600_000} step={100} onChange={setTime} />
    );
  if (type === "hold")
    return (
      <Time label="Held for milliseconds" value={ms} max={60_000} step={50} onChange={setTime} />
    );
  if (type === "drag") return <DragFields trigger={trigger} onChange={onChange} />;
  if (type !== "key") return null;
  return <KeyField value={trigger.key ?? ""} onPick={(key) => onChange({ type, key })} />;
};
