import type { ReactNode } from "react";
import { traitsOf, valuesOf } from "#core/looks";
import type { Piece, Project, Step } from "#core/project";
import { expects, pathText, pieceAtPath, stepText } from "#core/rehearse";
import { Icon } from "../../ui/Icon";
import { NumberField } from "../../ui/NumberField";
import { Pick } from "../../ui/Pick";

/** What of a step can be changed in place; the rest is a sentence. */
const parts = (
  project: Project,
  piece: Piece,
  step: Step,
  onChange: (s: Step) => void,
): ReactNode => {
  switch (step.do) {
    case "wait":
      return (
        <>
          wait{" "}
          <NumberField
            label="Wait in milliseconds"
            value={step.ms}
            min={0}
            max={600_000}
            step={50}
            onChange={(ms) => onChange({ ...step, ms })}
          />{" "}
          ms
        </>
      );
    case "drag":
      return (
        <>
          drag {pathText(project, piece, step.layer)}{" "}
          <NumberField
            label="Pixels to the right"
            value={step.by[0]}
            min={-10_000}
            max={10_000}
            step={10}
            onChange={(x) => onChange({ ...step, by: [x, step.by[1]] })}
          />{" "}
          px across,{" "}
          <NumberField
            label="Pixels down"
            value={step.by[1]}
            min={-10_000}
            max={10_000}
            step={10}
            onChange={(y) => onChange({ ...step, by: [step.by[0], y] })}
          />{" "}
          px down in{" "}
          <NumberField
            label="Time of the drag in milliseconds"
            value={step.ms}
            min={0}
            max={60_000}
            step={20}
            onChange={(ms) => onChange({ ...step, ms })}
          />{" "}
          ms
        </>
      );
    case "trait":
    case "show": {
      const inner = pieceAtPath(project, piece, step.at);
      const trait = inner?.traits[step.trait];
      if (!inner || !trait) break;
      return (
        <>
          {step.do === "trait" ? "expect that" : "switch by hand:"}{" "}
          {step.at ? `${pathText(project, piece, step.at)}: ` : ""}
          <Pick
            label="Trait"
            value={step.trait}
            options={traitsOf(inner).map((t) => ({ value: t.id, words: t.name }))}
            onPick={(id) => {
              const t = inner.traits[id];
              const first = t && valuesOf(t)[0];
              if (first) onChange({ ...step, trait: id, value: first.id });
            }}
          />{" "}
          is
          <Pick
            label="Value"
            value={step.value}
            options={valuesOf(trait).map((v) => ({ value: v.id, words: v.name }))}
            onPick={(value) => onChange({ ...step, value })}
          />
        </>
      );
    }
    case "text":
      return (
        <>
          expect that{" "}
          <input
            className="word"
            aria-label="Text"
            value={step.text}
            size={Math.max(6, step.text.length)}
            onChange={(e) => onChange({ ...step, text: e.target.value })}
          />{" "}
          <Pick
            label="Whether it can be read"
            value={step.shown ? "yes" : "no"}
            options={[
              { value: "yes", words: "can be read" },
              { value: "no", words: "cannot be read" },
            ]}
            onPick={(v) => onChange({ ...step, shown: v === "yes" })}
          />
        </>
      );
    case "layer":
      if (typeof step.value === "number")
        return (
          <>
            expect that the {step.key} of {pathText(project, piece, step.layer)} is{" "}
            <NumberField
              label="Expected value"
              value={step.value}
              min={-100_000}
              max={100_000}
              step={1}
              onChange={(value) => onChange({ ...step, value })}
            />{" "}
            ±{" "}
            <NumberField
              label="Give or take"
              value={step.within}
              min={0}
              max={10_000}
              step={0.5}
              onChange={(within) => onChange({ ...step, within })}
            />
          </>
        );
      break;
    default:
      break;
  }
  return stepText(project, piece, step);
};

/** One step as a sentence, edited in place. */
export const StepLine = ({
  project,
  piece,
  step,
  place,
  state,
  onChange,
  onMove,
  onRemove,
}: {
  project: Project;
  piece: Piece;
  step: Step;
  /** counted from 1 */ place: number;
  state: "plain" | "done" | "failed" | "now";
  onChange: (s: Step) => void;
  onMove: (by: 1 | -1) => void;
  onRemove: () => void;
}) => (
  <li className={`step ${state}${expects(step) ? " expects" : ""}`}>
    <span className="step-place mono">{place}</span>
    <span className="step-words">{parts(project, piece, step, onChange)}</span>
    <span className="rule-tools">
      <button
        type="button"
        className="tool small"
        aria-label="Move step up"
        onClick={() => onMove(-1)}
      >
        <Icon name="up" size={12} />
      </button>
      <button
        type="button"
        className="tool small"
        aria-label="Move step down"
        onClick={() => onMove(1)}
      >
        <Icon name="down" size={12} />
      </button>
      <button type="button" className="tool small" aria-label="Remove step" onClick={onRemove}>
        <Icon name="close" size={12} />
      </button>
    </span>
  </li>
);
