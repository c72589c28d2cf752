import { accept } from "./accept";
import { apply, merge, Places, related, same } from "./change";
import { set } from "./op";
import type { Change, Op } from "./op";
import type { Project } from "../project";

/** An accepted change as the log has it and windows are sent it. */
export interface LoggedChange {
  readonly seq: number;
  /** number of the newest change its maker had seen when it was made */
  readonly base: number;
  readonly changeId: string;
  readonly clientId: string;
  readonly label: string;
  readonly ops: readonly Op[];
  /** the format its steps are written in; without it the first one */
  readonly format?: number | undefined;
}

/** What somebody else did meanwhile to places that a late change would change. */
export interface Clash {
  readonly seq: number;
  readonly label: string;
  readonly paths: readonly (readonly string[])[];
}

/**
 * What a change that comes late (made offline, or left behind by a closed window) would overwrite:
 * the changes that others made since `base` to places it would still change. Empty when it is in
 * nobody's way.
 */
export const clashesOf = (
  project: Project,
  change: Change,
  others: readonly LoggedChange[],
): Clash[] => {
  const places = new Places();
  const steps = others.flatMap((other) => other.ops.map((op) => ({ other, op })));
  steps.forEach(({ op }, i) => places.note(op.path, i));
  const found = new Map<LoggedChange, (readonly string[])[]>();
  for (const op of change.ops) {
    const step = steps[places.related(op.path)];
    if (!step || !changesSomething(project, op)) continue;
    const paths = found.get(step.other) ?? [];
    paths.push(op.path);
    found.set(step.other, paths);
  }
  return [...found].map(([other, paths]) => ({ seq: other.seq, label: other.label, paths }));
};

/**
 * Whether steps have to do with any place in a set: with itself, with what holds it, or with what
 * it holds.
 */
export const touchesAny = (places: Places, ops: readonly Op[]): boolean =>
  ops.some((op) => places.related(op.path) >= 0);

const changesSomething = (project: Project, op: Op): boolean => {
  const now = valueIn(project, op.path);
  return op.op === "remove" ? now !== undefined : !same(now, op.value);
};

/**
 * The records somebody removed that a change would set something in: it does nothing there until
 * they come back.
 */
export const goneFrom = (project: Project, ops: readonly Op[]): (readonly string[])[] => {
  const { doc, lost } = apply(project, ops);
  const gone = new Map<string, readonly string[]>();
  for (const { path } of lost) {
    const record = missingRecord(doc, path) ?? path;
    gone.set(JSON.stringify(record), record);
  }
  return [...gone.values()];
};

// an object has what it has: nothing is promised of it
const childOf = (node: object, key: string): unknown => (node as Record<string, unknown>)[key];

/**
 * The outermost record on the way to a place that is not there; null when the place can be reached.
 */
const missingRecord = (project: Project, path: readonly string[]): readonly string[] | null => {
  let node: unknown = project;
  for (const [i, key] of path.slice(0, -1).entries()) {
    if (typeof node !== "object" || node === null || !Object.hasOwn(node, key))
      return path.slice(0, i + 1);
    node = childOf(node, key);
  }
  return typeof node === "object" && node !== null ? null : path.slice(0, -1);
};

/** What is at a place of a project or a record; undefined when there is nothing. */
export const valueIn = (holder: object, path: readonly string[]): unknown => {
  let node: unknown = holder;
  for (const key of path) {
    if (typeof node !== "object" || node === null || !Object.hasOwn(node, key)) return undefined;
    node = childOf(node, key);
  }
  return node;
};

/** Whether a place lies inside another one. */
export const isInside = (inner: readonly string[], outer: readonly string[]): boolean =>
  inner.length > outer.length && related(inner, outer);

/**
 * A record that `removal` took away, as it would be now: what it was in `before` (the project the
 * removal was made in), with everything that was changed inside it since, though it was not there.
 * Undefined when the removal did not take it.
 */
export const restoredValue = (
  path: readonly string[],
  before: Project,
  removal: Pick<Change, "ops">,
  since: readonly LoggedChange[],
  present: Project,
): unknown => {
  const taken = apply(before, removal.ops).inverse.find(
    (op) => op.op === "set" && op.path.length === path.length && related(op.path, path),
  );
  if (taken?.op !== "set") return undefined;
  let project = apply(present, [set(path, taken.value)]).doc;
  for (const later of since) {
    const ops = later.ops.filter((op) => isInside(op.path, path));
    const result = ops.length > 0 ? accept(project, { label: later.label, ops }) : null;
    // what no longer fits the record is left out; the log has it
    if (result?.ok) project = result.project;
  }
  return valueIn(project, path);
};

/** Whether there is something at a place. */
export const isThere = (project: Project, path: readonly string[]): boolean =>
  valueIn(project, path) !== undefined;

/**
 * Of one's own earlier changes, the places that another's change overwrote although its maker had
 * not seen them, and what takes one's own values back. Null when nothing of one's own was lost.
 */
export const overwrittenBy = (
  other: LoggedChange,
  own: readonly LoggedChange[],
  before: Project,
): readonly Op[] | null => {
  const unseen = own.filter((change) => change.seq > other.base && change.seq < other.seq);
  if (unseen.length === 0) return null;
  const places = new Places();
  other.ops.forEach((op, i) => places.note(op.path, i));
  const back: Op[] = [];
  // of a place that was changed several times the last counts
  const mine = unseen.reduce<readonly Op[]>((ops, change) => merge(ops, change.ops), []);
  for (const op of mine) {
    const hit = other.ops[places.related(op.path)];
    if (hit && !sameStep(hit, op)) back.push(takingBack(hit, op, other, before));
  }
  const effective = apply(apply(before, other.ops).doc, back);
  return effective.inverse.length === 0 ? null : back;
};

const sameStep = (a: Op, b: Op): boolean => {
  if (a.path.length !== b.path.length || a.op !== b.op) return false;
  return a.op === "remove" || (b.op === "set" && same(a.value, b.value));
};

/** A removed record comes back whole; of anything else one's own step is made again. */
const takingBack = (hit: Op, mine: Op, other: LoggedChange, before: Project): Op => {
  if (hit.op !== "remove" || hit.path.length > mine.path.length) return mine;
  const value = valueIn(before, hit.path);
  return value === undefined
    ? mine
    : { op: "set", path: hit.path, value, restores: other.changeId };
};
