import { describe, expect, it } from "vitest";
import { Turns } from "./turns";

/** Work that ends when one says so. */
const gate = () => {
  let open: (value: string) => void = () => undefined;
  let fail: (error: Error) => void = () => undefined;
  const done = new Promise<string>((resolve, reject) => {
    open = resolve;
    fail = reject;
  });
  return { done, open, fail };
};
/** Lets everything that can go on by itself go on. */
const settle = () => new Promise((resolve) => setImmediate(resolve));

describe("turns", () => {
  it("of one key come one after the other, in the order they were asked for", async () => {
    const turns = new Turns();
    const told: string[] = [];
    const [first, second] = [gate(), gate()];
    const a = turns.run("kit", () => {
      told.push("first begins");
      return first.done;
    });
    const b = turns.run("kit", () => {
      told.push("second begins");
      return second.done;
    });
    await settle();
    expect(told).toEqual(["first begins"]);
    first.open("1");
    expect(await a).toBe("1");
    await settle();
    expect(told).toEqual(["first begins", "second begins"]);
    second.open("2");
    expect(await b).toBe("2");
  });

  it("of different keys do not wait for one another", async () => {
    const turns = new Turns();
    const held = gate();
    const slow = turns.run("kit", () => held.done);
    expect(await turns.run("other", () => Promise.resolve("at once"))).toBe("at once");
    held.open("later");
    expect(await slow).toBe("later");
  });

  it("go on after one that failed, whose error only its own asker hears", async () => {
    const turns = new Turns();
    const bad = turns.run("kit", () => Promise.reject(new Error("disk full")));
    const good = turns.run("kit", () => Promise.resolve("saved"));
    await expect(bad).rejects.toThrow("disk full");
    expect(await good).toBe("saved");
  });

  it("leave nothing behind once all are over, also when they failed", async () => {
    const turns = new Turns();
    const kept = (turns as unknown as { last: Map<string, unknown> }).last;
    const held = gate();
    const all = [
      turns.run("a", () => held.done),
      turns.run("a", () => Promise.resolve("x")),
      turns.run("b", () => Promise.reject(new Error("no"))).catch(() => "failed"),
    ];
    expect(kept.size).toBe(2);
    held.open("done");
    expect(await Promise.all(all)).toEqual(["done", "x", "failed"]);
    await settle();
    expect(kept.size).toBe(0);
  });

  it("thousands of one key keep their order and each its own answer", async () => {
    const turns = new Turns();
    const order: number[] = [];
    const answers = await Promise.all(
      Array.from({ length: 2000 }, (_, i) =>
        turns.run("kit", async () => {
          if (i % 7 === 0) await settle();
          order.push(i);
          return i * 2;
        }),
      ),
    );
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(answers[1999]).toBe(3998);
  });
});
