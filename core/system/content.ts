import canonicalize from "canonicalize";
import type { Id } from "../basics";
import { FORMAT } from "../project";
import type { Piece, Project } from "../project";
import type { Asset } from "../properties";

const used = (pieces: readonly Piece[]): string => JSON.stringify(pieces);

/**
 * The files of a system: all but those that screens alone show. A file is known by its id, which
 * stands in quotes wherever something names it.
 */
const filesOf = (assets: Project["assets"], pieces: readonly Piece[]): readonly Asset[] => {
  const inComponents = used(pieces.filter((p) => p.kind === "component"));
  const onScreens = used(pieces.filter((p) => p.kind === "screen"));
  const names = (text: string, id: Id): boolean => text.includes(JSON.stringify(id));
  return Object.values(assets).filter(({ id }) => names(inComponents, id) || !names(onScreens, id));
};

const table = <T extends { readonly id: Id }>(records: readonly T[]): Readonly<Record<Id, T>> =>
  Object.fromEntries(
    [...records].sort((a, b) => (a.id < b.id ? -1 : 1)).map((record) => [record.id, record]),
  );

/**
 * What an edition of a project holds: its components, tokens, themes and files, and the systems it
 * uses itself. Screens are the project's own.
 */
export const contentOf = (project: Project): Project => {
  const pieces = Object.values(project.pieces);
  return {
    format: FORMAT,
    name: project.name,
    start: null,
    pieces: table(pieces.filter((p) => p.kind === "component")),
    tokens: table(Object.values(project.tokens)),
    groups: table(Object.values(project.groups)),
    themes: table(Object.values(project.themes)),
    assets: table(filesOf(project.assets, pieces)),
    adoptions: table(Object.values(project.adoptions)),
  };
};

/**
 * What an edition holds as text: the same for the same content (RFC 8785, JSON Canonicalization
 * Scheme).
 */
export const canonical = (content: Project): string => canonicalize(content) ?? "";
