import type { Id } from "#core/basics";
import { setToken } from "#core/edit";
import type { Change, Project, Token } from "#core/project";

/** What changes a token as it is at that moment; null when it is gone. */
export const changingToken =
  (id: Id, change: (token: Token) => Change) =>
  ({ tokens }: Project): Change | null => {
    const token = tokens[id];
    return token ? change(token) : null;
  };

/** The change of parts of a token as it is at that moment; null when it is gone. */
export const changedToken = (id: Id, parts: Parameters<typeof setToken>[1]) =>
  changingToken(id, (token) => setToken(token, parts));
