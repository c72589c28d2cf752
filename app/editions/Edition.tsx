import { useMemo, useState } from "react";
import { Button } from "react-bootstrap";
import { Link, useNavigate } from "react-router";
import type { Id } from "#core/basics";
import { groundOf } from "#core/checks";
import { inTheme } from "#core/looks";
import { inOrder, isOwn } from "#core/project";
import type { Project } from "#core/project";
import type { EditionAbout } from "#server";
import { Markdown } from "../parts/Markdown";
import { Running } from "../parts/shown/Running";
import { TileLink } from "../parts/shown/TileLink";
import { LookAt } from "../library/component/LookAt";
import { useSession } from "../session/context";
import { DisplayedContext } from "../session/displayed";
import { Notice } from "../ui/floating/Notice";
import { useEditionWorld } from "./contents";
import { download } from "./download";
import { lackText } from "./lack";
import { editionsWords } from "./words";

interface TilesProps {
  readonly world: Project;
  readonly home: string;
}

/** The components of an edition, running. */
const Tiles = ({ world, home }: TilesProps) => {
  const navigate = useNavigate();
  const ground = { background: groundOf(world) };
  const components = inOrder(world.pieces).filter((p) => p.kind === "component" && isOwn(p.id));
  return (
    <ul className="tiles library-tiles">
      {components.map((piece) => (
        <li key={piece.id} className="library-tile plain">
          <div className="library-stage" style={ground}>
            <Running project={world} piece={piece.id} label={editionsWords.running(piece.name)} />
          </div>
          <div className="tile-foot">
            <TileLink
              to={`${home}/${piece.id}`}
              onOpen={(to) => void navigate(to)}
              className="tile-name"
            >
              {piece.name}
            </TileLink>
          </div>
        </li>
      ))}
    </ul>
  );
};

interface Props {
  readonly edition: EditionAbout;
  /** of which component all is shown; null for all components */
  readonly component: Id | null;
}

/** An edition as it was published: every component runs, and can be looked at closely. */
export const Edition = ({ edition, component }: Props) => {
  const session = useSession();
  const shown = useEditionWorld(edition.hash);
  const [note, setNote] = useState<string | null>(null);
  const { number, name, notes, withdrawn } = edition;
  const home = `/projects/${session.id}/system/editions/${number}`;
  const source = useMemo(() => {
    const displayed = inTheme(shown.kind === "there" ? shown.world : session.project, {});
    return { displayed, subscribe: () => () => undefined };
  }, [shown, session]);
  const piece = component === null ? undefined : source.displayed.pieces[component];
  return (
    <>
      <div className="page-head">
        <h1 tabIndex={-1}>
          {component === null ? (
            editionsWords.numberName(number, name)
          ) : (
            <Link to={home}>{editionsWords.numberName(number, name)}</Link>
          )}
          {piece && ` › ${piece.name}`}
        </h1>
        <Button
          size="sm"
          variant="outline-primary"
          onClick={() => void download(session.editions, edition).then(setNote)}
        >
          {editionsWords.download}
        </Button>
      </div>
      {withdrawn !== null && (
        <p className="withdrawn">{editionsWords.withdrawnBecause(withdrawn)}</p>
      )}
      {shown.kind === "coming" && <p className="quiet">{editionsWords.loading}</p>}
      {shown.kind === "lacking" && <p className="refusal">{lackText(shown.lack)}</p>}
      {shown.kind === "there" && (
        <DisplayedContext.Provider value={source}>
          {component === null && notes !== "" && (
            <section className="edition-about" aria-label={editionsWords.notes}>
              <Markdown text={notes} />
            </section>
          )}
          {component === null && <Tiles world={source.displayed} home={home} />}
          {component !== null && piece && <LookAt key={piece.id} piece={piece} />}
          {component !== null && !piece && (
            <p className="page-empty">{editionsWords.noComponent}</p>
          )}
        </DisplayedContext.Provider>
      )}
      {note !== null && <Notice bad text={note} onClose={() => setNote(null)} />}
    </>
  );
};
