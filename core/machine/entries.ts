import { split } from "./chain";
import { without } from "./surface";
import type { Path, State } from "./types";

/** Empties what has been filled in in a copy. */
export const emptied = (state: State, copy: Path): State => {
  const own = Object.keys(state.entries).filter((p) => split(p).copy === copy);
  return own.length
    ? { ...state, entries: own.reduce((e, p) => without(e, p), state.entries) }
    : state;
};
