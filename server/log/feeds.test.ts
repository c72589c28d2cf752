import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { LoggedChange } from "#core/project";
import { Feeds } from "./feeds";
import type { News } from "./feeds";

const change = (seq: number): LoggedChange => ({
  seq,
  base: seq - 1,
  changeId: `change${seq}`,
  clientId: "window",
  label: "x",
  ops: [],
});
const from = (a: number, b: number) =>
  Array.from({ length: Math.max(0, b - a + 1) }, (_, i) => change(a + i));
const head = (seq: number, generation = "one") => ({ id: "kit", generation, seq });
const settle = () => new Promise((resolve) => setImmediate(resolve));

/** A log of so many changes, of which at most `most` are given at once; counts how often it is read. */
const logOf = (most = 500) => {
  const log = { newest: 0, reads: 0 };
  const errors: unknown[] = [];
  const feeds = new Feeds(
    async (_, after) => {
      log.reads++;
      const upTo = log.newest;
      await settle();
      const changes = from(after + 1, Math.min(upTo, after + most));
      return { changes, more: after + most < upTo };
    },
    (error) => errors.push(error),
  );
  return { log, feeds, errors };
};
const listen = (feeds: Feeds, seq: number) => {
  const heard: number[] = [];
  const kinds: string[] = [];
  const stop = feeds.listen(head(seq), (news: News) => {
    kinds.push(news.kind);
    if (news.kind === "changes") heard.push(...news.changes.map((c) => c.seq));
  });
  return { heard, kinds, stop };
};

describe("what listeners of a project hear", () => {
  it("is what this process accepted, at once and without reading the log", () => {
    const { log, feeds } = logOf();
    const { heard } = listen(feeds, 3);
    feeds.accepted(head(5), from(4, 5));
    expect([heard, log.reads]).toEqual([[4, 5], 0]);
  });

  it("is what other processes accepted, read once for all who listen", async () => {
    const { log, feeds } = logOf();
    const listeners = Array.from({ length: 50 }, () => listen(feeds, 0));
    log.newest = 7;
    feeds.heard(head(7));
    await settle();
    await settle();
    for (const { heard } of listeners) expect(heard).toEqual([1, 2, 3, 4, 5, 6, 7]);
    expect(log.reads).toBe(1);
  });

  it("is read on where the log gives a part at a time, and where more came meanwhile", async () => {
    const { log, feeds } = logOf(3);
    const { heard } = listen(feeds, 0);
    log.newest = 5;
    feeds.heard(head(5));
    log.newest = 8;
    feeds.heard(head(8));
    for (let i = 0; i < 12; i++) await settle();
    expect(heard).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
  });

  it("has no gap where something was missed while nothing could be heard", async () => {
    const { log, feeds } = logOf();
    const { heard } = listen(feeds, 2);
    log.newest = 4;
    feeds.missedSome();
    await settle();
    await settle();
    expect(heard).toEqual([3, 4]);
    feeds.missedSome();
    await settle();
    await settle();
    log.newest = 5;
    feeds.accepted(head(5), from(5, 5));
    await settle();
    expect(heard).toEqual([3, 4, 5]);
  });

  it("is that the project is another one now, once", () => {
    const { feeds } = logOf();
    const { kinds } = listen(feeds, 9);
    feeds.heard(head(0, "two"));
    feeds.heard(head(1, "two"));
    expect(kinds).toEqual(["replaced"]);
  });

  it("is nothing any more once one has stopped", async () => {
    const { log, feeds } = logOf();
    const { heard, stop } = listen(feeds, 0);
    stop();
    log.newest = 1;
    feeds.heard(head(1));
    feeds.accepted(head(1), from(1, 1));
    await settle();
    expect([heard, log.reads]).toEqual([[], 0]);
  });

  it("goes on after the log could not be read", async () => {
    let fails = true;
    const errors: unknown[] = [];
    const feeds = new Feeds(
      (_, after) =>
        fails
          ? Promise.reject(new Error("away"))
          : Promise.resolve({ changes: from(after + 1, 3), more: false }),
      (error) => errors.push(error),
    );
    const { heard } = listen(feeds, 0);
    feeds.heard(head(2));
    await settle();
    expect([heard.length, errors.length]).toEqual([0, 1]);
    fails = false;
    feeds.heard(head(3));
    await settle();
    expect(heard).toEqual([1, 2, 3]);
  });

  it("is every change once and in order, however processes mix", async () => {
    const step = fc.constantFrom("own", "other", "tell", "late", "wait", "missed");
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 60 }), async (steps) => {
        const { log, feeds } = logOf(4);
        const { heard } = listen(feeds, 0);
        let untold = 0;
        for (const kind of steps) {
          if (kind === "own") {
            log.newest++;
            feeds.accepted(head(log.newest), from(log.newest, log.newest));
          } else if (kind === "other") log.newest++;
          else if (kind === "tell") feeds.heard(head(log.newest));
          else if (kind === "late") feeds.heard(head(untold));
          else if (kind === "missed") feeds.missedSome();
          else await settle();
          if (kind === "tell") untold = log.newest;
        }
        feeds.heard(head(log.newest));
        for (let i = 0; i < 2 * log.newest + 4; i++) await settle();
        expect(heard).toEqual(from(1, log.newest).map((c) => c.seq));
      }),
      { numRuns: 300 },
    );
  });
});
