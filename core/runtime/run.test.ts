import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import { eventText, motionText, ruleText } from "#core/describe";
import { setTraitMotion } from "#core/edit";
import { findBox } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import type { MachineEvent } from "#core/machine";
import { markup, paint } from "#core/paint";
import { ROOT } from "#core/project";
import type { Motion } from "#core/project";
import { Run } from "#core/runtime";
import { kelpwayKit } from "../../demo/index";
import { becomes, Builder, goes } from "../../tests/support/pieces";
import { testEnv } from "../../tests/support/env";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const tween = (duration: number): Motion => ({
  kind: "tween",
  duration,
  delay: 0,
  easing: "linear",
});
const picture = (run: Run): string => {
  const scene = run.scene();
  return scene ? markup(paint(scene)) : "";
};

const slider = (motion: Motion) => {
  const b = new Builder();
  const id = b.new("component", "Slider");
  b.look({}, ROOT, { fill: "#ffffff" });
  const knob = b.layer("box", { x: 0, y: 0, width: 20, height: 20, fill: "#000000" });
  const t = b.trait("Open", "no", "yes");
  b.look({ [t.id]: [t.v.yes as string] }, knob, { x: 100 });
  b.rule({ effects: [goes(t.id, "opposite")], motion });
  return { b, id, knob, t };
};
const x = (run: Run, id: string) => {
  const scene = run.scene();
  return scene ? (findBox(scene, id)?.placed.x ?? NaN) : NaN;
};
const click = (run: Run, px = 5, py = 5) => {
  run.pointer("move", px, py);
  run.pointer("down", px, py);
  run.pointer("up", px, py);
};

describe("a running piece", () => {
  it("rests, moves, and ends where its variant says", () => {
    const { b, id, knob } = slider(tween(100));
    const run = new Run(env, b.project, id);
    expect(x(run, knob)).toBe(0);
    expect(run.wakesAt()).toBe(Infinity);
    click(run);
    expect(run.wakesAt()).toBe(0);
    run.advanceTo(25);
    expect(x(run, knob)).toBe(25);
    click(run);
    // it turns round smoothly: a moment later it is still on its way there, then comes back
    run.advanceTo(26);
    expect(x(run, knob)).toBeGreaterThan(25.5);
    run.advanceTo(110);
    expect(x(run, knob)).toBeLessThan(12);
    run.advanceTo(125);
    expect(x(run, knob)).toBe(0);
    expect(run.wakesAt()).toBe(Infinity);
  });

  it("what a contact did goes back in the same time, without the poses of the way there; an entered one only stirs", () => {
    const { b, id, knob } = slider(tween(100));
    const turn = {
      layer: knob,
      key: "rotation",
      delay: 0,
      duration: 100,
      easing: "linear",
      poses: [{ at: 0.5, value: 30, easing: "linear" }],
    } as const;
    const lit = b.trait("Lit", "no", "yes");
    const angle = (run: Run) => {
      const scene = run.scene();
      return scene ? findBox(scene, knob)?.placed.values.rotation : NaN;
    };
    b.rule({
      source: knob,
      trigger: { type: "hover" },
      undo: true,
      effects: [{ type: "set", trait: lit.id, to: { value: lit.v.yes as string } }],
      motion: { ...tween(100), lanes: [turn] },
    });
    const run = new Run(env, b.project, id);
    run.pointer("move", 5, 5);
    run.advanceTo(50);
    expect(angle(run)).toBe(30);
    run.advanceTo(200);
    run.pointer("move", 5, 90);
    run.advanceTo(250);
    expect([angle(run), run.variant()[lit.id]]).toEqual([0, lit.v.no]);
    b.rule({
      source: knob,
      trigger: { type: "enter" },
      effects: [{ type: "stir" }],
      motion: { ...tween(100), lanes: [turn] },
    });
    const other = new Run(env, b.project, id);
    other.setCalm(true);
    other.pointer("move", 5, 5);
    other.advanceTo(50);
    // for people who asked for less motion nothing stirs
    expect(angle(other)).toBe(0);
  });

  it.each([
    ["along with the click", undefined, 0.625],
    ["in a time of its own", tween(100), 1],
  ])("what a press did goes back %s, and what the click began keeps its time", (_, back, half) => {
    const { b, id, knob } = slider(tween(400));
    const pressed = b.trait("Pressed", "no", "yes");
    b.look({ [pressed.id]: [pressed.v.yes as string] }, knob, { x: 20, opacity: 0.5 });
    b.rule({
      source: knob,
      trigger: { type: "press" },
      undo: true,
      effects: [{ type: "set", trait: pressed.id, to: { value: pressed.v.yes as string } }],
      motion: tween(100),
      ...(back ? { back } : {}),
    });
    const run = new Run(env, b.project, id);
    const opacity = () => {
      const scene = run.scene();
      return scene ? findBox(scene, knob)?.placed.values.opacity : NaN;
    };
    run.pointer("move", 5, 5);
    run.pointer("down", 5, 5);
    run.advanceTo(100);
    expect([x(run, knob), opacity()]).toEqual([20, 0.5]);
    run.pointer("up", 5, 5);
    run.advanceTo(200);
    // the click takes it from 20 to 100 in 400 ms, of which a quarter is over
    expect([x(run, knob), opacity()]).toEqual([40, half]);
    run.advanceTo(500);
    expect([x(run, knob), run.movesUntil()]).toEqual([100, 0]);
  });

  it("a text that is changed again while it dissolves goes on from what is seen, all three of them", () => {
    const b = new Builder();
    const id = b.new("component", "Board");
    const words = b.layer("text", { text: "Gull" });
    const to = b.trait("To", "gull", "salt", "night");
    b.look({ [to.id]: [to.v.salt as string] }, words, { text: "Salt" }).look(
      { [to.id]: [to.v.night as string] },
      words,
      { text: "Night", x: 30 },
    );
    b.rule({ effects: [goes(to.id, "next")], motion: tween(100) });
    const run = new Run(env, b.project, id);
    const seen = () => [...picture(run).matchAll(/>(Gull|Salt|Night)</g)].map((m) => m[1]);
    click(run);
    run.advanceTo(50);
    const before = seen();
    click(run);
    expect([before, seen()]).toEqual([
      ["Gull", "Salt"],
      ["Gull", "Salt", "Night"],
    ]);
    // it has not moved yet, so neither has what is left of the others
    expect(picture(run)).not.toMatch(/pointer-events="none" transform/);
    run.advanceTo(150);
    expect(seen()).toEqual(["Night"]);
  });

  it("a state that is shown directly comes in the motion of its trait", () => {
    const { b, id, knob, t } = slider(tween(100));
    const at = (ms: number) => {
      const run = new Run(env, b.project, id);
      run.input({ type: "show", at: id, trait: t.id, value: t.v.yes as string });
      run.advanceTo(ms);
      return x(run, knob);
    };
    expect(at(160)).toBe(100);
    b.do(setTraitMotion(b.piece, t.id, tween(1000)));
    expect([at(160), at(500), at(1000)]).toEqual([16, 50, 100]);
  });

  it("a click lands on what is seen, not on where it will be", () => {
    const { b, id, knob } = slider(tween(1000));
    const rule = Object.keys(b.piece.rules)[0] as string;
    b.do({
      label: "x",
      ops: [{ op: "set", path: ["pieces", id, "rules", rule, "source"], value: knob }],
    });
    const run = new Run(env, b.project, id);
    click(run);
    run.advanceTo(500);
    click(run, 110, 5);
    run.advanceTo(600);
    expect(x(run, knob)).toBe(60);
    click(run, 65, 5);
    const before = x(run, knob);
    run.advanceTo(800);
    expect(x(run, knob)).toBeLessThan(before);
  });

  it("goes on with an edited project where it is", () => {
    const { b, id, knob, t } = slider(tween(100));
    const run = new Run(env, b.project, id);
    click(run);
    run.advanceTo(500);
    b.look({ [t.id]: [t.v.yes as string] }, knob, { x: 70 });
    run.update(b.project);
    expect(run.variant()).toEqual({ [t.id]: t.v.yes });
    expect(x(run, knob)).toBe(70);
  });

  it("the same input at the same times paints the same pictures", () => {
    const project = kelpwayKit();
    const act = fc.tuple(
      fc.constantFrom("move", "down", "up", "cancel") as fc.Arbitrary<"move">,
      fc.nat({ max: 390 }),
      fc.nat({ max: 844 }),
      fc.nat({ max: 200 }),
    );
    fc.assert(
      fc.property(fc.array(act, { maxLength: 25 }), (acts) => {
        const [one, two] = [
          new Run(env, project, "trip-settings"),
          new Run(env, project, "trip-settings"),
        ];
        let now = 0;
        for (const [kind, px, py, wait] of acts) {
          now += wait;
          for (const run of [one, two]) {
            run.advanceTo(now);
            run.pointer(kind, px, py);
          }
          expect(picture(one)).toBe(picture(two));
        }
      }),
      { numRuns: 25 },
    );
  });

  it("once everything has ended, the scene is exactly that of the variant, whatever happened before", () => {
    const project = kelpwayKit();
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat({ max: 170 }), fc.nat({ max: 50 }), fc.nat({ max: 150 })), {
          maxLength: 20,
        }),
        (taps) => {
          const run = new Run(env, project, "alert-switch");
          for (const [px, py, wait] of taps) {
            click(run, px, py);
            run.advanceTo(run.now + wait);
          }
          run.advanceTo(run.now + 1000);
          const fresh = new Run(env, project, "alert-switch");
          for (const [trait, value] of Object.entries(run.variant()))
            fresh.input({ type: "show", at: "alert-switch", trait, value });
          fresh.advanceTo(1000);
          expect(picture(run)).toBe(picture(fresh));
        },
      ),
      { numRuns: 40 },
    );
  });

  it("a touch has no hover: it enters when it presses and leaves when it lifts", () => {
    const project = kelpwayKit();
    const run = new Run(env, project, "bicycle-tick-box");
    run.pointer("move", 20, 20, true);
    expect(run.variant().contact).toBe("contact-none");
    run.pointer("down", 20, 20, true);
    expect(run.variant().contact).toBe("contact-hovered");
    run.pointer("up", 20, 20, true);
    expect(run.variant()).toEqual({ checked: "checked-yes", contact: "contact-none" });
  });

  it("a row makes room for a nested copy that grows, in the same time", () => {
    const b = new Builder();
    const component = b.new("component", "Follow button");
    b.look({}, ROOT, { width: 40, height: 20, fill: "#1f6f5c" });
    const followed = b.trait("Followed", "no", "yes");
    b.look({ [followed.id]: [followed.v.yes as string] }, ROOT, { width: 80 });
    b.rule({ effects: [becomes(followed.id, followed.v.yes as string)], motion: tween(100) });
    const id = b.new("component", "Row");
    b.look({}, ROOT, { arrange: "row", gap: 10, width: 300, height: 20 });
    b.layer("instance", { component });
    const after = b.layer("box", { width: 10, height: 10 });
    const run = new Run(env, b.project, id);
    expect(x(run, after)).toBe(50);
    click(run);
    run.advanceTo(50);
    expect(x(run, after)).toBe(70);
    run.advanceTo(100);
    expect(x(run, after)).toBe(90);
  });

  it("a fade between screens dissolves, and Back goes back", () => {
    const events: MachineEvent[] = [];
    const project = kelpwayKit();
    const run = new Run(env, project, "trip-settings", (event) => events.push(event));
    click(run, 100, 590);
    run.advanceTo(130);
    expect(picture(run)).toContain("plus-lighter");
    run.advanceTo(600);
    expect(picture(run)).not.toContain("plus-lighter");
    expect(events.map((event) => eventText(project, event)?.text).filter(Boolean)).toEqual([
      "Cabin link click → go to Cabin climate · fade 260 ms ease-in-out",
      "now on Cabin climate",
    ]);
    click(run, 60, 60);
    expect(run.screen).toBe("trip-settings");
    expect(run.history).toEqual([]);
  });
});

describe("words", () => {
  it("rules read as sentences", () => {
    const project = kelpwayKit();
    const piece = project.pieces["alert-switch"];
    if (!piece) throw new Error("no demo");
    expect(ruleText(project, piece, piece.rules.press as never)).toBe(
      "When the whole piece is pressed → Pressed becomes yes, reverts when it ends, tween 120 ms ease-out",
    );
    const screen = project.pieces["trip-settings"];
    expect(screen && ruleText(project, screen, screen.rules["to-cabin"] as never)).toBe(
      "When Cabin link is clicked → go to Cabin climate, fade 260 ms ease-in-out",
    );
    expect(motionText({ kind: "tween", duration: 200, delay: 50, easing: [0.3, 0, 0.2, 1] })).toBe(
      "tween 200 ms cubic Bézier 0.3 0 0.2 1 after 50 ms",
    );
  });
});
