import { useMemo } from "react";
import { Button } from "react-bootstrap";
import { Link } from "react-router";
import type { Id } from "#core/basics";
import type { Report } from "#core/system";
import { useSession } from "../../session/context";
import { BeforeAfter } from "../BeforeAfter";
import { sceneOf } from "../scenes";
import { editionsWords } from "../words";
import type { Outcome } from "./useReport";

type Changed = Report["pieces"][number];

interface RowProps {
  readonly outcome: Outcome;
  readonly changed: Changed;
  readonly onTakeOver: (piece: Id) => void;
}

const Row = ({ outcome, changed, onTakeOver }: RowProps) => {
  const session = useSession();
  const { env, before, after, report } = outcome;
  const piece = before.pieces[changed.piece];
  const scenes = useMemo(() => {
    const [shown] = changed.shown;
    if (!shown) return null;
    const at = { piece: changed.piece, ...shown };
    return [
      sceneOf(env, { project: before, ...at }),
      sceneOf(env, { project: after, ...at }),
    ] as const;
  }, [env, before, after, changed]);
  if (!piece) return null;
  const copies = report.copies.filter(({ copy }) => copy.piece === piece.id);
  return (
    <li className="screen-row">
      <div>
        <h2>
          <Link to={`/projects/${session.id}/pieces/${piece.id}`}>{piece.name}</Link>
        </h2>
        <ul className="difference-list">
          {copies.map(({ copy }) => (
            <li key={copy.layer}>{piece.layers[copy.layer]?.name}</li>
          ))}
        </ul>
        <Button size="sm" variant="outline-primary" onClick={() => onTakeOver(piece.id)}>
          {editionsWords.takeOverHere}
        </Button>
      </div>
      {scenes && (
        <BeforeAfter
          before={scenes[0]}
          after={scenes[1]}
          high={420}
          label={editionsWords.beforeAfterPlace(piece.name)}
        />
      )}
    </li>
  );
};

interface Props {
  readonly outcome: Outcome;
  readonly onTakeOver: (piece: Id) => void;
}

/** The project's pieces that look otherwise, each before and after, to be taken over alone. */
export const ByScreen = ({ outcome, onTakeOver }: Props) => (
  <ul className="difference-rows">
    {outcome.report.pieces.map((changed) => (
      <Row key={changed.piece} outcome={outcome} changed={changed} onTakeOver={onTakeOver} />
    ))}
  </ul>
);
