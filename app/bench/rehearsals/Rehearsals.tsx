import { proxy } from "comlink";
import { useState } from "react";
import { Button } from "react-bootstrap";
import type { Id } from "#core/basics";
import { addRehearsal, removeRehearsal, renameRehearsal, setSteps } from "#core/edit";
import type { LayoutEnv } from "#core/layout";
import { ROOT, inOrder } from "#core/project";
import type { Rehearsal, Step } from "#core/project";
import type { Failure } from "#core/rehearse";
import { inspector } from "../../services/inspector";
import { NameField } from "../../ui/fields/NameField";
import { ResultMark } from "../../parts/ResultMark";
import type { Result } from "../../parts/ResultMark";
import { PATIENCE } from "../../session/session";
import {
  useBench,
  useBenchStore,
  useChosen,
  useCommand,
  usePiece,
  usePieceParts,
  useWorkpiece,
} from "../state/context";
import { useDisplayedProject } from "../../session/displayed";
import { AddStep } from "./AddStep";
import { StepLine } from "./StepLine";
import { Tool } from "../../ui/Tool";
import { rehearsalsWords } from "./words";

/** Undefined: it was not run yet. */
const resultOf = (failure: Failure | null | undefined): Result => {
  if (failure === undefined) return "unknown";
  return failure ? "failed" : "passed";
};

/** Runs rehearsals of a piece now, one or all, without waiting for the bench to come to rest. */
const useRunning = (env: LayoutEnv) => {
  const project = useDisplayedProject();
  const piece = usePiece();
  const store = useBenchStore();
  const [said, setSaid] = useState("");
  const run = async (only: Id | null) => {
    setSaid(rehearsalsWords.running);
    const results: Record<Id, Failure | null> = {};
    const began = performance.now();
    const done = await (
      await inspector(env)
    ).rehearseAll(
      project,
      [piece.id],
      proxy((_piece: Id, id: Id, failure: Failure | null) => {
        results[id] = failure;
      }),
      only,
    );
    store.getState().rehearsed(results);
    const failing = Object.values(results).filter((f) => f !== null).length;
    const passed = only === null ? rehearsalsWords.allPassed : rehearsalsWords.passed;
    setSaid(
      done
        ? rehearsalsWords.msFailing(
            failing,
            Object.keys(results).length,
            passed,
            performance.now() - began,
          )
        : rehearsalsWords.stopped,
    );
  };
  return { said, run: (only: Id | null) => void run(only) };
};

const Steps = ({
  rehearsal,
  run,
  said,
}: {
  rehearsal: Rehearsal;
  run: () => void;
  said: string;
}) => {
  const command = useCommand();
  const project = useDisplayedProject();
  const piece = usePiece();
  const chosen = useChosen().find((id) => id !== ROOT);
  const failure = useBench((s) => s.inspection?.rehearsals[rehearsal.id]);
  const showing = useBench((s) => s.showing);
  const at = useBench((s) => s.shownStep);
  const show = useBench((s) => s.show);
  const { steps } = rehearsal;
  const keep = (next: readonly Step[], gesture: string | null = null) => {
    command((_, now) => setSteps(now, rehearsal.id, next), gesture, PATIENCE);
  };
  const move = (i: number, by: 1 | -1) => {
    const next = [...steps];
    const [s] = next.splice(i, 1);
    if (s && i + by >= 0 && i + by <= next.length) {
      next.splice(i + by, 0, s);
      keep(next);
    }
  };
  const running = showing?.rehearsal === rehearsal.id;
  const state = (i: number) => {
    if (running) {
      if (i === at) {
        return "now";
      }
      return i < at ? "done" : "plain";
    }
    if (failure) {
      if (i === failure.step) {
        return "failed";
      }
      return i < failure.step ? "done" : "plain";
    }
    return failure === null ? "done" : "plain";
  };
  return (
    <div className="steps">
      {failure && (
        <p className="step-failure" role="alert">
          {rehearsalsWords.stepMs(failure.step, failure.at, failure.why)}
        </p>
      )}
      <ol>
        {steps.map((s, i) => (
          <StepLine
            key={i}
            project={project}
            piece={piece}
            step={s}
            place={i + 1}
            state={state(i)}
            onChange={(next) =>
              keep(
                steps.map((o, k) => (k === i ? next : o)),
                `step ${rehearsal.id} ${i}`,
              )
            }
            onMove={(by) => move(i, by)}
            onRemove={() => keep(steps.filter((_, k) => k !== i))}
          />
        ))}
      </ol>
      {steps.length === 0 && <p className="note padded">{rehearsalsWords.noStepsYetRecord}</p>}
      <div className="rule-add">
        <AddStep piece={piece} chosen={chosen} onAdd={(s) => keep([...steps, s])} />
        <span className="quiet small-text push" role="status">
          {said}
        </span>
        <Button
          variant="link"
          size="sm"
          disabled={steps.length === 0}
          title={rehearsalsWords.runNowWithoutWaiting}
          onClick={run}
        >
          {rehearsalsWords.run}
        </Button>
        <Button
          variant="link"
          size="sm"
          disabled={steps.length === 0}
          onClick={() => show({ steps, rehearsal: rehearsal.id })}
        >
          {rehearsalsWords.playTry}
        </Button>
      </div>
    </div>
  );
};

/** What people do with the piece and what must come of it; run after every edit. */
export const Rehearsals = ({ env }: { env: LayoutEnv }) => {
  const workpiece = useWorkpiece();
  const piece = usePieceParts("rehearsals");
  const results = useBench((s) => s.inspection?.rehearsals);
  const picked = useBench((s) => s.rehearsal);
  const openRehearsal = useBench((s) => s.openRehearsal);
  const [naming, setNaming] = useState<string | null>(null);
  const running = useRunning(env);
  const list = inOrder(piece.rehearsals);
  const open = piece.rehearsals[picked ?? ""] ?? list.find((r) => results?.[r.id]) ?? list[0];
  const add = () => {
    const made = workpiece.make((_, now) => addRehearsal(now, []));
    if (!made) return;
    openRehearsal(made.id);
    setNaming(made.id);
  };
  const failing = list.filter((r) => results?.[r.id]).length;
  return (
    <div className="rehearsals">
      <div className="rehearsal-list">
        {list.length === 0 && (
          <p className="note padded">{rehearsalsWords.rehearsalSequenceActionsResult}</p>
        )}
        <ul>
          {list.map((r) => {
            const result = results?.[r.id];
            return (
              <li key={r.id} className={r.id === open?.id ? "open" : ""}>
                <ResultMark result={resultOf(result)} />
                {naming === r.id ? (
                  <NameField
                    value={r.name}
                    label={rehearsalsWords.rehearsalName}
                    onDone={(name) => {
                      setNaming(null);
                      if (name) workpiece.run((_, now) => renameRehearsal(now, r.id, name));
                    }}
                  />
                ) : (
                  <Button
                    variant="name"
                    className="rehearsal-name"
                    aria-current={r.id === open?.id ? "true" : undefined}
                    title={rehearsalsWords.doubleClickOrF2}
                    onClick={() => openRehearsal(r.id)}
                    onDoubleClick={() => setNaming(r.id)}
                    onKeyDown={(e) => {
                      if (e.key === "F2") {
                        e.preventDefault();
                        e.stopPropagation();
                        setNaming(r.id);
                      }
                    }}
                  >
                    {r.name}
                  </Button>
                )}
                <Tool
                  size="sm"
                  icon="bin"
                  iconSize={12}
                  label={rehearsalsWords.delete(r.name)}
                  onClick={() => workpiece.run((_, now) => removeRehearsal(now, r.id))}
                />
              </li>
            );
          })}
        </ul>
        <div className="rule-add">
          <Button variant="outline-primary" size="sm" onClick={add}>
            {rehearsalsWords.newRehearsal}
          </Button>
          {list.length > 1 && (
            <Button variant="link" size="sm" onClick={() => running.run(null)}>
              {rehearsalsWords.runAll}
            </Button>
          )}
          {list.length > 0 && results && (
            <span className={`small-text ${failing ? "trouble" : "quiet"}`}>
              {failing
                ? rehearsalsWords.failed(failing, list.length)
                : rehearsalsWords.allPassed2(list.length)}
            </span>
          )}
        </div>
      </div>
      {open && (
        <Steps
          key={open.id}
          rehearsal={open}
          run={() => running.run(open.id)}
          said={running.said}
        />
      )}
    </div>
  );
};
