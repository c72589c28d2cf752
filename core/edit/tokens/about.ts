import { remove, set } from "../../project";
import type { Change, Token } from "../../project";
import { editWords } from "../words";

/** Says what a token is for; an empty text says nothing. */
export const setTokenAbout = (token: Token, text: string): Change => ({
  label: editWords.changeToken(token.name),
  ops: [
    text.trim() === ""
      ? remove(["tokens", token.id, "about"])
      : set(["tokens", token.id, "about"], text.trim()),
  ],
});

/**
 * Says that a token should not be used any more, with or without a reason, or that it may be again
 * (Design Tokens Format Module 2025.10, `$deprecated`).
 */
export const setTokenDeprecated = (token: Token, deprecated: boolean | string): Change => ({
  label: deprecated === false ? editWords.undeprecate(token.name) : editWords.deprecate(token.name),
  ops: [
    deprecated === false
      ? remove(["tokens", token.id, "deprecated"])
      : set(["tokens", token.id, "deprecated"], deprecated),
  ],
});
