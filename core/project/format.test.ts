import { describe, expect, it } from "vitest";
import { FORMAT, isNewer, isOlder, remove, set, upgradeChange, upgradeValue } from "#core/project";
import type { Op } from "#core/project";
import type { FormatStep } from "./format";

/** Renames what effects of one kind are called, in rules and wherever else they stand. */
const renamed =
  (from: string, to: string): FormatStep =>
  (ops) =>
    ops.map((op): Op =>
      op.op === "set" && op.path.at(-1) === "effects"
        ? { ...op, value: JSON.parse(JSON.stringify(op.value).replaceAll(from, to)) as unknown }
        : op,
    );
const steps = [renamed("stir", "animate"), renamed("animate", "move")];
const effects = ["pieces", "dock", "rules", "r1", "effects"];
const change = { label: "Change rule", ops: [set(effects, [{ type: "stir" }]), remove(effects)] };

describe("changes of an older format", () => {
  it("go through every step since theirs, in order", () => {
    const made = (format: number | undefined) => upgradeChange(change, format, steps).ops[0];
    expect(made(1)).toEqual(set(effects, [{ type: "move" }]));
    expect(made(undefined)).toEqual(made(1));
    expect(made(2)).toEqual(set(effects, [{ type: "stir" }]));
    expect(upgradeChange(change, 1, steps).ops[1]).toEqual(remove(effects));
  });

  it("stay the very same when they are of today's format", () => {
    expect(upgradeChange(change, 3, steps)).toBe(change);
    expect(upgradeChange(change, FORMAT)).toBe(change);
  });

  it("bring along values that are kept apart from a project", () => {
    expect(upgradeValue(effects, [{ type: "stir" }], 1, steps)).toEqual([{ type: "move" }]);
    expect(upgradeValue(effects, [{ type: "stir" }], 1, [() => []])).toBeUndefined();
  });

  it("are told from newer ones; without a format they are of the first", () => {
    expect([isNewer(FORMAT + 1), isNewer(FORMAT), isNewer(undefined)]).toEqual([
      true,
      false,
      false,
    ]);
    expect([isOlder(FORMAT - 1), isOlder(FORMAT)]).toEqual([true, false]);
  });
});
