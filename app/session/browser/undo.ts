import type { Session } from "../session";
import { keptUndoSchema } from "../undo";
import type { KeptUndo } from "../undo";

/** More is not kept, letters: a tab has little room, and all of it is written while it goes. */
const LARGEST = 2_000_000;

const nameOf = (projectId: string): string => `nubble.undo.${projectId}`;

/** What was kept under a name, once: a copy of this tab shall not find it, too. */
const take = (name: string): KeptUndo | null => {
  const text = sessionStorage.getItem(name);
  sessionStorage.removeItem(name);
  if (text === null) return null;
  try {
    return keptUndoSchema.safeParse(JSON.parse(text)).data ?? null;
  } catch {
    return null;
  }
};

/** As text; of too much the oldest steps are left out. */
const textOf = (undo: KeptUndo): string => {
  const text = JSON.stringify(undo);
  if (text.length <= LARGEST || undo.past.length === 0) return text;
  return textOf({ ...undo, past: undo.past.slice(Math.ceil(undo.past.length / 2)) });
};

/**
 * Lets undo go on after a reload: what a page could undo is kept with its tab while the page goes,
 * and taken up by the next one. A copy of a tab, whose page goes on, has none of it.
 */
export class UndoKeeping {
  private readonly name: string;
  /** of the page before this one, until it may be taken up */
  private earlier: KeptUndo | null;

  constructor(private readonly session: Session) {
    this.name = nameOf(session.id);
    this.earlier = take(this.name);
    window.addEventListener("pagehide", this.keep);
  }

  /** Takes up what the page before this one left, once `whenGone` says that this is gone. */
  async takeUp(whenGone: (clientId: string, call: () => void) => Promise<void>): Promise<void> {
    const { earlier } = this;
    if (!earlier) return;
    // what it had not saved comes first, or undo would not find it
    await whenGone(earlier.clientId, () => this.whenSaved(() => this.goOn())).catch(
      () => undefined,
    );
  }

  close(): void {
    window.removeEventListener("pagehide", this.keep);
    this.keep();
  }

  private whenSaved(call: () => void): void {
    if (this.session.save.kind === "saved") {
      call();
      return;
    }
    const stop = this.session.onChange(() => {
      if (this.session.save.kind !== "saved") return;
      stop();
      call();
    });
  }

  private goOn(): void {
    if (this.earlier) this.session.takeUpUndo(this.earlier);
    this.earlier = null;
  }

  private readonly keep = (): void => {
    const own = this.session.keptUndo;
    const { earlier } = this;
    const isNothing = own.past.length === 0 && own.future.length === 0;
    const undo = isNothing && earlier ? earlier : own;
    if (undo.past.length === 0 && undo.future.length === 0) return;
    try {
      sessionStorage.setItem(this.name, textOf(undo));
    } catch {
      // a tab without room forgets what could be undone; all of it is in History
    }
  };
}
