import { entryOf } from "../basics";
import type { Id } from "../basics";
import { adoptionOf, inOrder, innerId, qualified } from "../project";
import type { Adoption, Piece, Project, Theme, Token, TokenGroup, TraitValue } from "../project";
import type { Asset } from "../properties";
import { kindsOf } from "./kinds";
import { Renaming } from "./renaming";

/** The contents of editions by their hash, as far as they are there. */
export type Editions = ReadonlyMap<string, Project>;

/** What a project sees of an edition, called by the adoption that brings it. */
type Part = Pick<Project, "pieces" | "tokens" | "groups" | "themes" | "assets">;

/** By which adoption the themes of each system are called, whichever edition they come from. */
type Systems = ReadonlyMap<Id, Id>;

interface Placed {
  readonly prefix: Id;
  /** under which its components and tokens are listed */
  readonly heading: string;
  readonly system: Id;
  readonly content: Project;
}

/** What a system is called by who adopts it: with the number where it is adopted twice. */
const headingOf = ({ id, system, name, number }: Adoption, all: readonly Adoption[]): string =>
  all.some((other) => other.system === system && other.id !== id) ? `${name} ${number}` : name;

interface Within {
  readonly prefix: Id | null;
  readonly heading: string;
  readonly editions: ReadonlySet<string>;
}
const OUTERMOST: Within = { prefix: null, heading: "", editions: new Set() };

const under = (heading: string, name: string): string =>
  [heading, name].filter((part) => part !== "").join("/");

/**
 * So many editions a project can see, each counted once for every way it is adopted. Systems that
 * adopt one another many times over would be more than any computer can hold.
 */
export const MOST_SEEN = 100;

/** Editions that a project sees or would see, each once for every way it is adopted. */
export const countSeen = (
  { adoptions }: Pick<Project, "adoptions">,
  editions: Editions,
): number => {
  const counts = new Map<string, number>();
  const count = (table: Readonly<Record<Id, Adoption>>): number =>
    Object.values(table).reduce((sum, { edition }) => {
      const content = editions.get(edition);
      return sum + entryOf(counts, edition, () => 1 + (content ? count(content.adoptions) : 0));
    }, 0);
  return count(adoptions);
};

/** Every edition that a project sees, each once for every way it is adopted. */
const placed = (
  adoptions: Readonly<Record<Id, Adoption>>,
  editions: Editions,
  within = OUTERMOST,
  room = { left: MOST_SEEN },
): Placed[] => {
  const all = inOrder(adoptions);
  return all.flatMap((adoption) => {
    const { id, system, edition } = adoption;
    const content = editions.get(edition);
    // editions are named by what they hold, so that none can hold itself
    if (!content || within.editions.has(edition) || room.left <= 0) return [];
    room.left--;
    const prefix = within.prefix === null ? id : qualified(within.prefix, id);
    const heading = under(within.heading, headingOf(adoption, all));
    const inner = { prefix, heading, editions: new Set([...within.editions, edition]) };
    const deeper = placed(content.adoptions, editions, inner, room);
    return [{ prefix, heading, system, content }, ...deeper];
  });
};

/** Editions that a project would see and that are not there, by their hash. */
export const missingEditions = (
  { adoptions }: Pick<Project, "adoptions">,
  editions: Editions,
): readonly string[] => {
  const missing = new Set<string>();
  const seen = new Set<string>();
  const look = (table: Readonly<Record<Id, Adoption>>): void => {
    for (const { edition } of Object.values(table)) {
      if (seen.has(edition)) continue;
      seen.add(edition);
      const content = editions.get(edition);
      if (content) look(content.adoptions);
      else missing.add(edition);
    }
  };
  look(adoptions);
  return [...missing];
};

const systemsOf = (all: readonly Placed[]): Systems => {
  const systems = new Map<Id, Id>();
  for (const { prefix, system } of all) entryOf(systems, system, () => prefix);
  return systems;
};

/** What a theme is called that an edition speaks of: its own, or one of what it adopts itself. */
const themeNamed = ({ system, content }: Placed, systems: Systems, id: Id): Id => {
  const via = adoptionOf(id);
  const from = via === null ? system : content.adoptions[via]?.system;
  const known = from === undefined ? undefined : systems.get(from);
  return qualified(known ?? "gone", via === null ? id : innerId(id));
};

const parts = new WeakMap<Project, Map<string, Part>>();

const named = (placing: Placed, systems: Systems): string =>
  JSON.stringify([placing.prefix, placing.heading, placing.system, ...systems]);

const renamedTable = <T extends { readonly id: Id }>(
  table: Readonly<Record<Id, T>>,
  to: (record: T) => T,
): Readonly<Record<Id, T>> =>
  Object.fromEntries(
    Object.values(table).map((record) => {
      const next = to(record);
      return [next.id, next] as const;
    }),
  );

/** An edition as one sees it that adopts it; the same object each time. */
const partOf = (placing: Placed, systems: Systems): Part => {
  const { prefix, heading, content } = placing;
  const known = entryOf(parts, content, () => new Map<string, Part>());
  return entryOf(known, named(placing, systems), () => {
    const called = (id: Id): Id => qualified(prefix, id);
    const renaming = new Renaming(
      {
        piece: called,
        token: called,
        group: called,
        asset: called,
        theme: (id) => themeNamed(placing, systems, id),
      },
      kindsOf(content),
    );
    const grouped = <T extends { readonly group?: string | undefined }>(record: T): T => ({
      ...record,
      group: under(heading, record.group ?? ""),
    });
    const headed = (group: TokenGroup): TokenGroup => ({
      ...renaming.group(group),
      name: under(heading, group.name),
    });
    return {
      pieces: renamedTable<Piece>(content.pieces, (piece) => grouped(renaming.piece(piece))),
      tokens: renamedTable(content.tokens, (token) => grouped(renaming.token(token))),
      groups: renamedTable(content.groups, headed),
      themes: renamedTable(content.themes, renaming.theme),
      assets: renamedTable(content.assets, renaming.asset),
    };
  });
};

const withValues = (first: Theme, then: Theme): Theme => {
  const values: Readonly<Record<Id, TraitValue>> = { ...then.values, ...first.values };
  return { ...first, values };
};

/** Themes of several editions of one system: what the first says, and the values of all. */
const joinedThemes = (all: readonly Part["themes"][]): Part["themes"] => {
  const joined: Record<Id, Theme> = {};
  for (const theme of all.flatMap((themes) => Object.values(themes))) {
    const known = joined[theme.id];
    joined[theme.id] = known ? withValues(known, theme) : theme;
  }
  return joined;
};

type Table<T> = Readonly<Record<Id, T>>;

const joined = <T>(tables: readonly Table<T>[]): Table<T> =>
  Object.fromEntries(tables.flatMap((table) => Object.entries(table)));

const seen = new WeakMap<object, WeakMap<Editions, Part>>();

/** All that a project's adoptions bring; the same object for as long as they are the same. */
const adoptedBy = ({ adoptions }: Project, editions: Editions): Part =>
  entryOf(
    entryOf(seen, adoptions, () => new WeakMap<Editions, Part>()),
    editions,
    () => {
      const placings = placed(adoptions, editions);
      const systems = systemsOf(placings);
      const all = placings.map((placing) => partOf(placing, systems));
      return {
        pieces: joined(all.map((part) => part.pieces)),
        tokens: joined(all.map((part) => part.tokens)),
        groups: joined(all.map((part) => part.groups)),
        assets: joined(all.map((part) => part.assets)),
        themes: joinedThemes(all.map((part) => part.themes)),
      };
    },
  );

/** Two tables as one; the same object for the same two. */
const joiner = <T>(): ((own: Table<T>, adopted: Table<T>) => Table<T>) => {
  const known = new WeakMap<Table<T>, WeakMap<Table<T>, Table<T>>>();
  return (own, adopted) =>
    entryOf(
      entryOf(known, own, () => new WeakMap<Table<T>, Table<T>>()),
      adopted,
      () => ({
        ...adopted,
        ...own,
      }),
    );
};
const together = {
  pieces: joiner<Piece>(),
  tokens: joiner<Token>(),
  groups: joiner<TokenGroup>(),
  themes: joiner<Theme>(),
  assets: joiner<Asset>(),
};

const worlds = new WeakMap<Project, WeakMap<Editions, Project>>();

/**
 * A project with all that it has adopted: what is read, where the project itself is written. An
 * edition that is not there brings nothing. The same object for the same project and editions.
 */
export const worldOf = (project: Project, editions: Editions): Project => {
  if (Object.keys(project.adoptions).length === 0) return project;
  const known = entryOf(worlds, project, () => new WeakMap<Editions, Project>());
  return entryOf(known, editions, () => {
    const adopted = adoptedBy(project, editions);
    return {
      ...project,
      pieces: together.pieces(project.pieces, adopted.pieces),
      tokens: together.tokens(project.tokens, adopted.tokens),
      groups: together.groups(project.groups, adopted.groups),
      themes: together.themes(project.themes, adopted.themes),
      assets: together.assets(project.assets, adopted.assets),
    };
  });
};
