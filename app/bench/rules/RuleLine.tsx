import { useEffect, useRef } from "react";
import type { MouseEvent } from "react";
import { Button, Form } from "react-bootstrap";
import { ruleTrouble } from "#core/describe";
import { piecesOf, setRule } from "#core/edit";
import { traitsOf } from "#core/looks";
import { isContact, isNavigation } from "#core/machine";
import type { Effect, Piece, Project, Rule } from "#core/project";
import { MotionPart } from "../../parts/MotionPart";
import { useDisplayedProject } from "../../session/displayed";
import { PATIENCE } from "../../session/session";
import { Tool } from "../../ui/Tool";
import { useCommand, usePiece } from "../state/context";
import { EffectPart } from "./EffectPart";
import { RuleTools } from "./RuleTools";
import { TriggerPart } from "./TriggerPart";
import { WhilePart } from "./WhilePart";
import { rulesWords } from "./words";

type Parts = Partial<Omit<Rule, "id">>;
type SetParts = (parts: Parts, gesture?: string | null) => void;

/**
 * What a new rule most likely does: turn the first trait on, or where there is none, go to another
 * screen.
 */
export const usualEffect = (project: Project, piece: Piece): Effect[] => {
  const trait = traitsOf(piece)[0];
  const screen = piecesOf(project, "screen").find((s) => s.id !== piece.id);
  if (!trait) return screen ? [{ type: "go", screen: screen.id }] : [];
  return [
    {
      type: "set",
      trait: trait.id,
      to: Object.keys(trait.values).length === 2 ? { step: "opposite" } : { step: "next" },
    },
  ];
};

interface EffectsProps {
  readonly piece: Piece;
  readonly rule: Rule;
  readonly set: SetParts;
}

/** All that a rule does, and one thing more. */
const Effects = ({ piece, rule, set }: EffectsProps) => {
  const project = useDisplayedProject();
  const { effects } = rule;
  const replace = (at: number, next: Effect) =>
    set({ effects: effects.map((old, i) => (i === at ? next : old)) });
  const add = () => {
    const usual = usualEffect(project, piece);
    set({ effects: [...effects, ...(usual.length ? usual : [{ type: "back" } as const])] });
  };
  return (
    <>
      {effects.map((e, i) => (
        <span key={i} className="effect">
          {i > 0 && <span>{rulesWords.and}</span>}
          <EffectPart
            piece={piece}
            effect={e}
            motion={rule.motion}
            onChange={(next) => replace(i, next)}
            onRemove={
              effects.length > 1 ? () => set({ effects: effects.filter((_, k) => k !== i) }) : null
            }
          />
        </span>
      ))}
      <Tool size="sm" icon="plus" iconSize={12} label={rulesWords.anotherEffect} onClick={add} />
    </>
  );
};

interface Props {
  readonly rule: Rule;
  /** counted from 1 */
  readonly place: number;
  readonly chosen: boolean;
  /** made just now: the focus goes to it */
  readonly fresh: boolean;
  readonly onChoose: (e: MouseEvent) => void;
}

/** One rule as a sentence, edited in place. */
export const RuleLine = ({ rule, place, chosen, fresh, onChoose }: Props) => {
  const command = useCommand();
  const project = useDisplayedProject();
  const piece = usePiece();
  const set: SetParts = (parts, gesture = null) =>
    command((_, now) => setRule(now, rule.id, parts), gesture, PATIENCE);
  const sentence = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (fresh) sentence.current?.querySelector("select")?.focus();
  }, [fresh]);
  const trouble = ruleTrouble(project, piece, rule);
  const classes = ["rule", !rule.on && "off", trouble && "troubled", chosen && "chosen"];
  return (
    <li className={classes.filter(Boolean).join(" ")} data-rule={rule.id}>
      <Button
        variant="tool"
        size="sm"
        className="rule-place mono"
        aria-pressed={chosen}
        aria-label={rulesWords.rule(place)}
        title={rulesWords.chooseCtrlOneMore}
        onClick={onChoose}
      >
        {place}
      </Button>
      <Form.Check.Input
        role="switch"
        aria-label={rulesWords.ruleOn(place)}
        checked={rule.on}
        onChange={() => set({ on: !rule.on })}
      />
      <div className="sentence" ref={sentence}>
        <TriggerPart project={project} piece={piece} rule={rule} onChange={set} />
        <WhilePart piece={piece} when={rule.when} onChange={(when) => set({ when })} />
        <span className="arrow" aria-hidden="true">
          →
        </span>
        <Effects piece={piece} rule={rule} set={set} />
        {isContact(rule.trigger.type) && (
          <Button
            variant="word"
            active={rule.undo}
            aria-pressed={rule.undo}
            onClick={() => set({ undo: !rule.undo })}
          >
            {rule.undo ? rulesWords.undoneWhenEnds : rulesWords.staysWhenEnds}
          </Button>
        )}
        <MotionPart
          between={rule.effects.some(isNavigation)}
          motion={rule.motion}
          onChange={(motion) => set({ motion }, `motion ${rule.id}`)}
        />
        {trouble && <span className="trouble">{trouble}</span>}
      </div>
      <RuleTools rule={rule} place={place} />
    </li>
  );
};
