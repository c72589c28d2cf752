import { describe, expect, it } from "vitest";
import { Batches } from "./batches";

/** Work that ends when one says so; tells which batches it was given. */
const gated = (most = 100) => {
  const told: string[] = [];
  const gates = new Map<string, { open: () => void; fail: (error: Error) => void }>();
  const batches = new Batches<string, string>((key, items) => {
    told.push(`${key}: ${items.join(" ")}`);
    return new Promise((resolve, reject) => {
      gates.set(key, { open: () => resolve(items.map((item) => `${item}!`)), fail: reject });
    });
  }, most);
  return { batches, told, gate: (key: string) => gates.get(key) };
};
/** Lets everything that can go on by itself go on. */
const settle = () => new Promise((resolve) => setImmediate(resolve));

describe("batches", () => {
  it("have what came meanwhile, in the order it was asked for", async () => {
    const { batches, told, gate } = gated();
    const first = batches.run("kit", "a");
    const others = ["b", "c", "d"].map((item) => batches.run("kit", item));
    expect(told).toEqual(["kit: a"]);
    gate("kit")?.open();
    expect(await first).toBe("a!");
    await settle();
    expect(told).toEqual(["kit: a", "kit: b c d"]);
    gate("kit")?.open();
    expect(await Promise.all(others)).toEqual(["b!", "c!", "d!"]);
  });

  it("take in what comes while they wait, as much as they may have", async () => {
    const told: string[] = [];
    let go = (): void => undefined;
    const batches = new Batches<string, string>(async (_, items, grown) => {
      const first = items.join("");
      await new Promise<void>((resolve) => (go = resolve));
      const all = grown();
      told.push(`${first} ${all.join("")}`);
      return all.map((item) => `${item}!`);
    }, 3);
    const results = ["a", "b", "c", "d"].map((item) => batches.run("kit", item));
    go();
    await settle();
    go();
    expect(await Promise.all(results)).toEqual(["a!", "b!", "c!", "d!"]);
    expect(told).toEqual(["a abc", "d d"]);
  });

  it("of different keys do not wait for one another", async () => {
    const { batches, gate } = gated();
    const slow = batches.run("kit", "a");
    const quick = batches.run("other", "b");
    gate("other")?.open();
    expect(await quick).toBe("b!");
    gate("kit")?.open();
    expect(await slow).toBe("a!");
  });

  it("go on after one that failed, whose error only those hear who asked for it", async () => {
    const { batches, gate } = gated();
    const bad = batches.run("kit", "a");
    const good = batches.run("kit", "b");
    gate("kit")?.fail(new Error("disk full"));
    await expect(bad).rejects.toThrow("disk full");
    await settle();
    gate("kit")?.open();
    expect(await good).toBe("b!");
  });

  it("are as large as they may be, and no larger", async () => {
    const sizes: number[] = [];
    const batches = new Batches<number, number>(async (_, items) => {
      sizes.push(items.length);
      await settle();
      return items.map((n) => n * 2);
    }, 64);
    const answers = await Promise.all(
      Array.from({ length: 2000 }, (_, i) => batches.run("kit", i)),
    );
    expect(answers).toEqual(answers.map((_, i) => i * 2));
    expect(Math.max(...sizes)).toBe(64);
    expect(sizes.reduce((sum, n) => sum + n, 0)).toBe(2000);
  });

  it("leave nothing behind once all are over, also when they failed", async () => {
    const { batches, gate } = gated();
    const all = [
      batches.run("a", "x"),
      batches.run("b", "y").catch(() => "failed"),
      batches.run("b", "z"),
    ];
    expect(batches.busy).toBe(2);
    gate("a")?.open();
    gate("b")?.fail(new Error("no"));
    await settle();
    gate("b")?.open();
    expect(await Promise.all(all)).toEqual(["x!", "failed", "z!"]);
    await settle();
    expect(batches.busy).toBe(0);
  });
});
