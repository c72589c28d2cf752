import { useDeferredValue, useMemo, useState } from "react";
import { Button, Form } from "react-bootstrap";
import { useNavigate } from "react-router";
import { addPiece, libraryGroups, piecesOf } from "#core/edit";
import { copiesOf, searchComponents } from "#core/library";
import type { SystemFinding } from "#core/library";
import type { Piece, Project } from "#core/project";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { UndoNotice } from "../session/parts/UndoNotice";
import { Pick } from "../ui/fields/Pick";
import { Checks } from "./Checks";
import { Groups } from "./Groups";
import { useSystemFindings } from "./findings";
import { libraryWords } from "./words";

const sorts = ["order", "name", "use", "age", "findings"] as const;
type Sort = (typeof sorts)[number];

interface Known {
  readonly project: Project;
  readonly changedAt: Readonly<Record<string, number>>;
  readonly counts: ReadonlyMap<string, number>;
}

/** How many findings each component has of those about all together. */
const countsOf = (findings: readonly SystemFinding[] | null): ReadonlyMap<string, number> => {
  const counts = new Map<string, number>();
  for (const { pieces } of findings ?? [])
    for (const id of pieces) counts.set(id, (counts.get(id) ?? 0) + 1);
  return counts;
};

/** Components by a measure, those with more of it first; equal ones stay as they are. */
const sorted = (pieces: readonly Piece[], sort: Sort, known: Known): readonly Piece[] => {
  if (sort === "order") return pieces;
  if (sort === "name") return pieces.toSorted((a, b) => a.name.localeCompare(b.name));
  const measures = {
    use: (p: Piece) => copiesOf(known.project, p.id),
    age: (p: Piece) => known.changedAt[p.id] ?? 0,
    findings: (p: Piece) => known.counts.get(p.id) ?? 0,
  };
  const measure = measures[sort];
  return pieces.toSorted((a, b) => measure(b) - measure(a));
};

interface Props {
  /** when components were last changed, ms since 1970 */
  readonly changedAt: Readonly<Record<string, number>>;
}

/** Every component of the project, running; searched, grouped, sorted, and checked together. */
export const Library = ({ changedAt }: Props) => {
  const session = useSession();
  const project = useDisplayedProject();
  const navigate = useNavigate();
  const [query, setQuery] = useState("");
  const wanted = useDeferredValue(query);
  const [sort, setSort] = useState<Sort>("order");
  const [note, setNote] = useState<string | null>(null);
  const findings = useSystemFindings();
  const counts = useMemo(() => countsOf(findings), [findings]);
  const all = piecesOf(project, "component");
  const found = useMemo(() => searchComponents(project, wanted), [project, wanted]);
  const isSearched = wanted.trim() !== "";
  // what fits a search best stands first, unless another order is asked for
  const shown = sorted(found, sort, { project, changedAt, counts });
  const make = () => {
    const made = session.make((now) => addPiece(now, "component", libraryWords.component));
    if (made) void navigate(`/projects/${session.id}/pieces/${made.id}`);
  };
  return (
    <>
      <div className="page-head">
        <h1 tabIndex={-1}>{libraryWords.components(project.name)}</h1>
        <Button variant="outline-primary" size="sm" onClick={make}>
          {libraryWords.newComponent}
        </Button>
      </div>
      <div className="list-tools" role="search">
        <Form.Control
          type="search"
          value={query}
          aria-label={libraryWords.search}
          placeholder={libraryWords.searchHint}
          onChange={(e) => setQuery(e.target.value)}
        />
        <span className="quiet small-text" role="status">
          {isSearched ? libraryWords.found(found.length, all.length) : ""}
        </span>
        <label className="small-text">
          {libraryWords.sortBy}
          <Pick
            label={libraryWords.sortBy}
            value={sort}
            options={sorts.map((value) => ({ value, words: libraryWords.sorts[value] }))}
            onPick={setSort}
          />
        </label>
      </div>
      {all.length === 0 && <p className="quiet page-empty">{libraryWords.empty}</p>}
      {all.length > 0 && found.length === 0 && (
        <p className="quiet page-empty">
          {libraryWords.noneFound(wanted.trim())}{" "}
          <Button variant="link" size="sm" onClick={() => setQuery("")}>
            {libraryWords.clearSearch}
          </Button>
        </p>
      )}
      <Groups
        pieces={shown}
        groups={isSearched ? null : libraryGroups(project)}
        counts={counts}
        onNote={setNote}
      />
      {all.length > 0 && <Checks findings={findings} onNote={setNote} />}
      {note !== null && <UndoNotice key={note} text={note} onClose={() => setNote(null)} />}
    </>
  );
};
