import type { Id } from "../../basics";
import { innerId } from "../../project";
import type { Piece, Project } from "../../project";
import { OPTION, TRAIT } from "../../properties";
import { ownPieces } from "../../world";
import { copiesOfAdopted } from "../report/copies";

/** How a component is used by those who adopt it. */
export interface ComponentUse {
  /** as it is called in the system */
  readonly component: Id;
  readonly copies: number;
  /** what copies say of it otherwise, and how many do: "option:ID", "trait:ID", or a property */
  readonly overridden: Readonly<Record<string, number>>;
}

/** What is of the copy, wherever it lies, and not of what it shows. */
const isOverride = (key: string): boolean => key.startsWith(OPTION) || key.startsWith(TRAIT);

const saidOf = (piece: Piece, layer: Id): ReadonlySet<string> => {
  const looks = Object.values(piece.looks);
  return new Set(
    looks.flatMap((look) => Object.keys(look.changes[layer] ?? {})).filter(isOverride),
  );
};

/** How a project uses each component that an adoption brings. */
export const usageOf = (project: Project, adoption: Id): readonly ComponentUse[] => {
  const found = new Map<Id, { copies: number; overridden: Record<string, number> }>();
  for (const piece of ownPieces(project))
    for (const { layer, components } of copiesOfAdopted(piece, adoption))
      for (const id of components) {
        const use = found.get(id) ?? { copies: 0, overridden: {} };
        found.set(id, use);
        use.copies++;
        for (const key of saidOf(piece, layer))
          use.overridden[key] = (use.overridden[key] ?? 0) + 1;
      }
  return [...found].map(([id, use]) => ({ component: innerId(id), ...use }));
};

/** The uses of several projects as one. */
export const joinedUses = (all: readonly (readonly ComponentUse[])[]): readonly ComponentUse[] => {
  const joined = new Map<Id, ComponentUse>();
  for (const use of all.flat()) {
    const known = joined.get(use.component);
    const overridden = { ...known?.overridden };
    for (const [key, n] of Object.entries(use.overridden))
      overridden[key] = (overridden[key] ?? 0) + n;
    joined.set(use.component, {
      component: use.component,
      copies: (known?.copies ?? 0) + use.copies,
      overridden,
    });
  }
  return [...joined.values()];
};
