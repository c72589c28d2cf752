import type { Face } from "#core/layout";
import { Unreadable } from "./bytes";
import { measureFont } from "./measure";
import { readNames } from "./names";
import type { FontNames } from "./names";
import { checkTables, readTables } from "./sfnt";
import { unpackFont } from "./unpack";

/** What Nubble must know of a font file. */
export interface FontFacts extends FontNames {
  readonly face: Face;
}

/**
 * Reads a font file (TTF, OTF, WOFF, WOFF2). What it claims is checked before anything is built
 * from it; throws `Unreadable` with the reason.
 */
export const readFont = async (
  bytes: Uint8Array,
  ranges?: readonly (readonly [number, number])[],
): Promise<FontFacts> => {
  const sfnt = await unpackFont(bytes);
  const tables = readTables(sfnt);
  checkTables(tables);
  const names = readNames(tables);
  const family = names.family.slice(0, 80).toWellFormed();
  if (family === "") throw new Unreadable("it does not say its name");
  return { ...names, family, face: measureFont(sfnt, tables, ranges) };
};
