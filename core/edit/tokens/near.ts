import { colourDistance } from "../../colour";
import { boundValue, tokensFor } from "../../looks";
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

/**
 * The token that a value of a property is or nearly is: the nearest of those it could follow; null
 * where none is near.
 */
export const nearToken = (project: Project, key: string, value: Value): NearToken | null => {
  const entry = property(key);
  if (!entry) return null;
  const suited = tokensFor(entry);
  let nearest: { token: Token; far: number } | null = null;
  for (const token of inOrder(project.tokens)) {
    if (!suited.includes(token.type)) continue;
    const own = boundValue(project.tokens, entry, { token: token.id });
    const far = own === undefined ? null : farness(value, own, token.type);
    if (far !== null && (!nearest || far < nearest.far)) nearest = { token, far };
  }
  return nearest && { token: nearest.token, isSame: nearest.far === 0 };
};
