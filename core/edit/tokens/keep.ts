import { isTokenValue, same } from "../../project";
import type { SpecifiedTokenValue, Token } from "../../project";
import { isBound } from "../../properties";

type Table = Readonly<Record<string, unknown>>;

const isTable = (value: unknown): value is Table =>
  typeof value === "object" && value !== null && !Array.isArray(value);

const keptItems = (
  said: readonly unknown[],
  before: readonly unknown[],
  next: readonly unknown[],
): unknown[] =>
  next.map((item, i) => {
    // one that was there before may have moved up, when another went
    const at = next.length === before.length ? i : before.findIndex((b) => same(b, item));
    return at < 0 ? item : keepParts(said[at], before[at], item);
  });

/** `said` where what it came to before is what comes next; the same for parts of it. */
const keepParts = (said: unknown, before: unknown, next: unknown): unknown => {
  if (same(before, next)) return said;
  if (Array.isArray(said) && Array.isArray(before) && Array.isArray(next))
    return keptItems(said, before, next);
  if (!isTable(said) || isBound(said) || !isTable(before) || !isTable(next)) return next;
  const entries = Object.entries(next).map(
    ([key, value]) =>
      [key, key in said ? keepParts(said[key], before[key], value) : value] as const,
  );
  return Object.fromEntries(entries);
};

/**
 * What a token says after its value, `before`, was changed by hand: parts that are as they were go
 * on taking their value from other tokens.
 */
export const editedValue = (
  { type, value }: Pick<Token, "type" | "value">,
  before: unknown,
  next: SpecifiedTokenValue,
): SpecifiedTokenValue => {
  const kept = keepParts(value, before, next);
  return isTokenValue(type, kept) ? kept : next;
};
