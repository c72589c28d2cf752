import { issueText } from "#core/project";
import type { Proposal } from "#core/project";
import { appendRequest } from "../requests";
import { Unreadable } from "./bytes";

/**
 * How deep values may lie in one another in what a window sends; what JSON.parse and schemas go
 * down by recursion.
 */
const DEEPEST = 60;

/** How deep arrays and objects of a JSON text lie in one another, without parsing it. */
const depthOf = (text: string): number => {
  let depth = 0;
  let deepest = 0;
  let inText = false;
  for (let i = 0; i < text.length; i++) {
    const char = text[i];
    if (inText) {
      if (char === "\\") i++;
      else if (char === '"') inText = false;
    } else if (char === '"') inText = true;
    else if (char === "{" || char === "[") deepest = Math.max(deepest, ++depth);
    else if (char === "}" || char === "]") depth--;
  }
  return deepest;
};

/** Reads what a window sends to have a change kept; throws `Unreadable` with the reason. */
export const readProposal = (bytes: Uint8Array): Proposal => {
  const text = new TextDecoder().decode(bytes);
  if (depthOf(text) > DEEPEST)
    throw new Unreadable(`values lie more than ${DEEPEST} deep in one another`);
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new Unreadable("it is not JSON");
  }
  const parsed = appendRequest.safeParse(value);
  if (!parsed.success) throw new Unreadable(issueText(parsed.error));
  return parsed.data;
};
