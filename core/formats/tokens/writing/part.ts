import { isBound } from "../../../properties";
import type { WritePart } from "../kinds/kind";

/** Writes bound parts as aliases by what `aliasOf` makes of a token. */
export const writePart =
  (aliasOf: (token: string) => string): WritePart =>
  (said, write) =>
    isBound(said) ? aliasOf(said.token) : write(said);
