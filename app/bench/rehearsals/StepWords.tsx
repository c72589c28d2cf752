import { Form } from "react-bootstrap";
import { traitsOf, valuesOf } from "#core/looks";
import type { Piece, Project, Step } from "#core/project";
import { pathText, pieceAtPath, stepText } from "#core/rehearse";
import { NumberField } from "../../ui/fields/NumberField";
import { Pick } from "../../ui/fields/Pick";
import { units } from "../../ui/units";
import { rehearsalsWords } from "./words";

type StepOf<D extends Step["do"]> = Extract<Step, { readonly do: D }>;

interface Props<S extends Step = Step> {
  readonly project: Project;
  readonly piece: Piece;
  readonly step: S;
  readonly onChange: (step: Step) => void;
}

const Wait = ({ step, onChange }: Props<StepOf<"wait">>) => (
  <>
    {rehearsalsWords.wait}{" "}
    <NumberField
      label={rehearsalsWords.waitMilliseconds}
      value={step.ms}
      min={0}
      max={600_000}
      step={50}
      unit={units.ms}
      onChange={(ms) => onChange({ ...step, ms })}
    />
  </>
);

const Drag = ({ project, piece, step, onChange }: Props<StepOf<"drag">>) => (
  <>
    {rehearsalsWords.drag(pathText(project, piece, step.layer))}{" "}
    <NumberField
      label={rehearsalsWords.pixelsRight}
      value={step.by[0]}
      min={-10_000}
      max={10_000}
      step={10}
      onChange={(x) => onChange({ ...step, by: [x, step.by[1]] })}
    />{" "}
    {rehearsalsWords.pxRight}{" "}
    <NumberField
      label={rehearsalsWords.pixelsDown}
      value={step.by[1]}
      min={-10_000}
      max={10_000}
      step={10}
      onChange={(y) => onChange({ ...step, by: [step.by[0], y] })}
    />{" "}
    {rehearsalsWords.pxDown}{" "}
    <NumberField
      label={rehearsalsWords.timeDragMilliseconds}
      value={step.ms}
      min={0}
      max={60_000}
      step={20}
      unit={units.ms}
      onChange={(ms) => onChange({ ...step, ms })}
    />
  </>
);

const TraitWords = ({ project, piece, step, onChange }: Props<StepOf<"trait" | "show">>) => {
  const inner = pieceAtPath(project, piece, step.at);
  const trait = inner?.traits[step.trait];
  if (!inner || !trait) return stepText(project, piece, step);
  const pickTrait = (id: string) => {
    const next = inner.traits[id];
    const [first] = next ? valuesOf(next) : [];
    if (first) onChange({ ...step, trait: id, value: first.id });
  };
  return (
    <>
      {rehearsalsWords.expectOrShow(step.do, step.at, pathText(project, piece, step.at))}
      <Pick
        label={rehearsalsWords.trait}
        value={step.trait}
        options={traitsOf(inner).map((t) => ({ value: t.id, words: t.name }))}
        onPick={pickTrait}
      />{" "}
      {rehearsalsWords.is}
      <Pick
        label={rehearsalsWords.value}
        value={step.value}
        options={valuesOf(trait).map((v) => ({ value: v.id, words: v.name }))}
        onPick={(value) => onChange({ ...step, value })}
      />
    </>
  );
};

const TextWords = ({ step, onChange }: Props<StepOf<"text">>) => (
  <>
    {rehearsalsWords.expect2}{" "}
    <Form.Control
      className="word"
      aria-label={rehearsalsWords.text}
      value={step.text}
      htmlSize={Math.max(6, step.text.length)}
      onChange={(e) => onChange({ ...step, text: e.target.value })}
    />{" "}
    <Pick
      label={rehearsalsWords.visibility}
      value={step.shown ? "yes" : "no"}
      options={[
        { value: "yes", words: rehearsalsWords.visible2 },
        { value: "no", words: rehearsalsWords.notVisible },
      ]}
      onPick={(v) => onChange({ ...step, shown: v === "yes" })}
    />
  </>
);

const FillWords = ({ project, piece, step, onChange }: Props<StepOf<"fill">>) => (
  <>
    {rehearsalsWords.enter}{" "}
    <Form.Control
      className="word"
      aria-label={rehearsalsWords.text}
      value={step.text}
      maxLength={500}
      htmlSize={Math.max(6, step.text.length)}
      onChange={(e) => onChange({ ...step, text: e.target.value })}
    />{" "}
    {rehearsalsWords.into(pathText(project, piece, step.layer))}
  </>
);

const LayerWords = ({ project, piece, step, onChange }: Props<StepOf<"layer">>) =>
  typeof step.value === "number" ? (
    <>
      {rehearsalsWords.expectBe(step.key, pathText(project, piece, step.layer))}{" "}
      <NumberField
        label={rehearsalsWords.expectedValue}
        value={step.value}
        min={-100_000}
        max={100_000}
        step={1}
        onChange={(value) => onChange({ ...step, value })}
      />{" "}
      ±{" "}
      <NumberField
        label={rehearsalsWords.tolerance}
        value={step.within}
        min={0}
        max={10_000}
        step={0.5}
        onChange={(within) => onChange({ ...step, within })}
      />
    </>
  ) : (
    stepText(project, piece, step)
  );

/** A step as a sentence; what of it can be changed is changed in place. */
export const StepWords = (props: Props) => {
  const { project, piece, step } = props;
  switch (step.do) {
    case "wait":
      return <Wait {...props} step={step} />;
    case "drag":
      return <Drag {...props} step={step} />;
    case "trait":
    case "show":
      return <TraitWords {...props} step={step} />;
    case "text":
      return <TextWords {...props} step={step} />;
    case "fill":
      return <FillWords {...props} step={step} />;
    case "layer":
      return <LayerWords {...props} step={step} />;
    case "answer":
    case "click":
    case "focus":
    case "key":
    case "point":
    case "press":
    case "release":
    case "screen":
    case "scroll":
    case "settle":
    case "tab":
    case "tap":
      return stepText(project, piece, step);
  }
};
