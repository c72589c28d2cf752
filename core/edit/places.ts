import { tableEntry, valueIn } from "../project";
import type { Change, Op, Piece, Project } from "../project";
import { OPTION, TRAIT, isBound, labelOf, showValue } from "../properties";
import type { SpecifiedValue } from "../properties";
import { editWords } from "./words";

/** What the records of a piece's tables are called. */
const nouns: Readonly<Record<string, string>> = {
  traits: "trait",
  layers: "layer",
  looks: "look",
  rules: "rule",
  options: "option",
  signals: "signal",
  notes: editWords.variantNote,
  rehearsals: "rehearsal",
  accepted: editWords.acceptedFinding,
  samples: "sample",
  tokens: "token",
  assets: "asset",
  pieces: "piece",
};

const nameOf = (record: unknown): string | null =>
  typeof record === "object" &&
  record !== null &&
  "name" in record &&
  typeof record.name === "string"
    ? record.name
    : null;

const recordWords = (noun: string, record: unknown): string => {
  const name = nameOf(record);
  return name === null ? `a ${noun}` : `the ${noun} “${name}”`;
};

/** What is said of one field of a record; of those that are not here the field's own name. */
const fieldWords: Readonly<Record<string, string>> = {
  name: editWords.name,
  parent: editWords.parent,
  order: editWords.order,
  locked: editWords.lockInPlaces,
  rest: editWords.start,
  motion: editWords.motion,
};

/** A record, or one field of it. */
const inRecordWords = (noun: string, record: unknown, field: string | undefined): string => {
  const words = recordWords(noun, record);
  return field === undefined ? words : editWords.fieldOf(fieldWords[field], field, words);
};

const propertyWords = (key: string): string => {
  if (key.startsWith(TRAIT)) return editWords.startInPlaces;
  if (key.startsWith(OPTION)) return editWords.option;
  return labelOf(key) ?? key;
};

const pieceWords = (
  piece: Piece,
  [table = "", id = "", field, layer, key]: readonly string[],
): string => {
  if (table === "looks" && layer !== undefined) {
    const name = tableEntry(piece.layers, layer)?.name ?? editWords.deletedLayer;
    return key === undefined
      ? editWords.whatLooksLike(name)
      : editWords.of(propertyWords(key), name);
  }
  const record = valueIn(piece, [table, id]);
  return nouns[table] ? inRecordWords(nouns[table], record, field) : `the ${table}`;
};

/** A place of a project in words: “Knob”, its width. What is gone is called by its kind. */
export const placeWords = (project: Project, path: readonly string[]): string => {
  const [table = "", id = "", ...rest] = path;
  const noun = nouns[table];
  if (!noun) return editWords.projects(table);
  if (table !== "pieces") return inRecordWords(noun, valueIn(project, [table, id]), rest[0]);
  const piece = tableEntry(project.pieces, id);
  if (!piece) return editWords.deletedPiece;
  if (rest.length < 2) return inRecordWords(piece.kind, piece, rest[0]);
  return editWords.in(pieceWords(piece, rest), piece.name);
};

/** A change as the subject of a sentence, in the words of the undo menu. */
export const changeWords = (change: Change): string => `“${change.label}”`;

const LONGEST = 60;

/** A value in few words. */
const valueWords = (project: Project, value: unknown): string => {
  if (value === undefined) return "nothing";
  if (value === null) return "none";
  const name = nameOf(value);
  if (name !== null) return `“${name}”`;
  // records apart, what changes hold at a place is a value of a property
  const said = value as SpecifiedValue;
  if (isBound(said)) return tableEntry(project.tokens, said.token)?.name ?? editWords.deletedToken;
  const text = typeof said === "object" && !Array.isArray(said) ? "set" : showValue(said);
  return text.length > LONGEST ? `${text.slice(0, LONGEST - 1)}…` : text;
};

/** A value at a place in few words; what stands for something else is called by that. */
const wordsAt = (project: Project, path: readonly string[], value: unknown): string => {
  const [, pieceId = "", table, , field] = path;
  if (field === "order" || (path.length === 3 && table === "order"))
    return editWords.placeAmongOthers;
  if (table === "layers" && field === "parent") {
    return (
      tableEntry(tableEntry(project.pieces, pieceId)?.layers ?? {}, String(value))?.name ??
      editWords.deletedLayer
    );
  }
  return valueWords(project, value);
};

/** One place that a change would set: what is there now, and what the change would make of it. */
export interface ChangeRow {
  readonly path: readonly string[];
  readonly place: string;
  readonly now: string;
  readonly then: string;
}

const valueOf = (op: Op): unknown => (op.op === "set" ? op.value : undefined);

/**
 * What a change would do to a project as it is now, place by place; places where it would change
 * nothing are left out.
 */
export const changeRows = (project: Project, change: Change): ChangeRow[] =>
  change.ops.flatMap((op): ChangeRow[] => {
    const now = valueIn(project, op.path);
    const then = valueOf(op);
    if (JSON.stringify(now) === JSON.stringify(then)) return [];
    const place = placeWords(project, op.path);
    if (op.op === "remove")
      return [
        { path: op.path, place, now: wordsAt(project, op.path, now), then: editWords.deleted },
      ];
    const words = wordsAt(project, op.path, then);
    const before = wordsAt(project, op.path, now);
    return [
      { path: op.path, place, now: before, then: words === before ? editWords.anotherOne : words },
    ];
  });
