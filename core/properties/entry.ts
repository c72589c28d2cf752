import { hundredths } from "./rounding";
import { parseNumber } from "./arithmetic";
import { parsePose, poseText } from "./away";
import { parseColour } from "../colour";
import { gradientText, parseGradient } from "./gradient";
import { ENDLESS } from "./registry";
import { valueSchema } from "./schema";
import type { Four, Shadow, Value, ValueType } from "./types";
import { propertiesWords } from "./words";

type Parsed = { ok: true; value: Value } | { ok: false; error: string };
const good = (value: Value): Parsed => ({ ok: true, value });
const bad = (error: string): Parsed => ({ ok: false, error });

type List = readonly (number | Shadow)[];
const isList = (value: Value): value is Extract<Value, List> => Array.isArray(value);
/** A value that is a list, as one; empty for others. */
const listOf = (value: Value): List => (isList(value) ? value : []);
const numbersOf = (value: Value): readonly number[] =>
  listOf(value).filter((n) => typeof n === "number");
const shadowsOf = (value: Value): readonly Shadow[] =>
  listOf(value).filter((s) => typeof s === "object");

const parsePair = (text: string, current: Value): Parsed => {
  const now = numbersOf(current);
  const parts = text
    .trim()
    .split(/\s+/)
    .map((part, i) => parseNumber(part.replace(/%$/, ""), now[i] ?? 0));
  const [a, b = a] = parts;
  return parts.length > 2 || a == null || b == null
    ? bad(propertiesWords.enterOneNumberTwo)
    : good([a, b]);
};

const parseFour = (text: string, current: Value): Parsed => {
  if (/^\s*full\s*$/i.test(text)) return good([ENDLESS, ENDLESS, ENDLESS, ENDLESS]);
  const now = numbersOf(current);
  const parts = text
    .trim()
    .split(/\s+/)
    .map((part, i) => parseNumber(part, now[i] ?? 0));
  const numbers = parts.filter((p) => p !== null);
  if (numbers.length > 4 || numbers.length < parts.length)
    return bad(propertiesWords.enterOneFourNumbers);
  const [a = 0, b = a, c = a, d = b] = numbers;
  return good([a, b, c, d]);
};

const parseShadows = (text: string): Parsed => {
  if (/^\s*(none)?\s*$/.test(text)) return good([]);
  const shadows: Shadow[] = [];
  for (const part of text.split(/,(?![^(]*\))/)) {
    const colourText = /[a-z]+\([^)]*\)|#[0-9a-f]+|(?!inner|inset)\b[a-z]{3,}/i.exec(part)?.[0];
    const inner = /\b(inner|inset)\b/i.test(part);
    const numbers = part
      .replace(/\b(inner|inset)\b/i, " ")
      .replace(colourText ?? "", " ")
      .trim()
      .split(/\s+/)
      .map((n) => (/^-?[\d.]+(px)?$/.test(n) ? Number.parseFloat(n) : NaN));
    const colour = numbers.some(Number.isNaN) ? null : parseColour(colourText ?? "#00000040");
    if (colour === null || numbers.length < 2 || numbers.length > 4)
      return bad(propertiesWords.enterShadowSuchAs);
    const [x = 0, y = 0, blur = 0, spread = 0] = numbers;
    shadows.push({ x, y, blur, spread, colour, ...(inner ? { inner } : {}) });
  }
  return good(shadows);
};

type TypeName = ValueType["is"];
type TypeOf<K extends TypeName> = Extract<ValueType, { readonly is: K }>;
type Parser<K extends TypeName> = (text: string, current: Value, type: TypeOf<K>) => Parsed;

const parseColourText = (text: string, wanted: string): Parsed => {
  const colour = parseColour(text);
  return colour === null ? bad(wanted) : good(colour);
};

const parseFill: Parser<"fill"> = (text) => {
  const gradient = parseGradient(text);
  if (gradient) return good(gradient);
  return parseColourText(text, propertiesWords.enterColourSuchAs2);
};

const parseNumberText: Parser<"number"> = (text, current, type) => {
  if (type.open && /^\s*none\s*$/i.test(text)) return good(type.max);
  const n = parseNumber(text, typeof current === "number" ? current : 0);
  return n === null ? bad(propertiesWords.enterNumberCalculationSuch) : good(n);
};

const parseFlag: Parser<"flag"> = (text) => {
  const word = text.trim().toLowerCase();
  if (["yes", "true", "1"].includes(word)) return good(true);
  return ["no", "false", "0"].includes(word) ? good(false) : bad(propertiesWords.enterYesNo);
};

/** The spelling that is offered, for one that is used elsewhere. */
const spellings = [
  ["center", "centre"],
  ["gray", "grey"],
  ["colour", "color"],
] as const;
const british = (word: string, of: readonly string[]): string => {
  if (word === "" || of.some((o) => o.toLowerCase().startsWith(word))) return word;
  const meant = spellings.find(([typed]) => word.includes(typed) || typed.startsWith(word));
  if (!meant) return word;
  const [typed, offered] = meant;
  return word.includes(typed) ? word.replace(typed, offered) : offered;
};

/** What is offered, or the beginning of it. */
const parseChoice: Parser<"choice"> = (text, _current, { of, words = {} }) => {
  const shown = of.map((o) => words[o] ?? o);
  const word = british(text.trim().toLowerCase(), shown);
  const isIt = (o: string): boolean => o.toLowerCase() === word;
  const begins = (o: string): boolean => word !== "" && o.toLowerCase().startsWith(word);
  const found =
    of[shown.findIndex(isIt)] ?? of.find(isIt) ?? of[shown.findIndex(begins)] ?? of.find(begins);
  return found === undefined ? bad(propertiesWords.useOne(shown.join(", "))) : good(found);
};

const parseAway: Parser<"away"> = (text, _current, { words }) => {
  const word = text.trim().toLowerCase();
  const known = words.find((w) => word !== "" && w.startsWith(word));
  const value = known ?? parsePose(word);
  return value === null ? bad(propertiesWords.enterPresetSuchAs) : good(value);
};

const asItIs = (text: string): Parsed => good(text);

const parsers: { readonly [K in TypeName]: Parser<K> } = {
  number: parseNumberText,
  colour: (text) => parseColourText(text, propertiesWords.enterColourSuchAs),
  fill: parseFill,
  pair: parsePair,
  flag: parseFlag,
  choice: parseChoice,
  four: parseFour,
  shadows: parseShadows,
  text: asItIs,
  path: asItIs,
  asset: asItIs,
  family: asItIs,
  style: asItIs,
  away: parseAway,
  reference: asItIs,
};

const parseByType = (type: ValueType, text: string, current: Value): Parsed => {
  // the table has each type's parser under its name
  const parse = parsers[type.is] as (text: string, current: Value, type: ValueType) => Parsed;
  return parse(text, current, type);
};

/** Reads what a person typed for a property; the error says what would be understood. */
export const parseValue = (type: ValueType, text: string, current: Value): Parsed => {
  const parsed = parseByType(type, text, current);
  if (!parsed.ok) return parsed;
  const checked = valueSchema(type).safeParse(parsed.value);
  return checked.success
    ? parsed
    : bad(checked.error.issues[0]?.message ?? propertiesWords.notValidValue);
};

const trim = (n: number): string => String(hundredths(n));

/** The fewest numbers that say all four sides, as in CSS. */
const shortest = ([a, b, c, d]: Four): readonly number[] => {
  if (a === b && b === c && c === d) return [a];
  return a === c && b === d ? [a, b] : [a, b, c, d];
};

const shadowText = ({ x, y, blur, spread, colour, inner }: Shadow): string =>
  `${inner ? "inset " : ""}${trim(x)} ${trim(y)} ${trim(blur)}${spread ? ` ${trim(spread)}` : ""} ${colour}`;

const listText = (value: Value): string => {
  if (listOf(value).length === 0) return "none";
  const numbers = numbersOf(value);
  if (numbers.length === 0) return shadowsOf(value).map(shadowText).join(", ");
  const [a = 0, b = a, c, d = b] = numbers;
  if (c === undefined) return (a === b ? [a] : [a, b]).map(trim).join(" ");
  if (a >= ENDLESS && b === a && c === a && d === a) return "full";
  return shortest([a, b, c, d]).map(trim).join(" ");
};

/** A value as the sheet shows it; parseValue reads it back. */
export const showValue = (value: Value): string => {
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "number") return value === ENDLESS ? "none" : trim(value);
  if (typeof value === "string") return value;
  if ("stops" in value) return gradientText(value);
  if ("fit" in value) return typeof value.picture === "string" ? "picture" : value.picture.name;
  if ("name" in value) return value.name;
  if ("opacity" in value) return poseText(value);
  return listText(value);
};
