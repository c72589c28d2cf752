import { isTokenValue, limits } from "../../project";
import type { SpecifiedTokenValue, TokenType } from "../../project";
import { pathText } from "./file";
import type { FileToken } from "./file";
import { isList, isObject } from "./json";
import type { Json } from "./json";
import { kinds } from "./kinds";
import type { Kind, Reader } from "./kinds/kind";
import { groupText } from "./names";
import { referenceIn } from "./reference";
import { renamed } from "./renamed";
import { sameJson } from "./same";
import type { Table } from "./table";
import { tokenFileWords } from "./words";
import { writePart } from "./writing/part";

/** Our own part of `$extensions`. */
export const OURS = "app.nubble";

/** What is made of a token of a file; aliases and bindings name paths instead of ids. */
export interface MadeToken {
  /** its path in the file, as aliases write it */
  readonly at: string;
  /** its groups and its name */
  readonly path: readonly string[];
  readonly type: TokenType;
  readonly value: SpecifiedTokenValue | { readonly alias: string };
  /** `$value` as JSON where it is not what would be written for the value */
  readonly written?: string;
  readonly about?: string;
  readonly deprecated?: boolean | string;
  /** `$extensions` of others, as JSON */
  readonly extensions?: string;
  /** why it is of no use here, and only kept */
  readonly note?: string;
}

type Value = Pick<MadeToken, "type" | "value" | "written" | "note">;

const byName = new Map(kinds.map((kind) => [kind.name, kind]));
const byType = new Map(kinds.map((kind) => [kind.type, kind]));

/** The kind of the format that tokens of a type are written as; undefined for what is only kept. */
export const kindOf = (type: TokenType): Kind<SpecifiedTokenValue> | undefined => byType.get(type);

const isValueOf = (type: TokenType, value: unknown): value is SpecifiedTokenValue =>
  // schemas want ids where paths are bound
  isTokenValue(
    type,
    renamed(value, () => "t"),
  );

const LONGEST_SHOWN = 60;
const shown = (json: Json): string => {
  const text = JSON.stringify(json);
  return text.length > LONGEST_SHOWN ? `${text.slice(0, LONGEST_SHOWN)}…` : text;
};

/** The groups and the name of a token that has others in the file, since those are not allowed. */
const pathIn = (ours: unknown): readonly string[] | undefined => {
  const path = isObject(ours) ? ours.path : undefined;
  const names = isList(path) ? path : [];
  const texts = names.filter((name) => typeof name === "string");
  return texts.length > 0 && texts.length === names.length ? texts : undefined;
};

/** Makes tokens of what files say. */
export class Maker {
  readonly #made = new Map<string, Value>();

  constructor(readonly table: Table) {}

  /** What is made of a token; one that is of no use here is kept as it stands. */
  make(token: FileToken): MadeToken {
    const at = pathText(token.path);
    const own = this.#valueOf(at) ?? this.#kept(token, null, null);
    const { [OURS]: ours, ...others } = token.extensions ?? {};
    return {
      at,
      path: pathIn(ours) ?? token.path,
      ...own,
      ...(token.about === undefined ? {} : { about: token.about }),
      ...(token.deprecated === undefined ? {} : { deprecated: token.deprecated }),
      ...(Object.keys(others).length > 0 ? { extensions: JSON.stringify(others) } : {}),
    };
  }

  /** The chain of aliases is gone through from its end, so that no chain is too long. */
  #valueOf(path: string): Value | undefined {
    const known = this.#made.get(path);
    if (known) return known;
    const circle = this.table.circleAt(path);
    const chain = this.table.chainOf(path, (at) => this.#made.has(at));
    for (const token of [...chain].reverse())
      this.#made.set(pathText(token.path), this.#one(token, circle));
    return this.#made.get(path);
  }

  #one(token: FileToken, circle: string | null): Value {
    const type = this.table.typeOf(token);
    if (circle !== null) return this.#kept(token, type, tokenFileWords.circle(circle));
    const target = this.table.targetOf(token);
    if (target !== null) return this.#alias(token, type, target);
    if (type === null) return this.#kept(token, null, tokenFileWords.noType);
    const kind = byName.get(type);
    return kind
      ? this.#ofKind(token, kind, token.value)
      : this.#kept(token, type, tokenFileWords.unknownType(type));
  }

  #alias(token: FileToken, type: string | null, target: string): Value {
    const made = this.#made.get(target);
    if (!made) return this.#kept(token, type, tokenFileWords.aliasOfNothing(target));
    const kind = type === null ? undefined : byName.get(type);
    if (!kind || kind.type === made.type || made.type === "other")
      return {
        type: made.type,
        value: { alias: target },
        ...(made.note ? { note: made.note } : {}),
      };
    const plain = this.table.plain(token.value);
    return plain === undefined
      ? this.#kept(token, type, tokenFileWords.aliasOfNothing(target))
      : this.#ofKind(token, kind, plain);
  }

  #ofKind(token: FileToken, kind: Kind<SpecifiedTokenValue>, json: Json): Value {
    const read = kind.read(json, this.#reader);
    if (read === undefined || !isValueOf(kind.type, read))
      return this.#kept(token, kind.name, tokenFileWords.notOfType(shown(token.value), kind.name));
    const value = this.#withMore(token, kind, read);
    const usual = kind.write(
      value,
      writePart((path) => `{${path}}`),
    );
    return {
      type: kind.type,
      value,
      ...(sameJson(usual, token.value) ? {} : { written: JSON.stringify(token.value) }),
    };
  }

  /** The value with what only we say, where the file's own value is still the one we wrote. */
  #withMore(
    token: FileToken,
    kind: Kind<SpecifiedTokenValue>,
    value: SpecifiedTokenValue,
  ): SpecifiedTokenValue {
    const ours = token.extensions?.[OURS];
    if (!isObject(ours) || !kind.withMore) return value;
    const whole = kind.withMore(value, ours);
    if (!isValueOf(kind.type, whole)) return value;
    const usual = kind.write(
      whole,
      writePart((path) => `{${path}}`),
    );
    return sameJson(usual, token.value) ? whole : value;
  }

  #kept(token: FileToken, kind: string | null, note: string | null): Value {
    const json = JSON.stringify(token.value);
    return { type: "other", value: { kind, json }, ...(note === null ? {} : { note }) };
  }

  readonly #reader: Reader = {
    plain: (json, read) => {
      const plain = json === undefined ? undefined : this.table.plain(json);
      return plain === undefined ? undefined : read(plain);
    },
    part: <T>(json: Json | undefined, type: TokenType, read: (plain: Json) => T | undefined) => {
      const target = json === undefined ? null : referenceIn(json);
      if (target?.inside.length === 0 && this.#valueOf(target.token)?.type === type)
        return { token: target.token };
      return this.#reader.plain(json, read);
    },
  };
}

/** Why a token cannot be one of ours, whatever it says; null where it can. */
export const unfit = ({
  path,
  written = "",
  extensions = "",
  about = "",
}: MadeToken): string | null => {
  const name = path.at(-1) ?? "";
  if (name.trim() === "") return tokenFileWords.noName;
  if (name.length > limits.tokenName || groupText(path.slice(0, -1)).length > limits.tokenGroup)
    return tokenFileWords.nameTooLong(limits.tokenName, limits.tokenGroup);
  if (Math.max(written.length, extensions.length) > limits.json)
    return tokenFileWords.saysTooMuch(limits.json);
  return about.length > limits.text ? tokenFileWords.saysTooMuch(limits.text) : null;
};
