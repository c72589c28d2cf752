import { opsBetween } from "#core/history";
import { FORMAT, newId } from "#core/project";
import type { Project } from "#core/project";
import { keptNow } from "./changes";
import type { KeptChange } from "./changes";

/** What changes are made by that came with a project file. */
const MAKER = "import";

/** A project as it was at a moment that has a name. */
interface Named {
  readonly name: string;
  readonly project: Project;
}

/** A log that leads from one moment of a project to the next. */
interface MadeLog {
  /** what it begins with */
  readonly first: Project;
  readonly changes: readonly KeptChange[];
  /** names by the numbers of changes after which they are */
  readonly named: ReadonlyMap<number, string>;
}

/** Makes a log for a project that comes with named moments, the oldest first. */
export const logOf = (project: Project, moments: readonly Named[]): MadeLog => {
  const first = moments[0]?.project ?? project;
  const changes: KeptChange[] = [];
  const named = new Map<number, string>();
  let before = first;
  const goTo = (next: Project, label: string): void => {
    const ops = opsBetween(before, next);
    before = next;
    if (ops.length === 0) return;
    const base = changes.length;
    const change = { seq: base + 1, base, changeId: newId(), clientId: MAKER, label, ops };
    changes.push(keptNow({ ...change, format: FORMAT }));
  };
  for (const moment of moments) {
    goTo(moment.project, moment.name);
    named.set(changes.length, moment.name);
  }
  goTo(project, project.name);
  return { first, changes, named };
};
