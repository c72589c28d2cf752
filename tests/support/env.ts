import { readFileSync } from "node:fs";
import { loadYoga } from "yoga-layout/load";
import type { FontBook, LayoutEnv } from "#core/layout";

/** Fonts and the flexbox engine for tests and benchmarks; the fonts are those that `npm run fonts` measured. */
export const testEnv = async (): Promise<LayoutEnv> => ({
  fonts: JSON.parse(readFileSync(new URL("../../generated/fonts.json", import.meta.url), "utf8")) as FontBook,
  flex: await loadYoga(),
});
