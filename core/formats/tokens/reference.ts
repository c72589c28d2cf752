import { isList, isObject } from "./json";
import type { Json } from "./json";
import { pathText } from "./file";

/** What an alias leads to: a token, or something inside its value. */
export interface Reference {
  readonly token: string;
  readonly inside: readonly string[];
}

/** `~1` and `~0` of a JSON pointer (RFC 6901 §4), after the percent signs of a fragment. */
export const unescaped = (step: string): string => {
  try {
    return decodeURIComponent(step).replaceAll("~1", "/").replaceAll("~0", "~");
  } catch {
    return step.replaceAll("~1", "/").replaceAll("~0", "~");
  }
};

const ofPointer = (pointer: string): Reference | null => {
  if (!pointer.startsWith("#/")) return null;
  const steps = pointer.slice(2).split("/").map(unescaped);
  const at = steps.indexOf("$value");
  return at === -1
    ? { token: pathText(steps), inside: [] }
    : { token: pathText(steps.slice(0, at)), inside: steps.slice(at + 1) };
};

/**
 * What a value refers to: `{a.b}` (Design Tokens Format Module 2025.10 §7.1) or a JSON pointer in
 * `$ref` (§7.2); null where it says a value itself.
 */
export const referenceIn = (value: Json): Reference | null => {
  if (typeof value === "string") {
    const token = /^\{([^{}]+)\}$/.exec(value.trim())?.[1];
    return token === undefined
      ? null
      : { token: token.trim().replace(/\.(\$value|value)$/, ""), inside: [] };
  }
  return isObject(value) && typeof value.$ref === "string" && Object.keys(value).length === 1
    ? ofPointer(value.$ref)
    : null;
};

/** The value at a way inside another; undefined where there is none. */
export const insideOf = (value: Json, way: readonly string[]): Json | undefined => {
  let at: Json | undefined = value;
  for (const step of way) {
    if (isList(at)) at = at[Number(step)];
    else if (isObject(at) && Object.hasOwn(at, step)) at = at[step];
    else return undefined;
  }
  return at;
};
