import type { Part, SpecifiedTokenValue, TokenType } from "../../../project";
import type { Json, JsonObject } from "../json";

/** Reads a value that says nothing by aliases; undefined where it is none of that kind. */
type ReadPlain<T> = (plain: Json) => T | undefined;

/** Reads what may hold aliases; knows what the other tokens say. */
export interface Reader {
  /** a value, with every alias in it followed */
  readonly plain: <T>(json: Json | undefined, read: ReadPlain<T>) => T | undefined;
  /** a part: bound where it is an alias of a whole token of that type, else its value */
  readonly part: <T>(
    json: Json | undefined,
    type: TokenType,
    read: ReadPlain<T>,
  ) => Part<T> | undefined;
}

/** Writes a part: as an alias where it is bound. */
export type WritePart = <T>(said: Part<T>, write: (value: T) => Json) => Json;

/** What is said beside the format, to be written as JSON. */
export type Said = Readonly<Record<string, unknown>>;

/** One `$type` of the format, and the type of token it is here; given values of that type only. */
export interface Kind<V extends SpecifiedTokenValue> {
  /** `$type` (Design Tokens Format Module 2025.10 §8 and §9) */
  readonly name: string;
  readonly type: TokenType;
  /** undefined where it is not a value of this kind */
  read(json: Json, reader: Reader): V | undefined;
  write(value: V, part: WritePart): Json;
  /** what the format cannot say of a value, for `$extensions`; undefined where it says all */
  more?(value: V): Said | undefined;
  /** the value with what `more` said of it, to be looked at by the schema of the type */
  withMore?(value: V, more: JsonObject): unknown;
}
