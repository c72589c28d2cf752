import { useSyncExternalStore } from "react";

/** Something that hands change and parts show: it tells when it has changed. */
export class Watched {
  private changes = 0;
  private readonly listeners = new Set<() => void>();

  /** Another number after each change. */
  readonly version = (): number => this.changes;

  readonly subscribe = (call: () => void): (() => void) => {
    this.listeners.add(call);
    return () => this.listeners.delete(call);
  };

  protected changed(): void {
    this.changes++;
    for (const call of this.listeners) call();
  }
}

/** Renders again whenever it has changed. */
export const useWatched = <T extends Watched>(watched: T): T => {
  useSyncExternalStore(watched.subscribe, watched.version, watched.version);
  return watched;
};
