import { useMemo } from "react";
import type { Project } from "#core/project";
import { worldOf } from "#core/world";
import type { Snapshot } from "../session/outside";
import { useFetched } from "./fetched";
import type { Fetched } from "./fetched";

/** A project as it was, with all that it had adopted. */
interface Earlier extends Snapshot {
  readonly editions: Readonly<Record<string, Project>>;
  /** ms since 1970 */
  readonly at: number;
}

/** A moment of a project: what was written, and what is read of it. */
export interface Moment {
  readonly seq: number;
  readonly at: number;
  readonly own: Project;
  readonly world: Project;
}

/** A project as it was after change `seq`; null asks for nothing. */
export const useMoment = (projectId: string, seq: number | null): Fetched<Moment> => {
  const found = useFetched<Earlier>(
    seq === null ? null : `/projects/${projectId}/at/${seq}/project`,
  );
  const value = found.kind === "there" ? found.value : null;
  const moment = useMemo((): Moment | null => {
    if (!value) return null;
    const { seq: number, at, project, editions } = value;
    const world = worldOf(project, new Map(Object.entries(editions)));
    return { seq: number, at, own: project, world };
  }, [value]);
  if (found.kind !== "there") return found;
  return moment ? { kind: "there", value: moment } : { kind: "coming" };
};
