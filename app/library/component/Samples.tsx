import { useMemo, useState } from "react";
import { Button } from "react-bootstrap";
import { addSample, moveSample, removeSample, setSample } from "#core/edit";
import { STAGE, stagedSample } from "#core/library";
import { advices, inOrder } from "#core/project";
import type { Change, Piece, Sample } from "#core/project";
import { Given } from "../../parts/Given";
import { useGround } from "../../parts/shown/ground";
import { Running } from "../../parts/shown/Running";
import { useSession } from "../../session/context";
import { useDisplayedProject } from "../../session/displayed";
import { DraftField } from "../../ui/fields/DraftField";
import { Pick } from "../../ui/fields/Pick";
import { SortItem, SortList } from "../../ui/SortList";
import { Tool } from "../../ui/Tool";
import { libraryWords } from "../words";

interface Props {
  readonly piece: Piece;
  readonly onNote: (text: string) => void;
}

interface OneProps extends Props {
  readonly sample: Sample;
  readonly number: number;
}

/** One sample: the component as it is given, running, with what is said of it. */
const One = ({ piece, sample, number, onNote }: OneProps) => {
  const session = useSession();
  const project = useDisplayedProject();
  const ground = useGround();
  const [isOpen, setOpen] = useState(false);
  const { values } = sample;
  const staged = useMemo(
    () => stagedSample(project, piece.id, values),
    [project, piece.id, values],
  );
  const command = (change: (present: Piece) => Change) =>
    session.run((now) => {
      const present = now.pieces[piece.id];
      return present?.samples[sample.id] && change(present);
    });
  const name = sample.caption || libraryWords.sample(number);
  return (
    <SortItem id={sample.id} name={name} as="li" className={`sample-card ${sample.advice}`}>
      {(grip) => (
        <>
          <div className="library-stage" style={ground}>
            <Running
              key={JSON.stringify(values)}
              project={staged}
              piece={STAGE}
              label={libraryWords.running(name)}
            />
          </div>
          <div className="sample-line">
            {grip}
            <Pick
              label={libraryWords.adviceOf}
              value={sample.advice}
              options={advices.map((a) => ({ value: a, words: libraryWords.advice[a] }))}
              onPick={(advice) => command((p) => setSample(p, sample.id, { advice }))}
            />
            <Tool
              aria-expanded={isOpen}
              title={libraryWords.changeValues}
              onClick={() => setOpen(!isOpen)}
            >
              {isOpen ? libraryWords.done : libraryWords.set}
            </Tool>
            <Tool
              icon="close"
              iconSize={12}
              label={libraryWords.deleteSample}
              onClick={() => {
                if (command((p) => removeSample(p, sample.id))) onNote(libraryWords.deletedSample);
              }}
            />
          </div>
          <DraftField
            rows={2}
            className="sample-caption"
            label={libraryWords.caption}
            placeholder={libraryWords.noCaption}
            maxLength={300}
            value={sample.caption}
            onChange={(caption) => command((p) => setSample(p, sample.id, { caption }))}
          />
          {isOpen && (
            <Given
              component={piece.id}
              values={values}
              onChange={(next) => command((p) => setSample(p, sample.id, { values: next }))}
            />
          )}
        </>
      )}
    </SortItem>
  );
};

/** Running samples beside one another: how it is used, and how it is not. */
export const Samples = ({ piece, onNote }: Props) => {
  const session = useSession();
  const samples = inOrder(piece.samples);
  const add = () =>
    session.make((now) => {
      const present = now.pieces[piece.id];
      return present && addSample(present, { advice: "do" });
    });
  const move = (id: string, index: number) =>
    session.run((now) => {
      const present = now.pieces[piece.id];
      return present && moveSample(present, id, index);
    });
  return (
    <>
      {samples.length === 0 && <p className="quiet">{libraryWords.noSamples}</p>}
      <ul className="sample-cards">
        <SortList ids={samples.map((s) => s.id)} onMove={move}>
          {samples.map((sample, i) => (
            <One key={sample.id} piece={piece} sample={sample} number={i + 1} onNote={onNote} />
          ))}
        </SortList>
      </ul>
      <Button size="sm" variant="outline-primary" onClick={add}>
        {libraryWords.addSample}
      </Button>
    </>
  );
};
