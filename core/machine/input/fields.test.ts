import { beforeAll, describe, expect, it } from "vitest";
import { checked } from "#core/checks";
import { eventText, ruleText, ruleTrouble } from "#core/describe";
import { findBox } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { focusStops, start } from "#core/machine";
import type { Input, State } from "#core/machine";
import { markup, paint } from "#core/paint";
import { rehearse } from "#core/rehearse";
import { Run } from "#core/runtime";
import { testEnv } from "../../../tests/support/env";
import { click, feed, on } from "../../../tests/support/feed";
import { becomes, Builder } from "../../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const keys = (...list: string[]): Input[] =>
  list.flatMap((key): Input[] => [
    { type: "key", key, phase: "down" },
    { type: "key", key, phase: "up" },
  ]);

/** A film of the crossing, four seconds long, and what its rules do to a trait. */
const film = (values: Record<string, boolean | number> = {}) => {
  const b = new Builder();
  const id = b.new("component", "Film");
  const clip = b.layer("picture", { width: 160, height: 90, plays: 4000, ...values });
  const s = b.trait("At", "rest", "playing", "halted", "middle", "end");
  const at = (state: State) =>
    Object.entries(s.v).find(([, v]) => v === (state.traits[id]?.[s.id] ?? s.v.rest))?.[0];
  const on = (type: "played" | "paused" | "ended", value: string) =>
    b.rule({ source: clip, trigger: { type }, effects: [becomes(s.id, s.v[value] as string)] });
  b.rule({ source: clip, effects: [{ type: "clip", layer: clip, act: "turn" }] });
  on("played", "playing");
  on("paused", "halted");
  on("ended", "end");
  b.rule({
    source: clip,
    trigger: { type: "reached", ms: 2500 },
    effects: [becomes(s.id, s.v.middle as string)],
  });
  return { b, id, clip, at };
};

describe("clips", () => {
  it("play, halt where they are, go on, reach a moment at that very moment, and end", () => {
    const { b, id, clip, at } = film();
    const p = b.project;
    const playing = feed(p, start(p, id), on(clip), ...click);
    expect(at(playing.state)).toBe("playing");
    const halted = feed(p, playing.state, 1000, ...click, 5000);
    expect([at(halted.state), halted.state.clips[`${id}/${clip}`]?.moment]).toEqual([
      "halted",
      1000,
    ]);
    const on2 = feed(p, halted.state, ...click, 1499);
    expect(at(on2.state)).toBe("playing");
    expect(at(feed(p, on2.state, 1).state)).toBe("middle");
    const over = feed(p, on2.state, 3000);
    expect([
      at(over.state),
      over.state.clips[`${id}/${clip}`]?.playing,
      over.state.timers.waits,
    ]).toEqual(["end", false, []]);
    expect(over.events.find((event) => event.type === "clip" && event.what === "ended")?.at).toBe(
      9000 - 1000 - 5000 + 1000 + 5000 + 0,
    );
    // played again from its beginning
    expect(feed(p, over.state, ...click, 10).state.clips[`${id}/${clip}`]?.moment).toBe(0);
  });

  it("start by themselves, begin again for ever without drifting, and can be sent to a moment", () => {
    const { b, id, clip } = film({ starts: true, repeats: true });
    const run = feed(b.project, start(b.project, id), 40_001);
    const ends = run.events.flatMap((event) =>
      event.type === "clip" && event.what === "ended" ? [event.at] : [],
    );
    expect(ends).toEqual([
      4000, 8000, 12_000, 16_000, 20_000, 24_000, 28_000, 32_000, 36_000, 40_000,
    ]);
    b.rule({
      trigger: { type: "key", key: "m" },
      effects: [{ type: "seek", layer: clip, ms: 2400 }],
    });
    const sought = feed(b.project, start(b.project, id), 100, ...keys("m"), 99);
    expect(sought.events.filter((event) => event.type === "clip")).toEqual([]);
    expect(
      feed(b.project, sought.state, 1).events.some(
        (event) => event.type === "clip" && event.what === "reached",
      ),
    ).toBe(true);
  });

  it("show where they are while they play; hidden ones stop; words and troubles", () => {
    const { b, id, clip } = film();
    const run = new Run(env, b.project, id);
    run.pointer("move", 20, 20);
    run.pointer("down", 20, 20);
    run.pointer("up", 20, 20);
    run.advanceTo(1000);
    expect(run.wakesAt()).toBe(1000);
    const placed = () => {
      const s = run.scene();
      return s && findBox(s, clip)?.placed;
    };
    expect(placed()?.values.playedTo).toBe(1000);
    const scene = run.scene();
    expect(scene && markup(paint(scene))).toContain('width="40"');
    const rule = Object.values(b.piece.rules).find((r) => r.trigger.type === "reached");
    expect(rule && ruleText(b.project, b.piece, rule)).toContain("reaches 2500 ms");
    expect(
      rule &&
        ruleTrouble(b.project, b.piece, {
          ...rule,
          effects: [{ type: "clip", layer: "gone", act: "play" }],
        }),
    ).toContain("the clip it plays was deleted");
    expect(checked(env, b.project, id).findings.map((f) => f.kind)).not.toContain("never-fires");
  });
});

/** A letter to the harbour: a name that is typed, a deck that is chosen, and what sends it. */
const letter = () => {
  const b = new Builder();
  const id = b.new("component", "Letter");
  const name = b.layer("text", { text: "Your name", x: 0, y: 0, entry: "typing" });
  const deck = b.layer("text", {
    text: "Deck",
    x: 0,
    y: 40,
    entry: "choosing",
    choices: "car, saloon, sun",
  });
  const go = b.layer("box", { x: 0, y: 80, width: 80, height: 40, sends: true });
  const s = b.trait("State", "open", "going", "done", "refused");
  const typed = b.trait("Typed", "no", "yes");
  const rule = (type: "sent" | "succeeded" | "failed", value: string) =>
    b.rule({
      source: go,
      trigger: { type },
      effects: [
        becomes(s.id, s.v[value] as string),
        ...(type === "succeeded" ? [{ type: "empty" as const }] : []),
      ],
    });
  rule("sent", "going");
  rule("succeeded", "done");
  rule("failed", "refused");
  b.rule({
    source: name,
    trigger: { type: "typed" },
    effects: [becomes(typed.id, typed.v.yes as string)],
  });
  const at = (state: State) =>
    Object.entries(s.v).find(([, v]) => v === (state.traits[id]?.[s.id] ?? s.v.open))?.[0];
  return { b, id, name, deck, go, at, typed, s };
};

describe("forms", () => {
  it("are filled in with keys where the focus is, letters before rules and pressing", () => {
    const { b, id, name, deck, typed } = letter();
    const p = b.project;
    b.rule({ trigger: { type: "key", key: "a" }, effects: [{ type: "back" }] });
    const run = feed(
      p,
      start(p, id),
      on(name),
      ...click,
      ...keys("I", "d", "a", " ", "x", "Backspace"),
    );
    expect(run.state.forms.entries).toEqual({ [`${id}/${name}`]: "Ida " });
    expect(run.state.traits[id]?.[typed.id]).toBe(typed.v.yes);
    expect(focusStops(p, run.state)).toHaveLength(3);
    const chosen = feed(
      p,
      run.state,
      on(deck),
      ...click,
      ...keys("ArrowDown", "ArrowDown", "ArrowDown", "ArrowUp"),
    );
    expect(chosen.state.forms.entries[`${id}/${deck}`]).toBe("sun");
  });

  it("are sent once, by a click or by Enter, and answered a little later as the stand-in was told", () => {
    const { b, id, name, go, at } = letter();
    const p = b.project;
    const sent = feed(
      p,
      start(p, id),
      on(name),
      ...click,
      ...keys("I"),
      on(go),
      ...click,
      ...click,
    );
    expect(
      sent.events
        .filter((event) => event.type === "sending")
        .map((event) => eventText(p, event)?.text),
    ).toEqual(
      ["submitted: Your name “I”, Deck “”"].map((t) =>
        t.replace("Your name", b.layerOf(name).name).replace("Deck", "Text 2"),
      ),
    );
    expect(at(sent.state)).toBe("going");
    expect(at(feed(p, sent.state, 599).state)).toBe("going");
    const done = feed(p, sent.state, 600);
    expect([at(done.state), done.state.forms.entries]).toEqual(["done", {}]);
    const refused = feed(
      p,
      start(p, id),
      { type: "answer", well: false },
      on(name),
      ...click,
      ...keys("I", "Enter"),
      600,
    );
    expect([at(refused.state), Object.values(refused.state.forms.entries)]).toEqual([
      "refused",
      ["I"],
    ]);
  });

  it("show what is filled in, in the copy it is in, and rehearsals can do it all", () => {
    const { b, id, name, s } = letter();
    const screen = b.new("screen", "Pier");
    const one = b.layer("instance", { component: id, x: 0, y: 0 });
    const two = b.layer("instance", { component: id, x: 0, y: 300 });
    const text = { do: "text" as const, text: "Ida", shown: true };
    expect(
      rehearse(env, b.project, screen, [
        { do: "click", layer: `${two}/${name}` },
        { do: "key", key: "I" },
        { do: "key", key: "d" },
        { do: "key", key: "a" },
        text,
        { do: "answer", well: false },
        { do: "key", key: "Enter" },
        { do: "settle" },
        { do: "trait", at: two, trait: s.id, value: s.v.refused as string },
        { do: "trait", at: one, trait: s.id, value: s.v.open as string },
      ]),
    ).toBeNull();
  });

  it("in the checks: typing, success and failure are all looked at", () => {
    const { b, id } = letter();
    expect(checked(null, b.project, id).findings.map((f) => f.kind)).not.toContain("never-fires");
    expect(checked(null, b.project, id).findings.map((f) => f.kind)).not.toContain("unreachable");
  });
});
