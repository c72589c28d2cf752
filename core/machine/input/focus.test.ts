import { describe, expect, it } from "vitest";
import { setRule, setValues } from "#core/edit";
import { focusStops, rulesOf, start, usable } from "#core/machine";
import { accept } from "#core/project";
import type { Change, Project } from "#core/project";
import { kelpwayKit } from "../../../demo/index";
import { Dice } from "../../../tests/support/chance/dice";

/** The kit with some layers hidden and some rules switched off, by chance. */
const thinned = (seed: number): Project => {
  const dice = new Dice(seed);
  let project = kelpwayKit();
  const keep = (change: Change) => {
    const result = accept(project, change);
    if (result.ok) project = result.project;
  };
  for (const piece of Object.values(project.pieces)) {
    for (const layer of Object.keys(piece.layers))
      if (dice.chance(0.2)) keep(setValues(piece, {}, { [layer]: { visible: false } }));
    for (const rule of Object.keys(piece.rules))
      if (dice.chance(0.5)) keep(setRule(piece, rule, { on: false }));
  }
  return project;
};

describe("stops of the Tab key", () => {
  it("are there exactly where the keyboard is said to have something to do", () => {
    const counts = { usable: 0, not: 0 };
    for (let seed = 1; seed <= 40; seed++) {
      const project = thinned(seed);
      for (const piece of Object.values(project.pieces)) {
        const state = start(project, piece.id);
        const ownKeys = rulesOf(project, piece).some((r) => r.trigger.type === "key");
        const expected = ownKeys || focusStops(project, state).length > 0;
        expect(usable(project, state), `${piece.name}, seed ${seed}`).toBe(expected);
        counts[expected ? "usable" : "not"]++;
      }
    }
    expect(Math.min(counts.usable, counts.not)).toBeGreaterThan(100);
  });
});
