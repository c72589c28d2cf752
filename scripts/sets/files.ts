import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { TokenFile } from "../../core/formats/tokens/index.ts";

/** The token files of a folder and those in it. */
export const tokenFilesIn = (folder: string): TokenFile[] =>
  readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((name) => /\.json5?$/.test(name) && !/(^|\/)build\//.test(name))
    .sort()
    .map((name) => ({ name, text: readFileSync(join(folder, name), "utf8") }));
