import { Button, Modal } from "react-bootstrap";
import type { Id } from "#core/basics";
import { fatesBetween, restoreAll, restorePiece } from "#core/history";
import type { Entry, PieceFate } from "#core/history";
import type { Project } from "#core/project";
import { useOwnProject, useSession } from "../session/context";
import { exactTime } from "../ui/time/ago";
import { useFetched } from "./fetched";
import type { Moment } from "./moment";
import { historyPageWords } from "./words";

/** So many kinds of change are named. */
const FEW = 8;
/** The server tells of no more changes at once. */
const MOST_TOLD = 5000;

const backWords: Readonly<Record<PieceFate, (name: string) => string>> = {
  made: historyPageWords.removed,
  removed: historyPageWords.broughtBack,
  changed: historyPageWords.changedBack,
};

/** Changes by what they are called, the most frequent first. */
const counted = (entries: readonly Entry[]): readonly (readonly [string, number])[] => {
  const counts = new Map<string, number>();
  for (const { label } of entries) counts.set(label, (counts.get(label) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1]);
};

interface UndoneProps {
  readonly since: number;
  readonly piece: Id | null;
}

/** The changes that would be taken back. */
const Undone = ({ since, piece }: UndoneProps) => {
  const session = useSession();
  const found = useFetched<readonly Entry[]>(
    `/projects/${session.id}/history/changes?after=${since}&upTo=${session.seq}`,
  );
  if (found.kind === "coming") return <p className="quiet">{historyPageWords.looking}</p>;
  if (found.kind === "failed") return <p className="refusal">{historyPageWords.cannotTell}</p>;
  const all = found.value;
  const entries = piece === null ? all : all.filter(({ pieces }) => pieces.includes(piece));
  const labels = counted(entries);
  return (
    <>
      <p>
        {all.length < MOST_TOLD
          ? historyPageWords.undoes(entries.length)
          : historyPageWords.undoesNewest(entries.length)}
      </p>
      <ul>
        {labels.slice(0, FEW).map(([label, times]) => (
          <li key={label}>{historyPageWords.times(label, times)}</li>
        ))}
        {labels.length > FEW && <li>{historyPageWords.andMore(labels.length - FEW)}</li>}
      </ul>
    </>
  );
};

interface Props {
  readonly moment: Moment;
  /** null for the whole project */
  readonly piece: Id | null;
  readonly onClose: () => void;
  readonly onDone: (what: string) => void;
}

/** Shows what restoring a moment changes and takes back, and does it. */
export const Restore = ({ moment, piece, onClose, onDone }: Props) => {
  const session = useSession();
  const now = useOwnProject();
  const { own: then, at, seq } = moment;
  const when = exactTime(at);
  const nameOf = (id: Id): string => (then.pieces[id] ?? now.pieces[id])?.name ?? "";
  const what = piece === null ? historyPageWords.theProject : nameOf(piece);
  const changeOf = (project: Project) =>
    piece === null ? restoreAll(project, then, when) : restorePiece(project, then, piece, when);
  const change = changeOf(now);
  const fates = [...fatesBetween(then, now)].filter(([id]) => piece === null || id === piece);
  const restore = () => {
    // what was adopted is not the project's own: only that is restored
    if (session.run(() => changeOf(session.ownProject))) onDone(piece === null ? now.name : what);
    else onClose();
  };
  return (
    <Modal show onHide={onClose} aria-labelledby="restore-title">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="restore-title">
          {historyPageWords.restoreTitle(what)}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {change ? (
          <>
            <p>{historyPageWords.restoreMeans(when)}</p>
            <ul>
              {fates.map(([id, fate]) => (
                <li key={id}>{backWords[fate](nameOf(id))}</li>
              ))}
            </ul>
            <Undone since={seq} piece={piece} />
          </>
        ) : (
          <p>{historyPageWords.nothingToRestore}</p>
        )}
      </Modal.Body>
      <Modal.Footer>
        <Button variant="outline-primary" onClick={onClose}>
          {historyPageWords.cancel}
        </Button>
        {change && (
          <Button autoFocus onClick={restore}>
            {historyPageWords.restore}
          </Button>
        )}
      </Modal.Footer>
    </Modal>
  );
};
