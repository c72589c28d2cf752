import { useDeferredValue, useMemo, useState } from "react";
import { Button, Form } from "react-bootstrap";
import { Link } from "react-router";
import type { Listed } from "#server";
import { ToastPlace } from "../ui/floating/ToastPlace";
import { Notice } from "../ui/floating/Notice";
import { Pick } from "../ui/fields/Pick";
import { useGrowing } from "../ui/growing";
import { ImportProject } from "./ImportProject";
import { NewProject } from "./NewProject";
import { ProjectsBar } from "./ProjectsBar";
import { ProjectTile } from "./ProjectTile";
import type { TileActions } from "./ProjectTile";
import { useProjectsAction } from "./useProjectsAction";
import { projectsWords } from "./words";

const sorts = ["changed", "name", "made"] as const;
type Sort = (typeof sorts)[number];

const orders: Readonly<Record<Sort, (a: Listed, b: Listed) => number>> = {
  changed: (a, b) => b.changedAt - a.changedAt,
  name: (a, b) => a.name.localeCompare(b.name),
  made: (a, b) => b.madeAt - a.madeAt,
};

/** Projects whose names have every word of a query somewhere. */
const fitting = (projects: readonly Listed[], query: string): readonly Listed[] => {
  const words = query.toLocaleLowerCase().split(/\s+/).filter(Boolean);
  return projects.filter(({ name }) => {
    const text = name.toLocaleLowerCase();
    return words.every((word) => text.includes(word));
  });
};

interface Said {
  readonly text: string;
  readonly isBad: boolean;
  /** what can be taken back: a project that was moved to the bin */
  readonly binned?: string;
}

interface Props {
  readonly projects: readonly Listed[];
  /** how many are in the bin */
  readonly binned: number;
  /** when the page was made, ms since 1970 */
  readonly now: number;
  /** why a new project could not be made */
  readonly refusal: string | null;
}

/** All projects: found, sorted, made, named, copied, and moved to the bin. */
export const Projects = ({ projects, binned, now, refusal }: Props) => {
  const [isMaking, setMaking] = useState(refusal !== null);
  const [query, setQuery] = useState("");
  const wanted = useDeferredValue(query).trim();
  const [sort, setSort] = useState<Sort>("changed");
  const [said, setSaid] = useState<Said | null>(null);
  const [refused] = useState(() => (text: string) => setSaid({ text, isBad: true }));
  const { ask } = useProjectsAction(refused);
  const found = useMemo(
    () => fitting(projects, wanted).toSorted(orders[sort]),
    [projects, wanted, sort],
  );
  const count = useGrowing(found.length);
  const does = useMemo(
    (): TileActions => ({
      rename: ({ id }, name) => ask({ intent: "rename", id, name }),
      duplicate: ({ id }) => ask({ intent: "duplicate", id }),
      bin: ({ id, name }) => {
        ask({ intent: "bin", id });
        setSaid({ text: projectsWords.movedToBin(name), isBad: false, binned: id });
      },
    }),
    [ask],
  );
  const undo = said?.binned;
  return (
    <ToastPlace>
      <ProjectsBar />
      <main className="page" id="content">
        <div className="page-head">
          <h1 tabIndex={-1}>{projectsWords.projects}</h1>
          <span className="page-actions">
            <Link to="/bin">{projectsWords.bin(binned)}</Link>
            <ImportProject />
            {!isMaking && (
              <Button size="sm" onClick={() => setMaking(true)}>
                {projectsWords.newProject}
              </Button>
            )}
          </span>
        </div>
        {isMaking && <NewProject refusal={refusal} onCancel={() => setMaking(false)} />}
        {projects.length === 0 && <p className="quiet">{projectsWords.noneYet}</p>}
        {projects.length > 1 && (
          <div className="list-tools" role="search">
            <Form.Control
              type="search"
              value={query}
              aria-label={projectsWords.search}
              placeholder={projectsWords.search}
              onChange={(e) => setQuery(e.target.value)}
            />
            <span className="quiet small-text" role="status">
              {wanted === "" ? "" : projectsWords.found(found.length, projects.length)}
            </span>
            <label className="small-text">
              {projectsWords.sortBy}
              <Pick
                label={projectsWords.sortBy}
                value={sort}
                options={sorts.map((value) => ({ value, words: projectsWords.sorts[value] }))}
                onPick={setSort}
              />
            </label>
          </div>
        )}
        {projects.length > 0 && found.length === 0 && (
          <p className="quiet page-empty">
            {projectsWords.noneFound(wanted)}{" "}
            <Button variant="link" size="sm" onClick={() => setQuery("")}>
              {projectsWords.clearSearch}
            </Button>
          </p>
        )}
        <ul className="tiles">
          {found.slice(0, count).map((listed) => (
            <ProjectTile key={listed.id} listed={listed} now={now} does={does} />
          ))}
        </ul>
      </main>
      {said && (
        <Notice
          key={said.text}
          text={said.text}
          bad={said.isBad}
          action={
            undo === undefined
              ? undefined
              : { label: projectsWords.undo, run: () => ask({ intent: "restore", id: undo }) }
          }
          onClose={() => setSaid(null)}
        />
      )}
    </ToastPlace>
  );
};
