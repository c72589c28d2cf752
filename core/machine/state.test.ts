import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { advance, start, step } from "#core/machine";
import type { Input, State } from "#core/machine";
import { Builder, becomes, goes } from "../../tests/support/pieces";
import { changed, initialState, unpressed, untouched } from "./state";

type Part = "pointer" | "keyboard" | "forms" | "scroll" | "timers";
const parts: readonly Part[] = ["pointer", "keyboard", "forms", "scroll", "timers"];

const pressedState = (): State => {
  const state = initialState("s", 5);
  return {
    ...state,
    pointer: {
      ...state.pointer,
      over: ["s/a", "s/root"],
      pressed: ["s/a"],
      grip: [3, 4],
      trail: [{ at: 5, point: [3, 4] }],
      drag: { at: "s", rule: "r", source: "s/a", progress: 0.5 },
      heldIn: ["s"],
      clicked: { chain: ["s/a"], at: 2 },
    },
    keyboard: { focused: ["s/a"], shown: true, refocus: "b", pressing: "Enter" },
    timers: {
      ...state.timers,
      waits: [
        { at: "s", rule: "held", due: 9, source: "s/a" },
        { at: "s", rule: "delay", due: 12 },
        { at: "s", rule: "", due: 20, clip: "s/a" },
      ],
      scheduled: { "s delay": true },
    },
  };
};

describe("parts of the state", () => {
  it("change alone: all others stay the very same", () => {
    const state = pressedState();
    const next = changed(state, "pointer", { over: [] });
    expect(next.pointer).toEqual({ ...state.pointer, over: [] });
    for (const part of parts.filter((p) => p !== "pointer")) expect(next[part]).toBe(state[part]);
    expect(next.traits).toBe(state.traits);
    expect(state.pointer.over).toEqual(["s/a", "s/root"]);
  });

  it("without anything pressed keep what is pointed at, focused and waited for", () => {
    const state = pressedState();
    const up = unpressed(state);
    expect(up.pointer).toEqual({ ...state.pointer, pressed: null, grip: null, heldIn: [] });
    expect(up.keyboard).toEqual({ ...state.keyboard, pressing: null });
    // only who waits for a long press gives up
    expect(up.timers.waits.map((t) => t.rule)).toEqual(["delay", ""]);
    expect(up.timers.scheduled).toBe(state.timers.scheduled);
    expect(up.forms).toBe(state.forms);
  });

  it("without anything touched keep the trail, what is filled in, and all waits", () => {
    const state = pressedState();
    const free = untouched(state);
    expect(free.pointer).toEqual({
      ...initialState("s", 0).pointer,
      trail: state.pointer.trail,
    });
    expect(free.keyboard).toEqual({ focused: [], shown: false, refocus: "b", pressing: null });
    expect(free.timers).toBe(state.timers);
    expect(free.forms).toBe(state.forms);
  });
});

/** A piece with rules of many kinds. */
const piece = () => {
  const b = new Builder();
  b.new("component", "Buoy");
  const lamp = b.layer("ellipse", { x: 0, y: 0, width: 40, height: 40 });
  const field = b.layer("text", { x: 0, y: 60, text: "", entry: "typing" });
  const lit = b.trait("Lit", "no", "yes");
  const near = b.trait("Near", "no", "yes");
  b.rule({ source: lamp, effects: [goes(lit.id, "next")] });
  b.rule({
    source: lamp,
    trigger: { type: "hover" },
    undo: true,
    effects: [becomes(near.id, near.v.yes as string)],
  });
  b.rule({
    trigger: { type: "delay", ms: 120 },
    when: { [lit.id]: [lit.v.yes as string] },
    effects: [becomes(lit.id, lit.v.no as string)],
  });
  b.rule({ source: lamp, trigger: { type: "hold", ms: 300 }, effects: [goes(near.id, "next")] });
  b.rule({ trigger: { type: "key", key: "l" }, effects: [goes(lit.id, "next")] });
  return { b, lamp, field };
};

const inputs = (lamp: string, field: string): fc.Arbitrary<Input | number> => {
  const layer = fc.constantFrom(lamp, field, null);
  return fc.oneof(
    layer.map((to): Input => ({ type: "over", layer: to })),
    fc.constant<Input>({ type: "down" }),
    fc.constant<Input>({ type: "up" }),
    fc.constant<Input>({ type: "cancel" }),
    layer.map((to): Input => ({ type: "focus", layer: to })),
    fc
      .tuple(fc.constantFrom("l", "Enter", "x", "Escape"), fc.constantFrom("down", "up"))
      .map(([key, phase]): Input => ({ type: "key", key, phase: phase })),
    fc
      .tuple(fc.integer({ min: 0, max: 50 }), fc.integer({ min: 0, max: 50 }))
      .map(([x, y]): Input => ({ type: "move", x, y })),
    fc.integer({ min: 1, max: 400 }),
  );
};

describe("whatever is done to a piece", () => {
  const { b, lamp, field } = piece();
  const run = (list: readonly (Input | number)[], each: (before: State, after: State) => void) => {
    let state = start(b.project, b.at);
    for (const input of list) {
      const next =
        typeof input === "number"
          ? advance(b.project, state, state.now + input).state
          : step(b.project, state, input).state;
      each(state, next);
      state = next;
    }
    return state;
  };
  const many = fc.array(inputs(lamp, field), { maxLength: 40 });

  it("states before it are never written to", () => {
    fc.assert(
      fc.property(many, (list) => {
        run(list, (before) => {
          const copy = JSON.stringify(before);
          for (const input of list.slice(0, 3))
            if (typeof input !== "number") step(b.project, before, input);
          expect(JSON.stringify(before)).toBe(copy);
        });
      }),
      { numRuns: 60 },
    );
  });

  it("what it does not concern stays the very same object, so that caches by it hold", () => {
    fc.assert(
      fc.property(many, (list) => {
        run(list, (before, after) => {
          for (const key of ["traits", "options", "overlays", "history"] as const)
            if (JSON.stringify(after[key]) === JSON.stringify(before[key]))
              expect([key, after[key] === before[key]]).toEqual([key, true]);
          if (JSON.stringify(after.forms.entries) === JSON.stringify(before.forms.entries))
            expect(after.forms.entries).toBe(before.forms.entries);
          expect(after.scroll).toBe(before.scroll);
        });
      }),
      { numRuns: 60 },
    );
  });

  it("nothing is due in the past, and what is held is pressed or pointed at or focused", () => {
    fc.assert(
      fc.property(many, (list) => {
        run(list, (_before, { now, timers, reverts, pointer, keyboard }) => {
          for (const wait of timers.waits) expect(wait.due).toBeGreaterThanOrEqual(now);
          const touched = [...pointer.over, ...(pointer.pressed ?? []), ...keyboard.focused];
          for (const revert of reverts) expect(touched).toContain(revert.source);
          if (pointer.pressed === null) {
            expect(timers.waits.filter((t) => t.source !== undefined)).toEqual([]);
            expect([pointer.grip, pointer.heldIn, keyboard.pressing]).toEqual([null, [], null]);
          }
        });
      }),
      { numRuns: 100 },
    );
  });
});
