import { isDeepStrictEqual } from "node:util";
import { defineConfig, Logger, parse } from "@terrazzo/parser";
import JSON5 from "json5";
import { emptyProject, planTokens, takeTokens } from "../../core/edit/index.ts";
import { readTokens, writeTokens } from "../../core/formats/tokens/index.ts";
import type { Problem, TokenFile } from "../../core/formats/tokens/index.ts";
import { accept } from "../../core/project/index.ts";

type Group = Record<string, unknown>;

/** How a set fared that was read, taken over, written, and read by somebody else. */
export interface Compared {
  /** as many tokens as the set has */
  readonly tokens: number;
  /** as many of them were compared */
  readonly compared: number;
  /** those that are others in what we wrote */
  readonly others: readonly string[];
  readonly problems: readonly Problem[];
}

const isGroup = (value: unknown): value is Group =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** Files put over one another, group by group; tokens are replaced as a whole. */
const merged = (below: Group, above: Group): Group => {
  const out: Group = { ...below };
  for (const [key, value] of Object.entries(above)) {
    const under = out[key];
    const isDeep = isGroup(value) && isGroup(under) && !("$value" in value);
    out[key] = isDeep ? merged(under, value) : value;
  }
  return out;
};

/** A group without the tokens of one type, which may be inherited. */
const withoutType = (group: Group, type: string, inherited?: unknown): Group => {
  const entries = Object.entries(group).filter(([key, value]) => {
    if (key.startsWith("$") || !isGroup(value) || !("$value" in value)) return true;
    return (value.$type ?? group.$type ?? inherited) !== type;
  });
  const own = group.$type ?? inherited;
  return Object.fromEntries(
    entries.map(([key, value]) => [
      key,
      !key.startsWith("$") && isGroup(value) && !("$value" in value)
        ? withoutType(value, type, own)
        : value,
    ]),
  );
};

const place = new URL("file:///tokens.json");
// what it merely advises is of no matter here
const config = defineConfig({ lint: { rules: {} } }, { cwd: place });

/** Tokens as a parser sees them that is not ours. */
const byOthers = async (tokens: Group) => {
  const logger = new Logger({ level: "silent" });
  const src = JSON.stringify(tokens);
  const read = await parse([{ filename: place, src }], { config, logger });
  return new Map(Object.entries(read.tokens));
};

/**
 * The tokens that are others in one file than in another, for a parser that is not ours: also those
 * that only one of them has. Throws when that parser takes one of them not at all.
 */
export const differing = async (
  original: Group,
  written: Group,
): Promise<{ readonly tokens: number; readonly others: readonly string[] }> => {
  const [before, after] = await Promise.all([byOthers(original), byOthers(written)]);
  const others = [...before].flatMap(([id, token]) => {
    // the value of a group itself is written under the name the format has for it
    const now = after.get(id) ?? after.get(`${id}.$root`);
    const isSame = token.$type === now?.$type && isDeepStrictEqual(token.$value, now.$value);
    return isSame ? [] : [id];
  });
  const added = [...after.keys()].filter((id) => !before.has(id.replace(/\.\$root$/, "")));
  return { tokens: before.size, others: [...others, ...added] };
};

/**
 * Reads files of tokens, takes them over into an empty project and writes them out again; then has
 * a parser that is not ours read both, the files and what was written, and compares token by token.
 * Tokens of one type may be left out of the comparison: where that parser refuses those of a set.
 * Throws when the project or the parser takes none of it.
 */
export const compareSet = async (
  files: readonly TokenFile[],
  leavesOut?: string,
): Promise<Compared> => {
  const read = readTokens(files);
  const empty = emptyProject("Set");
  const accepted = accept(empty, takeTokens(empty, planTokens(empty, read), false));
  if (!accepted.ok) throw new Error(accepted.error);
  const [file] = writeTokens(accepted.project);
  const written = JSON.parse(file?.text ?? "{}") as Group;
  const original = files.map((f) => JSON5.parse<Group>(f.text)).reduce(merged, {});
  const kept = (group: Group): Group =>
    leavesOut === undefined ? group : withoutType(group, leavesOut);
  const { tokens, others } = await differing(kept(original), kept(written));
  return {
    tokens: read.tokens.length,
    compared: tokens,
    others,
    problems: read.problems,
  };
};
