import { keyName, triggerText } from "#core/describe";
import { componentsAt, isOfPiece, usualDrag } from "#core/machine";
import { ROOT, dragDirections, inOrder, triggerTypes } from "#core/project";
import type { Piece, Project, Rule, TellingTrigger, Trigger, TriggerType } from "#core/project";
import { useState } from "react";
import { NumberField } from "../../ui/NumberField";
import { Pick } from "../../ui/Pick";

/** Waits for the key that shall be listened for. */
const KeyField = ({ value, onPick }: { value: string; onPick: (key: string) => void }) => {
  const [asking, setAsking] = useState(value === "");
  return (
    <button
      type="button"
      className={`word mono${asking ? " on" : ""}${value === "" && !asking ? " broken" : ""}`}
      aria-label="Key"
      autoFocus={value === ""}
      onClick={() => setAsking(true)}
      onBlur={() => setAsking(false)}
      onKeyDown={(e) => {
        // Tab still leaves, and Esc gives up
        if (!asking || e.key === "Tab" || ["Shift", "Control", "Alt", "Meta"].includes(e.key))
          return;
        e.preventDefault();
        e.stopPropagation();
        setAsking(false);
        if (e.key !== "Escape") onPick(e.key);
      }}
    >
      {asking ? "press a key …" : keyName(value || "no key")}
    </button>
  );
};

const whole = "";
/** What a trigger begins with when it is chosen. */
const usual: Readonly<Partial<Record<TriggerType, Partial<Trigger>>>> &
  Record<Exclude<TellingTrigger, "key" | "signal">, Partial<Trigger>> = {
  delay: { ms: 500 },
  hold: { ms: 500 },
  reached: { ms: 1000 },
  drag: usualDrag,
};

const words = (t: TriggerType): string => {
  if (t === "delay") {
    return "… after a delay";
  }
  return t === "settled" ? "… when it has settled" : triggerText(t);
};

/**
 * What a rule listens for: "When Side chooser says middle". A copy's own signals are among what can
 * be chosen.
 */
export const TriggerPart = ({
  project,
  piece,
  rule,
  onChange,
}: {
  project: Project;
  piece: Piece;
  rule: Rule;
  onChange: (parts: { source?: string | null; trigger?: Trigger }) => void;
}) => {
  const { trigger, source } = rule;
  const sources = [
    { value: whole, words: "the whole piece" },
    ...Object.values(piece.layers)
      .filter((l) => l.id !== ROOT)
      .map((l) => ({ value: l.id, words: l.name })),
  ];
  const signals =
    source === null ? [] : componentsAt(project, piece, source).flatMap((c) => inOrder(c.signals));
  const options = [
    ...signals.map((s) => ({ value: `signal ${s.id}`, words: `says ${s.name}` })),
    ...triggerTypes.filter((t) => t !== "signal").map((t) => ({ value: t, words: words(t) })),
  ];
  const pick = (value: string) => {
    if (value.startsWith("signal ")) {
      onChange({ trigger: { type: "signal", signal: value.slice(7) } });
      return;
    }
    const type = value as TriggerType;
    onChange({
      ...(isOfPiece(type) ? { source: null } : {}),
      trigger: { type, ...usual[type] },
    });
  };
  const chosen = trigger.type === "signal" ? `signal ${trigger.signal ?? ""}` : trigger.type;
  const what = (
    <Pick
      label="Trigger"
      value={chosen}
      options={
        trigger.type === "delay"
          ? options.map((o) => {
              if (o.value === "delay") {
                return { ...o, words: "After" };
              }
              return o.value === "settled"
                ? { ...o, words: "When the piece has settled" }
                : { ...o, words: `When … ${o.words}` };
            })
          : options
      }
      onPick={pick}
      broken={!options.some((o) => o.value === chosen)}
    />
  );
  if (trigger.type === "delay")
    return (
      <>
        {what}
        <NumberField
          label="Wait in milliseconds"
          value={trigger.ms ?? 0}
          min={0}
          max={600_000}
          step={50}
          onChange={(ms) => onChange({ trigger: { type: "delay", ms } })}
        />
        <span>ms</span>
      </>
    );
  if (trigger.type === "settled")
    return (
      <>
        <span>When the piece</span>
        <Pick
          label="Trigger"
          value={chosen}
          options={options.map((o) => (o.value === "settled" ? { ...o, words: "has settled" } : o))}
          onPick={pick}
        />
      </>
    );
  return (
    <>
      <span>When</span>
      <Pick
        search
        label="Source"
        value={source ?? whole}
        options={sources}
        onPick={(v) => onChange({ source: v === whole ? null : v })}
        broken={source !== null && !piece.layers[source]}
      />
      {what}
      {trigger.type === "reached" && (
        <>
          <NumberField
            label="Moment in milliseconds"
            value={trigger.ms ?? 0}
            min={0}
            max={600_000}
            step={100}
            onChange={(ms) => onChange({ trigger: { type: "reached", ms } })}
          />
          <span>ms</span>
        </>
      )}
      {trigger.type === "hold" && (
        <>
          <NumberField
            label="Held for milliseconds"
            value={trigger.ms ?? 0}
            min={0}
            max={60_000}
            step={50}
            onChange={(ms) => onChange({ trigger: { type: "hold", ms } })}
          />
          <span>ms</span>
        </>
      )}
      {trigger.type === "drag" && (
        <>
          <Pick
            label="Direction"
            value={trigger.direction ?? usualDrag.direction}
            options={dragDirections.map((d) => ({ value: d, words: d === "any" ? "anywhere" : d }))}
            onPick={(direction) => onChange({ trigger: { ...trigger, direction } })}
          />
          <NumberField
            label="Way in pixels"
            title="How far the whole way is"
            value={trigger.travel ?? usualDrag.travel}
            min={1}
            max={10_000}
            step={10}
            onChange={(travel) => onChange({ trigger: { ...trigger, travel } })}
          />
          <span>px, done from</span>
          <NumberField
            label="Done from per cent"
            title="Let go past this share of the way it is done, before it goes back"
            value={Math.round((trigger.part ?? usualDrag.part) * 100)}
            min={0}
            max={100}
            step={5}
            onChange={(p) => onChange({ trigger: { ...trigger, part: p / 100 } })}
          />
          <span>% or</span>
          <NumberField
            label="Done from speed"
            title="Let go faster than this it is done, however short the way"
            value={trigger.speed ?? usualDrag.speed}
            min={0}
            max={100_000}
            step={50}
            onChange={(speed) => onChange({ trigger: { ...trigger, speed } })}
          />
          <span>px/s</span>
        </>
      )}
      {trigger.type === "key" && (
        <KeyField
          value={trigger.key ?? ""}
          onPick={(key) => onChange({ trigger: { type: "key", key } })}
        />
      )}
    </>
  );
};
