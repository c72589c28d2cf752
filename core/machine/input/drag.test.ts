import { beforeAll, describe, expect, it } from "vitest";
import { eventText } from "#core/describe";
import { findBox } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { advance, start, step } from "#core/machine";
import type { MachineEvent, State } from "#core/machine";
import { Run } from "#core/runtime";
import { testEnv } from "../../../tests/support/env";
import { becomes, Builder, goes } from "../../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

/** A gangway that can be drawn to the right and back to the left. */
const gangway = () => {
  const b = new Builder();
  const id = b.new("component", "Gangway");
  const plank = b.layer("box", { x: 0, y: 0, width: 60, height: 40 });
  const out = b.trait("Out", "no", "yes");
  const clicks = b.trait("Clicks", "none", "one");
  b.look({ [out.id]: [out.v.yes as string] }, plank, { x: 100 });
  const motion = { kind: "tween", duration: 400, delay: 0, easing: "linear" } as const;
  const no = { [out.id]: [out.v.no as string] };
  const yes = { [out.id]: [out.v.yes as string] };
  b.rule({
    source: plank,
    when: no,
    trigger: { type: "drag", direction: "right", travel: 100 },
    effects: [becomes(out.id, out.v.yes as string)],
    motion,
  });
  b.rule({
    source: plank,
    when: yes,
    trigger: { type: "drag", direction: "left", travel: 100 },
    effects: [becomes(out.id, out.v.no as string)],
    motion,
  });
  b.rule({ source: plank, effects: [goes(clicks.id, "next")] });
  const told: string[] = [];
  const happened: MachineEvent[] = [];
  const run = new Run(env, b.project, id, (event) => {
    happened.push(event);
    const t = eventText(b.project, event)?.text;
    if (t) told.push(t);
  });
  const x = () => {
    const s = run.scene();
    return s ? (findBox(s, plank)?.placed.x ?? NaN) : NaN;
  };
  const is = () => Object.entries(out.v).find(([, v]) => v === run.variant()[out.id])?.[0];
  /** moves in steps of 16 ms */
  const pull = (from: number, to: number, ms = 320, y = 20) => {
    run.pointer("move", from, y);
    run.pointer("down", from, y);
    for (let t = 16; t <= ms; t += 16) {
      run.advanceTo(run.now + 16);
      run.pointer("move", from + ((to - from) * t) / ms, y);
    }
  };
  return { b, id, plank, run, x, is, pull, told, happened, clicks };
};

describe("drag", () => {
  it("follows the finger, and far enough it goes on to the end by itself from where it is let go", () => {
    const { run, x, is, pull, happened } = gangway();
    pull(20, 80);
    expect(x()).toBeCloseTo(60, 5);
    expect(is()).toBe("no");
    run.advanceTo(run.now + 200);
    run.pointer("up", 80, 20);
    expect(is()).toBe("yes");
    expect(x()).toBeCloseTo(60, 5);
    // four tenths of the way are left, and so four tenths of the time
    run.advanceTo(run.now + 80);
    expect(x()).toBeCloseTo(80, 5);
    run.advanceTo(run.now + 80);
    expect([x(), run.movesUntil()]).toEqual([100, 0]);
    expect(
      happened
        .filter((event) => event.type === "fired")
        .map((event) => event.type === "fired" && event.trigger),
    ).toEqual(["drag"]);
  });

  it("leads through the poses of lanes, and what is let go on the way goes through the rest of them by itself", () => {
    const { b, id, plank } = gangway();
    const rule = Object.values(b.piece.rules)[0];
    const lanes = [
      {
        layer: plank,
        key: "y",
        delay: 300,
        duration: 20,
        easing: "linear",
        poses: [{ at: 0.5, value: 60, easing: "linear" }],
      },
    ] as const;
    b.do({
      label: "x",
      ops: [
        {
          op: "set",
          path: ["pieces", id, "rules", rule?.id ?? "", "motion"],
          value: { ...rule?.motion, lanes },
        },
      ],
    });
    const run = new Run(env, b.project, id);
    const at = () => {
      const s = run.scene();
      const p = s && findBox(s, plank)?.placed;
      return [p?.x, p?.y].map((n) => Math.round((n ?? NaN) * 100) / 100);
    };
    run.pointer("down", 20, 20);
    for (let i = 1; i <= 40; i++) {
      run.advanceTo(run.now + 16);
      run.pointer("move", 20 + i, 20);
    }
    expect(at()).toEqual([40, 48]);
    for (let i = 41; i <= 75; i++) {
      run.advanceTo(run.now + 16);
      run.pointer("move", 20 + i, 20);
    }
    expect(at()).toEqual([75, 30]);
    run.advanceTo(run.now + 200);
    run.pointer("up", 95, 20);
    run.advanceTo(run.now + 50);
    expect(at()).toEqual([87.5, 15]);
    run.advanceTo(run.now + 50);
    expect([at(), run.movesUntil()]).toEqual([[100, 0], 0]);
  });

  it("too short and slow it goes back; short but fast it is done", () => {
    const slow = gangway();
    slow.pull(20, 50, 800);
    slow.run.advanceTo(slow.run.now + 200);
    slow.run.pointer("up", 50, 20);
    expect(slow.is()).toBe("no");
    slow.run.advanceTo(slow.run.now + 60);
    expect(slow.x()).toBeCloseTo(15, 5);
    slow.run.advanceTo(slow.run.now + 400);
    expect([slow.x(), slow.told]).toEqual([0, ["drag cancelled: released too early"]]);
    const fast = gangway();
    fast.pull(20, 50, 48);
    fast.run.pointer("up", 50, 20);
    expect(fast.is()).toBe("yes");
  });

  it("is no click and no release; less than a little way is a click still", () => {
    const far = gangway();
    far.pull(20, 50, 800);
    far.run.pointer("up", 50, 20);
    expect(far.run.variant()[far.clicks.id]).toBe(far.clicks.v.none);
    const near = gangway();
    near.pull(20, 23);
    near.run.pointer("up", 23, 20);
    expect(near.run.variant()[near.clicks.id]).toBe(near.clicks.v.one);
  });

  it("goes on outside of the layer, stops at both ends of its way, and back again by the other rule", () => {
    const { run, x, is, pull } = gangway();
    pull(20, 400);
    expect(x()).toBe(100);
    run.pointer("move", 420, 300);
    expect(x()).toBe(100);
    run.pointer("move", -30, 20);
    expect(x()).toBe(0);
    run.pointer("move", 150, 20);
    run.pointer("up", 150, 20);
    run.advanceTo(run.now + 500);
    expect([x(), is()]).toEqual([100, "yes"]);
    pull(150, 20);
    run.pointer("up", 20, 20);
    run.advanceTo(run.now + 500);
    expect([x(), is()]).toEqual([0, "no"]);
  });

  it("across its direction nothing begins, and a second pointer that presses changes nothing", () => {
    const { run, x, is, pull } = gangway();
    run.pointer("move", 20, 5);
    run.pointer("down", 20, 5);
    run.pointer("move", 40, 35);
    expect(x()).toBe(0);
    run.pointer("up", 40, 35);
    expect(is()).toBe("no");
    pull(20, 60);
    run.pointer("down", 5, 5);
    expect(run.inside.pointer.drag?.progress).toBeCloseTo(0.4);
  });

  it("cancelled by the system or by Escape it goes back from where it is", () => {
    for (const cancel of ["pointer", "key"] as const) {
      const { run, x, is, pull } = gangway();
      pull(20, 100);
      if (cancel === "pointer") run.pointer("cancel", 0, 0);
      else run.key("Escape", "down");
      expect(x()).toBeCloseTo(80, 5);
      run.pointer("up", 100, 20);
      run.advanceTo(run.now + 400);
      expect([x(), is(), run.inside.pointer.drag]).toEqual([0, "no", null]);
    }
  });

  it("what changes meanwhile does not tear it out of the hand", () => {
    const { run, x, pull, clicks } = gangway();
    pull(20, 70);
    run.input({ type: "show", at: run.screen, trait: clicks.id, value: clicks.v.one as string });
    expect(x()).toBeCloseTo(50, 5);
    run.pointer("move", 90, 20);
    expect(x()).toBeCloseTo(70, 5);
  });

  it("an edit that takes the rule away lets go of it", () => {
    const { b, run, x, is, pull } = gangway();
    pull(20, 70);
    b.do({
      label: "x",
      ops: Object.keys(b.piece.rules).map((r) => ({
        op: "remove" as const,
        path: ["pieces", b.at, "rules", r],
      })),
    });
    run.update(b.project);
    run.pointer("up", 70, 20);
    run.advanceTo(run.now + 1000);
    expect([x(), is()]).toEqual([0, "no"]);
  });

  it("in the machine alone: same moves, same state; the way is measured from the press", () => {
    const { b, id, plank } = gangway();
    const play = (): State => {
      let s = start(b.project, id);
      for (const input of [
        { type: "move", x: 10, y: 10 },
        { type: "over", layer: plank },
        { type: "down" },
        { type: "move", x: 35, y: 12 },
      ] as const)
        s = step(b.project, advance(b.project, s, s.now + 10).state, input).state;
      return s;
    };
    expect(play().pointer.drag?.progress).toBeCloseTo(0.25);
    expect(play()).toEqual(play());
  });
});
