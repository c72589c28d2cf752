import type { Change, Op } from "./changes/op";
import { projectWords } from "./words";

/**
 * What no text may hold: control characters other than tab and line ends, and the two
 * noncharacters, none of which XML 1.0 (§2.2) can write and some of which no database keeps. Lone
 * surrogates are looked for by `isWellFormed`.
 */
const unwritable = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g;

/** Whether a text can be written in UTF-8, XML and the database as it is. */
export const isCleanText = (text: string): boolean => {
  unwritable.lastIndex = 0;
  return text.isWellFormed() && !unwritable.test(text);
};

/**
 * The text without what cannot be written. Half a character at its end is what is left where a text
 * was cut, and goes; elsewhere a lone surrogate becomes U+FFFD.
 */
export const cleanText = (text: string): string =>
  text
    .replaceAll(unwritable, "")
    .replace(/[\uD800-\uDBFF]$/, "")
    .toWellFormed();

/** The first `length` UTF-16 units of a text, without half a character at its end. */
export const cutText = (text: string, length: number): string => {
  const cut = text.slice(0, length);
  return cut.isWellFormed() || !text.isWellFormed() ? cut : cut.slice(0, -1);
};

/** A JSON value with all its texts clean; the same object when they were. */
const cleanValue = (value: unknown): unknown => {
  if (typeof value === "string") return isCleanText(value) ? value : cleanText(value);
  if (Array.isArray(value)) {
    const items = value.map(cleanValue);
    return items.every((item, i) => item === value[i]) ? value : items;
  }
  if (typeof value !== "object" || value === null) return value;
  let changed = false;
  const entries = Object.entries(value).map(([key, item]) => {
    const clean = cleanValue(item);
    changed ||= clean !== item;
    return [key, clean] as const;
  });
  return changed ? Object.fromEntries(entries) : value;
};

const cleanOp = (op: Op): Op => {
  if (op.op !== "set") return op;
  const value = cleanValue(op.value);
  return value === op.value ? op : { ...op, value };
};

/** A change whose texts can all be kept; the same object when they can as they are. */
export const cleanChange = (change: Change): Change => {
  const ops = change.ops.map(cleanOp);
  const label = isCleanText(change.label)
    ? change.label
    : cleanText(change.label) || projectWords.change;
  if (label === change.label && ops.every((op, i) => op === change.ops[i])) return change;
  return { ...change, label, ops };
};
