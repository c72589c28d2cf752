import { pathText } from "./file";
import type { FileToken } from "./file";
import { isList, isObject } from "./json";
import type { Json } from "./json";
import { insideOf, referenceIn } from "./reference";

/** Values a token may come to, aliases followed: some files double at every step. */
const LARGEST_VALUE = 5000;
const DEEPEST = 60;

/** Tokens by their path, and what their aliases lead to. */
export class Table {
  readonly #tokens = new Map<string, FileToken>();
  readonly #ends = new Map<string, FileToken | null>();
  readonly #circles = new Map<string, string>();
  readonly #types = new Map<string, string | null>();

  constructor(tokens: Iterable<FileToken>) {
    for (const token of tokens) this.#tokens.set(pathText(token.path), token);
  }

  get(path: string): FileToken | undefined {
    return this.#tokens.get(path);
  }

  tokens(): Iterable<FileToken> {
    return this.#tokens.values();
  }

  /** The token a whole alias leads to; null where the token says a value itself. */
  targetOf(token: FileToken): string | null {
    const reference = referenceIn(token.value);
    return reference && reference.inside.length === 0 ? reference.token : null;
  }

  /**
   * The tokens from one to the end of its aliases, both included; shorter where one is missing, or
   * where enough is known of it.
   */
  chainOf(path: string, isKnown: (path: string) => boolean): readonly FileToken[] {
    const chain: FileToken[] = [];
    const seen = new Set<string>();
    for (let at: string | null = path; at !== null && !seen.has(at) && !isKnown(at);) {
      seen.add(at);
      const token = this.#tokens.get(at);
      if (!token) break;
      chain.push(token);
      at = this.targetOf(token);
    }
    return chain;
  }

  /** The token at the end of all aliases; undefined where they lead nowhere, or in a circle. */
  endOf(path: string): FileToken | undefined {
    if (!this.#ends.has(path)) this.#noteEnds(path);
    return this.#ends.get(path) ?? undefined;
  }

  #noteEnds(path: string): void {
    const chain = this.chainOf(path, (at) => this.#ends.has(at));
    const last = chain.at(-1);
    const target = last ? this.targetOf(last) : null;
    const ownEnd = target === null ? (last ?? null) : null;
    const end = target === null ? ownEnd : (this.#ends.get(target) ?? null);
    const isBack = target !== null && this.#tokens.has(target) && !this.#ends.has(target);
    const way = [...chain.slice(-5).map((t) => pathText(t.path)), target].join(" → ");
    const circle = isBack ? way : this.#circles.get(target ?? "");
    for (const { path: passed } of chain) {
      this.#ends.set(pathText(passed), end);
      if (circle !== undefined) this.#circles.set(pathText(passed), circle);
    }
  }

  /** The circle a token's aliases lead in; null where they do not. */
  circleAt(path: string): string | null {
    this.endOf(path);
    return this.#circles.get(path) ?? null;
  }

  /** `$type` of a token: its own, that of what it is an alias of, that of its group (§5.2.2). */
  typeOf(token: FileToken): string | null {
    const path = pathText(token.path);
    if (!this.#types.has(path)) this.#noteTypes(path);
    return this.#types.get(path) ?? null;
  }

  /** From the end of the aliases, so that no chain is too long, and each is gone through once. */
  #noteTypes(path: string): void {
    const isCircle = this.circleAt(path) !== null;
    const chain = this.chainOf(path, (at) => this.#types.has(at));
    for (const token of [...chain].reverse()) {
      const target = isCircle ? null : this.targetOf(token);
      const ofTarget = target === null ? null : (this.#types.get(target) ?? null);
      this.#types.set(pathText(token.path), token.type ?? ofTarget ?? token.groupType);
    }
  }

  /** A value with every alias in it followed; undefined where one leads nowhere or to too much. */
  plain(json: Json): Json | undefined {
    const room = { left: LARGEST_VALUE };
    return this.#plain(json, room, DEEPEST);
  }

  #plain(json: Json, room: { left: number }, depth: number): Json | undefined {
    room.left -= 1;
    if (room.left < 0 || depth < 0) return undefined;
    const reference = referenceIn(json);
    if (reference) {
      const end = this.endOf(reference.token);
      const found = end && insideOf(end.value, reference.inside);
      return found === undefined ? undefined : this.#plain(found, room, depth - 1);
    }
    if (isList(json)) {
      const list = json.map((inner) => this.#plain(inner, room, depth - 1));
      const whole = list.filter((inner) => inner !== undefined);
      return whole.length === list.length ? whole : undefined;
    }
    if (!isObject(json)) return json;
    const entries: [string, Json][] = [];
    for (const [key, inner] of Object.entries(json)) {
      const value = this.#plain(inner, room, depth - 1);
      if (value === undefined) return undefined;
      entries.push([key, value]);
    }
    return Object.fromEntries(entries);
  }
}
