import { Button } from "react-bootstrap";
import { Link } from "react-router";
import type { Id } from "#core/basics";
import type { PieceFate } from "#core/history";
import type { Project } from "#core/project";
import { Thumbnail } from "../parts/shown/Thumbnail";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import type { Moment } from "./moment";
import { historyPageWords } from "./words";

interface SideProps {
  readonly label: string;
  readonly project: Project;
  readonly piece: Id;
}

const Side = ({ label, project, piece }: SideProps) => (
  <figure className="moment-side">
    <figcaption className="quiet small-text">{label}</figcaption>
    <span className="tile-picture">
      {project.pieces[piece] ? (
        <Thumbnail project={project} piece={piece} />
      ) : (
        <span className="quiet">{historyPageWords.notThere}</span>
      )}
    </span>
  </figure>
);

interface Props {
  readonly moment: Moment;
  readonly piece: Id;
  readonly fate: PieceFate;
  readonly onRestore: () => void;
}

/** A piece then and now, and what became of it. */
export const MomentPiece = ({ moment, piece, fate, onRestore }: Props) => {
  const session = useSession();
  const now = useDisplayedProject();
  const name = (moment.world.pieces[piece] ?? now.pieces[piece])?.name ?? "";
  return (
    <li className="moment-piece">
      <div className="moment-piece-head">
        <h3>{name}</h3>
        <span className="quiet small-text">{historyPageWords.fate(fate)}</span>
        <span className="push" />
        {fate !== "made" && (
          <Link
            to={`/projects/${session.id}/at/${moment.seq}/pieces/${piece}`}
            aria-label={historyPageWords.openNamed(name)}
          >
            {historyPageWords.open}
          </Link>
        )}
        <Button
          size="sm"
          variant="outline-primary"
          aria-label={historyPageWords.restoreNamed(name)}
          onClick={onRestore}
        >
          {historyPageWords.restorePiece}
        </Button>
      </div>
      <div className="moment-sides">
        <Side label={historyPageWords.then} project={moment.world} piece={piece} />
        <Side label={historyPageWords.now} project={now} piece={piece} />
      </div>
    </li>
  );
};
