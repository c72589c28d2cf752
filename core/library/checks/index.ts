import { ownPieces } from "../../world";
import { apply } from "../../project";
import type { Change, Op, Project } from "../../project";
import { libraryWords } from "../words";
import { alike } from "./alike";
import { ownMotions } from "./motions";
import { roles } from "./roles";
import { ownStyles } from "./styles";
import { traitNames } from "./traits";
import type { SystemCheck, SystemFinding } from "./types";

export { systemChecks } from "./types";
export type { SystemCheck, SystemFinding } from "./types";

/** Components that nothing is written about; all in one finding, as nobody mends them at once. */
const undescribed = (project: Project): readonly SystemFinding[] =>
  ownPieces(project)
    .filter((p) => p.kind === "component" && !p.about?.description?.trim())
    .map((piece) => ({
      id: `undescribed ${piece.id}`,
      check: "undescribed",
      text: libraryWords.undescribed(piece.name),
      pieces: [piece.id],
      fixes: [],
    }));

/** Everything that could be better about the components of a project taken together. */
export const checkSystem = (project: Project): readonly SystemFinding[] => [
  ...alike(project),
  ...traitNames(project),
  ...roles(project),
  ...ownStyles(project),
  ...ownMotions(project),
  ...undescribed(project),
];

/** What mends a finding in a project as it is now; null where it is no longer found. */
export const fixOf = (project: Project, id: string): Change | null =>
  checkSystem(project).find((f) => f.id === id)?.fixes[0]?.change ?? null;

/** What mends all findings of a kind at once, one after the other; null where nothing can be. */
export const fixAll = (project: Project, check: SystemCheck): Change | null => {
  const ops: Op[] = [];
  let now = project;
  const done = new Set<string>();
  for (;;) {
    const next = checkSystem(now).find(
      (f) => f.check === check && f.fixes.length > 0 && !done.has(f.id),
    );
    const change = next?.fixes[0]?.change;
    if (!next || !change) break;
    done.add(next.id);
    ops.push(...change.ops);
    now = apply(now, change.ops).doc;
  }
  return ops.length > 0 ? { label: libraryWords.fixAll(libraryWords.checks[check]), ops } : null;
};
