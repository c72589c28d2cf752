import compare from "semver/functions/compare.js";
import inc from "semver/functions/inc.js";
import type { Weight } from "./differences";

/** The number of a system's first edition. */
export const FIRST = "1.0.0";

const releases = { breaking: "major", feature: "minor", patch: "patch" } as const;

/** The number after another one, as Semantic Versioning 2.0.0 has it for what changed. */
export const numberAfter = (number: string, weight: Weight): string =>
  inc(number, releases[weight]) ?? FIRST;

/** Editions by their numbers, the newest first. */
export const byNumber = (a: { readonly number: string }, b: { readonly number: string }): number =>
  compare(b.number, a.number);

/** What the way from one number to a later one says of what changed; null where it is not later. */
export const weightBetween = (from: string, to: string): Weight | null => {
  const all: readonly Weight[] = ["breaking", "feature", "patch"];
  if (compare(to, from) <= 0) return null;
  return all.find((weight) => compare(to, numberAfter(from, weight)) >= 0) ?? null;
};
