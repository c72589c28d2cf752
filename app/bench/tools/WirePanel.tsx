import { useState } from "react";
import { Button, Form } from "react-bootstrap";
import { isContact } from "#core/machine";
import { effectText, triggerText } from "#core/describe";
import {
  lastWiring,
  nextMotion,
  piecesOf,
  wire,
  wireEffects,
  wireScopes,
  wireTriggers,
  usuallyUndone,
} from "#core/edit";
import { conditionText, variantName } from "#core/looks";
import { ROOT } from "#core/project";
import type { Trigger, TriggerType } from "#core/project";
import { Panel } from "../../ui/floating/Panel";
import { useBench, usePiece, useWorkpiece } from "../state/context";
import type { Wired } from "../state/wiring";
import { useDisplayedProject } from "../../session/displayed";
import { MotionPart } from "../../parts/time/MotionPart";
import { NumberPart } from "../../parts/NumberPart";
import { Pick } from "../../ui/fields/Pick";
import { units } from "../../ui/units";
import { toolsWords } from "./words";

const withTime: readonly TriggerType[] = ["delay", "hold"];

/** Screens one can drop a wire on, shown while one drags. */
export const WireScreens = () => {
  const wiring = useBench((s) => s.wiring);
  return wiring && <ScreenList />;
};

const ScreenList = () => {
  const project = useDisplayedProject();
  const id = useBench((s) => s.pieceId);
  const screens = piecesOf(project, "screen").filter((s) => s.id !== id);
  if (screens.length === 0) return null;
  return (
    <div className="wire-screens" aria-hidden="true">
      {(["", "+"] as const).map((over) => (
        <div key={over}>
          <span>{over ? toolsWords.showAsOverlay2 : toolsWords.goInWirePanel}</span>
          {screens.map((s) => (
            <span key={s.id} className="wire-screen" data-wire-screen={`${over || "-"}${s.id}`}>
              {s.name}
            </span>
          ))}
        </div>
      ))}
    </div>
  );
};

/** Asks what sets off a wire that was just drawn, and how widely it holds; Enter makes the rule. */
export const WirePanel = () => {
  const wired = useBench((s) => s.wired);
  return wired && <WireForm key={JSON.stringify(wired)} wired={wired} />;
};

const WireForm = ({ wired }: { wired: Wired }) => {
  const workpiece = useWorkpiece();
  const project = useDisplayedProject();
  const piece = usePiece();
  const endWire = useBench((s) => s.endWire);
  const last = lastWiring(piece);
  const scopes = wireScopes(piece, wired.from, wired.to, wired.layers);
  const [trigger, setTrigger] = useState<Trigger | null>(null);
  const [undo, setUndo] = useState<boolean | null>(null);
  const [picked, setPicked] = useState<number | null>(null);
  const effects = wireEffects(piece, wired.from, wired.to);
  const [motion, setMotion] = useState(() => nextMotion(piece, effects));
  const chosen = picked ?? scopes.findIndex((s) => s.usual);
  const set = trigger ?? last.trigger;
  const contact = isContact(set.type);
  const usual = set.type === last.trigger.type ? last.undo : usuallyUndone(set.type);
  const undone = undo ?? usual;
  const close = () => endWire(null);
  const make = () => {
    const made = workpiece.make((_, now) =>
      wire(now, wired.layers, {
        trigger: set,
        when: scopes[chosen]?.when ?? {},
        effects,
        motion,
        undo: contact && undone,
      }),
    );
    if (made) workpiece.state.showRules(made.ids);
    close();
  };
  const names = wired.layers
    .map((id) => (id === ROOT ? toolsWords.wholePiece : (piece.layers[id]?.name ?? "")))
    .join(", ");
  return (
    <Panel
      label={toolsWords.addRule}
      width={380}
      height={204 + scopes.length * 25}
      at={wired}
      onKeyDown={(e) => {
        e.stopPropagation();
        if (e.key === "Escape") close();
        else if (e.key === "Enter" && !(e.target instanceof HTMLButtonElement)) make();
      }}
    >
      <div className="panel-body wire-panel">
        <p>
          <b>{names}</b>{" "}
          <Pick
            label={toolsWords.trigger}
            value={set.type}
            options={wireTriggers.map((t) => ({
              value: t,
              words: t === "delay" ? toolsWords.delayed : triggerText(t),
            }))}
            onPick={(type) => setTrigger(withTime.includes(type) ? { type, ms: 500 } : { type })}
          />
          {withTime.includes(set.type) && (
            <>
              {" "}
              <NumberPart
                said={set}
                name="ms"
                label={toolsWords.milliseconds}
                usual={500}
                min={0}
                max={600_000}
                step={50}
                unit={units.ms}
                onChange={setTrigger}
              />
            </>
          )}{" "}
          <span className="arrow">→</span>{" "}
          {effects.map((e) => effectText(project, piece, e)).join(", ")}
        </p>
        <fieldset>
          <legend className="caption">{toolsWords.applies}</legend>
          {scopes.map((s, i) => (
            <Form.Label
              key={JSON.stringify(s.when)}
              className="check"
              title={s.covers.map((v) => variantName(piece, v)).join(" · ")}
            >
              <Form.Check.Input
                type="radio"
                name="wire-scope"
                autoFocus={i === chosen}
                checked={i === chosen}
                onChange={() => setPicked(i)}
              />
              {conditionText(piece, s.when)
                ? toolsWords.while(conditionText(piece, s.when))
                : toolsWords.everyVariant}{" "}
              <span className="quiet">{s.covers.length}</span>
            </Form.Label>
          ))}
        </fieldset>
        <div className="sentence">
          {contact && (
            <Button
              variant="word"
              active={undone}
              aria-pressed={undone}
              onClick={() => setUndo(!undone)}
            >
              {undone ? toolsWords.revertsWhenEnds : toolsWords.staysAfterwards}
            </Button>
          )}
          <MotionPart motion={motion} onChange={setMotion} />
        </div>
      </div>
      <div className="panel-foot">
        <Button size="sm" variant="link" onClick={close}>
          {toolsWords.cancel}
        </Button>
        <Button size="sm" onClick={make}>
          {toolsWords.createRule}
        </Button>
      </div>
    </Panel>
  );
};
