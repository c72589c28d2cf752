import { useEffect, useRef } from "react";
import type { MouseEvent } from "react";
import { Button, Form } from "react-bootstrap";
import { ruleTrouble } from "#core/describe";
import { repeatable, setRule, usualEffect } from "#core/edit";
import { isContact, isNavigation } from "#core/machine";
import type { Rival } from "#core/machine";
import { inOrder } from "#core/project";
import type { Effect, Piece, Rule } from "#core/project";
import { MotionPart } from "../../parts/time/MotionPart";
import { useDisplayedProject } from "../../session/displayed";
import { PATIENCE } from "../../session/session";
import { Icon } from "../../ui/Icon";
import { Tool } from "../../ui/Tool";
import { Pick } from "../../ui/fields/Pick";
import { useBench, useCommand, usePiece } from "../state/context";
import { EffectPart } from "./EffectPart";
import { RuleTools } from "./RuleTools";
import { TriggerPart } from "./TriggerPart";
import { WhilePart } from "./WhilePart";
import { rulesWords } from "./words";

type Parts = Partial<Omit<Rule, "id">>;
type SetParts = (parts: Parts, gesture?: string | null) => void;

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
    set({ effects: [...effects, usualEffect(project, piece) ?? { type: "back" }] });
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
      <Tool size="sm" icon="plus" iconSize={12} label={rulesWords.addEffect} onClick={add} />
    </>
  );
};

interface WayBackProps {
  readonly rule: Rule;
  readonly set: SetParts;
}

type Ends = "stays" | "undone" | "own";

const endsOf = (rule: Rule): Ends => {
  if (!rule.undo) return "stays";
  return rule.back ? "own" : "undone";
};

/** What becomes of what a contact did when it ends, and in which time. */
const WayBack = ({ rule, set }: WayBackProps) => {
  const { back, motion } = rule;
  const pick = (ends: Ends) =>
    set({
      undo: ends !== "stays",
      back: ends === "own" ? (back ?? repeatable(motion)) : undefined,
    });
  return (
    <span className="effect">
      <Pick
        label={rulesWords.whenEnds}
        value={endsOf(rule)}
        options={[
          { value: "undone", words: rulesWords.revertsWhenEnds },
          { value: "own", words: rulesWords.revertsWithSeparateTiming },
          { value: "stays", words: rulesWords.staysAfterwards },
        ]}
        onPick={pick}
      />
      {rule.undo && back && (
        <MotionPart motion={back} onChange={(next) => set({ back: next }, `back ${rule.id}`)} />
      )}
    </span>
  );
};

/** Another rule that wants the same, and which of the two has it. */
const Rivalry = ({ rival }: { readonly rival: Rival }) => {
  const chooseRules = useBench((s) => s.chooseRules);
  const place = usePiece((p) => inOrder(p.rules).findIndex((r) => r.id === rival.rule) + 1);
  return (
    <span className="rivalry">
      <Icon name="alert" size={13} />
      {rival.wins ? rulesWords.winsOver : rulesWords.losesTo}{" "}
      <Button variant="word" onClick={() => chooseRules([rival.rule])}>
        {rulesWords.rule(place)}
      </Button>
      {rulesWords.because(rival.wins)}
    </span>
  );
};

interface Props {
  readonly rule: Rule;
  /** counted from 1 */
  readonly place: number;
  readonly chosen: boolean;
  /** other rules that want the same at the same event */
  readonly rivals: readonly Rival[];
  /** made just now: the focus goes to it */
  readonly fresh: boolean;
  readonly onChoose: (e: MouseEvent) => void;
}

/** One rule as a sentence, edited in place. */
export const RuleLine = ({ rule, place, chosen, rivals, fresh, onChoose }: Props) => {
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
  const classes = [
    "rule",
    !rule.on && "off",
    (trouble || rivals.length > 0) && "troubled",
    chosen && "chosen",
  ];
  return (
    <li className={classes.filter(Boolean).join(" ")} data-rule={rule.id}>
      <Button
        variant="tool"
        size="sm"
        className="rule-place mono"
        aria-pressed={chosen}
        aria-label={rulesWords.rule(place)}
        title={rulesWords.selectCtrlAddsRule}
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
        <MotionPart
          between={rule.effects.some(isNavigation)}
          motion={rule.motion}
          onChange={(motion) => set({ motion }, `motion ${rule.id}`)}
        />
        {isContact(rule.trigger.type) && <WayBack rule={rule} set={set} />}
        {rivals.map((rival) => (
          <Rivalry key={rival.rule} rival={rival} />
        ))}
        {trouble && <span className="trouble">{trouble}</span>}
      </div>
      <RuleTools rule={rule} place={place} />
    </li>
  );
};
