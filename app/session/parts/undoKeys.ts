import type { KeyEntry } from "../../ui/keys";
import type { Session } from "../session";

/** The keys of undo, on every page of a project. */
export const undoKeys: readonly KeyEntry<Session>[] = [
  { keys: ["$mod+z"], words: "Undo", run: (session) => session.undo() },
  { keys: ["$mod+Shift+z", "$mod+y"], words: "Redo", run: (session) => session.redo() },
];
