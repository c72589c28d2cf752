import { remove, same, set } from "../project";
import type { Op, Project } from "../project";

type Table = Readonly<Record<string, unknown>>;

const isTable = (value: unknown): value is Table =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/**
 * Whether what is at a place is changed entry by entry, or as one: records have fields, and looks
 * say single values of layers; what a field or a value holds belongs together.
 */
const isDivided = (path: readonly string[]): boolean => {
  const [top, , table, , part] = path;
  if (path.length === 0) return true;
  if (path.length === 1) return top !== "format" && top !== "name" && top !== "start";
  if (top !== "pieces") return path.length === 2;
  if (table === undefined) return true;
  if (path.length <= 4) return true;
  return table === "looks" && part === "changes" && path.length <= 6;
};

const between = (from: unknown, to: unknown, path: readonly string[], ops: Op[]): void => {
  if (same(from, to)) return;
  if (!isTable(from) || !isTable(to) || !isDivided(path)) {
    ops.push(set(path, to));
    return;
  }
  for (const key of Object.keys(from))
    if (!Object.hasOwn(to, key)) ops.push(remove([...path, key]));
  for (const [key, value] of Object.entries(to))
    if (!Object.hasOwn(from, key)) ops.push(set([...path, key], value));
    else between(from[key], value, [...path, key], ops);
};

/**
 * The steps that make one project of another: as small as records and single values allow, so that
 * whatever else is changed meanwhile stays.
 */
export const opsBetween = (from: Project, to: Project): readonly Op[] => {
  const ops: Op[] = [];
  between(from, to, [], ops);
  return ops;
};
