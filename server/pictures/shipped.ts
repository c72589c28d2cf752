import { readFile } from "node:fs/promises";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";

/** The parts of shipped families that are used: each part is a file of its own. */
export const subsets = ["latin", "latin-ext"] as const;
export type Subset = (typeof subsets)[number];

const require = createRequire(import.meta.url);

export const packageOf = (family: string): string =>
  `@fontsource/${family.toLowerCase().replaceAll(" ", "-")}`;

/** The folder of a shipped family's package. */
export const homeOf = (family: string): string =>
  dirname(require.resolve(`${packageOf(family)}/package.json`));

/** What a file of a shipped family is called. */
export const fileNameOf = (family: string, weight: string, subset: Subset): string =>
  `${packageOf(family).slice("@fontsource/".length)}-${subset}-${weight}-normal.woff2`;

/** A file of a shipped family (WOFF 2.0); null where there is none. */
export const readShipped = (
  family: string,
  weight: string,
  subset: Subset,
): Promise<Buffer | null> =>
  readFile(join(homeOf(family), "files", fileNameOf(family, weight, subset))).catch(() => null);
