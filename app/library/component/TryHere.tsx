import { useMemo, useState } from "react";
import { Button } from "react-bootstrap";
import { addSample } from "#core/edit";
import { STAGE, stagedSample } from "#core/library";
import type { Piece, Sample } from "#core/project";
import { Given } from "../../parts/Given";
import { useGround } from "../../parts/shown/ground";
import { Running } from "../../parts/shown/Running";
import { useSession } from "../../session/context";
import { useDisplayedProject } from "../../session/displayed";
import { Icon } from "../../ui/Icon";
import { libraryWords } from "../words";

interface Props {
  readonly piece: Piece;
  /** where it can be kept as a sample, what was done is told so */
  readonly onNote?: (text: string) => void;
}

/** The component itself, running, with all it can be given at hand. */
export const TryHere = ({ piece, onNote }: Props) => {
  const session = useSession();
  const project = useDisplayedProject();
  const [values, setValues] = useState<Sample["values"]>({});
  const ground = useGround();
  const [restarts, setRestarts] = useState(0);
  const staged = useMemo(
    () => stagedSample(project, piece.id, values),
    [project, piece.id, values],
  );
  const keep = () => {
    const made = session.make((now) => {
      const present = now.pieces[piece.id];
      return present && addSample(present, { advice: "plain", values });
    });
    if (made) onNote?.(libraryWords.keptAsSample);
  };
  return (
    <section className="try-here" aria-label={libraryWords.tryIt}>
      <div className="library-stage large" style={ground}>
        <Running
          // a trait that is set says how a copy begins
          key={`${restarts} ${JSON.stringify(values)}`}
          project={staged}
          piece={STAGE}
          label={libraryWords.running(piece.name)}
        />
      </div>
      <Given component={piece.id} values={values} onChange={setValues} />
      <p className="actions">
        <Button size="sm" variant="outline-primary" onClick={() => setRestarts(restarts + 1)}>
          <Icon name="restart" size={13} /> {libraryWords.restart}
        </Button>
        {onNote && (
          <Button size="sm" variant="outline-primary" onClick={keep}>
            {libraryWords.keepAsSample}
          </Button>
        )}
      </p>
    </section>
  );
};
