import { split } from "../chain";
import { without } from "../surface";
import { changed } from "../state";
import type { State } from "../state";
import type { Path } from "../types";

/** Empties what has been filled in in a copy. */
export const emptied = (state: State, copy: Path): State => {
  const own = Object.keys(state.forms.entries).filter((p) => split(p).copy === copy);
  if (own.length === 0) return state;
  const entries = own.reduce((left, path) => without(left, path), state.forms.entries);
  return changed(state, "forms", { entries });
};
