import type { Clipping } from "./types";

let given: Clipping | null = null;

/** Says by what outlines are combined from now on. */
export const combineWith = (clipping: Clipping): void => {
  given = clipping;
};

/** What combines outlines. Throws where nobody has said it: `core/combine` does when imported. */
export const clippingNow = (): Clipping => {
  if (!given) throw new Error("Nothing is here by which outlines could be combined");
  return given;
};
