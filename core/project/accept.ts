import { apply } from "./change";
import type { Change, Op } from "./change";
import { brokenTree, issueText, layerChanges, pieceFields, pieceSchema, projectFields, projectTables, sayings, tables } from "./schema";
import type { Piece, Project } from "./types";
import type { z } from "zod";

export type Accepted = { ok: true; project: Project; inverse: Op[] } | { ok: false; error: string };

const check = (schema: z.ZodType, value: unknown): string | null => {
  const result = schema.safeParse(value);
  return result.success ? null : issueText(result.error);
};

const checkPlace = (project: Project, path: readonly string[]): string | null => {
  const [top, pieceId, field, recordId] = path;
  if (top === undefined) return "a change must say where";
  if (Object.hasOwn(projectTables, top)) {
    if (pieceId === undefined) return `all ${top} cannot be replaced at once`;
    const table = project[top as keyof typeof projectTables];
    if (!Object.hasOwn(table, pieceId)) return null;
    return table[pieceId]?.id === pieceId ? check(projectTables[top as keyof typeof projectTables], table[pieceId]) : "a record must be kept under its own id";
  }
  if (top !== "pieces") {
    if (!Object.hasOwn(projectFields, top)) return `a project has no “${top}”`;
    return check(projectFields[top as keyof typeof projectFields], project[top as keyof Project]);
  }
  if (pieceId === undefined) return "all pieces cannot be replaced at once";
  const piece = Object.hasOwn(project.pieces, pieceId) ? project.pieces[pieceId] : undefined;
  if (!piece) return null;
  if (field === undefined) return piece.id === pieceId ? check(pieceSchema, piece) : "a piece must be kept under its own id";
  if (Object.hasOwn(pieceFields, field)) return field === "id" ? "an id cannot change" : check(pieceFields[field as "name"], piece[field as "name"]);
  if (!Object.hasOwn(tables, field)) return `a piece has no “${field}”`;
  if (recordId === undefined) return `all ${field} cannot be replaced at once`;
  const table = piece[field as keyof typeof tables];
  if (!Object.hasOwn(table, recordId)) return null;
  const record = table[recordId];
  if (record?.id !== recordId) return "a record must be kept under its own id";
  if (field === "looks" && path[4] === "changes" && path[5] !== undefined) return checkSaid(piece, path);
  return check(tables[field as keyof typeof tables], record);
};

/** A value a look says about a layer: only that is checked, since a drag says one many times a second. */
const checkSaid = (piece: Piece, path: readonly string[]): string | null => {
  const layer = path[5] as string, key = path[6];
  const said = piece.looks[path[3] as string]?.changes[layer];
  if (said === undefined) return null;
  if (key === undefined) return check(sayings, { [layer]: said });
  return said[key] === undefined ? null : check(layerChanges, { [key]: said[key] });
};

/**
 * Applies a change if the project stays valid: every touched record against the schema, every touched piece's tree.
 * Refusals are sentences for the person who made the change; the project is never half changed.
 */
export const accept = (project: Project, change: Change): Accepted => {
  const { doc, inverse } = apply(project, change.ops);
  const touched = new Set<Piece>();
  for (const op of change.ops) {
    const error = checkPlace(doc, op.path);
    if (error) return { ok: false, error };
    const piece = op.path[0] === "pieces" && op.path[1] ? doc.pieces[op.path[1]] : undefined;
    if (piece && (op.path.length === 2 || op.path[2] === "layers")) touched.add(piece);
  }
  for (const piece of touched) {
    const broken = brokenTree(piece);
    if (broken) return { ok: false, error: broken };
  }
  return { ok: true, project: doc, inverse };
};
