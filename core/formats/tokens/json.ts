import JSON5 from "json5";
import { tokenFileWords } from "./words";

/** What JSON can say. */
export type Json =
  string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json };
export type JsonObject = { readonly [key: string]: Json };

export const isObject = (value: unknown): value is JsonObject =>
  typeof value === "object" && value !== null && !Array.isArray(value);

export const isList = (value: unknown): value is readonly Json[] => Array.isArray(value);

/** Values inside one another: what lies deeper would end in a full stack somewhere. */
const DEEPEST = 60;
/** Letters of a file that is read at all. */
const LARGEST_FILE = 20_000_000;

const isTooDeep = (value: unknown, left: number): boolean => {
  if (typeof value !== "object" || value === null) return false;
  return left === 0 || Object.values(value).some((inner) => isTooDeep(inner, left - 1));
};

type Parsed = { readonly ok: true; readonly json: Json } | { readonly ok: false; reason: string };

const reasonOf = (error: unknown): string =>
  error instanceof RangeError
    ? tokenFileWords.tooDeep(DEEPEST)
    : tokenFileWords.notJson(error instanceof Error ? error.message.replace(/^JSON5: /, "") : "");

/** JSON as JSON5 writes it, too: comments, trailing commas, keys without quotes. */
const parse = (text: string): unknown => {
  try {
    return JSON.parse(text);
  } catch {
    return JSON5.parse(text);
  }
};

/** What the readers of JSON give. */
const isJson = (value: unknown): value is Json => value !== undefined;

/** Reads JSON (RFC 8259) or JSON5; the reason names the line where it is neither. Never throws. */
export const readJson = (text: string): Parsed => {
  if (text.length > LARGEST_FILE)
    return { ok: false, reason: tokenFileWords.tooLarge(LARGEST_FILE / 1e6) };
  try {
    // a mark some editors put before everything
    const json = parse(text.replace(/^\uFEFF/, ""));
    return isTooDeep(json, DEEPEST) || !isJson(json)
      ? { ok: false, reason: tokenFileWords.tooDeep(DEEPEST) }
      : { ok: true, json };
  } catch (error) {
    return { ok: false, reason: reasonOf(error) };
  }
};
