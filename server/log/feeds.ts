import type { LoggedChange } from "#core/project";
import type { Missed } from "./changes";
import type { Head } from "./states";

/** What becomes of a project. */
export type News =
  | { readonly kind: "changes"; readonly changes: readonly LoggedChange[] }
  /** it was removed, or made anew under the same id */
  | { readonly kind: "replaced" };

type Hear = (news: News) => void;

interface Feed {
  readonly hearers: Set<Hear>;
  readonly generation: string;
  /** the newest change that was told */
  told: number;
  reading: boolean;
  /** something came since the log was last asked */
  isAsked: boolean;
}

/**
 * The changes of projects as they are accepted, by whichever process: told to all who listen, in
 * order and without gaps. What other processes accept is read from the log, once for all.
 */
export class Feeds {
  private readonly feeds = new Map<string, Feed>();

  constructor(
    private readonly since: (id: string, after: number) => Promise<Missed>,
    private readonly failed: (error: unknown) => void,
  ) {}

  /** Calls back with what comes after a state of a project; returns how to stop. */
  listen({ id, generation, seq }: Head, hear: Hear): () => void {
    const feed = this.current({ id, generation, seq }) ?? {
      hearers: new Set(),
      generation,
      told: seq,
      reading: false,
      isAsked: false,
    };
    this.feeds.set(id, feed);
    feed.hearers.add(hear);
    return () => {
      feed.hearers.delete(hear);
      if (feed.hearers.size === 0 && this.feeds.get(id) === feed) this.feeds.delete(id);
    };
  }

  /** Changes that this process accepted itself, up to a project's new head. */
  accepted(head: Head, changes: readonly LoggedChange[]): void {
    const feed = this.current(head);
    if (!feed) return;
    const [first] = changes;
    if (!feed.reading && first?.seq === feed.told + 1) this.tell(feed, changes);
    else this.want(head.id, feed);
  }

  /** A project has a new head, which any process may have made. */
  heard(head: Head): void {
    const feed = this.current(head);
    if (feed && head.seq > feed.told) this.want(head.id, feed);
  }

  /** Anything may have been missed. */
  missedSome(): void {
    for (const [id, feed] of this.feeds) this.want(id, feed);
  }

  /** The feed of a project, unless it is the feed of another one that had the same id. */
  private current({ id, generation }: Head): Feed | null {
    const feed = this.feeds.get(id);
    if (!feed) return null;
    if (feed.generation === generation) return feed;
    this.feeds.delete(id);
    for (const hear of feed.hearers) hear({ kind: "replaced" });
    return null;
  }

  private want(id: string, feed: Feed): void {
    feed.isAsked = true;
    if (feed.reading) return;
    feed.reading = true;
    this.read(id, feed).catch((error: unknown) => {
      feed.reading = false;
      this.failed(error);
    });
  }

  /** Reads on until the log gives no more, and nothing came while it was asked. */
  private async read(id: string, feed: Feed): Promise<void> {
    for (let isMore = true; (isMore || feed.isAsked) && feed.hearers.size > 0;) {
      feed.isAsked = false;
      const { changes, more } = await this.since(id, feed.told);
      this.tell(feed, changes);
      isMore = more;
    }
    feed.reading = false;
  }

  private tell(feed: Feed, changes: readonly LoggedChange[]): void {
    const last = changes.at(-1);
    if (!last || last.seq <= feed.told) return;
    feed.told = last.seq;
    for (const hear of feed.hearers) hear({ kind: "changes", changes });
  }
}
