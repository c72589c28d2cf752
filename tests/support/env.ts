import { readFileSync } from "node:fs";
import type { FontBook, LayoutEnv } from "#core/layout";

/**
 * What layout needs, for tests and benchmarks; the fonts are those that `npm run fonts` measured.
 */
export const testEnv = (): Promise<LayoutEnv> => {
  const text = readFileSync(new URL("../../generated/fonts.json", import.meta.url), "utf8");
  return Promise.resolve({ fonts: JSON.parse(text) as FontBook });
};
