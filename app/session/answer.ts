import type { AppendResult, Missed } from "#server";
import { sessionWords } from "./words";

export type { Missed };

/**
 * What the server says of a change that was sent; `away` also when nothing that can be understood
 * came back.
 */
export type SaveAnswer = AppendResult | { readonly kind: "away"; readonly reason: string };
export type Kept = Extract<SaveAnswer, { kind: "kept" }>;

const kinds = ["kept", "conflict", "refused", "outdated", "unknown", "away"];

const isAnswer = (raw: unknown): raw is SaveAnswer =>
  typeof raw === "object" &&
  raw !== null &&
  "kind" in raw &&
  typeof raw.kind === "string" &&
  kinds.includes(raw.kind);

/** Statuses that will not be another one when the same is sent again. */
const final = [400, 413, 415, 422];

/** The answer to a save, whatever it was that answered. */
export const readAnswer = ({ status, answer }: { status: number; answer: unknown }): SaveAnswer => {
  if (isAnswer(answer)) return answer;
  if (final.includes(status))
    return { kind: "refused", reason: sessionWords.serverReturnedError(status) };
  return { kind: "away", reason: sessionWords.serverReturnedError(status) };
};
