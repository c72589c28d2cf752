import { useState } from "react";
import { Dropdown } from "react-bootstrap";
import { Link, useNavigate } from "react-router";
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
import { UndoButtons } from "../session/parts/UndoButtons";
import { UndoNotice } from "../session/parts/UndoNotice";
import { afterMenu } from "../ui/afterMenu";
import { NameField } from "../ui/NameField";
import { Notice } from "../ui/Notice";
import { SaveMark } from "../session/parts/SaveMark";
import { Thumbnail } from "../parts/Thumbnail";
import { AllRehearsals } from "../rehearsals/AllRehearsals";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";

/** A piece that was just duplicated, and how many rules came along. */
interface Duplicated {
  readonly id: string;
  readonly of: string;
  readonly rules: number;
}

const Tile = ({
  piece,
  start,
  onRemoved,
  onDuplicated,
}: {
  piece: Piece;
  start: boolean;
  onRemoved: (name: string) => void;
  onDuplicated: (made: Duplicated) => void;
}) => {
  const session = useSession();
  const project = useDisplayedProject();
  const [renaming, setRenaming] = useState(false);
  const variants = variantsOf(piece).length;
  const rules = Object.keys(piece.rules).length;
  const to = `/projects/${session.id}/pieces/${piece.id}`;
  return (
    <li className="tile-item">
      <Link to={to} className="tile" aria-label={`Open ${piece.name}`}>
        <span className="tile-picture">
          <Thumbnail project={project} piece={piece.id} />
        </span>
      </Link>
      <div className="tile-foot">
        {renaming ? (
          <NameField
            value={piece.name}
            label="Name"
            onDone={(name) => {
              setRenaming(false);
              if (name) session.edit(renamePiece(piece.id, name));
            }}
          />
        ) : (
          <Link to={to} className="tile-name" tabIndex={-1}>
            {piece.name}
          </Link>
        )}
        <Dropdown align="end">
          <Dropdown.Toggle
            as="button"
            type="button"
            className="tool small"
            aria-label={`More for ${piece.name}`}
          >
            …
          </Dropdown.Toggle>
          <Dropdown.Menu>
            <Dropdown.Item
              as="button"
              type="button"
              onClick={() => afterMenu(() => setRenaming(true))}
            >
              Rename
            </Dropdown.Item>
            {piece.kind === "screen" && !start && (
              <Dropdown.Item
                as="button"
                type="button"
                onClick={() => {
                  session.edit(setStart(project, piece.id));
                }}
              >
                Start the prototype here
              </Dropdown.Item>
            )}
            <Dropdown.Item
              as="button"
              type="button"
              onClick={() => {
                const made = duplicatePiece(project, piece, true);
                if (session.edit(made.change)) onDuplicated({ id: made.id, of: piece.name, rules });
              }}
            >
              Duplicate
            </Dropdown.Item>
            <Dropdown.Item
              as="button"
              type="button"
              onClick={() => {
                if (session.edit(removePiece(project, piece.id))) onRemoved(piece.name);
              }}
            >
              Remove
            </Dropdown.Item>
          </Dropdown.Menu>
        </Dropdown>
      </div>
      <span className="quiet small-text">
        {variants} variant{variants === 1 ? "" : "s"}, {rules} rule{rules === 1 ? "" : "s"}
        {start && " · start of the prototype"}
      </span>
    </li>
  );
};

/** All pieces of a project. */
export default function Overview() {
  const session = useSession();
  const project = useDisplayedProject();
  const navigate = useNavigate();
  const [renaming, setRenaming] = useState(false);
  const [removed, setRemoved] = useState<string | null>(null);
  const [duplicated, setDuplicated] = useState<Duplicated | null>(null);
  /** Takes the rules out of the duplicate again. */
  const withoutRules = ({ id }: Duplicated) => {
    const twin = session.project.pieces[id];
    if (twin) session.edit(removeRules(twin, Object.keys(twin.rules)));
  };
  const make = (kind: Piece["kind"]) => {
    const made = addPiece(project, kind, kind === "component" ? "Component" : "Screen");
    if (session.edit(made.change)) void navigate(`/projects/${session.id}/pieces/${made.id}`);
  };
  const start = startScreen(project);
  const sections = [
    {
      kind: "component" as const,
      title: "Components",
      empty:
        "Nothing here yet. A component is a part that is used again and again: a switch, a tab, a card.",
    },
    {
      kind: "screen" as const,
      title: "Screens",
      empty:
        "No screens yet. A screen holds copies of components, and its rules lead to other screens.",
    },
  ];
  return (
    <>
      <header className="bar">
        <Link to="/" className="brand">
          Nubble
        </Link>
        <nav className="crumbs" aria-label="Where you are">
          {renaming ? (
            <NameField
              value={project.name}
              label="Name of the project"
              onDone={(name) => {
                setRenaming(false);
                if (name) session.edit({ label: `Rename to ${name}`, ops: [set(["name"], name)] });
              }}
            />
          ) : (
            <button
              type="button"
              className="plain-name strong"
              title="Rename"
              onClick={() => setRenaming(true)}
            >
              {project.name}
            </button>
          )}
        </nav>
        <UndoButtons />
        <SaveMark />
        <span className="flex-grow-1" />
        <Link className="tool" to={`/projects/${session.id}/system`}>
          System
        </Link>
        {start && (
          <Link className="btn btn-primary btn-sm px-3" to={`/projects/${session.id}/play`}>
            Play
          </Link>
        )}
      </header>
      <main className="page">
        {sections.map((s) => {
          const pieces = piecesOf(project, s.kind);
          return (
            <section key={s.kind} aria-labelledby={`${s.kind}-title`}>
              <div className="page-head">
                <h1 className="h5 m-0" id={`${s.kind}-title`}>
                  {s.title}
                </h1>
                <button
                  type="button"
                  className="btn btn-sm btn-outline-primary"
                  onClick={() => make(s.kind)}
                >
                  New {s.kind}
                </button>
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
        <Notice
          key={duplicated.id}
          text={
            duplicated.rules
              ? `${duplicated.of} was duplicated with its ${duplicated.rules === 1 ? "rule" : `${duplicated.rules} rules`}.`
              : `${duplicated.of} was duplicated.`
          }
          {...(duplicated.rules
            ? { action: { label: "Without them", run: () => withoutRules(duplicated) } }
            : {})}
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
