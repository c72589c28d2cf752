import { useMemo, useState } from "react";
import { Button } from "react-bootstrap";
import type { Id } from "#core/basics";
import { startScreen } from "#core/edit";
import { fatesBetween } from "#core/history";
import { same } from "#core/project";
import type { Told } from "#server";
import { useOwnProject, useSession } from "../session/context";
import { UndoNotice } from "../session/parts/UndoNotice";
import { LinkButton } from "../ui/LinkButton";
import { exactTime } from "../ui/time/ago";
import { useMoment } from "./moment";
import type { Moment } from "./moment";
import { MomentName } from "./MomentName";
import { MomentPiece } from "./MomentPiece";
import { Restore } from "./Restore";
import { SittingChanges } from "./SittingChanges";
import { historyPageWords } from "./words";

interface Props {
  readonly seq: number;
  readonly name: string | null;
  /** the sitting it ends, where it is the end of one */
  readonly sitting: Told | null;
  readonly onChoose: (seq: number) => void;
}

/** What is asked to be restored: a piece, or all. */
type Asked = { readonly piece: Id | null };

/** A moment that is there: what is otherwise now, and how to look at it, compare and restore. */
const There = ({ seq, name, sitting, onChoose, moment }: Props & { moment: Moment }) => {
  const session = useSession();
  const now = useOwnProject();
  const [asked, setAsked] = useState<Asked | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const fates = useMemo(() => [...fatesBetween(moment.own, now)], [moment, now]);
  const home = `/projects/${session.id}/at/${seq}`;
  const isSame = useMemo(() => same(moment.own, now), [moment, now]);
  const isPlayable = startScreen(moment.world) !== null;
  return (
    <>
      <div className="page-head">
        <h2>{exactTime(moment.at)}</h2>
        <span className="page-actions">
          <LinkButton size="sm" variant="outline-primary" to={home}>
            {historyPageWords.openBench}
          </LinkButton>
          {isPlayable && (
            <LinkButton size="sm" variant="outline-primary" to={`${home}/play`}>
              {historyPageWords.play}
            </LinkButton>
          )}
          {!isSame && (
            <>
              <LinkButton
                size="sm"
                variant="outline-primary"
                to={`/projects/${session.id}/history/compare?from=${seq}&to=now`}
              >
                {historyPageWords.compareWithNow}
              </LinkButton>
              <Button size="sm" onClick={() => setAsked({ piece: null })}>
                {historyPageWords.restoreAll}
              </Button>
            </>
          )}
        </span>
      </div>
      <MomentName seq={seq} name={name} />
      <p className="quiet">
        {fates.length > 0 && historyPageWords.different(fates.length)}
        {fates.length === 0 && (isSame ? historyPageWords.sameAsNow : historyPageWords.otherwise)}
      </p>
      <ul className="moment-pieces">
        {fates.map(([piece, fate]) => (
          <MomentPiece
            key={piece}
            moment={moment}
            piece={piece}
            fate={fate}
            onRestore={() => setAsked({ piece })}
          />
        ))}
      </ul>
      {sitting && sitting.changes > 1 && (
        <>
          <h3>{historyPageWords.eachChange}</h3>
          <SittingChanges sitting={sitting} chosen={seq} onChoose={onChoose} />
        </>
      )}
      {asked && (
        <Restore
          moment={moment}
          piece={asked.piece}
          onClose={() => setAsked(null)}
          onDone={(what) => {
            setAsked(null);
            setDone(what);
          }}
        />
      )}
      {done !== null && (
        <UndoNotice text={historyPageWords.restored(done)} onClose={() => setDone(null)} />
      )}
    </>
  );
};

/** A moment of the project, once it is loaded. */
export const MomentView = (props: Props) => {
  const session = useSession();
  const found = useMoment(session.id, props.seq);
  if (found.kind === "failed")
    return (
      <p className="page-empty" role="alert">
        {historyPageWords.failed}{" "}
        <Button size="sm" variant="outline-primary" onClick={found.again}>
          {historyPageWords.tryAgain}
        </Button>
      </p>
    );
  if (found.kind === "coming")
    return (
      <p className="quiet page-empty" role="status">
        {historyPageWords.loading}
      </p>
    );
  return <There {...props} moment={found.value} />;
};
