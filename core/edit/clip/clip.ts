import { present } from "../../basics";
import { z } from "zod";
import type { Id } from "../../basics";
import { boundValue, childrenOf, lookFor, looksIn } from "../../looks";
import {
  BASE,
  FORMAT,
  byOrder,
  declarationsSchema,
  newId,
  orderAfter,
  readProject,
  set,
  tables,
  upgrade,
  upgradeValue,
} from "../../project";
import type {
  Change,
  Condition,
  Layer,
  LayerChanges,
  Op,
  Piece,
  Project,
  Variant,
} from "../../project";
import { isBound, property } from "../../properties";
import type { Asset } from "../../properties";
import { partsOf } from "../../world";
import { freeName } from "../pieces";
import { movedBy, subtree, topmost } from "../drawing/layers";
import { editWords } from "../words";

/**
 * Copied layers: with what every look says about them, for the piece they come from, and how they
 * looked, for others.
 */
export interface Clip {
  readonly kind: "nubble-layers";
  /** the format its records are written in; without it the first one */
  readonly format?: number | undefined;
  readonly project: string;
  readonly piece: Id;
  readonly layers: readonly Layer[];
  readonly looks: readonly {
    readonly when: Condition;
    readonly changes: Readonly<Record<Id, LayerChanges>>;
  }[];
  /** values in the variant they were copied in, tokens put in */
  readonly flat: Readonly<Record<Id, LayerChanges>>;
  readonly assets: readonly Asset[];
  /** the components that copied layers show, with all they are made of, for other projects */
  readonly parts?: Project | undefined;
}

const tableOf = (raw: object, table: string): Readonly<Record<string, unknown>> => {
  const found: unknown = Object.entries(raw).find(([key]) => key === table)?.[1];
  return typeof found === "object" && found !== null ? { ...found } : {};
};

/** A table under plain ids: adopted records are called as no project may call its own. */
const plainTable = (table: Readonly<Record<string, unknown>>): Record<string, unknown> =>
  Object.fromEntries(
    Object.values(table).map((record, i) => {
      const id = `r${i}`;
      return [id, typeof record === "object" ? { ...record, id } : record];
    }),
  );

const carriedTables = ["pieces", "tokens", "themes", "assets"] as const;

/** Whether something is what a project says of some components. */
const isParts = (raw: unknown): boolean => {
  if (typeof raw !== "object" || raw === null) return false;
  const plain = carriedTables.map((table) => [table, plainTable(tableOf(raw, table))] as const);
  return readProject({ ...raw, ...Object.fromEntries(plain) }).ok;
};

const clipSchema = z.strictObject({
  kind: z.literal("nubble-layers"),
  format: z.int().max(FORMAT, editWords.wasCopiedNewerVersion).optional(),
  project: z.string().max(60),
  piece: z.string().max(60),
  layers: z.array(tables.layers).max(5000),
  looks: z
    .array(
      z.strictObject({
        when: z.record(z.string(), z.array(z.string())),
        changes: declarationsSchema,
      }),
    )
    .max(4096),
  flat: declarationsSchema,
  assets: z.array(z.unknown()).max(500),
  parts: z.custom<Project>((raw) => isParts(raw), editWords.partsNotValid).optional(),
});

/** The components that layers show, for where nobody knows them. */
const carriedBy = (project: Project, flat: Clip["flat"]): Pick<Clip, "parts"> => {
  const shown = Object.values(flat).map((changes) => changes["component"]);
  const ids = shown.filter((id) => typeof id === "string").filter((id) => id in project.pieces);
  return ids.length > 0 ? { parts: partsOf(project, ids) } : {};
};

/** Copies layers and what is inside them, as they are in a variant and in all others. */
export const copyLayers = (
  projectId: string,
  project: Project,
  piece: Piece,
  variant: Variant,
  ids: readonly Id[],
): Clip => {
  const tops = topmost(piece, ids)
    .map((id) => present(piece.layers[id]))
    .sort(byOrder)
    .map((l) => l.id);
  const all = tops.flatMap((id) => subtree(piece, id));
  const chosen = new Set(all);
  const layers = all.map((id) => {
    const l = present(piece.layers[id]);
    return tops.includes(id) ? { ...l, parent: null } : l;
  });
  const only = (changes: Readonly<Record<Id, LayerChanges>>) =>
    Object.fromEntries(Object.entries(changes).filter(([id]) => chosen.has(id)));
  const looks = Object.values(piece.looks)
    .sort(byOrder)
    .map((l) => ({ when: l.when, changes: only(l.changes) }))
    .filter((l) => Object.keys(l.changes).length);
  const flat: Record<Id, Record<string, LayerChanges[string]>> = {};
  const used = new Set<string>();
  const note = (v: unknown): void => {
    if (typeof v === "string" && project.assets[v]) used.add(v);
    else if (typeof v === "object" && v !== null) Object.values(v).forEach(note);
  };
  for (const look of looksIn(piece, variant))
    for (const [id, changes] of Object.entries(only(look.changes)))
      for (const [key, said] of Object.entries(changes)) {
        const entry = property(key);
        const value =
          isBound(said) && entry && key !== "style"
            ? boundValue(project.tokens, entry, said)
            : said;
        if (value !== undefined) (flat[id] ??= {})[key] = value;
        note(said);
      }
  return {
    kind: "nubble-layers",
    format: FORMAT,
    project: projectId,
    piece: piece.id,
    layers,
    looks,
    flat,
    assets: [...used].flatMap((id) => project.assets[id] ?? []),
    ...carriedBy(project, flat),
  };
};

/** A record of a piece, or a part of one, as it would be written today; gone when it is no more. */
const today = <T>(path: readonly string[], value: T, format: number | undefined): T[] => {
  const made = upgradeValue(["pieces", "clip", ...path], value, format);
  // an upgrade makes a record of the same table: it is looked at when it is put in
  return made === undefined ? [] : [made as T];
};

const changesToday = (changes: Clip["flat"], format: number | undefined): Clip["flat"] =>
  today(["looks", "clip", "changes"], changes, format)[0] ?? {};

const clipToday = (clip: Clip): Clip => ({
  ...clip,
  format: FORMAT,
  layers: clip.layers.flatMap((l) => today(["layers", l.id], l, clip.format)),
  looks: clip.looks.map((l) => ({ ...l, changes: changesToday(l.changes, clip.format) })),
  flat: changesToday(clip.flat, clip.format),
  ...(clip.parts ? { parts: upgrade(clip.parts) } : {}),
});

/**
 * Reads a clip from text; null when it is none. What is wrong inside is refused when it is pasted.
 */
export const readClip = (text: string): Clip | null => {
  try {
    const read = clipSchema.safeParse(JSON.parse(text));
    // the schema above says what a clip is; values of properties are looked at when they are put in
    return read.success ? clipToday(read.data as Clip) : null;
  } catch {
    return null;
  }
};

/** Copies of a clip's layers under new ids, the outermost on top of a parent's children. */
const twinsOf = (piece: Piece, clip: Clip, parent: Id): { twin: Map<Id, Id>; layers: Layer[] } => {
  const twin = new Map(clip.layers.map((l) => [l.id, newId()]));
  const names = Object.values(piece.layers).map((l) => l.name);
  const stack: Layer[] = [...(childrenOf(piece).get(parent) ?? [])];
  const layers = clip.layers.map((layer): Layer => {
    const id = present(twin.get(layer.id));
    const name = freeName(layer.name, names);
    names.push(name);
    if (layer.parent !== null) {
      return { ...layer, id, name, parent: twin.get(layer.parent) ?? parent };
    }
    const top = { ...layer, id, name, parent, order: orderAfter(stack) };
    stack.push(top);
    return top;
  });
  return { twin, layers };
};

/**
 * The steps that say of layers what a look of the clip says; none when the piece does not know its
 * traits.
 */
const lookOps = (piece: Piece, when: Condition, changes: Record<Id, LayerChanges>): Op[] => {
  if (!Object.keys(when).every((t) => piece.traits[t])) return [];
  const at = ["pieces", piece.id, "looks"];
  const isBase = Object.keys(when).length === 0;
  const known = lookFor(piece, when)?.id ?? (isBase ? BASE : null);
  if (known !== null) {
    return Object.entries(changes).map(([id, c]) => set([...at, known, "changes", id], c));
  }
  const id = newId();
  return [set([...at, id], { id, when, order: orderAfter(Object.values(piece.looks)), changes })];
};

/**
 * Puts copied layers on top of a parent's children, `by` px further on; in the piece they come from
 * with all their looks.
 */
export const pasteClip = (
  projectId: string,
  project: Project,
  piece: Piece,
  clip: Clip,
  parent: Id,
  by: number,
): { change: Change; ids: Id[] } => {
  const { twin, layers } = twinsOf(piece, clip, parent);
  const tops = new Set(clip.layers.filter((l) => l.parent === null).map((l) => l.id));
  const isHome = clip.project === projectId && clip.piece === piece.id;
  const looks = isHome ? clip.looks : [{ when: {}, changes: clip.flat }];
  const said = looks.flatMap(({ when, changes }) => {
    const own = Object.entries(changes).map(
      ([id, c]) => [twin.get(id) ?? id, tops.has(id) ? movedBy(c, by, by) : c] as const,
    );
    return lookOps(piece, when, Object.fromEntries(own));
  });
  const missing = clip.assets.filter((asset) => !project.assets[asset.id]);
  const ids = clip.layers.filter((l) => l.parent === null).map((l) => present(twin.get(l.id)));
  const words = ids.length === 1 ? (clip.layers[0]?.name ?? "layer") : editWords.layers(ids.length);
  return {
    ids,
    change: {
      label: editWords.paste(words),
      ops: [
        ...missing.map((asset) => set(["assets", asset.id], asset)),
        ...layers.map((layer) => set(["pieces", piece.id, "layers", layer.id], layer)),
        ...said,
      ],
    },
  };
};
