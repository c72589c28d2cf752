import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { eventText, ruleText, ruleTrouble } from "#core/describe";
import { DOUBLE, advance, focusStops, nextStop, start, step } from "#core/machine";
import type { Input, MachineEvent, State } from "#core/machine";
import { accept, changeSchema } from "#core/project";
import type { Effect, Project } from "#core/project";
import { TRAIT } from "#core/properties";
import { becomes, Builder, goes } from "../../../tests/support/pieces";

type Script = readonly (Input | number)[];
const play = (
  project: Project,
  piece: string,
  script: Script,
  from?: State,
): { state: State; events: MachineEvent[] } => {
  let state = from ?? start(project, piece);
  const events: MachineEvent[] = [];
  for (const s of script) {
    const r =
      typeof s === "number" ? advance(project, state, state.now + s) : step(project, state, s);
    state = r.state;
    events.push(...r.events);
  }
  return { state, events };
};
const over = (layer: string | null): Input => ({ type: "over", layer });
const down: Input = { type: "down" };
const up: Input = { type: "up" };
const focus = (layer: string | null): Input => ({ type: "focus", layer });
const key = (k: string, phase: "down" | "up" = "down"): Input => ({ type: "key", key: k, phase });
const typed = (k: string): Input[] => [key(k), key(k, "up")];
const fired = (h: readonly MachineEvent[]) =>
  h.flatMap((x) => (x.type === "fired" ? [x.trigger] : []));

/** A buoy with a lamp on it, three steps, and a yes/no. */
const buoy = () => {
  const b = new Builder();
  const id = b.new("component", "Buoy");
  const body = b.layer("box");
  const lamp = b.layer("ellipse", {}, body);
  const s = b.trait("Step", "one", "two", "three");
  const lit = b.trait("Lit", "no", "yes");
  const at = (state: State) =>
    `${Object.entries(s.v).find(([, v]) => v === (state.traits[id]?.[s.id] ?? s.v.one))?.[0]} ${Object.entries(lit.v).find(([, v]) => v === (state.traits[id]?.[lit.id] ?? lit.v.no))?.[0]}`;
  return {
    b,
    id,
    body,
    lamp,
    s,
    lit,
    at,
    yes: becomes(lit.id, lit.v.yes as string),
    next: goes(s.id, "next"),
  };
};

describe("double click", () => {
  it("is two clicks on one layer soon after one another; both are clicks as well", () => {
    const { b, id, body, at, yes, next } = buoy();
    b.rule({ source: body, trigger: { type: "click" }, effects: [next] });
    b.rule({ source: body, trigger: { type: "double" }, effects: [yes] });
    const click: Script = [over(body), down, up];
    expect(at(play(b.project, id, [...click, 100, ...click]).state)).toBe("three yes");
    expect(at(play(b.project, id, [...click, DOUBLE, ...click]).state)).toBe("three yes");
    expect(at(play(b.project, id, [...click, DOUBLE + 1, ...click]).state)).toBe("three no");
    // a third click begins anew
    expect(
      fired(play(b.project, id, [...click, 50, ...click, 50, ...click]).events).filter(
        (t) => t === "double",
      ),
    ).toHaveLength(1);
    expect(
      fired(
        play(b.project, id, [...click, 50, ...click, 50, ...click, 50, ...click]).events,
      ).filter((t) => t === "double"),
    ).toHaveLength(2);
  });

  it("on two layers it is none, but what is around both gets it", () => {
    const { b, id, body, lamp, at, yes } = buoy();
    const rule = b.rule({ source: lamp, trigger: { type: "double" }, effects: [yes] });
    const script: Script = [over(lamp), down, up, 50, over(body), down, up];
    expect(at(play(b.project, id, script).state)).toBe("one no");
    b.do({
      label: "x",
      ops: [{ op: "set", path: ["pieces", id, "rules", rule, "source"], value: body }],
    });
    expect(at(play(b.project, id, script).state)).toBe("one yes");
  });
});

describe("hold", () => {
  const held = () => {
    const made = buoy();
    made.b.rule({ source: made.body, trigger: { type: "click" }, effects: [made.next] });
    made.b.rule({ source: made.body, trigger: { type: "hold", ms: 500 }, effects: [made.yes] });
    return made;
  };

  it("fires at its very moment, and the press is then no click", () => {
    const { b, id, body, at } = held();
    expect(at(play(b.project, id, [over(body), down, 499, up]).state)).toBe("two no");
    const late = play(b.project, id, [over(body), down, 2000, up]);
    expect(at(late.state)).toBe("one yes");
    expect(late.events.find((event) => event.type === "fired")?.at).toBe(500);
    expect(fired(late.events)).toEqual(["hold"]);
    expect(late.state.timers.waits).toEqual([]);
  });

  it("is given up when the pointer leaves, is cancelled, or the condition no longer holds", () => {
    const { b, id, body, lit, at } = held();
    expect(
      at(play(b.project, id, [over(body), down, 200, over(null), 100, over(body), 500]).state),
    ).toBe("one no");
    expect(at(play(b.project, id, [over(body), down, 200, { type: "cancel" }, 500]).state)).toBe(
      "one no",
    );
    const r = b.rule({
      source: body,
      trigger: { type: "hold", ms: 300 },
      when: { [lit.id]: [lit.v.no as string] },
      effects: [becomes(lit.id, lit.v.no as string)],
    });
    expect(
      fired(
        play(b.project, id, [
          over(body),
          down,
          { type: "show", at: id, trait: lit.id, value: lit.v.yes as string },
          400,
        ]).events,
      ),
    ).toEqual([]);
    expect(ruleText(b.project, b.piece, b.piece.rules[r] as never)).toContain(
      "is held for 300 ms, while Lit is no",
    );
  });

  it("the innermost layer with a hold is held; a moved pointer within it goes on holding; undone when it ends", () => {
    const { b, id, body, lamp, at, yes, next } = buoy();
    b.rule({ source: body, trigger: { type: "hold", ms: 100 }, effects: [next] });
    b.rule({ source: lamp, trigger: { type: "hold", ms: 300 }, undo: true, effects: [yes] });
    const run = play(b.project, id, [over(lamp), down, 350]);
    expect(at(run.state)).toBe("one yes");
    expect(at(play(b.project, id, [up], run.state).state)).toBe("one no");
    expect(at(play(b.project, id, [over(body), down, over(lamp), over(body), 150]).state)).toBe(
      "two no",
    );
  });
});

describe("settled", () => {
  it("comes when the motion that led here has ended, later motions included, and not without one", () => {
    const { b, id, body, s, at, yes, next } = buoy();
    b.rule({
      source: body,
      trigger: { type: "click" },
      effects: [next],
      motion: { kind: "tween", duration: 300, delay: 100, easing: "linear" },
    });
    b.rule({
      trigger: { type: "settled" },
      when: { [s.id]: [s.v.two as string, s.v.three as string] },
      effects: [yes],
    });
    expect(at(play(b.project, id, [5000]).state)).toBe("one no");
    const first = play(b.project, id, [over(body), down, up, 399]);
    expect(at(first.state)).toBe("two no");
    expect(at(play(b.project, id, [1], first.state).state)).toBe("two yes");
    // a click in the middle of the movement puts it off
    const again = play(b.project, id, [down, up, 399], first.state);
    expect(at(again.state)).toBe("three no");
    expect(at(play(b.project, id, [1], again.state).state)).toBe("three yes");
  });

  it("after a cut it comes at once; two that send each other round for ever without time are stopped", () => {
    const { b, id, body, lit, at, yes } = buoy();
    b.rule({ source: body, effects: [yes] });
    b.rule({ trigger: { type: "settled" }, effects: [goes(lit.id, "opposite")] });
    const run = play(b.project, id, [over(body), down, up]);
    expect(run.events.some((event) => event.type === "loop")).toBe(true);
    expect(["one yes", "one no"]).toContain(at(run.state));
    expect(Object.keys(run.state.timers.stopped)).toHaveLength(1);
  });
});

describe("the keyboard", () => {
  it("Enter and Space do what a pointer does to what is focused: press, release, click, and undoing", () => {
    const { b, id, body, at, yes, next } = buoy();
    b.rule({ source: body, trigger: { type: "press" }, undo: true, effects: [yes] });
    b.rule({ source: body, trigger: { type: "click" }, effects: [next] });
    for (const k of ["Enter", " "]) {
      const pressed = play(b.project, id, [focus(body), key(k), key(k), 300]);
      expect(at(pressed.state)).toBe("one yes");
      expect(at(play(b.project, id, [key(k, "up")], pressed.state).state)).toBe("two no");
      // a focus that goes while the key is down takes the press along
      expect(at(play(b.project, id, [focus(null), key(k, "up")], pressed.state).state)).toBe(
        "one no",
      );
    }
    expect(at(play(b.project, id, typed("Enter")).state)).toBe("one no");
    expect(at(play(b.project, id, [focus(body), ...typed("a")]).state)).toBe("one no");
  });

  it("a hold by key counts as well, wherever the pointer goes meanwhile", () => {
    const { b, id, body, at, yes } = buoy();
    b.rule({ source: body, trigger: { type: "hold", ms: 200 }, effects: [yes] });
    expect(
      at(
        play(b.project, id, [focus(body), key(" "), over(body), over(null), 250, key(" ", "up")])
          .state,
      ),
    ).toBe("one yes");
  });

  it("rules for a key answer from the focus outwards and go before pressing; without a focus those of the whole piece do", () => {
    const { b, id, body, lamp, at, yes, next } = buoy();
    b.rule({ source: lamp, trigger: { type: "key", key: "Enter" }, effects: [yes] });
    b.rule({ source: lamp, trigger: { type: "click" }, effects: [next] });
    b.rule({ trigger: { type: "key", key: "ArrowRight" }, effects: [next] });
    b.rule({ source: body, trigger: { type: "key", key: "x" }, effects: [next] });
    expect(at(play(b.project, id, [focus(lamp), ...typed("Enter")]).state)).toBe("one yes");
    expect(
      at(play(b.project, id, [focus(lamp), ...typed("X"), ...typed("ArrowRight")]).state),
    ).toBe("three no");
    expect(at(play(b.project, id, [...typed("x"), ...typed("ArrowRight")]).state)).toBe("two no");
  });

  it("focus and blur are told to every layer they go into and out of; undone when the focus goes", () => {
    const { b, id, body, lamp, at, yes, next } = buoy();
    b.rule({ source: body, trigger: { type: "focus" }, undo: true, effects: [yes] });
    b.rule({ source: lamp, trigger: { type: "blur" }, effects: [next] });
    const within = play(b.project, id, [focus(lamp)]);
    expect(at(within.state)).toBe("one yes");
    expect(at(play(b.project, id, [focus(body)], within.state).state)).toBe("two yes");
    expect(at(play(b.project, id, [focus(null)], within.state).state)).toBe("two no");
    // a press gives it to the innermost that can have it, which was focused as well
    expect(at(play(b.project, id, [over(lamp), down], within.state).state)).toBe("two yes");
    expect(at(play(b.project, id, [over(null), down], within.state).state)).toBe("two no");
  });

  it("a press focuses the innermost focusable layer, but shows it only after a key", () => {
    const { b, id, body, lamp, at, yes, next } = buoy();
    b.rule({ source: body, trigger: { type: "key", key: "a" }, effects: [next] });
    b.rule({ source: body, trigger: { type: "focus" }, undo: true, effects: [yes] });
    const pressed = play(b.project, id, [over(lamp), down]).state;
    expect(pressed.keyboard).toMatchObject({ focused: [`${id}/${body}`, `${id}/root`] });
    expect([pressed.keyboard.shown, at(pressed)]).toEqual([false, "one no"]);
    expect(play(b.project, id, typed("Shift"), pressed).state.keyboard.shown).toBe(false);
    const keyed = play(b.project, id, [over(lamp), down, ...typed("a")]).state;
    expect([keyed.keyboard.shown, at(keyed)]).toEqual([true, "two yes"]);
    expect(at(play(b.project, id, [up, over(null), down], keyed).state)).toBe("two no");
  });

  it("a rule for any focus answers one that a press brought, and its going", () => {
    const { b, id, body, at, yes, next } = buoy();
    b.rule({ source: body, trigger: { type: "focus", by: "any" }, undo: true, effects: [yes] });
    b.rule({ source: body, trigger: { type: "blur" }, effects: [next] });
    const pressed = play(b.project, id, [over(body), down]).state;
    expect(at(pressed)).toBe("one yes");
    // that one goes unnoticed by a rule for a focus that is shown
    expect(at(play(b.project, id, [focus(null)], pressed).state)).toBe("one no");
    b.rule({ source: body, trigger: { type: "blur", by: "any" }, effects: [next] });
    const anew = play(b.project, id, [over(body), down, focus(null)]).state;
    expect(at(anew)).toBe("two no");
  });

  it("in a placed copy keys are heard as soon as it was pressed", () => {
    const { b, id, s, next } = buoy();
    b.rule({ trigger: { type: "key", key: "a" }, effects: [next] });
    const screen = b.new("screen", "Bay");
    const copy = b.layer("instance", { component: id });
    const state = play(b.project, screen, [over(`${copy}/root`), down, ...typed("a")]).state;
    expect(state.traits[`${screen}/${copy}`]?.[s.id]).toBe(s.v.two);
  });

  it("the Tab key stops where something can be done, through copies, and not at hidden layers", () => {
    const { b, id, body, lamp } = buoy();
    b.rule({
      source: body,
      effects: [goes(b.piece.traits ? (Object.keys(b.piece.traits)[0] as string) : "", "next")],
    });
    b.rule({
      source: lamp,
      trigger: { type: "key", key: "a" },
      effects: [goes(Object.keys(b.piece.traits)[0] as string, "next")],
    });
    const screen = b.new("screen", "Bay");
    const first = b.layer("instance", { component: id });
    const link = b.layer("box");
    const away = b.layer("box", { visible: false });
    for (const source of [first, link, away]) b.rule({ source, effects: [{ type: "back" }] });
    const state = start(b.project, screen);
    expect(focusStops(b.project, state)).toEqual([`${first}/${body}`, `${first}/${lamp}`, link]);
    expect([nextStop(b.project, state, 1), nextStop(b.project, state, -1)]).toEqual([
      `${first}/${body}`,
      link,
    ]);
    const at = play(b.project, screen, [focus(link)]).state;
    expect([nextStop(b.project, at, 1), nextStop(b.project, at, -1)]).toEqual([
      null,
      `${first}/${lamp}`,
    ]);
  });
});

describe("copies that talk", () => {
  const around = () => {
    const made = buoy();
    const { b, id, body } = made;
    b.do({
      label: "x",
      ops: [
        {
          op: "set",
          path: ["pieces", id, "signals", "passed"],
          value: { id: "passed", name: "passed", order: "a0" },
        },
      ],
    });
    const raise: Effect = { type: "raise", signal: "passed" };
    b.rule({ source: body, effects: [raise, made.next] });
    const screen = b.new("screen", "Bay");
    const one = b.layer("instance", { component: id });
    const two = b.layer("instance", { component: id });
    const seen = b.trait("Seen", "no", "yes");
    return { ...made, raise, screen, one, two, seen };
  };

  it("a signal is heard by rules on the copy that says it, and by no other", () => {
    const { b, body, screen, one, two, seen } = around();
    const rule = b.rule({
      source: one,
      trigger: { type: "signal", signal: "passed" },
      effects: [becomes(seen.id, seen.v.yes as string)],
    });
    const heard = (layer: string) => play(b.project, screen, [over(`${layer}/${body}`), down, up]);
    expect(heard(one).state.traits[screen]?.[seen.id]).toBe(seen.v.yes);
    expect(heard(two).state.traits[screen]?.[seen.id]).toBeUndefined();
    expect(heard(one).events.map((event) => eventText(b.project, event)?.text)).toEqual(
      expect.arrayContaining(["Copy: sends passed", "Copy sends passed → Seen yes · cut"]),
    );
    expect(ruleText(b.project, b.piece, b.piece.rules[rule] as never)).toContain(
      "When Copy sends passed →",
    );
    expect(
      ruleTrouble(b.project, b.piece, {
        ...(b.piece.rules[rule] as never as object),
        source: null,
      } as never),
    ).toContain("only copies of components");
    expect(
      ruleTrouble(b.project, b.piece, {
        ...(b.piece.rules[rule] as never as object),
        trigger: { type: "signal", signal: "gone" },
      } as never),
    ).toContain("no such signal");
  });

  it("can be passed on outwards, level by level, and ends at the outermost", () => {
    const { b, body, screen, one, raise } = around();
    b.do({
      label: "x",
      ops: [
        {
          op: "set",
          path: ["pieces", screen, "signals", "passed"],
          value: { id: "passed", name: "passed", order: "a0" },
        },
      ],
    });
    b.rule({ source: one, trigger: { type: "signal", signal: "passed" }, effects: [raise] });
    const raised = play(b.project, screen, [over(`${one}/${body}`), down, up]).events.filter(
      (event) => event.type === "signalled",
    );
    expect(raised.map((event) => event.path)).toEqual([`${screen}/${one}`, screen]);
  });

  it("a rule sets traits of a copy inside, which can be undone, and competes with others for them", () => {
    const { b, screen, one, two, lit, at: _at } = around();
    const button = b.layer("box");
    const inner: Effect = { type: "nested", layer: two, trait: lit.id, to: { step: "opposite" } };
    b.rule({ source: button, trigger: { type: "hover" }, undo: true, effects: [inner] });
    b.rule({ source: button, effects: [{ ...inner, layer: one }] });
    const lost = b.rule({
      source: button,
      effects: [{ ...inner, layer: one, to: { value: lit.v.no as string } }],
    });
    const value = (state: State, layer: string) =>
      state.traits[`${screen}/${layer}`]?.[lit.id] ?? lit.v.no;
    const hovered = play(b.project, screen, [over(button)]);
    expect([value(hovered.state, one), value(hovered.state, two)]).toEqual([lit.v.no, lit.v.yes]);
    expect(value(play(b.project, screen, [over(null)], hovered.state).state, two)).toBe(lit.v.no);
    const clicked = play(b.project, screen, [down, up], hovered.state);
    expect(value(clicked.state, one)).toBe(lit.v.yes);
    expect(clicked.events.find((event) => event.type === "lost")).toMatchObject({ rule: lost });
    expect(clicked.events.map((event) => eventText(b.project, event)?.text)).toContain(
      "Box click → Copy: Lit yes · cut",
    );
    expect(
      ruleTrouble(b.project, b.piece, {
        ...(b.piece.rules[lost] as never as object),
        effects: [{ ...inner, trait: "gone" }],
      } as never),
    ).toContain("no longer has this trait");
  });

  it("a trait the copy starts with by what is said around it is what an inner rule goes on from", () => {
    const { b, screen, two, s } = around();
    b.look({}, two, { [`${TRAIT}${s.id}`]: s.v.two as string });
    const button = b.layer("box");
    b.rule({
      source: button,
      effects: [
        { type: "nested", layer: two, trait: s.id, to: { step: "next" } },
        { type: "nested", layer: two, trait: s.id, to: { step: "first" } },
      ],
    });
    expect(
      play(b.project, screen, [over(button), down, up]).state.traits[`${screen}/${two}`]?.[s.id],
    ).toBe(s.v.one);
  });
});

describe("addresses", () => {
  it("are told, not followed, and only those of pages are taken", () => {
    const { b, id, body } = buoy();
    b.rule({ source: body, effects: [{ type: "address", to: "https://kelpway.example/piers" }] });
    const run = play(b.project, id, [over(body), down, up]);
    expect(run.events.map((event) => eventText(b.project, event)?.text)).toContain(
      "would open https://kelpway.example/piers",
    );
    const rule = Object.keys(b.piece.rules)[0] as string;
    for (const to of ["javascript:alert(1)", "data:text/html,x", "ftp://pier", ""]) {
      const change = {
        label: "x",
        ops: [
          {
            op: "set" as const,
            path: ["pieces", id, "rules", rule, "effects"],
            value: [{ type: "address", to }],
          },
        ],
      };
      expect(changeSchema.safeParse(change).success && accept(b.project, change).ok).toBe(false);
    }
  });
});

describe("whatever happens", () => {
  const input = fc.oneof(
    fc.constantFrom<Input>(
      down,
      up,
      { type: "cancel" },
      over(null),
      focus(null),
      key("Enter"),
      key("Enter", "up"),
      key(" "),
      key(" ", "up"),
      key("a"),
    ),
    fc.record({ type: fc.constantFrom("over" as const, "focus" as const), n: fc.nat(3) }),
    fc.integer({ min: 0, max: 700 }),
  );
  const trigger = fc.constantFrom(
    "click",
    "double",
    "press",
    "release",
    "hold",
    "enter",
    "leave",
    "hover",
    "focus",
    "blur",
    "key",
    "settled",
    "delay",
  );

  it("same input gives the same run, nothing stays held, and waits never lie in the past", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            trigger,
            on: fc.nat(2),
            undo: fc.boolean(),
            trait: fc.nat(1),
            step: fc.constantFrom("next", "opposite", "first"),
            ms: fc.integer({ min: 1, max: 400 }),
          }),
          { maxLength: 6 },
        ),
        fc.array(input, { maxLength: 30 }),
        (rules, script) => {
          const { b, id, body, lamp, s, lit } = buoy();
          const layers = [body, lamp, "root"];
          for (const r of rules)
            b.rule({
              source: r.on === 2 ? null : layers[r.on],
              trigger: { type: r.trigger as "click", ms: r.ms, key: "a" },
              undo: r.undo && ["hover", "press", "hold", "focus"].includes(r.trigger),
              effects: [
                { type: "set", trait: r.trait ? s.id : lit.id, to: { step: r.step as "next" } },
              ],
              motion: { kind: "tween", duration: r.ms, delay: 0, easing: "linear" },
            });
          const steps = script.map((x): Input | number =>
            typeof x === "object" && "n" in x ? { type: x.type, layer: layers[x.n] ?? null } : x,
          );
          const once = play(b.project, id, steps);
          const twice = play(b.project, id, steps);
          expect(twice.state).toEqual(once.state);
          for (const due of [
            ...once.state.timers.waits.map((t) => t.due),
            ...Object.values(once.state.timers.settling),
          ])
            expect(due).toBeGreaterThan(once.state.now);
          const rest = play(
            b.project,
            id,
            [{ type: "cancel" }, focus(null), over(null)],
            once.state,
          ).state;
          expect([
            rest.reverts,
            rest.pointer.pressed,
            rest.keyboard.focused,
            rest.pointer.over,
            rest.timers.waits.filter((t) => t.source),
          ]).toEqual([[], null, [], [], []]);
        },
      ),
      { numRuns: 400 },
    );
  });
});
