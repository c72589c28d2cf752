import type { Id } from "../basics";
import { BASE, FORMAT, ROOT, inOrder, isOwn, newId, orderAfter, remove, set } from "../project";
import type { Change, OverlayStyle, Piece, Project } from "../project";
import type { Value } from "../properties";
import { editWords } from "./words";

/** A change that makes something, and the id of what it makes. */
export interface Made {
  readonly change: Change;
  readonly id: Id;
}

/** Device sizes offered for screens; px. */
const devices = [
  { name: editWords.phone, width: 390, height: 844 },
  { name: editWords.smallPhone, width: 360, height: 640 },
  { name: editWords.tablet, width: 820, height: 1180 },
  { name: editWords.desktop, width: 1280, height: 800 },
] as const;

/** An empty project. */
export const emptyProject = (name: string): Project => ({
  format: FORMAT,
  name,
  start: null,
  pieces: {},
  tokens: {},
  groups: {},
  themes: {},
  adoptions: {},
  assets: {},
});

/**
 * A new piece with nothing but its root layer; components are as large as what will lie in them,
 * screens phone-sized and white.
 */
export const newPiece = (
  kind: Piece["kind"],
  name: string,
  order: string,
  id: Id = newId(),
): Piece => {
  const base: Record<string, Value> =
    kind === "screen"
      ? { width: devices[0].width, height: devices[0].height, fill: "#ffffff", clip: true }
      : { widthMode: "fit", heightMode: "fit" };
  return {
    id,
    kind,
    name,
    order,
    traits: {},
    rules: {},
    options: {},
    signals: {},
    notes: {},
    rehearsals: {},
    accepted: {},
    samples: {},
    reference: null,
    layers: { [ROOT]: { id: ROOT, kind: "box", name, parent: null, order: "a0" } },
    looks: { [BASE]: { id: BASE, when: {}, order: "a0", changes: { [ROOT]: base } } },
  };
};

/** A name not yet taken by the given ones: "Switch", then "Switch 2", then "Switch 3". */
export const freeName = (wanted: string, taken: readonly string[]): string => {
  const lower = new Set(taken.map((t) => t.toLowerCase()));
  if (!lower.has(wanted.toLowerCase())) return wanted;
  const base = wanted.replace(/ \d+$/, "");
  for (let n = 2; ; n++) if (!lower.has(`${base} ${n}`.toLowerCase())) return `${base} ${n}`;
};

export const addPiece = (project: Project, kind: Piece["kind"], name: string): Made => {
  const pieces = Object.values(project.pieces);
  const piece = newPiece(
    kind,
    freeName(
      name,
      pieces.map((p) => p.name),
    ),
    orderAfter(pieces),
  );
  return {
    id: piece.id,
    change: { label: editWords.new(kind, piece.name), ops: [set(["pieces", piece.id], piece)] },
  };
};

/** A copy of a piece after the others, with its rules and rehearsals or with its looks alone. */
export const duplicatePiece = (project: Project, piece: Piece, withRules: boolean): Made => {
  const all = Object.values(project.pieces);
  const name = freeName(
    piece.name,
    all.map((p) => p.name),
  );
  const id = newId();
  const root = piece.layers[ROOT];
  const twin: Piece = {
    ...piece,
    id,
    name,
    order: orderAfter(all),
    layers: root ? { ...piece.layers, [ROOT]: { ...root, name } } : piece.layers,
    ...(withRules ? {} : { rules: {}, rehearsals: {}, accepted: {} }),
  };
  return {
    id,
    change: { label: editWords.duplicate(piece.name), ops: [set(["pieces", id], twin)] },
  };
};

export const removePiece = (project: Project, id: Id): Change => ({
  label: editWords.delete(project.pieces[id]?.name),
  ops: [remove(["pieces", id])],
});

/** Renames a piece and its root layer, which stands for it. */
export const renamePiece = (id: Id, name: string): Change => ({
  label: editWords.rename(name),
  ops: [set(["pieces", id, "name"], name), set(["pieces", id, "layers", ROOT, "name"], name)],
});

export const setStart = (project: Project, screen: Id): Change => ({
  label: editWords.setStartScreen(project.pieces[screen]?.name),
  ops: [set(["start"], screen)],
});

/** How a screen lies over others when it is opened there. */
export const setOverlay = (piece: Piece, overlay: OverlayStyle): Change => ({
  label: editWords.changeOverlay,
  ops: [set(["pieces", piece.id, "overlay"], overlay)],
});

/** The pieces of a kind in order. */
export const piecesOf = (project: Project, kind: Piece["kind"]): Piece[] =>
  inOrder(project.pieces).filter((p) => p.kind === kind);

/** The pieces of a kind that a project has made itself, in order. */
export const ownPiecesOf = (project: Project, kind: Piece["kind"]): Piece[] =>
  piecesOf(project, kind).filter(({ id }) => isOwn(id));

/** The screen a prototype starts on: the chosen one, else the first; null without screens. */
export const startScreen = (project: Project): Piece | null => {
  const chosen = project.start === null ? undefined : project.pieces[project.start];
  return chosen?.kind === "screen" ? chosen : (piecesOf(project, "screen")[0] ?? null);
};

const placedIn = new WeakMap<object, ReadonlySet<Id>>();

/**
 * The components that a piece places somewhere in some variant; kept for as long as its looks are
 * the same.
 */
const placedBy = (piece: Piece): ReadonlySet<Id> => {
  const known = placedIn.get(piece.looks);
  if (known) return known;
  const placed = new Set<Id>();
  for (const look of Object.values(piece.looks))
    for (const c of Object.values(look.changes))
      if (typeof c.component === "string") placed.add(c.component);
  placedIn.set(piece.looks, placed);
  return placed;
};

/**
 * Whether `outer` shows `inner` in some variant, at any depth: placing outer inside inner would
 * never end. Looks at each piece once.
 */
export const contains = (project: Project, outer: Id, inner: Id): boolean => {
  const seen = new Set<Id>();
  const waiting: Id[] = [outer];
  for (let id = waiting.pop(); id !== undefined; id = waiting.pop()) {
    if (id === inner) return true;
    const piece = project.pieces[id];
    if (!piece || seen.has(id)) continue;
    seen.add(id);
    waiting.push(...placedBy(piece));
  }
  return false;
};

const isPlaceable = (project: Project, component: Piece, outer: Id): boolean =>
  component.kind === "component" && !contains(project, component.id, outer);

/** Whether there is any component that can be placed in a piece. */
export const anyPlaceable = (project: Project, outer: Id): boolean =>
  Object.values(project.pieces).some((c) => isPlaceable(project, c, outer));

/** The components that can be placed in a piece: all that do not contain it; in their order. */
export const placeable = (project: Project, outer: Id): Piece[] =>
  piecesOf(project, "component").filter((c) => isPlaceable(project, c, outer));
