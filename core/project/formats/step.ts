import type { Op } from "../changes/op";

/** What steps of one format are in the next one; what they do must stay the same. */
export type FormatStep = (ops: readonly Op[]) => readonly Op[];
