import { describe, expect, it } from "vitest";
import { advance, advanceReadably, start, step, stepReadably } from "#core/machine";
import type { Input, State } from "#core/machine";
import type { Project } from "#core/project";
import { Dice } from "../../../tests/support/chance/dice";
import { anyInput, machineProject } from "../../../tests/support/chance/machines";

const PROJECTS = Number(process.env["PROOF_RUNS"] ?? 200);
const STEPS = 200;

const take = (project: Project, state: State, input: Input | number) =>
  typeof input === "number"
    ? advance(project, state, state.now + input)
    : step(project, state, input);

const takeReadably = (project: Project, state: State, input: Input | number) =>
  typeof input === "number"
    ? advanceReadably(project, state, state.now + input)
    : stepReadably(project, state, input);

/** What a run met: rules that fired by trigger, and other events by their kind. */
type Met = Map<string, number>;

const walk = (seed: number, met: Met): void => {
  const dice = new Dice(seed);
  const { project, screens } = machineProject(dice);
  let state = start(project, screens[0] ?? "");
  const inputs: (Input | number)[] = [];
  for (let i = 0; i < STEPS; i++) {
    const input = anyInput(dice, project, state, screens);
    inputs.push(input);
    const done = take(project, state, input);
    const expected = takeReadably(project, state, input);
    const about = () => `seed ${seed}, step ${i}: ${JSON.stringify(inputs.slice(-8))}`;
    if (!same(done, expected)) expect(done, about()).toEqual(expected);
    for (const event of done.events) {
      const kind = event.type === "fired" ? `fired by ${event.trigger}` : event.type;
      met.set(kind, (met.get(kind) ?? 0) + 1);
    }
    state = dice.chance(0.5) ? done.state : expected.state;
  }
};

/** Whether two values say the same; in whatever order their keys are. */
const same = (a: unknown, b: unknown): boolean => {
  if (a === b) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null)
    return Number.isNaN(a) && Number.isNaN(b);
  const [mine, theirs] = [Object.entries(a), new Map(Object.entries(b))];
  return (
    Array.isArray(a) === Array.isArray(b) &&
    mine.length === theirs.size &&
    mine.every(([key, value]) => theirs.has(key) && same(value, theirs.get(key)))
  );
};

describe("the machine that steps over tables", () => {
  it("does the same as the readable one, whatever the project and whatever happens", () => {
    const met: Met = new Map();
    for (let seed = 1; seed <= PROJECTS; seed++) walk(seed, met);
    // all kinds of events came about, and rules of every kind that is common
    for (const kind of ["undone", "lost", "navigated", "opened", "closed", "dragging", "dropped"])
      expect(met.get(kind), kind).toBeGreaterThan(0);
    for (const trigger of ["click", "hover", "hold", "delay", "signal", "key", "focus", "settled"])
      expect(met.get(`fired by ${trigger}`), trigger).toBeGreaterThan(0);
    if (PROJECTS > 1000) console.log(Object.fromEntries([...met].sort()));
  }, 900_000);
});
