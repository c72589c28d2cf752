import { describe, expect, it } from "vitest";
import { emptyProject, newPiece } from "#core/edit";
import {
  BASE,
  FORMAT,
  ROOT,
  isNewer,
  isOlder,
  readProject,
  remove,
  set,
  upgradeChange,
  upgradeValue,
} from "#core/project";
import type { Op } from "#core/project";
import type { FormatStep } from "./formats/step";

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

describe("frames without a fill, from format 1", () => {
  const frameOf = (value: unknown): unknown => {
    const project = readProject({ ...emptyProject("Ferries"), format: 1, pieces: { pin: value } });
    return project.ok && project.project.pieces.pin?.looks[BASE]?.changes[ROOT];
  };
  const pin = newPiece("component", "Pin", "a0", "pin");
  const painted = newPiece("screen", "Chart", "a1", "pin");
  const own = { widthMode: "fit", heightMode: "fit" };
  const made = { ...own, pointer: "always" };

  it("go on taking the pointer all over them; filled ones, and those of today, say nothing", () => {
    expect(frameOf(pin)).toEqual(made);
    expect(frameOf(painted)).not.toHaveProperty("pointer");
    const today = readProject({ ...emptyProject("Ferries"), pieces: { pin } });
    expect(today).toMatchObject({ ok: true, project: { format: FORMAT, pieces: { pin } } });
    expect(readProject({ ...emptyProject("Ferries"), format: 0 })).toMatchObject({ ok: false });
  });

  it.each([
    [["pieces", "pin"], pin, { looks: { [BASE]: { changes: { [ROOT]: made } } } }],
    [["pieces", "pin", "looks"], pin.looks, { [BASE]: { changes: { [ROOT]: made } } }],
    [["pieces", "pin", "looks", BASE], pin.looks[BASE], { changes: { [ROOT]: made } }],
    [["pieces", "pin", "looks", BASE, "changes"], { [ROOT]: own }, { [ROOT]: made }],
    [["pieces", "pin", "looks", BASE, "changes", ROOT], own, made],
  ])("in a step at %j, too", (path, value, is) => {
    expect(upgradeValue(path, value, 1)).toMatchObject(is);
    expect(upgradeValue(path, value, FORMAT)).toBe(value);
  });

  it.each([
    [["pieces", "pin", "looks", BASE, "changes", ROOT, "width"], 4],
    [["pieces", "pin", "looks", "other", "changes", ROOT], own],
    [["pieces", "pin", "name"], "Pin"],
    [["name"], "Ferries"],
  ])("nothing else at %j changes", (path, value) => {
    expect(upgradeValue(path, value, 1)).toBe(value);
  });
});
