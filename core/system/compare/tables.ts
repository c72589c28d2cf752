import type { Id } from "../../basics";
import { tableEntry } from "../../project";

/** The records of two tables: those only one has, and the pairs both have. */
export interface Tables<T> {
  readonly gone: readonly T[];
  readonly added: readonly T[];
  readonly both: readonly (readonly [T, T])[];
}

/** Records that are the same by their id, whatever they are called. */
export const compareTables = <T>(
  before: Readonly<Record<Id, T>>,
  after: Readonly<Record<Id, T>>,
): Tables<T> => ({
  gone: Object.entries(before).flatMap(([id, record]) => (tableEntry(after, id) ? [] : [record])),
  added: Object.entries(after).flatMap(([id, record]) => (tableEntry(before, id) ? [] : [record])),
  both: Object.entries(before).flatMap(([id, record]) => {
    const next = tableEntry(after, id);
    return next ? [[record, next] as const] : [];
  }),
});
