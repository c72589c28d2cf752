import { followMotion, motionGroups } from "../../edit";
import type { Project } from "../../project";
import { motionText } from "../../describe";
import { libraryWords } from "../words";
import type { SystemFinding } from "./types";

/** From this share of the way on two motions are told apart. */
const NEAR = 0.12;

/** Motions of components that follow no token of a system that has such tokens; the nearest is offered. */
export const ownMotions = (project: Project): readonly SystemFinding[] => {
  if (!Object.values(project.tokens).some((t) => t.type === "motion")) return [];
  return motionGroups(project).flatMap((group): SystemFinding[] => {
    const uses = group.uses.filter((use) => project.pieces[use.piece]?.kind === "component");
    const [first] = uses;
    if (group.token || !first) return [];
    const pieces = [...new Set(uses.map((use) => use.piece))];
    const near = group.nearest;
    return [
      {
        id: `own-motion ${group.key}`,
        check: "own-motion",
        text: libraryWords.ownMotion(
          motionText(first.motion),
          pieces.map((id) => project.pieces[id]?.name ?? "").join(", "),
        ),
        pieces,
        fixes:
          near && near.off <= NEAR
            ? [
                {
                  label: libraryWords.follow(near.token.name),
                  change: followMotion(project, uses, near.token),
                },
              ]
            : [],
      },
    ];
  });
};
