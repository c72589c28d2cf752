import { z } from "zod";
import { limits } from "../limits";
import { isRestoring, remove, set } from "./op";
import type { Op } from "./op";
import { isReserved } from "../reserved";
import { isCleanText } from "../text";
import { projectWords } from "../words";

/** Steps as they are sent: the server knows what the records were that come back. */
export const sentOps = (ops: readonly Op[]): Op[] =>
  ops.map((op) => (isRestoring(op) ? { ...op, value: null } : op));

type Node = Record<string, unknown>;
const isNode = (v: unknown): v is Node => typeof v === "object" && v !== null && !Array.isArray(v);
const own = (node: Node, key: string): boolean => Object.prototype.hasOwnProperty.call(node, key);

/** Whether two JSON values are equal. */
export const same = (a: unknown, b: unknown): boolean => {
  if (Object.is(a, b)) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const ka = Object.keys(a);
  const kb = Object.keys(b);
  // objects and lists alike are looked at by their keys
  const [p, q] = [a as Node, b as Node];
  return ka.length === kb.length && ka.every((k) => own(q, k) && same(p[k], q[k]));
};

/** The node that holds the last key of a path; null when the path leads nowhere. */
const parentOf = (root: Node, path: readonly string[]): Node | null => {
  let node = root;
  for (const key of path.slice(0, -1)) {
    const child = own(node, key) ? node[key] : undefined;
    if (!isNode(child)) return null;
    node = child;
  }
  return node;
};

/**
 * Copies of nodes that one run of steps made, and may therefore write to: each node is copied once,
 * not once a step.
 */
class Copies {
  private readonly made = new Set<Node>();

  of(node: Node): Node {
    if (this.made.has(node)) return node;
    const copy = { ...node };
    this.made.add(copy);
    return copy;
  }

  /** The root with every node along a path being a copy, and the parent that may be written to. */
  along(root: Node, path: readonly string[]): { root: Node; parent: Node } {
    const top = this.of(root);
    let parent = top;
    for (const key of path.slice(0, -1)) {
      // `parentOf` has gone the same way: there are objects on it
      const child = this.of(parent[key] as Node);
      parent[key] = child;
      parent = child;
    }
    return { root: top, parent };
  }
}

/**
 * Applies steps in order with structural sharing, and returns the steps that undo them. Takes time
 * in proportion to the steps and to the tables they touch. A step whose record is gone (somebody
 * removed it meanwhile) does nothing, and is returned as `lost` if it sets something; so does one
 * that changes nothing.
 */
export const apply = <T extends object>(
  doc: T,
  ops: readonly Op[],
): { doc: T; inverse: Op[]; lost: Op[] } => {
  const undone: Op[] = [];
  const lost: Op[] = [];
  const copies = new Copies();
  // whatever the document is, it is an object of JSON
  let root = doc as Node;
  for (const op of ops) {
    const key = op.path.at(-1);
    const found = key === undefined ? null : parentOf(root, op.path);
    if (key === undefined || !found) {
      if (op.op === "set") lost.push(op);
      continue;
    }
    const had = own(found, key);
    const before = found[key];
    if (op.op === "remove" ? !had : had && same(before, op.value)) continue;
    const next = copies.along(root, op.path);
    root = next.root;
    undone.push(had ? set(op.path, before) : remove(op.path));
    if (op.op === "remove") delete next.parent[key];
    else next.parent[key] = op.value;
  }
  // a copy of the document with other values at some places
  return { doc: root as T, inverse: undone.reverse(), lost };
};

/** Where the last step at a place, and the last at or below it, stand in a list. */
export class Places {
  private readonly at = new Map<string, number>();
  private readonly below = new Map<string, number>();

  private static key(path: readonly string[], length = path.length): string {
    return JSON.stringify(path.slice(0, length));
  }

  note(path: readonly string[], index: number): void {
    this.at.set(Places.key(path), index);
    for (let n = 1; n <= path.length; n++) this.below.set(Places.key(path, n), index);
  }

  /**
   * The last step that has to do with a path: at it, below it, or at one that holds it; -1 for
   * none.
   */
  related(path: readonly string[]): number {
    let last = this.below.get(Places.key(path)) ?? -1;
    for (let n = 1; n < path.length; n++)
      last = Math.max(last, this.at.get(Places.key(path, n)) ?? -1);
    return last;
  }
}

const samePath = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((k, i) => k === b[i]);

/** Whether two steps have to do with one another: one's place is the other's, or holds it. */
export const related = (a: readonly string[], b: readonly string[]): boolean => {
  const length = Math.min(a.length, b.length);
  for (let i = 0; i < length; i++) if (a[i] !== b[i]) return false;
  return true;
};

/**
 * Two runs of steps as one: a later set of the very same place replaces an earlier one (typing,
 * dragging).
 */
export const merge = (first: readonly Op[], second: readonly Op[]): Op[] => {
  const out: Op[] = [...first];
  const places = new Places();
  first.forEach((op, i) => places.note(op.path, i));
  for (const op of second) {
    const at = places.related(op.path);
    const earlier = out[at];
    if (earlier && op.op === "set" && earlier.op === "set" && samePath(earlier.path, op.path)) {
      out[at] = op;
      continue;
    }
    places.note(op.path, out.length);
    out.push(op);
  }
  return out;
};

const segment = z
  .string()
  .min(1)
  .max(80)
  .refine((s) => !isReserved(s) && isCleanText(s), projectWords.notName);
const path = z.array(segment).min(1).max(8);

/**
 * Why a value is none that JSON could hold, or null. Goes down without recursion, so that depth
 * cannot break it.
 */
const notJson = (value: unknown): string | null => {
  let level: unknown[] = [value];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > limits.valueDepth) return projectWords.valuesAreNestedMore(limits.valueDepth);
    const next: unknown[] = [];
    for (const item of level) {
      if (item === null || typeof item === "string" || typeof item === "boolean") continue;
      if (typeof item === "number" && Number.isFinite(item)) continue;
      if (Array.isArray(item)) for (const inner of item) next.push(inner);
      else if (typeof item === "object")
        for (const [key, inner] of Object.entries(item)) {
          if (key === "__proto__") return projectWords.notName;
          next.push(inner);
        }
      else return projectWords.notJsonValue;
    }
    level = next;
  }
  return null;
};

const json = z.unknown().superRefine((value, context) => {
  const reason = notJson(value);
  if (reason) context.addIssue({ code: "custom", message: reason });
});

/** The JSON form of a change, as sent and stored. */
export const changeSchema = z.strictObject({
  label: z.string().min(1).max(200),
  ops: z
    .array(
      z.union([
        z.strictObject({
          op: z.literal("set"),
          path,
          value: json,
          restores: z.string().max(40).optional(),
        }),
        z.strictObject({ op: z.literal("remove"), path }),
      ]),
    )
    .min(1)
    .max(20_000),
});
