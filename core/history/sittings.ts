import type { Id } from "../basics";

/** What the log says of one change, without what it did. */
export interface Entry {
  readonly seq: number;
  /** the window that made it */
  readonly clientId: string;
  /** ms since 1970 */
  readonly at: number;
  readonly label: string;
  /** the pieces it changed */
  readonly pieces: readonly Id[];
}

/** How often something was. */
interface Count<T> {
  readonly of: T;
  readonly times: number;
}

/** What one window did in one go. */
export interface Sitting {
  readonly clientId: string;
  /** numbers of its first and last change; others may have made some of those between */
  readonly first: number;
  readonly last: number;
  /** ms since 1970 */
  readonly from: number;
  readonly to: number;
  readonly changes: number;
  /** what was done most, in the words of changes */
  readonly labels: readonly Count<string>[];
  /** what was changed most */
  readonly pieces: readonly Count<Id>[];
}

/** Who comes back later than this begins another sitting, ms. */
const PAUSE = 30 * 60_000;
/** So much is told of what was done most. */
const MOST_TOLD = 4;

/** The most frequent first; of equals the one that came first. */
const mostOf = <T>(all: readonly T[]): readonly Count<T>[] => {
  const counts = new Map<T, number>();
  for (const one of all) counts.set(one, (counts.get(one) ?? 0) + 1);
  return [...counts]
    .map(([of, times]) => ({ of, times }))
    .sort((a, b) => b.times - a.times)
    .slice(0, MOST_TOLD);
};

const sittingOf = (entries: readonly [Entry, ...Entry[]]): Sitting => {
  const [first] = entries;
  const last = entries.at(-1) ?? first;
  return {
    clientId: first.clientId,
    first: first.seq,
    last: last.seq,
    from: first.at,
    to: last.at,
    changes: entries.length,
    labels: mostOf(entries.map(({ label }) => label)),
    pieces: mostOf(entries.flatMap(({ pieces }) => pieces)),
  };
};

/**
 * Changes as sittings, the newest first: what one window did without a longer pause. Windows at
 * work at once have a sitting each. `entries` are in the order of their numbers.
 */
export const sittingsOf = (entries: readonly Entry[]): readonly Sitting[] => {
  const open = new Map<string, [Entry, ...Entry[]]>();
  const done: Sitting[] = [];
  for (const entry of entries) {
    const running = open.get(entry.clientId);
    const before = running?.at(-1);
    if (running && before && entry.at - before.at < PAUSE) {
      running.push(entry);
      continue;
    }
    if (running) done.push(sittingOf(running));
    open.set(entry.clientId, [entry]);
  }
  for (const running of open.values()) done.push(sittingOf(running));
  return done.sort((a, b) => b.last - a.last);
};
