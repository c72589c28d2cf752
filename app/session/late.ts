import type { Project } from "#core/project";
import type { DisplayedSource } from "./displayed";

/** A frame that does not come within this time is not waited for, ms: the page may be hidden. */
const NO_FRAME = 200;

/** Calls back once the next frame was drawn, and not before `wait` ms are over. */
const afterFrame = (call: () => void, wait: number): (() => void) => {
  let frame = 0;
  let timer = window.setTimeout(call, Math.max(NO_FRAME, wait));
  if (wait === 0)
    frame = requestAnimationFrame(() => {
      window.clearTimeout(timer);
      timer = window.setTimeout(call);
    });
  return () => {
    cancelAnimationFrame(frame);
    window.clearTimeout(timer);
  };
};

/**
 * Another source's project as it was a moment ago, for parts that can wait until the frame with an
 * edit was drawn. What `atOnce` says must not wait is shown at once.
 */
export class LateProject implements DisplayedSource {
  private shown: Project;
  private readonly listeners = new Set<() => void>();
  private cancel: (() => void) | null = null;
  private shownAt = -Infinity;

  constructor(
    private readonly source: DisplayedSource,
    private readonly atOnce: (shown: Project, next: Project) => boolean,
    /** how long what changed may wait, ms; 0 for the next frame. `since` is how long ago it was last shown */
    private readonly patience: (since: number) => number,
  ) {
    this.shown = source.displayed;
  }

  get displayed(): Project {
    return this.shown;
  }

  subscribe = (call: () => void): (() => void) => {
    this.listeners.add(call);
    return () => this.listeners.delete(call);
  };

  /** Follows the source until what it returns is called. */
  follow = (): (() => void) => {
    this.show();
    const stop = this.source.subscribe(() => this.heard());
    return () => {
      stop();
      this.cancel?.();
      this.cancel = null;
    };
  };

  private heard(): void {
    const next = this.source.displayed;
    if (next === this.shown) return;
    if (this.atOnce(this.shown, next)) this.show();
    else
      this.cancel ??= afterFrame(
        () => this.show(),
        this.patience(performance.now() - this.shownAt),
      );
  }

  private show(): void {
    this.cancel?.();
    this.cancel = null;
    const next = this.source.displayed;
    if (next === this.shown) return;
    this.shown = next;
    this.shownAt = performance.now();
    for (const call of this.listeners) call();
  }
}
