import { pathText } from "./file";
import type { FileGroup, FileToken, Problem } from "./file";
import { isObject } from "./json";
import type { Json, JsonObject } from "./json";
import { referenceIn } from "./reference";
import { tokenFileWords } from "./words";

/** A file's tokens and groups in the order they stand there. */
export interface Walked {
  readonly tokens: readonly FileToken[];
  readonly groups: readonly FileGroup[];
  readonly problems: readonly Problem[];
}

const isToken = (node: JsonObject): boolean => Object.hasOwn(node, "$value") || "$ref" in node;

/** What tokens and groups say of themselves alike. */
const described = (node: JsonObject) => ({
  ...(typeof node.$description === "string" ? { about: node.$description } : {}),
  ...(typeof node.$deprecated === "boolean" || typeof node.$deprecated === "string"
    ? { deprecated: node.$deprecated }
    : {}),
  ...(isObject(node.$extensions) ? { extensions: node.$extensions } : {}),
});

const typeOf = (node: JsonObject): string | undefined =>
  typeof node.$type === "string" ? node.$type : undefined;

/**
 * Names may not begin with a dollar sign, nor hold what aliases are written with (§5.1.1), nor be
 * what objects are made by.
 */
const isName = (name: string): boolean =>
  !name.startsWith("$") && !/[{}.]/.test(name) && name !== "__proto__";

/** Both groups in one; what the second says is stronger (§6.4, as JSON Schema's `$ref`). */
const deepMerged = (under: JsonObject, over: JsonObject): JsonObject => {
  const out: Record<string, Json> = { ...under };
  for (const [key, value] of Object.entries(over)) {
    const before = Object.hasOwn(out, key) ? out[key] : undefined;
    const isGroup = isObject(value) && isObject(before) && !isToken(value) && !isToken(before);
    out[key] = isGroup ? deepMerged(before, value) : value;
  }
  return out;
};

/** Goes through a file once and notes what it says. */
class Walk implements Walked {
  readonly tokens: FileToken[] = [];
  readonly groups: FileGroup[] = [];
  readonly problems: Problem[] = [];

  constructor(
    readonly file: string,
    readonly whole: JsonObject,
  ) {}

  group(found: JsonObject, path: readonly string[], above: string | null): void {
    const node = this.#extended(found, path);
    const type = typeOf(node) ?? above;
    const says = described(node);
    if (Object.keys(says).length > 0) this.groups.push({ path, ...says });
    for (const [name, inner] of Object.entries(node)) {
      if (name === "$root" && isObject(inner)) this.#token(inner, [...path, name], type);
      else if (!name.startsWith("$")) this.#member(inner, [...path, name], type);
    }
  }

  #member(node: Json, path: readonly string[], type: string | null): void {
    const name = path.at(-1) ?? "";
    if (!isObject(node)) this.#problem(path, tokenFileWords.neitherTokenNorGroup);
    else if (!isName(name)) this.#problem(path, tokenFileWords.nameNotAllowed(name));
    else if (isToken(node)) this.#token(node, path, type);
    else this.group(node, path, type);
  }

  #token(node: JsonObject, path: readonly string[], above: string | null): void {
    const value = Object.hasOwn(node, "$value") ? node.$value : { $ref: node.$ref ?? "" };
    if (value === undefined) return;
    const type = typeOf(node) ?? null;
    this.tokens.push({ path, type, groupType: above, value, ...described(node) });
  }

  /** A group with all that it takes from the one it extends. */
  #extended(node: JsonObject, path: readonly string[]): JsonObject {
    let whole = node;
    const seen = new Set([pathText(path)]);
    for (let at = node.$extends; at !== undefined;) {
      const target = this.#groupAt(at);
      const key = pathText(referenceIn(at)?.token.split(".") ?? []);
      if (!target || seen.has(key)) {
        this.#problem(path, tokenFileWords.cannotExtend(key));
        return whole;
      }
      seen.add(key);
      whole = deepMerged(target, whole);
      at = target.$extends;
    }
    return whole;
  }

  #groupAt(said: Json): JsonObject | null {
    const reference = referenceIn(
      typeof said === "string" && said.startsWith("#") ? { $ref: said } : said,
    );
    if (!reference) return null;
    let at: Json | undefined = this.whole;
    for (const step of reference.token.split("."))
      at = isObject(at) && Object.hasOwn(at, step) ? at[step] : undefined;
    return isObject(at) ? at : null;
  }

  #problem(path: readonly string[], reason: string): void {
    this.problems.push({ file: this.file, path: pathText(path), reason });
  }
}

/** What a file of tokens holds (Design Tokens Format Module 2025.10 §5 and §6). */
export const walk = (file: string, json: Json): Walked => {
  if (!isObject(json))
    return {
      tokens: [],
      groups: [],
      problems: [{ file, path: "", reason: tokenFileWords.notGroup }],
    };
  const it = new Walk(file, json);
  it.group(json, [], null);
  return it;
};
