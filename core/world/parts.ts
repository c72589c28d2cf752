import type { Id } from "../basics";
import { adoptionOf, tableEntry } from "../project";
import type { Project } from "../project";
import { kindsOf } from "./kinds";
import { Renaming } from "./renaming";
import type { Names } from "./renaming";

/** What records name: everything that must come along where they go. */
class Closure {
  readonly pieces = new Set<Id>();
  readonly tokens = new Set<Id>();
  readonly themes = new Set<Id>();
  readonly assets = new Set<Id>();
  private readonly renaming: Renaming;

  constructor(private readonly project: Project) {
    const names: Names = {
      piece: (id) => this.piece(id),
      token: (id) => this.token(id),
      theme: (id) => this.note(this.themes, id),
      asset: (id) => this.note(this.assets, id),
      group: (id) => id,
    };
    this.renaming = new Renaming(names, kindsOf(project));
  }

  private note(seen: Set<Id>, id: Id): Id {
    seen.add(id);
    return id;
  }

  /** What is named is taken along when it is a component: screens are only led to. */
  piece(id: Id): Id {
    if (tableEntry(this.project.pieces, id)?.kind === "component") this.take(id);
    return id;
  }

  take(id: Id): void {
    const piece = tableEntry(this.project.pieces, id);
    if (!piece || this.pieces.has(id)) return;
    this.pieces.add(id);
    this.renaming.piece(piece);
  }

  private token(id: Id): Id {
    const token = tableEntry(this.project.tokens, id);
    if (!token || this.tokens.has(id)) return id;
    this.tokens.add(id);
    this.renaming.token(token);
    return id;
  }
}

const only = <T>(table: Readonly<Record<Id, T>>, ids: ReadonlySet<Id>) =>
  Object.fromEntries(Object.entries(table).filter(([id]) => ids.has(id)));

/**
 * Pieces of a project with all they are made of: the components in them, the tokens they follow
 * with their themes, their files, and the adoptions that brought any of it. Screens that they lead
 * to are not among them.
 */
export const partsOf = (project: Project, pieceIds: readonly Id[]): Project => {
  const all = new Closure(project);
  for (const id of pieceIds) all.take(id);
  const { pieces, tokens, themes, assets } = all;
  const used = [...pieces, ...tokens, ...themes, ...assets].map(adoptionOf);
  const adoptions = new Set(used.filter((id) => id !== null));
  return {
    ...project,
    start: null,
    pieces: only(project.pieces, pieces),
    tokens: only(project.tokens, tokens),
    groups: {},
    themes: only(project.themes, themes),
    assets: only(project.assets, assets),
    adoptions: only(project.adoptions, adoptions),
  };
};
