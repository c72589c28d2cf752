import type { Piece, Project, Step } from "#core/project";
import { expects } from "#core/rehearse";
import { Tool } from "../../ui/Tool";
import { StepWords } from "./StepWords";
import { rehearsalsWords } from "./words";

interface Props {
  readonly project: Project;
  readonly piece: Piece;
  readonly step: Step;
  /** counted from 1 */
  readonly place: number;
  readonly state: "plain" | "done" | "failed" | "now";
  readonly onChange: (step: Step) => void;
  readonly onMove: (by: 1 | -1) => void;
  readonly onRemove: () => void;
}

/** One step as a sentence, edited in place. */
export const StepLine = (props: Props) => {
  const { project, piece, step, place, state, onChange, onMove, onRemove } = props;
  return (
    <li className={`step ${state}${expects(step) ? " expects" : ""}`}>
      <span className="step-place mono">{place}</span>
      <span className="step-words">
        <StepWords project={project} piece={piece} step={step} onChange={onChange} />
      </span>
      <span className="rule-tools">
        <Tool
          size="sm"
          icon="up"
          iconSize={12}
          label={rehearsalsWords.moveStepUp(place)}
          onClick={() => onMove(-1)}
        />
        <Tool
          size="sm"
          icon="down"
          iconSize={12}
          label={rehearsalsWords.moveStepDown(place)}
          onClick={() => onMove(1)}
        />
        <Tool
          size="sm"
          icon="close"
          iconSize={12}
          label={rehearsalsWords.removeStep(place)}
          onClick={onRemove}
        />
      </span>
    </li>
  );
};
