import { customAlphabet } from "nanoid";
import { generateKeyBetween } from "fractional-indexing";

/** Letters and digits only, so that ids are safe in paths, attributes and addresses. */
const letters = "0123456789abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ";

/** A new random id: 12 letters or digits, about 71 bits. */
export const newId: () => string = /* @__PURE__ */ customAlphabet(letters, 12);

/** Anything kept in a given order by a fractional index. */
export interface Ordered {
  readonly id: string;
  readonly order: string;
}

/** Orders by fractional index (plain code units), ties by id so that every window agrees. */
export const byOrder = (a: Ordered, b: Ordered): number => {
  if (a.order < b.order) {
    return -1;
  }
  if (a.order > b.order) {
    return 1;
  }
  if (a.id < b.id) {
    return -1;
  }
  return a.id > b.id ? 1 : 0;
};

/** The values of a table of records, in order. */
export const inOrder = <T extends Ordered>(table: Readonly<Record<string, T>>): T[] =>
  Object.values(table).sort(byOrder);

/** An order key after the last of the given records. */
export const orderAfter = (list: readonly Ordered[]): string => {
  const last = [...list].sort(byOrder).at(-1);
  return generateKeyBetween(last?.order ?? null, null);
};

/**
 * An order key that puts a record at `index` of the sorted `list` (which must not hold the record
 * itself). Equal neighbouring keys (two windows inserted at once) are stepped over.
 */
export const orderAt = (list: readonly Ordered[], index: number): string => {
  const sorted = [...list].sort(byOrder);
  const before = sorted[index - 1]?.order ?? null;
  const after =
    sorted.slice(Math.max(0, index)).find((r) => before === null || r.order > before)?.order ??
    null;
  return generateKeyBetween(before, after);
};

/** Whether a text is an order key that others can be put before and after. */
export const isOrderKey = (text: string): boolean => {
  try {
    generateKeyBetween(text, null);
    return true;
  } catch {
    return false;
  }
};

/** A record of a table by its id: never what every object has by itself, as `constructor`. */
export const tableEntry = <T>(table: Readonly<Record<string, T>>, id: string): T | undefined =>
  Object.hasOwn(table, id) ? table[id] : undefined;
