import { createContext, useContext, useSyncExternalStore } from "react";
import type { Project } from "#core/project";

/** A project as it is to be shown, which tells when that changes. A session is one. */
export interface DisplayedSource {
  readonly displayed: Project;
  /** as the server has shown it, where that is another one */
  readonly first?: Project;
  readonly subscribe: (call: () => void) => () => void;
}

export const DisplayedContext = createContext<DisplayedSource | null>(null);

/** Where the parts around this one read the project from. */
export const useDisplayedSource = (): DisplayedSource => {
  const source = useContext(DisplayedContext);
  if (!source) throw new Error("there is no project around this page");
  return source;
};

/**
 * The project with this window's own edits, or what `pick` takes of it: renders again only when
 * that is another one. For showing; edits are built from the present project, by commands.
 */
export function useDisplayedProject(): Project;
export function useDisplayedProject<T>(pick: (project: Project) => T): T;
export function useDisplayedProject<T>(pick?: (project: Project) => T): T | Project {
  const source = useDisplayedSource();
  const read = () => (pick ? pick(source.displayed) : source.displayed);
  const readFirst = () => {
    const first = source.first ?? source.displayed;
    return pick ? pick(first) : first;
  };
  return useSyncExternalStore(source.subscribe, read, readFirst);
}
