import { Button, Form } from "react-bootstrap";
import { isContact, isNavigation } from "#core/machine";
import { ruleTrouble } from "#core/describe";
import {
  addWayBack,
  duplicateRule,
  moveRule,
  piecesOf,
  removeRule,
  setRule,
  wayBack,
} from "#core/edit";
import { traitsOf } from "#core/looks";
import type { Effect, Piece, Project, Rule } from "#core/project";
import { PATIENCE } from "../../session/session";
import { useCommand, usePiece } from "../state/context";
import { useDisplayedProject } from "../../session/displayed";
import { EffectPart } from "./EffectPart";
import { MotionPart } from "../../parts/MotionPart";
import { TriggerPart } from "./TriggerPart";
import { WhilePart } from "./WhilePart";
import { Tool } from "../../ui/Tool";

export type Parts = Partial<Omit<Rule, "id">>;

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

/** One rule as a sentence, edited in place. */
export const RuleLine = ({
  rule,
  place,
  chosen,
  onChoose,
}: {
  rule: Rule;
  /** counted from 1 */ place: number;
  chosen: boolean;
  onChoose: (e: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => void;
}) => {
  const command = useCommand();
  const project = useDisplayedProject();
  const piece = usePiece();
  const set = (parts: Parts, gesture: string | null = null) => {
    command((_, now) => setRule(now, rule.id, parts), gesture, PATIENCE);
  };
  const trouble = ruleTrouble(project, piece, rule);
  const contact = isContact(rule.trigger.type);
  const setEffect = (i: number, e: Effect) =>
    set({ effects: rule.effects.map((old, k) => (k === i ? e : old)) });
  return (
    <li
      className={`rule${rule.on ? "" : " off"}${trouble ? " troubled" : ""}${chosen ? " chosen" : ""}`}
      data-rule={rule.id}
    >
      <Button
        variant="tool"
        size="sm"
        className="rule-place mono"
        aria-pressed={chosen}
        aria-label={`Rule ${place}`}
        title="Choose; with Ctrl one more, with Shift all between"
        onClick={onChoose}
      >
        {place}
      </Button>
      <Form.Check.Input
        role="switch"
        aria-label="Rule is on"
        checked={rule.on}
        onChange={() => set({ on: !rule.on })}
      />
      <div className="sentence">
        <TriggerPart project={project} piece={piece} rule={rule} onChange={set} />
        <WhilePart piece={piece} when={rule.when} onChange={(when) => set({ when })} />
        <span className="arrow" aria-hidden="true">
          →
        </span>
        {rule.effects.map((e, i) => (
          <span key={i} className="effect">
            {i > 0 && <span>and</span>}
            <EffectPart
              piece={piece}
              effect={e}
              motion={rule.motion}
              onChange={(next) => setEffect(i, next)}
              onRemove={
                rule.effects.length > 1
                  ? () => set({ effects: rule.effects.filter((_, k) => k !== i) })
                  : null
              }
            />
          </span>
        ))}
        <Tool
          size="sm"
          icon="plus"
          iconSize={12}
          label="Another effect"
          onClick={() =>
            set({
              effects: [
                ...rule.effects,
                ...(usualEffect(project, piece).length
                  ? usualEffect(project, piece)
                  : [{ type: "back" } as const]),
              ],
            })
          }
        />
        {contact && (
          <Button
            variant="word"
            active={rule.undo}
            aria-pressed={rule.undo}
            onClick={() => set({ undo: !rule.undo })}
          >
            {rule.undo ? "undone when it ends" : "stays when it ends"}
          </Button>
        )}
        <MotionPart
          between={rule.effects.some(isNavigation)}
          motion={rule.motion}
          onChange={(motion) => set({ motion }, `motion ${rule.id}`)}
        />
        {trouble && <span className="trouble">{trouble}</span>}
      </div>
      <span className="rule-tools">
        {wayBack(piece, rule) && (
          <Tool
            size="sm"
            icon="way-back"
            iconSize={13}
            label="Add the way back"
            title="Add the rule that leads back from here"
            onClick={() => command((_, now) => addWayBack(now, rule))}
          />
        )}
        <Tool
          size="sm"
          icon="up"
          iconSize={13}
          label="Move rule up"
          onClick={() => command((_, now) => moveRule(now, rule.id, -1))}
        />
        <Tool
          size="sm"
          icon="down"
          iconSize={13}
          label="Move rule down"
          onClick={() => command((_, now) => moveRule(now, rule.id, 1))}
        />
        <Tool
          size="sm"
          icon="copy"
          iconSize={13}
          label="Duplicate rule"
          title="Duplicate"
          onClick={() => command((_, now) => duplicateRule(now, rule).change)}
        />
        <Tool
          size="sm"
          icon="bin"
          iconSize={13}
          label="Remove rule"
          title="Remove"
          onClick={() => command((_, now) => removeRule(now, rule.id))}
        />
      </span>
    </li>
  );
};
