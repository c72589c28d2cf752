import type { Id } from "#core/basics";
import { setToken } from "#core/edit";
import type { Change, Project } from "#core/project";

/** The change of a token as it is at that moment; null when it is gone. */
export const changedToken =
  (id: Id, parts: Parameters<typeof setToken>[1]) =>
  ({ tokens }: Project): Change | null => {
    const token = tokens[id];
    return token ? setToken(token, parts) : null;
  };
