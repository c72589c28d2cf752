import { apply, sentOps } from "./change";
import type { Change, Op } from "./op";
import { adoptionOf } from "../adoption";
import { declarationsSchema, layerChanges } from "../declarations";
import { tableEntry } from "../ids";
import { limits } from "../limits";
import {
  brokenTree,
  issueText,
  overfull,
  pieceFields,
  pieceSchema,
  projectFields,
  projectTables,
  tables,
} from "../schema";
import { cleanChange, isCleanText } from "../text";
import type { Project } from "../project";
import type { Piece } from "../types";
import type { z } from "zod";
import { projectWords } from "../words";

/** `change` is what was accepted: the proposed one with texts that can be kept. */
export type Accepted =
  { ok: true; project: Project; change: Change; inverse: Op[] } | { ok: false; error: string };

const check = (schema: z.ZodType, value: unknown): string | null => {
  const result = schema.safeParse(value);
  return result.success ? null : issueText(result.error);
};

const checkRecord = (
  schema: z.ZodType,
  table: Readonly<Record<string, { id: string }>>,
  id: string,
): string | null => {
  const record = tableEntry(table, id);
  if (!record) return null;
  return record.id === id ? check(schema, record) : projectWords.recordMustBeKept;
};

const isKeyOf = <T extends object>(object: T, key: string): key is Extract<keyof T, string> =>
  Object.hasOwn(object, key);

const checkPiece = (piece: Piece, path: readonly string[]): string | null => {
  const [, pieceId, field, recordId] = path;
  if (field === undefined)
    return piece.id === pieceId ? check(pieceSchema, piece) : projectWords.pieceMustBeKept;
  if (isKeyOf(pieceFields, field))
    return field === "id" ? projectWords.idCannotChange : check(pieceFields[field], piece[field]);
  if (!isKeyOf(tables, field)) return projectWords.pieceHasNo(field);
  if (recordId === undefined) return projectWords.allCannotBeReplaced(field);
  if (field === "looks" && path[4] === "changes" && path[5] !== undefined)
    return checkSaid(piece, path);
  return checkRecord(tables[field], piece[field], recordId);
};

const checkPlace = (project: Project, path: readonly string[]): string | null => {
  const [top, id] = path;
  if (top === undefined) return projectWords.changeMustSayWhere;
  if (top === "pieces") {
    if (id === undefined) return projectWords.allPiecesCannotBe;
    const piece = tableEntry(project.pieces, id);
    return piece ? checkPiece(piece, path) : null;
  }
  if (isKeyOf(projectTables, top)) {
    return id === undefined
      ? projectWords.allCannotBeReplacedAtOnce(top)
      : checkRecord(projectTables[top], project[top], id);
  }
  if (!isKeyOf(projectFields, top)) return projectWords.projectHasNo(top);
  return check(projectFields[top], project[top]);
};

/**
 * A value a look says about a layer: only that is checked, since a drag says one many times a
 * second.
 */
const checkSaid = (piece: Piece, path: readonly string[]): string | null => {
  const [, , , lookId = "", , layer = "", key] = path;
  const look = tableEntry(piece.looks, lookId);
  const said = look && tableEntry(look.changes, layer);
  if (said === undefined) return null;
  if (key === undefined) return check(declarationsSchema, { [layer]: said });
  const value = tableEntry(said, key);
  return value === undefined ? null : check(layerChanges, { [key]: value });
};

/**
 * The part of a path by which a place is checked: many steps inside one record check that record
 * once.
 */
const checkedPlace = (path: readonly string[]): readonly string[] => {
  if (path[0] !== "pieces") return path.slice(0, 2);
  return path[2] === "looks" && path[4] === "changes" ? path.slice(0, 7) : path.slice(0, 4);
};

const placesOf = (ops: readonly Op[]): (readonly string[])[] => {
  const places = new Map<string, readonly string[]>();
  for (const op of ops) {
    const place = checkedPlace(op.path);
    places.set(JSON.stringify(place), place);
  }
  return [...places.values()];
};

/**
 * Whether a change as it is sent would be larger than one may be; a sentence, or null. Texts count
 * as UTF-8.
 */
const tooLarge = (change: Change): string | null => {
  const mayBe =
    change.ops.length > 1000 ||
    change.ops.some((o) => o.op === "set" && typeof o.value === "object");
  if (!mayBe) return null;
  const bytes = new TextEncoder().encode(JSON.stringify(sentOps(change.ops))).length;
  if (bytes <= limits.change) return null;
  const megabytes = (n: number): string => (n / 1e6).toFixed(1);
  return projectWords.changeTooLargeMb(megabytes(bytes), megabytes(limits.change));
};

const touchedPieces = (project: Project, ops: readonly Op[]): Set<Piece> => {
  const touched = new Set<Piece>();
  for (const { path } of ops) {
    const piece =
      path[0] === "pieces" && path[1] !== undefined
        ? tableEntry(project.pieces, path[1])
        : undefined;
    if (piece && (path.length === 2 || path[2] === "layers")) touched.add(piece);
  }
  return touched;
};

/**
 * Records that were added may be too many; what was only set again or inside a record cannot be.
 */
const overfullBy = (project: Project, ops: readonly Op[]): string | null => {
  const pieces = new Set<Piece | undefined>();
  for (const { op, path } of ops) {
    if (op !== "set") continue;
    if (path.length === 2) pieces.add(undefined);
    if (path.length === 4 && path[0] === "pieces")
      pieces.add(tableEntry(project.pieces, path[1] ?? ""));
  }
  for (const piece of pieces) {
    const full = overfull(project, piece);
    if (full) return full;
  }
  return null;
};

/**
 * Applies a change if the project stays valid: every touched record against the schema, every
 * touched piece's tree, and the limits. Texts are cleaned of what cannot be kept. Refusals are
 * sentences for the person who made the change; the project is never half changed.
 */
export const accept = (project: Project, proposed: Change): Accepted => {
  const change = cleanChange(proposed);
  const refuse = (error: string): Accepted => ({ ok: false, error });
  if (change.ops.some((o) => !o.path.every(isCleanText)))
    return refuse(projectWords.placeChangeHasNo);
  const adopted = change.ops.find(({ path }) => adoptionOf(path[1] ?? "") !== null);
  if (adopted) return refuse(projectWords.belongsToSystem);
  const large = tooLarge(change);
  if (large) return refuse(large);
  const { doc, inverse } = apply(project, change.ops);
  for (const place of placesOf(change.ops)) {
    const error = checkPlace(doc, place);
    if (error) return refuse(error);
  }
  for (const piece of touchedPieces(doc, change.ops)) {
    const broken = brokenTree(piece);
    if (broken) return refuse(broken);
  }
  const full = overfullBy(doc, change.ops);
  return full ? refuse(full) : { ok: true, project: doc, change, inverse };
};
