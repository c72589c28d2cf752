import { colourDistance } from "../../colour";
import { boundValue, tokenValueOf, tokensFor } from "../../looks";
import { inOrder } from "../../project";
import type { Project, Token, TokenType } from "../../project";
import { property } from "../../properties";
import type { Value } from "../../properties";

/** Colours this near are told apart only side by side (distance in OKLab). */
const NEAR_COLOUR = 0.045;
/** Numbers are near up to this share of the token's; lengths up to this many px at least. */
const NEAR_SHARE = 0.08;
const NEAR_LENGTH = 1;

/** A token that a value is, or nearly is. */
export interface NearToken {
  readonly token: Token;
  readonly isSame: boolean;
}

const isColour = (value: Value): value is string =>
  typeof value === "string" && value.startsWith("#");

/** A number, or the numbers of the four corners or sides; empty for anything else. */
const numbersOf = (value: Value): number[] => {
  const all: readonly unknown[] = [value].flat();
  return all.flatMap((n) => (typeof n === "number" ? [n] : []));
};

/** How far a number is from a token's: 1 as far as is still near. */
const numberFarness = (n: number, wanted: number, type: TokenType): number => {
  const room = Math.max(type === "length" ? NEAR_LENGTH : 0, Math.abs(wanted) * NEAR_SHARE);
  return n === wanted ? 0 : Math.abs(n - wanted) / room;
};

/** How far a value is from a token's: 0 the same, 1 as far as is still near; null beyond. */
const farness = (value: Value, other: Value, type: TokenType): number | null => {
  if (JSON.stringify(value) === JSON.stringify(other)) return 0;
  if (isColour(value) && isColour(other)) {
    const far = colourDistance(value, other) / NEAR_COLOUR;
    return far <= 1 ? far : null;
  }
  const [own, wanted] = [numbersOf(value), numbersOf(other)];
  if (own.length === 0 || own.length !== wanted.length) return null;
  const far = Math.max(...own.map((n, i) => numberFarness(n, wanted[i] ?? 0, type)));
  return far <= 1 ? far : null;
};

/** The nearest of the tokens of some types, by the value that each of them comes to. */
const nearest = (
  project: Project,
  types: readonly TokenType[],
  value: Value,
  valueOf: (token: Token) => Value | undefined,
): NearToken | null => {
  let found: { token: Token; far: number } | null = null;
  for (const token of inOrder(project.tokens)) {
    if (!types.includes(token.type)) continue;
    const own = valueOf(token);
    const far = own === undefined ? null : farness(value, own, token.type);
    if (far !== null && (!found || far < found.far)) found = { token, far };
  }
  return found && { token: found.token, isSame: found.far === 0 };
};

/**
 * The token that a value of a property is or nearly is: the nearest of those it could follow; null
 * where none is near.
 */
export const nearToken = (project: Project, key: string, value: Value): NearToken | null => {
  const entry = property(key);
  if (!entry) return null;
  return nearest(project, tokensFor(entry), value, (token) =>
    boundValue(project.tokens, entry, { token: token.id }),
  );
};

/** The same for a number of a rule, which could follow a token of one type. */
export const nearNumber = (
  project: Project,
  type: "duration" | "length" | "number",
  value: number,
): NearToken | null =>
  nearest(project, [type], value, (token) => tokenValueOf(project.tokens, type, token.id));
