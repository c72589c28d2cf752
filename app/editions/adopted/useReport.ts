import { useMemo } from "react";
import type { Id } from "#core/basics";
import type { LayoutEnv } from "#core/layout";
import { apply, set } from "#core/project";
import type { Adoption, Project } from "#core/project";
import type { Difference, Numbered, Report } from "#core/system";
import { worldOf } from "#core/world";
import type { EditionAbout } from "#server";
import { comparisonOf, reportFor } from "../../services/editions";
import { useEnv } from "../../services/env";
import { useOwnProject } from "../../session/context";
import { useEditions, useEditionWorld } from "../contents";
import type { EditionWorld } from "../contents";
import { useWork } from "../useWork";
import type { Begin, Working } from "../useWork";

/** What is known of another edition's outcome on a project. */
export interface Outcome {
  readonly env: LayoutEnv;
  /** the project as it is, and as it would be */
  readonly before: Project;
  readonly after: Project;
  readonly differences: readonly Difference[];
  readonly report: Report;
}

export interface ReportState {
  readonly outcome: Outcome | null;
  /** what goes on until then */
  readonly work: Working<unknown>;
  /** the edition that cannot be had, if there is one */
  readonly lacking: Extract<EditionWorld, { kind: "lacking" }> | null;
}

const raised = (project: Project, adoption: Adoption, to: EditionAbout): Project =>
  apply(project, [
    set(["adoptions", adoption.id, "edition"], to.hash),
    set(["adoptions", adoption.id, "number"], to.number),
  ]).doc;

/** Works out what another edition would do to the project: first the editions, then the project. */
export const useReport = (adoption: Adoption, to: EditionAbout): ReportState => {
  const known = useEditions();
  const [was, is] = [useEditionWorld(adoption.edition), useEditionWorld(to.hash)];
  const old = was.kind === "there" ? was : null;
  const next = is.kind === "there" ? is : null;
  const env = useEnv(next?.content.assets);
  const own = useOwnProject();
  const worlds = useMemo(
    () =>
      old && next
        ? { before: worldOf(own, known), after: worldOf(raised(own, adoption, to), known) }
        : null,
    [own, known, adoption, to, old, next],
  );
  const compare: Begin<Numbered> | null = useMemo(() => {
    if (!env || !old || !next) return null;
    const earlier = { number: adoption.number, content: old.content };
    return (tell) => comparisonOf(env, known, earlier, next.content, tell);
  }, [env, known, old, next, adoption.number]);
  const comparison = useWork(compare);
  const id: Id = adoption.id;
  const differences = comparison.result?.differences ?? null;
  const report: Begin<Report> | null = useMemo(() => {
    if (!env || !worlds || !differences) return null;
    return (tell) => reportFor(env, { ...worlds, adoption: id }, tell);
  }, [env, worlds, differences, id]);
  const reporting = useWork(report);
  const outcome = useMemo(
    () =>
      env && worlds && differences && reporting.result
        ? { env, ...worlds, differences, report: reporting.result }
        : null,
    [env, worlds, differences, reporting.result],
  );
  const lacking = [was, is].find((side) => side.kind === "lacking") ?? null;
  return { outcome, work: differences ? reporting : comparison, lacking };
};
