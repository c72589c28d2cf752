import type { KeyEntry } from "../../ui/keys";
import type { Session } from "../session";
import { sessionWords } from "../words";

/** The keys of undo, on every page of a project. */
export const undoKeys: readonly KeyEntry<Session>[] = [
  { keys: ["$mod+z"], words: sessionWords.undo, run: (session) => session.undo() },
  { keys: ["$mod+Shift+z", "$mod+y"], words: sessionWords.redo, run: (session) => session.redo() },
];
