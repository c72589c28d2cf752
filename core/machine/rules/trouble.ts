import type { troubleWords } from "../words";

/** Why a rule does not work, and the name of what it is about where it has one. */
export type Trouble = readonly [what: keyof typeof troubleWords, name?: string];
