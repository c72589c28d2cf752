import { z } from "zod";
import { looksIn } from "../looks/cascade";
import { childrenOf } from "../looks/tree";
import { boundValue } from "../looks/tokens";
import { set } from "../project/change";
import type { Change, Op } from "../project/change";
import { byOrder, newId, orderAfter } from "../project/ids";
import { declarationsSchema, tables } from "../project/schema";
import { BASE } from "../project/types";
import type {
  Asset,
  Condition,
  Id,
  Layer,
  LayerChanges,
  Piece,
  Project,
  Variant,
} from "../project/types";
import { lookFor } from "../looks/scope";
import { property } from "../properties/registry";
import { isBound } from "../properties/types";
import { freeName } from "./pieces";
import { subtree, topmost } from "./layers";

/** Copied layers: with what every look says about them, for the piece they come from, and how they looked, for others. */
export interface Clip {
  readonly kind: "nubble-layers";
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
}

const clipSchema = z.strictObject({
  kind: z.literal("nubble-layers"),
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
});

/** Copies layers and what is inside them, as they are in a variant and in all others. */
export const copyLayers = (
  projectId: string,
  project: Project,
  piece: Piece,
  variant: Variant,
  ids: readonly Id[],
): Clip => {
  const tops = topmost(piece, ids)
    .map((id) => piece.layers[id] as Layer)
    .sort(byOrder)
    .map((l) => l.id);
  const all = tops.flatMap((id) => subtree(piece, id));
  const chosen = new Set(all);
  const layers = all.map((id) => {
    const l = piece.layers[id] as Layer;
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
            ? boundValue(project.tokens, entry.type, said)
            : said;
        if (value !== undefined) (flat[id] ??= {})[key] = value;
        note(said);
      }
  return {
    kind: "nubble-layers",
    project: projectId,
    piece: piece.id,
    layers,
    looks,
    flat,
    assets: [...used].map((id) => project.assets[id] as Asset),
  };
};

/** Reads a clip from text; null when it is none. What is wrong inside is refused when it is pasted. */
export const readClip = (text: string): Clip | null => {
  try {
    const read = clipSchema.safeParse(JSON.parse(text));
    return read.success ? (read.data as unknown as Clip) : null;
  } catch {
    return null;
  }
};

/** Puts copied layers on top of a parent's children, `by` px further on; in the piece they come from with all their looks. */
export const pasteClip = (
  projectId: string,
  project: Project,
  piece: Piece,
  clip: Clip,
  parent: Id,
  by: number,
): { change: Change; ids: Id[] } => {
  const twin = new Map(clip.layers.map((l) => [l.id, newId()]));
  const at = ["pieces", piece.id];
  const ops: Op[] = [];
  const ids: Id[] = [];
  const names = Object.values(piece.layers).map((l) => l.name);
  const stack: Layer[] = [...(childrenOf(piece).get(parent) ?? [])];
  for (const asset of clip.assets)
    if (!project.assets[asset.id]) ops.push(set(["assets", asset.id], asset));
  for (const layer of clip.layers) {
    const id = twin.get(layer.id) as Id;
    const top = layer.parent === null;
    const name = freeName(layer.name, names);
    names.push(name);
    const next: Layer = {
      ...layer,
      id,
      name,
      parent: top ? parent : (twin.get(layer.parent) ?? parent),
      order: top ? orderAfter(stack) : layer.order,
    };
    if (top) {
      stack.push(next);
      ids.push(id);
    }
    ops.push(set([...at, "layers", id], next));
  }
  const tops = new Set(clip.layers.filter((l) => l.parent === null).map((l) => l.id));
  const moved = (id: Id, changes: LayerChanges): LayerChanges =>
    tops.has(id) && by
      ? {
          ...changes,
          ...(typeof changes.x === "number" ? { x: changes.x + by } : {}),
          ...(typeof changes.y === "number" ? { y: changes.y + by } : {}),
        }
      : changes;
  const home = clip.project === projectId && clip.piece === piece.id;
  const looks = home ? clip.looks : [{ when: {}, changes: clip.flat }];
  for (const { when, changes } of looks) {
    const known = Object.keys(when).every((t) => piece.traits[t]);
    const look = known ? lookFor(piece, when) : undefined;
    const lookId = look?.id ?? (Object.keys(when).length === 0 ? BASE : newId());
    if (!known) continue;
    const own = Object.fromEntries(
      Object.entries(changes).map(([id, c]) => [twin.get(id) ?? id, moved(id, c)]),
    );
    if (look || lookId === BASE)
      for (const [id, c] of Object.entries(own))
        ops.push(set([...at, "looks", lookId, "changes", id], c));
    else
      ops.push(
        set([...at, "looks", lookId], {
          id: lookId,
          when,
          order: orderAfter(Object.values(piece.looks)),
          changes: own,
        }),
      );
  }
  return {
    ids,
    change: {
      label:
        ids.length === 1
          ? `Paste ${clip.layers[0]?.name ?? "layer"}`
          : `Paste ${ids.length} layers`,
      ops,
    },
  };
};
