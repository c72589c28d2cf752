import { addSignal } from "#core/edit";
import { isNavigation, isShown } from "#core/machine";
import type { Effect, Motion, Piece } from "#core/project";
import { useWorkpiece } from "../state/context";
import { useDisplayedProject } from "../../session/displayed";
import { MotionPart } from "../../parts/time/MotionPart";
import { Pick } from "../../ui/fields/Pick";
import { choiceOf, effectChoices, effectOfChoice } from "./effects/choices";
import type { Around } from "./effects/choices";
import { EffectFields } from "./effects/fields";
import { Tool } from "../../ui/Tool";
import { rulesWords } from "./words";

/** Whether a choice names what it is about, which may be gone. */
const isAboutSomething = (choice: string): boolean => choice.includes(" ");

/** One thing a rule does. */
export const EffectPart = ({
  piece,
  effect,
  motion,
  onChange,
  onRemove,
}: {
  piece: Piece;
  effect: Effect;
  motion: Motion;
  onChange: (e: Effect) => void;
  onRemove: (() => void) | null;
}) => {
  const workpiece = useWorkpiece();
  const project = useDisplayedProject();
  const newSignal = (): string | null =>
    workpiece.make((_, now) => addSignal(now, "signal"))?.id ?? null;
  const around: Around = { project, piece, effect, newSignal };
  const options = effectChoices(around);
  const chosen = choiceOf(effect);
  const pick = (choice: string) => {
    const made = effectOfChoice(around, choice);
    if (made) onChange(made);
  };
  return (
    <span className="effect">
      <Pick
        search
        label={rulesWords.effect}
        value={chosen}
        options={options}
        onPick={pick}
        broken={isAboutSomething(chosen) && !options.some((o) => o.value === chosen)}
      />
      <EffectFields effect={effect} around={around} onChange={onChange} />
      {effect.motion && (
        <MotionPart
          between={isNavigation(effect)}
          motion={effect.motion}
          onChange={(own) => onChange({ ...effect, motion: own })}
        />
      )}
      {isShown(effect) && (onRemove || effect.motion) && (
        <Tool
          size="sm"
          icon="time"
          iconSize={12}
          label={rulesWords.useSeparateTiming}
          on={effect.motion !== undefined}
          title={effect.motion ? rulesWords.useRulesTiming : rulesWords.useSeparateTiming}
          onClick={() => {
            const { motion: _own, ...rest } = effect;
            onChange(effect.motion ? rest : { ...effect, motion });
          }}
        />
      )}
      {onRemove && (
        <Tool
          size="sm"
          icon="close"
          iconSize={11}
          label={rulesWords.removeEffect}
          onClick={onRemove}
        />
      )}
    </span>
  );
};
