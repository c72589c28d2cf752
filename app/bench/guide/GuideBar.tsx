import { useSettings } from "../../services/settings";
import { useDisplayedProject } from "../../session/displayed";
import { Tool } from "../../ui/Tool";
import { useBench, usePiece } from "../state/context";
import { STEPS, stepOf } from "./steps";
import { guideWords } from "./words";
import "./guide.scss";

/** The next step, and how far one is; it follows what is done, in whatever way. */
const Steps = () => {
  const project = useDisplayedProject();
  const piece = usePiece();
  const running = useBench((s) => s.running);
  const endGuide = useSettings((s) => s.endGuide);
  const at = stepOf({ project, piece, running: running?.variant ?? {} });
  const isDone = at === STEPS;
  return (
    <aside className="guide" aria-label={guideWords.guide}>
      <b>{isDone ? guideWords.done : guideWords.step(at, STEPS)}</b>
      <span className="guide-marks" aria-hidden>
        {Array.from({ length: STEPS }, (_, i) => (
          <i key={i} className={i < at ? "done" : ""} />
        ))}
      </span>
      <span role="status">{isDone ? guideWords.works : guideWords.steps[at]}</span>
      <Tool icon="close" size="sm" label={guideWords.end} onClick={endGuide} />
    </aside>
  );
};

/** The guide to a first part, where this piece is the one that is built by it. */
export const GuideBar = () => {
  const id = useBench((s) => s.pieceId);
  const guided = useSettings((s) => s.guided);
  return guided === id ? <Steps /> : null;
};
