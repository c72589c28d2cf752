import { inOrder } from "../../project";
import type { Project } from "../../project";
import { libraryWords } from "../words";
import { alike } from "./alike";
import { ownMotions } from "./motions";
import { roles } from "./roles";
import { ownStyles } from "./styles";
import { traitNames } from "./traits";
import type { SystemFinding } from "./types";

export { systemChecks } from "./types";
export type { SystemCheck, SystemFinding } from "./types";

/** Components that nothing is written about; all in one finding, as nobody mends them at once. */
const undescribed = (project: Project): readonly SystemFinding[] =>
  inOrder(project.pieces)
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
