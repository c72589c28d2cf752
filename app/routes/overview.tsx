import { useState } from "react";
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
import { Thumbnail } from "../parts/Thumbnail";
import { AllRehearsals } from "../rehearsals/AllRehearsals";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { ProjectBar } from "../session/parts/ProjectBar";
import { UndoNotice } from "../session/parts/UndoNotice";
import { afterMenu } from "../ui/afterMenu";
import { EditableName } from "../ui/EditableName";
import { LinkButton } from "../ui/LinkButton";
import { NameField } from "../ui/NameField";
import { Notice } from "../ui/Notice";

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
    { words: "Rename", run: () => afterMenu(onRename) },
    ...(piece.kind === "screen" && !start
      ? [
          {
            words: "Start the prototype here",
            run: () => session.run((project) => setStart(project, piece.id)),
          },
        ]
      : []),
    { words: "Duplicate", run: duplicate },
    { words: "Remove", run: remove },
  ];
  return (
    <Dropdown align="end">
      <Dropdown.Toggle variant="tool" size="sm" aria-label={`More for ${piece.name}`}>
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

const Tile = (props: TileProps) => {
  const { piece, start } = props;
  const session = useSession();
  const project = useDisplayedProject();
  const [renaming, setRenaming] = useState(false);
  const variants = variantsOf(piece).length;
  const rules = Object.keys(piece.rules).length;
  const to = `/projects/${session.id}/pieces/${piece.id}`;
  const named = (name: string | null) => {
    setRenaming(false);
    if (name) session.run(() => renamePiece(piece.id, name));
  };
  return (
    <li className="tile-item">
      <Link to={to} className="tile" aria-label={`Open ${piece.name}`}>
        <span className="tile-picture">
          <Thumbnail project={project} piece={piece.id} />
        </span>
      </Link>
      <div className="tile-foot">
        {renaming ? (
          <NameField value={piece.name} label="Name" onDone={named} />
        ) : (
          <Link to={to} className="tile-name" tabIndex={-1}>
            {piece.name}
          </Link>
        )}
        <TileMenu {...props} onRename={() => setRenaming(true)} />
      </div>
      <span className="quiet small-text">
        {variants} variant{variants === 1 ? "" : "s"}, {rules} rule{rules === 1 ? "" : "s"}
        {start && " · start of the prototype"}
      </span>
    </li>
  );
};

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
      text={
        rules
          ? `${of} was duplicated with its ${rules === 1 ? "rule" : `${rules} rules`}.`
          : `${of} was duplicated.`
      }
      {...(rules ? { action: { label: "Without them", run: withoutRules } } : {})}
      onClose={onClose}
    />
  );
};

const sections = [
  {
    kind: "component",
    title: "Components",
    empty:
      "Nothing here yet. A component is a part that is used again and again: a switch, a tab, a card.",
  },
  {
    kind: "screen",
    title: "Screens",
    empty:
      "No screens yet. A screen holds copies of components, and its rules lead to other screens.",
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
        label="Name of the project"
        className="strong"
        onName={(text) =>
          session.run(() => ({ label: `Rename to ${text}`, ops: [set(["name"], text)] }))
        }
      />
    </h1>
  );
};

/** All pieces of a project. */
export default function Overview() {
  const session = useSession();
  const project = useDisplayedProject();
  const navigate = useNavigate();
  const [removed, setRemoved] = useState<string | null>(null);
  const [duplicated, setDuplicated] = useState<Duplicated | null>(null);
  const home = `/projects/${session.id}`;
  const make = (kind: Piece["kind"]) => {
    const name = kind === "component" ? "Component" : "Screen";
    const made = session.make((now) => addPiece(now, kind, name));
    if (made) void navigate(`${home}/pieces/${made.id}`);
  };
  const start = startScreen(project);
  return (
    <>
      <ProjectBar crumbs={[<ProjectName key="project" />]}>
        <LinkButton variant="tool" to={`${home}/system`}>
          System
        </LinkButton>
        {start && (
          <LinkButton size="sm" to={`${home}/play`}>
            Play
          </LinkButton>
        )}
      </ProjectBar>
      <main className="page" id="content">
        {sections.map((s) => {
          const pieces = piecesOf(project, s.kind);
          return (
            <section key={s.kind} aria-labelledby={`${s.kind}-title`}>
              <div className="page-head">
                <h2 id={`${s.kind}-title`}>{s.title}</h2>
                <Button variant="outline-primary" size="sm" onClick={() => make(s.kind)}>
                  New {s.kind}
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
          text={`${removed} was removed.`}
          onClose={() => setRemoved(null)}
        />
      )}
    </>
  );
}
