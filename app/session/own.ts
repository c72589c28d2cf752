import { overwrittenBy } from "#core/project";
import type { LoggedChange, Op, Project } from "#core/project";

/** One's own newest saved changes that are remembered. */
const REMEMBERED = 200;

/**
 * Of one's own changes, what somebody overwrote without having seen it: where, and the steps that
 * take it back.
 */
export interface Loss {
  readonly path: readonly string[];
  readonly places: number;
  readonly back: readonly Op[];
}

/** One's own newest saved changes, by which one notices that somebody overwrites them unseen. */
export class OwnChanges {
  private list: readonly LoggedChange[] = [];
  private readonly told = new Set<string>();

  note(change: LoggedChange): void {
    this.list = [...this.list, change].slice(-REMEMBERED);
  }

  /** From now on what was told already is told again. */
  beginGesture(): void {
    this.told.clear();
  }

  /**
   * What another's change takes from one's own, once a gesture; `before` is the project it was made
   * to.
   */
  lossTo(change: LoggedChange, before: Project): Loss | null {
    const back = overwrittenBy(change, this.list, before);
    const path = back?.[0]?.path;
    if (!back || !path) return null;
    const key = `${change.clientId} ${JSON.stringify(path)}`;
    if (this.told.has(key)) return null;
    this.told.add(key);
    return { path, places: back.length, back };
  }
}
