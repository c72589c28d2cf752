import { tokenValueOf } from "../../looks";
import type { Id } from "../../basics";
import type { Lane, MotionParts, Project } from "../../project";

/** What has a time and a curve: a motion, or one of its lanes. */
export type Timed = Pick<Lane, "duration" | "delay" | "easing" | "parts">;
export type TimedPart = keyof MotionParts;

/** The types of token that the parts of a motion can follow. */
export const tokenTypeOfPart = {
  duration: "duration",
  delay: "duration",
  easing: "curve",
} as const;

const names: readonly TimedPart[] = ["duration", "delay", "easing"];

const withParts = <T extends Timed>(timed: T, parts: MotionParts): T => {
  const said = names.flatMap((name) => {
    const token = parts[name];
    return token === undefined ? [] : [[name, token] as const];
  });
  return { ...timed, parts: said.length > 0 ? Object.fromEntries(said) : undefined };
};

/**
 * Lets a part of a motion follow a token, whose value it takes; or with null say it itself again,
 * as it is now. Nothing changes where the token has no such value.
 */
export const withPart = <T extends Timed>(
  tokens: Project["tokens"],
  timed: T,
  name: TimedPart,
  token: Id | null,
): T => {
  if (token === null) return withParts(timed, { ...timed.parts, [name]: undefined });
  const value = tokenValueOf(tokens, tokenTypeOfPart[name], token);
  if (value === undefined) return timed;
  return withParts({ ...timed, [name]: value }, { ...timed.parts, [name]: token });
};

/** A motion after it was changed by hand: what is said anew follows its token no more. */
export const untied = <T extends Timed>(before: Timed, after: T): T => {
  const { parts } = after;
  if (!parts) return after;
  const kept = names.filter((name) => {
    const isSame = JSON.stringify(after[name]) === JSON.stringify(before[name]);
    return isSame || parts[name] !== before.parts?.[name];
  });
  if (kept.length === names.length) return after;
  return withParts(after, Object.fromEntries(kept.map((name) => [name, parts[name]])));
};
