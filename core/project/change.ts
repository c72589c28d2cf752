import { z } from "zod";

/** One step of a change, as in JSON Patch (RFC 6902) but addressed by record ids: set a value at a path, or remove it. */
export type Op =
  | { readonly op: "set"; readonly path: readonly string[]; readonly value: unknown }
  | { readonly op: "remove"; readonly path: readonly string[] };

/** What one edit did: its words for the undo menu, and its steps in order. */
export interface Change {
  readonly label: string;
  readonly ops: readonly Op[];
}

export const set = (path: readonly string[], value: unknown): Op => ({ op: "set", path, value });
export const remove = (path: readonly string[]): Op => ({ op: "remove", path });

type Node = Record<string, unknown>;
const isNode = (v: unknown): v is Node => typeof v === "object" && v !== null && !Array.isArray(v);
const own = (node: Node, key: string): boolean => Object.prototype.hasOwnProperty.call(node, key);

const same = (a: unknown, b: unknown): boolean => {
  if (Object.is(a, b)) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const ka = Object.keys(a), kb = Object.keys(b);
  return ka.length === kb.length && ka.every((k) => own(b as Node, k) && same((a as Node)[k], (b as Node)[k]));
};

/** Rebuilds the nodes along a path; returns the same node when nothing changed or the path leads nowhere. */
const alter = (node: Node, path: readonly string[], at: number, edit: (parent: Node, key: string) => Node): Node => {
  const key = path[at] as string;
  if (at === path.length - 1) return edit(node, key);
  const child = own(node, key) ? node[key] : undefined;
  if (!isNode(child)) return node;
  const next = alter(child, path, at + 1, edit);
  return next === child ? node : { ...node, [key]: next };
};

/**
 * Applies steps in order with structural sharing, and returns the steps that undo them.
 * A step whose record is gone (somebody removed it meanwhile) does nothing; so does one that changes nothing.
 */
export const apply = <T extends object>(doc: T, ops: readonly Op[]): { doc: T; inverse: Op[] } => {
  const inverse: Op[] = [];
  let root = doc as unknown as Node;
  for (const op of ops) {
    if (op.path.length === 0) continue;
    root = alter(root, op.path, 0, (parent, key) => {
      const had = own(parent, key);
      const before = parent[key];
      if (op.op === "remove") {
        if (!had) return parent;
        inverse.unshift(set(op.path, before));
        const { [key]: _gone, ...rest } = parent;
        return rest;
      }
      if (had && same(before, op.value)) return parent;
      inverse.unshift(had ? set(op.path, before) : remove(op.path));
      return { ...parent, [key]: op.value };
    });
  }
  return { doc: root as unknown as T, inverse };
};

const samePath = (a: readonly string[], b: readonly string[]): boolean => a.length === b.length && a.every((k, i) => k === b[i]);
const related = (a: readonly string[], b: readonly string[]): boolean =>
  Array.from({ length: Math.min(a.length, b.length) }, (_, i) => a[i] === b[i]).every(Boolean);

/** Two runs of steps as one: a later set of the very same place replaces an earlier one (typing, dragging). */
export const merge = (first: readonly Op[], second: readonly Op[]): Op[] => {
  const out: Op[] = [...first];
  for (const op of second) {
    const at = out.findLastIndex((o) => related(o.path, op.path));
    const earlier = out[at];
    if (earlier && op.op === "set" && earlier.op === "set" && samePath(earlier.path, op.path)) out[at] = op;
    else out.push(op);
  }
  return out;
};

const segment = z.string().min(1).max(80).refine((s) => s !== "__proto__" && s !== "constructor" && s !== "prototype", "not a name");
const path = z.array(segment).min(1).max(8);

/** The JSON form of a change, as sent and stored. */
export const changeSchema = z.strictObject({
  label: z.string().min(1).max(200),
  ops: z.array(z.union([
    z.strictObject({ op: z.literal("set"), path, value: z.json() }),
    z.strictObject({ op: z.literal("remove"), path }),
  ])).min(1).max(20_000),
});
