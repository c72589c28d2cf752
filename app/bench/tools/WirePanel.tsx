import { isContact } from "#core/machine";
import { useState } from "react";
import { effectText, triggerText } from "#core/describe";
import { lastWiring, piecesOf, wire, wireEffects, wireScopes, wireTriggers } from "#core/edit";
import { conditionText, variantName } from "#core/looks";
import { ROOT } from "#core/project";
import type { Trigger, TriggerType } from "#core/project";
import { Panel } from "../../ui/Panel";
import { useProject, useSession } from "../../session/context";
import { useEdits } from "../state/edits";
import { useBench, usePiece } from "../state/state";
import type { BenchState } from "../state/state";
import { MotionPart } from "../rules/MotionPart";
import { NumberField } from "../../ui/NumberField";
import { Pick } from "../../ui/Pick";

const withTime: readonly TriggerType[] = ["delay", "hold"];

/** Screens one can drop a wire on, shown while one drags. */
export const WireScreens = () => {
  const project = useProject();
  const piece = usePiece();
  const wiring = useBench((s) => s.wiring);
  const screens = piecesOf(project, "screen").filter((s) => s.id !== piece.id);
  if (!wiring || screens.length === 0) return null;
  return (
    <div className="wire-screens" aria-hidden="true">
      {(["", "+"] as const).map((over) => (
        <div key={over}>
          <span>{over ? "open over it" : "go to"}</span>
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

const WireForm = ({ wired }: { wired: NonNullable<BenchState["wired"]> }) => {
  const session = useSession();
  const project = useProject();
  const piece = usePiece();
  const edits = useEdits();
  const put = useBench((s) => s.put);
  const last = lastWiring(piece);
  const scopes = wireScopes(piece, wired.from, wired.to, wired.layers);
  const [trigger, setTrigger] = useState<Trigger | null>(null);
  const [motion, setMotion] = useState(last.motion);
  const [undo, setUndo] = useState<boolean | null>(null);
  const [picked, setPicked] = useState<number | null>(null);
  const effects = wireEffects(piece, wired.from, wired.to);
  const chosen = picked ?? scopes.findIndex((s) => s.usual);
  const set = trigger ?? last.trigger;
  const contact = isContact(set.type);
  const close = () => put({ wired: null });
  const make = () => {
    const made = wire(piece, wired.layers, {
      trigger: set,
      when: scopes[chosen]?.when ?? {},
      effects,
      motion,
      undo: contact && (undo ?? last.undo),
    });
    if (session.edit(made.change)) edits.showRules(made.ids);
    close();
  };
  const names = wired.layers
    .map((id) => (id === ROOT ? "The whole piece" : (piece.layers[id]?.name ?? "")))
    .join(", ");
  return (
    <Panel
      label="New rule"
      width={380}
      height={176 + scopes.length * 25}
      at={wired}
      onKeyDown={(e) => {
        e.stopPropagation();
        if (e.key === "Escape") close();
        else if (e.key === "Enter" && !(e.target instanceof HTMLButtonElement)) make();
      }}
    >
      <div className="panel-body wire-panel">
        <p className="m-0">
          <b>{names}</b>{" "}
          <Pick
            label="Trigger"
            value={set.type}
            options={wireTriggers.map((t) => ({
              value: t,
              words: t === "delay" ? "… after a delay" : triggerText(t),
            }))}
            onPick={(type) => setTrigger(withTime.includes(type) ? { type, ms: 500 } : { type })}
          />
          {withTime.includes(set.type) && (
            <>
              {" "}
              <NumberField
                label="Milliseconds"
                value={set.ms ?? 500}
                min={0}
                max={600_000}
                step={50}
                onChange={(ms) => setTrigger({ ...set, ms })}
              />{" "}
              ms
            </>
          )}{" "}
          <span className="arrow">→</span>{" "}
          {effects.map((e) => effectText(project, piece, e)).join(", ")}
        </p>
        <fieldset>
          <legend className="caption">Where it holds</legend>
          {scopes.map((s, i) => (
            <label
              key={JSON.stringify(s.when)}
              title={s.covers.map((v) => variantName(piece, v)).join(" · ")}
            >
              <input
                type="radio"
                name="wire-scope"
                autoFocus={i === chosen}
                className="form-check-input"
                checked={i === chosen}
                onChange={() => setPicked(i)}
              />{" "}
              {conditionText(piece, s.when)
                ? `while ${conditionText(piece, s.when)}`
                : "in every variant"}{" "}
              <span className="quiet">{s.covers.length}</span>
            </label>
          ))}
        </fieldset>
        <div className="sentence">
          {contact && (
            <button
              type="button"
              className={`word toggle${(undo ?? last.undo) ? " on" : ""}`}
              aria-pressed={undo ?? last.undo}
              onClick={() => setUndo(!(undo ?? last.undo))}
            >
              {(undo ?? last.undo) ? "undone when it ends" : "stays when it ends"}
            </button>
          )}
          <MotionPart motion={motion} onChange={setMotion} />
        </div>
      </div>
      <div className="panel-foot">
        <button type="button" className="btn btn-sm btn-link" onClick={close}>
          Leave it
        </button>
        <button type="button" className="btn btn-sm btn-primary" onClick={make}>
          Make the rule
        </button>
      </div>
    </Panel>
  );
};
