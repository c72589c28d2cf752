import { Button } from "react-bootstrap";
import type { Id } from "#core/basics";
import { copyRules, giveMotion, pasteRules, removeRules, repeatable, setRules } from "#core/edit";
import type { Motion, Piece } from "#core/project";
import { NumberPart } from "../../parts/NumberPart";
import { units } from "../../ui/units";
import { PATIENCE } from "../../session/session";
import { useBench, useCommand, useWorkpiece } from "../state/context";
import { MotionPart } from "../../parts/time/MotionPart";
import { Tool } from "../../ui/Tool";
import { rulesWords } from "./words";

/** Several rules changed together: on or off, one motion for all, copied, removed. */
export const ChosenRules = ({
  piece,
  ids,
  onClose,
}: {
  piece: Piece;
  ids: readonly Id[];
  onClose: () => void;
}) => {
  const workpiece = useWorkpiece();
  const command = useCommand();
  const chooseRules = useBench((s) => s.chooseRules);
  const rules = ids.flatMap((id) => piece.rules[id] ?? []);
  const first = rules[0];
  if (!first) return null;
  const all = (motion: Motion) => {
    command(
      (_, now) => giveMotion(now, ids, motion, false),
      rulesWords.motion(ids.join()),
      PATIENCE,
    );
  };
  const on = rules.every((r) => r.on);
  const alike = rules.every(
    (r) => JSON.stringify(repeatable(r.motion)) === JSON.stringify(repeatable(first.motion)),
  );
  const duplicate = () => {
    const made = workpiece.make((_, now) => pasteRules(now, copyRules(now, ids)));
    if (made) chooseRules(made.ids);
  };
  return (
    <div className="rule-chosen" role="group" aria-label={rulesWords.chosenRules}>
      <b>{rulesWords.rules(ids.length)}</b>
      {rules.every((r) => r.trigger.type === "delay") && (
        <span className="effect">
          {rulesWords.after}{" "}
          <NumberPart
            said={first.trigger}
            name="ms"
            label={rulesWords.waitAllMilliseconds}
            min={0}
            max={600_000}
            step={50}
            unit={units.ms}
            onChange={(trigger) => {
              command(
                (_, now) => setRules(now, ids, { trigger }),
                rulesWords.wait(ids.join()),
                PATIENCE,
              );
            }}
          />
        </span>
      )}
      <span className="effect">
        <MotionPart motion={first.motion} onChange={all} />
        {!alike && (
          <Button variant="link" size="sm" onClick={() => all(first.motion)}>
            {rulesWords.useMotionAll}
          </Button>
        )}
      </span>
      <span className="line push">
        <Tool onClick={() => command((_, now) => setRules(now, ids, { on: !on }))}>
          {on ? rulesWords.turnOff : rulesWords.turn}
        </Tool>
        <Tool icon="copy" iconSize={13} title={rulesWords.duplicateCtrlCCtrl} onClick={duplicate}>
          {rulesWords.duplicate}
        </Tool>
        <Tool
          icon="bin"
          iconSize={13}
          title={rulesWords.deleteDeleteKey}
          onClick={() => command((_, now) => removeRules(now, ids))}
        >
          {rulesWords.delete}
        </Tool>
        <Tool
          size="sm"
          icon="close"
          iconSize={12}
          label={rulesWords.clearSelection}
          title={rulesWords.clearSelectionEsc}
          onClick={onClose}
        />
      </span>
    </div>
  );
};
