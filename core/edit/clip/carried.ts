import type { Id } from "../../basics";
import {
  ROOT,
  adoptionOf,
  inOrder,
  innerId,
  isOwn,
  newId,
  orderAfter,
  qualified,
  same,
  set,
  tableEntry,
} from "../../project";
import type { LayerChanges, Op, Piece, Project, Theme, Token } from "../../project";
import type { Asset } from "../../properties";
import { Renaming, kindsOf, ownPieces, ownRecords } from "../../world";
import type { Names } from "../../world";
import { freeName } from "../pieces";
import type { Clip } from "./clip";

/** A component that copied layers show, where it is from. */
export interface Carried {
  /** as the copied layers name it */
  readonly id: Id;
  readonly name: string;
  /** the system it is from: a project, and how that calls it */
  readonly system: Id;
  readonly inner: Id;
}

/** What carried records are called here. */
type Called = ReadonlyMap<Id, Id>;

const systemOf = (clip: Clip, id: Id): Id | undefined => {
  const via = adoptionOf(id);
  return via === null ? clip.project : clip.parts?.adoptions[via]?.system;
};

/** What a record of a clip is called here that a system brings which is adopted here, too. */
const adoptedAs = (
  project: Project,
  clip: Clip,
  table: "pieces" | "tokens" | "themes" | "assets",
  id: Id,
): Id | undefined => {
  const system = systemOf(clip, id);
  const inner = isOwn(id) ? id : innerId(id);
  return inOrder(project.adoptions)
    .filter((adoption) => adoption.system === system)
    .map((adoption) => qualified(adoption.id, inner))
    .find((here) => Object.hasOwn(project[table], here));
};

const shownIn = (clip: Clip): ReadonlySet<Id> => {
  const said = Object.values(clip.flat).map((changes) => changes["component"]);
  return new Set(said.filter((id) => typeof id === "string").filter((id) => id !== ""));
};

/** The components of a clip from another project that nothing here brings. */
export const strangersIn = (projectId: Id, project: Project, clip: Clip): readonly Carried[] => {
  if (clip.project === projectId || !clip.parts) return [];
  return [...shownIn(clip)].flatMap((id): Carried[] => {
    const piece = tableEntry(clip.parts?.pieces ?? {}, id);
    const system = systemOf(clip, id);
    if (!piece || system === undefined || system === projectId) return [];
    if (adoptedAs(project, clip, "pieces", id) !== undefined) return [];
    return [{ id, name: piece.name, system, inner: isOwn(id) ? id : innerId(id) }];
  });
};

const clipCalled = (clip: Clip, names: Names): Clip => {
  const renaming = new Renaming(names, kindsOf(clip.parts ?? { pieces: {}, assets: {} }));
  const flat: Record<Id, LayerChanges> = {};
  for (const [layer, changes] of Object.entries(clip.flat)) flat[layer] = renaming.changes(changes);
  return { ...clip, flat };
};

const namesOf = (called: Record<keyof Names, Called>): Names => ({
  piece: (id) => called.piece.get(id) ?? id,
  token: (id) => called.token.get(id) ?? id,
  theme: (id) => called.theme.get(id) ?? id,
  asset: (id) => called.asset.get(id) ?? id,
  group: (id) => id,
});

const adoptedNames = (projectId: Id, project: Project, clip: Clip): Names => {
  const here = (table: "pieces" | "tokens" | "themes" | "assets") => (id: Id) => {
    // what comes home is called as it always was
    if (systemOf(clip, id) === projectId) return isOwn(id) ? id : innerId(id);
    return adoptedAs(project, clip, table, id) ?? id;
  };
  return {
    piece: here("pieces"),
    token: here("tokens"),
    theme: here("themes"),
    asset: here("assets"),
    group: (id) => id,
  };
};

/** A clip from another project that names what systems bring as it is called here. */
export const clipHere = (projectId: Id, project: Project, clip: Clip): Clip =>
  clip.project === projectId ? clip : clipCalled(clip, adoptedNames(projectId, project, clip));

const sameFile = (a: Asset, b: Asset): boolean => {
  const { id: _a, ...one } = a;
  const { id: _b, ...two } = b;
  return same(one, two);
};

const sameTheme = (a: Theme, b: Theme): boolean =>
  a.name === b.name && same(Object.keys(a.values), Object.keys(b.values));

/** What of a table is here already, by the id it is carried under; all else gets an id of its own. */
const calledIn = <T extends { readonly id: Id }>(
  here: Readonly<Record<Id, T>>,
  carried: Readonly<Record<Id, T>>,
  isSame: (here: T, carried: T) => boolean,
  adopted: (id: Id) => Id | undefined,
): { called: Called; fresh: readonly T[] } => {
  const called = new Map<Id, Id>();
  const fresh: T[] = [];
  for (const record of Object.values(carried)) {
    const known =
      adopted(record.id) ?? Object.values(here).find((other) => isSame(other, record))?.id;
    called.set(record.id, known ?? newId());
    if (known === undefined) fresh.push(record);
  }
  return { called, fresh };
};

const grouped = <T extends { readonly group?: string | undefined }>({ group: _, ...rest }: T) =>
  rest;

/** A carried component as the project's own, after the others. */
const asOwn = (piece: Piece, beside: readonly Piece[]): Piece => {
  const names = beside.map((p) => p.name);
  const name = freeName(piece.name, names);
  const root = piece.layers[ROOT];
  return {
    ...grouped(piece),
    name,
    order: orderAfter(beside),
    layers: root ? { ...piece.layers, [ROOT]: { ...root, name } } : piece.layers,
  };
};

/**
 * Brings the components of a clip along: copies of them with all they are made of become the
 * project's own. What the project has already is used: equal tokens, themes and files, and what its
 * adopted systems bring. The clip names them as they are called then.
 */
export const bringAlong = (
  project: Project,
  clip: Clip,
): { readonly ops: readonly Op[]; readonly clip: Clip } => {
  const { parts } = clip;
  if (!parts) return { ops: [], clip };
  const adopted = (table: "pieces" | "tokens" | "themes" | "assets") => (id: Id) =>
    adoptedAs(project, clip, table, id);
  const never = () => false;
  const pieces = calledIn<Piece>(project.pieces, parts.pieces, never, adopted("pieces"));
  const assets = calledIn<Asset>(project.assets, parts.assets, sameFile, adopted("assets"));
  const themes = calledIn<Theme>(
    ownRecords(project.themes),
    parts.themes,
    sameTheme,
    adopted("themes"),
  );
  const tokens = calledIn<Token>(
    ownRecords(project.tokens),
    parts.tokens,
    (a, b) => a.type === b.type && a.name === b.name && same(a.value, b.value),
    adopted("tokens"),
  );
  const names = namesOf({
    piece: pieces.called,
    token: tokens.called,
    theme: themes.called,
    asset: assets.called,
    group: new Map(),
  });
  const renaming = new Renaming(names, kindsOf(parts));
  const own = [...ownPieces(project)];
  for (const piece of pieces.fresh) own.push(asOwn(renaming.piece(piece), own));
  const made = own.slice(own.length - pieces.fresh.length);
  const ops = [
    ...assets.fresh.map(renaming.asset).map((asset) => set(["assets", asset.id], asset)),
    ...themes.fresh.map(renaming.theme).map((theme) => set(["themes", theme.id], theme)),
    ...tokens.fresh.map(renaming.token).map((token) => set(["tokens", token.id], token)),
    ...made.map((piece) => set(["pieces", piece.id], piece)),
  ];
  return { ops, clip: clipCalled(clip, names) };
};
