import { triggerText } from "#core/describe";
import { componentsAt, isOfPiece, usualDrag } from "#core/machine";
import { ROOT, inOrder, triggerTypes } from "#core/project";
import type { Piece, Project, Rule, TellingTrigger, Trigger, TriggerType } from "#core/project";
import { Pick } from "../../ui/fields/Pick";
import { TriggerFields } from "./TriggerFields";
import { rulesWords } from "./words";

const whole = "";
/** What a trigger begins with when it is chosen. */
const usual: Readonly<Partial<Record<TriggerType, Partial<Trigger>>>> &
  Record<Exclude<TellingTrigger, "key" | "signal">, Partial<Trigger>> = {
  delay: { ms: 500 },
  hold: { ms: 500 },
  reached: { ms: 1000 },
  drag: usualDrag,
  focus: { by: "keys" },
  blur: { by: "keys" },
};

interface Choice {
  readonly value: string;
  readonly words: string;
}

const SIGNAL = "signal ";

const words = (t: TriggerType): string => {
  if (t === "delay") return rulesWords.delayed;
  return t === "settled" ? rulesWords.whenPieceSettles : triggerText(t);
};

/** How a rule is told when nobody does anything to set it off: the sentence begins otherwise. */
const told = (type: TriggerType, { value, words: usually }: Choice): string => {
  if (type === "settled") return value === "settled" ? rulesWords.settles : usually;
  if (value === "delay") return rulesWords.afterInTriggerPart;
  return value === "settled" ? rulesWords.whenPieceSettles2 : rulesWords.when(usually);
};

/** All that can set a rule off: a copy's own signals, and the triggers. */
const choicesOf = (project: Project, piece: Piece, source: string | null): Choice[] => {
  const signals =
    source === null ? [] : componentsAt(project, piece, source).flatMap((c) => inOrder(c.signals));
  return [
    ...signals.map((s) => ({ value: SIGNAL + s.id, words: rulesWords.sends(s.name) })),
    ...triggerTypes.filter((t) => t !== "signal").map((t) => ({ value: t, words: words(t) })),
  ];
};

const sourcesOf = (piece: Piece): Choice[] => [
  { value: whole, words: rulesWords.wholePieceInTriggerPart },
  ...Object.values(piece.layers)
    .filter((l) => l.id !== ROOT)
    .map((l) => ({ value: l.id, words: l.name })),
];

interface Props {
  readonly project: Project;
  readonly piece: Piece;
  readonly rule: Rule;
  readonly onChange: (parts: { source?: string | null; trigger?: Trigger }) => void;
}

/**
 * What a rule listens for: "When Side chooser says middle". A copy's own signals are among what can
 * be chosen.
 */
export const TriggerPart = ({ project, piece, rule, onChange }: Props) => {
  const { trigger, source } = rule;
  const { type } = trigger;
  const alone = type === "delay" || type === "settled";
  const choices = choicesOf(project, piece, source);
  const chosen = type === "signal" ? SIGNAL + (trigger.signal ?? "") : type;
  const pick = (value: string) => {
    if (value.startsWith(SIGNAL)) {
      onChange({ trigger: { type: "signal", signal: value.slice(SIGNAL.length) } });
      return;
    }
    const next = value as TriggerType;
    const parts = isOfPiece(next) ? { source: null } : {};
    onChange({ ...parts, trigger: { type: next, ...usual[next] } });
  };
  return (
    <>
      {type === "settled" && <span>{rulesWords.whenPiece}</span>}
      {!alone && (
        <>
          <span>{rulesWords.whenInTriggerPart}</span>
          <Pick
            search
            label={rulesWords.source}
            value={source ?? whole}
            options={sourcesOf(piece)}
            onPick={(v) => onChange({ source: v === whole ? null : v })}
            broken={source !== null && !piece.layers[source]}
          />
        </>
      )}
      <Pick
        label={rulesWords.trigger}
        value={chosen}
        options={alone ? choices.map((c) => ({ ...c, words: told(type, c) })) : choices}
        onPick={pick}
        broken={!choices.some((o) => o.value === chosen)}
      />
      <TriggerFields trigger={trigger} onChange={(next) => onChange({ trigger: next })} />
    </>
  );
};
