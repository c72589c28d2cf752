import { beforeEach, describe, expect, it } from "vitest";
import { set } from "#core/project";
import { Clock } from "../../tests/support/world";
import { Keeper } from "./keeper";
import type { Batch } from "./keeper";
import type { Unsaved } from "./pending";

/** A disk whose writes end when the test says so, each as it says. */
class SlowShelf {
  readonly underWay: { batch: Batch; done: () => void; fail: (error: Error) => void }[] = [];
  readonly kept = new Map<string, unknown>();

  write = (batch: Batch): Promise<void> =>
    new Promise((resolve, reject) => {
      const done = () => {
        for (const [id, item] of batch.queue) {
          if (item) this.kept.set(id, item.change.label);
          else this.kept.delete(id);
        }
        resolve();
      };
      this.underWay.push({ batch, done, fail: reject });
    });

  /** Ends the oldest write. */
  end(error?: Error): void {
    const write = this.underWay.shift();
    if (error) write?.fail(error);
    else write?.done();
  }
}

const edit = (changeId: string, label: string): Unsaved => ({
  changeId,
  clientId: "window1",
  change: { label, ops: [set(["name"], label)] },
  base: 0,
  madeAt: 0,
  late: false,
  place: 0,
});

let clock: Clock;
let shelf: SlowShelf;
let keeper: Keeper;
beforeEach(() => {
  clock = new Clock();
  shelf = new SlowShelf();
  keeper = new Keeper(shelf, clock.later, () => undefined);
});
const keep = (item: Unsaved) => {
  keeper.keep(item);
  keeper.flush();
};

describe("what a browser is given to keep", () => {
  it("is written in the task it came in, two writes at a time, and then the newest of each change", async () => {
    keep(edit("a", "first"));
    keep(edit("a", "second"));
    keep(edit("a", "third"));
    keep(edit("a", "fourth"));
    expect(shelf.underWay).toHaveLength(2);
    shelf.end();
    await clock.wait(0);
    shelf.end();
    shelf.end();
    await clock.wait(0);
    expect([shelf.kept.get("a"), shelf.underWay.length, keeper.atRisk]).toEqual([
      "fourth",
      0,
      false,
    ]);
  });

  it("is not overwritten by an older write that failed and is made again", async () => {
    keep(edit("a", "older"));
    keep(edit("a", "newer"));
    shelf.end(new Error("no room"));
    await clock.wait(0);
    shelf.end();
    await clock.wait(10_000);
    for (const _ of [...shelf.underWay]) shelf.end();
    await clock.wait(0);
    expect([shelf.kept.get("a"), keeper.atRisk]).toEqual(["newer", false]);
  });

  it("does not come back when it was saved while an older write failed", async () => {
    keep(edit("a", "older"));
    keeper.forget("a");
    keeper.flush();
    shelf.end(new Error("no room"));
    await clock.wait(0);
    shelf.end();
    await clock.wait(10_000);
    for (const _ of [...shelf.underWay]) shelf.end();
    await clock.wait(0);
    expect([shelf.kept.size, keeper.atRisk]).toEqual([0, false]);
  });

  it("is at risk while no write of it has ended", async () => {
    keep(edit("a", "first"));
    shelf.end(new Error("no room"));
    await clock.wait(0);
    expect(keeper.atRisk).toBe(true);
    await clock.wait(10_000);
    shelf.end();
    await clock.wait(0);
    expect([keeper.atRisk, shelf.kept.get("a")]).toEqual([false, "first"]);
  });
});
