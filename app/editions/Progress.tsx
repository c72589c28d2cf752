import { Button } from "react-bootstrap";
import { ProgressLine } from "../ui/ProgressLine";
import type { Working } from "./useWork";
import { editionsWords } from "./words";

/** How far some work is, and how to end it; or that it ended, and how to begin anew. */
export const Progress = ({ work }: { readonly work: Working<unknown> }) => {
  const { step, failure, isCancelled, cancel, again } = work;
  const over = isCancelled ? editionsWords.cancelled : failure && editionsWords.failed(failure);
  if (over)
    return (
      <p className="work-line" role="status">
        {over}{" "}
        <Button size="sm" variant="outline-primary" onClick={again}>
          {editionsWords.tryAgain}
        </Button>
      </p>
    );
  return (
    <div className="work-line">
      <span role="status">{step ? editionsWords.at(step) : editionsWords.starting}</span>
      <ProgressLine label={editionsWords.progress} now={step?.done ?? 0} max={step?.of ?? 1} />
      <Button size="sm" variant="outline-primary" onClick={cancel}>
        {editionsWords.cancel}
      </Button>
    </div>
  );
};
