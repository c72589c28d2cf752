import { memo, useRef, useState, useSyncExternalStore } from "react";
import { Button, Dropdown } from "react-bootstrap";
import { Link, useNavigate } from "react-router";
import type { Id } from "#core/basics";
import {
  addPiece,
  duplicatePiece,
  piecesOf,
  removePiece,
  removeRules,
  renamePiece,
  setStart,
  startScreen,
} from "#core/edit";
import { variantsOf } from "#core/looks";
import { set } from "#core/project";
import type { Piece } from "#core/project";
import { useGround } from "../parts/shown/ground";
import { Thumbnail } from "../parts/shown/Thumbnail";
import { useNear } from "../parts/shown/useNear";
import { AllRehearsals } from "../rehearsals/AllRehearsals";
import { useSettings } from "../services/settings";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { ProjectBar } from "../session/parts/ProjectBar";
import { ProjectPlaces } from "../session/parts/ProjectPlaces";
import { ThemePicks } from "../session/parts/ThemePicks";
import { UndoNotice } from "../session/parts/UndoNotice";
import { afterMenu } from "../ui/floating/afterMenu";
import { EditableName } from "../ui/fields/EditableName";
import { useBenchMemory } from "../bench/state/memory";
import { NameField } from "../ui/fields/NameField";
import { Notice } from "../ui/floating/Notice";
import { routesWords } from "./words";

/** A piece that was just duplicated, and how many rules came along. */
interface Duplicated {
  readonly id: Id;
  readonly of: string;
  readonly rules: number;
}

interface TileProps {
  readonly piece: Piece;
  /** the prototype starts there */
  readonly start: boolean;
  readonly onRemoved: (name: string) => void;
  readonly onDuplicated: (made: Duplicated) => void;
}

/** What can be done with a piece as a whole. */
const TileMenu = ({
  piece,
  start,
  onRename,
  onRemoved,
  onDuplicated,
}: TileProps & { readonly onRename: () => void }) => {
  const session = useSession();
  const duplicate = () => {
    const made = session.make((project) => {
      const now = project.pieces[piece.id];
      return now && duplicatePiece(project, now, true);
    });
    const rules = Object.keys(piece.rules).length;
    if (made) onDuplicated({ id: made.id, of: piece.name, rules });
  };
  const remove = () => {
    if (session.run((project) => removePiece(project, piece.id))) onRemoved(piece.name);
  };
  const items = [
    { words: routesWords.rename, run: () => afterMenu(onRename) },
    ...(piece.kind === "screen" && !start
      ? [
          {
            words: routesWords.useAsStartScreen,
            run: () => session.run((project) => setStart(project, piece.id)),
          },
        ]
      : []),
    { words: routesWords.duplicate, run: duplicate },
    { words: routesWords.delete, run: remove },
  ];
  return (
    <Dropdown align="end">
      <Dropdown.Toggle variant="tool" size="sm" aria-label={routesWords.actions(piece.name)}>
        …
      </Dropdown.Toggle>
      <Dropdown.Menu>
        {items.map(({ words, run }) => (
          <Dropdown.Item key={words} as="button" type="button" onClick={run}>
            {words}
          </Dropdown.Item>
        ))}
      </Dropdown.Menu>
    </Dropdown>
  );
};

/** A piece; what opens its menu is only there while it is in sight. */
const Tile = memo(function Tile(props: TileProps) {
  const { piece, start } = props;
  const place = useRef<HTMLLIElement>(null);
  const isNear = useNear(place);
  const session = useSession();
  const project = useDisplayedProject();
  const [renaming, setRenaming] = useState(false);
  const ground = useGround();
  const variants = variantsOf(piece).length;
  const rules = Object.keys(piece.rules).length;
  const to = `/projects/${session.id}/pieces/${piece.id}`;
  const named = (name: string | null) => {
    setRenaming(false);
    if (name) session.run(() => renamePiece(piece.id, name));
  };
  return (
    <li ref={place} className="tile-item">
      <Link to={to} className="tile">
        <span className="tile-picture" style={ground}>
          <Thumbnail project={project} piece={piece.id} />
        </span>
        <span className="visually-hidden">{routesWords.open(piece.name)}</span>
      </Link>
      <div className="tile-foot">
        {renaming && <NameField value={piece.name} label={routesWords.name} onDone={named} />}
        {!renaming && isNear && (
          <Link to={to} className="tile-name" tabIndex={-1}>
            {piece.name}
          </Link>
        )}
        {!renaming && !isNear && <span className="tile-name">{piece.name}</span>}
        {isNear && <TileMenu {...props} onRename={() => setRenaming(true)} />}
      </div>
      <span className="quiet small-text">{routesWords.variantRule(variants, rules, start)}</span>
    </li>
  );
});

/** Says that a piece was duplicated with its rules, and offers to leave them out. */
const DuplicatedNotice = ({ made, onClose }: { made: Duplicated; onClose: () => void }) => {
  const session = useSession();
  const { id, of, rules } = made;
  const withoutRules = () =>
    session.run(({ pieces }) => {
      const twin = pieces[id];
      return twin && removeRules(twin, Object.keys(twin.rules));
    });
  return (
    <Notice
      text={rules ? routesWords.duplicatedWith(of, rules) : routesWords.duplicated(of)}
      {...(rules ? { action: { label: routesWords.removeRules, run: withoutRules } } : {})}
      onClose={onClose}
    />
  );
};

const sections = [
  {
    kind: "component",
    title: routesWords.components,
    empty: routesWords.noComponentsYetComponent,
  },
  {
    kind: "screen",
    title: routesWords.screens,
    empty: routesWords.noScreensYetScreen,
  },
] as const;

/** The heading of the page: the project's name, which a click lets one type anew. */
const ProjectName = () => {
  const session = useSession();
  const name = useDisplayedProject((p) => p.name);
  return (
    <h1 className="bar-name" tabIndex={-1}>
      <EditableName
        name={name}
        label={routesWords.projectName}
        className="strong"
        onName={(text) =>
          session.run(() => ({ label: routesWords.renameText(text), ops: [set(["name"], text)] }))
        }
      />
    </h1>
  );
};

/** Offers to build a first part step by step, until somebody has had enough of it. */
const GuideOffer = ({ onStart }: { readonly onStart: () => void }) => {
  const offers = useSettings((s) => s.offersGuide);
  const endGuide = useSettings((s) => s.endGuide);
  const isClient = useSyncExternalStore(
    () => () => undefined,
    () => true,
    () => false,
  );
  if (!isClient || !offers) return null;
  return (
    <section className="guide-offer" aria-labelledby="guide-title">
      <h2 id="guide-title">{routesWords.firstSwitch}</h2>
      <p>{routesWords.eightSteps}</p>
      <p className="actions">
        <Button onClick={onStart}>{routesWords.startGuide}</Button>
        <Button variant="outline-primary" onClick={endGuide}>
          {routesWords.noGuide}
        </Button>
      </p>
    </section>
  );
};

/** All pieces of a project. */
export default function Overview() {
  const session = useSession();
  const project = useDisplayedProject();
  const navigate = useNavigate();
  const memory = useBenchMemory();
  const [removed, setRemoved] = useState<string | null>(null);
  const [duplicated, setDuplicated] = useState<Duplicated | null>(null);
  const home = `/projects/${session.id}`;
  const guide = useSettings((s) => s.guide);
  const make = (kind: Piece["kind"], isGuided = false) => {
    const usual = kind === "component" ? routesWords.component : routesWords.screen;
    const name = isGuided ? routesWords.switch : usual;
    const made = session.make((now) => addPiece(now, kind, name));
    if (!made) return;
    if (isGuided) guide(made.id);
    else memory.made(made.id);
    void navigate(`${home}/pieces/${made.id}`);
  };
  const start = startScreen(project);
  return (
    <>
      <ProjectBar crumbs={[<ProjectName key="project" />]}>
        <ThemePicks />
        <ProjectPlaces here="pieces" />
      </ProjectBar>
      <main className="page" id="content">
        {Object.keys(project.pieces).length === 0 && (
          <GuideOffer onStart={() => make("component", true)} />
        )}
        {sections.map((s) => {
          const pieces = piecesOf(project, s.kind);
          return (
            <section key={s.kind} aria-labelledby={`${s.kind}-title`}>
              <div className="page-head">
                <h2 id={`${s.kind}-title`}>{s.title}</h2>
                <Button variant="outline-primary" size="sm" onClick={() => make(s.kind)}>
                  {routesWords.new(s.kind)}
                </Button>
              </div>
              {pieces.length === 0 ? (
                <p className="quiet page-empty">{s.empty}</p>
              ) : (
                <ul className={`tiles ${s.kind}`}>
                  {pieces.map((p) => (
                    <Tile
                      key={p.id}
                      piece={p}
                      start={p.id === start?.id}
                      onRemoved={setRemoved}
                      onDuplicated={setDuplicated}
                    />
                  ))}
                </ul>
              )}
            </section>
          );
        })}
        <AllRehearsals />
      </main>
      {duplicated && (
        <DuplicatedNotice
          key={duplicated.id}
          made={duplicated}
          onClose={() => setDuplicated(null)}
        />
      )}
      {removed !== null && (
        <UndoNotice
          key={removed}
          text={routesWords.deleted(removed)}
          onClose={() => setRemoved(null)}
        />
      )}
    </>
  );
}
