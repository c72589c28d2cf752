import { describe, expect, it } from "vitest";
import { saidIn, start } from "#core/machine";
import type { Input, State } from "#core/machine";
import { click, feed, on } from "../../../tests/support/feed";
import { Builder, becomes, goes } from "../../../tests/support/pieces";

/** A form with a field in a box, a choice, and a button. */
const form = () => {
  const b = new Builder();
  const id = b.new("screen", "Booking");
  const box = b.layer("box", { width: 200, height: 40, borderColour: "#20302e", borderWidth: 1 });
  const name = b.layer("text", { text: "Your name", entry: "typing" }, box);
  const deck = b.layer("text", { y: 60, text: "Deck", entry: "choosing", choices: "car, sun" });
  const button = b.layer("box", { y: 120, width: 80, height: 40, fill: "#ffffff" });
  const told = b.trait("Told", "no", "yes");
  b.rule({
    source: name,
    trigger: { type: "typed" },
    effects: [becomes(told.id, told.v.yes as string)],
  });
  const pressed = b.trait("Pressed", "no", "yes");
  b.rule({ source: button, effects: [goes(pressed.id, "opposite")] });
  const says = (state: State, layer: string) => saidIn(state, id)?.get(layer)?.text;
  return { b, id, box, name, deck, button, told, pressed, says };
};
const fill = (layer: string, text: string): Input => ({ type: "fill", layer, text });

describe("a field that says what is in it", () => {
  it("fills in its entry, tells rules that listen, and says nothing twice", () => {
    const { b, id, name, told, says } = form();
    const first = feed(b.project, start(b.project, id), fill(name, "Ida"));
    expect(says(first.state, name)).toBe("Ida");
    expect(first.state.traits[id]?.[told.id]).toBe(told.v.yes);
    expect(feed(b.project, first.state, fill(name, "Ida")).events).toEqual([]);
  });

  it("shows again what stands there for nothing once it is emptied", () => {
    const { b, id, name, says } = form();
    const { state } = feed(b.project, start(b.project, id), fill(name, "I"), fill(name, ""));
    expect(says(state, name)).toBeUndefined();
  });

  it("takes of a list only what is in it; nothing else can be filled in", () => {
    const { b, id, deck, button, says } = form();
    const at = start(b.project, id);
    expect(says(feed(b.project, at, fill(deck, "sun")).state, deck)).toBe("sun");
    expect(feed(b.project, at, fill(deck, "crow's nest")).state).toBe(at);
    expect(feed(b.project, at, fill(button, "x")).state).toBe(at);
    expect(feed(b.project, at, fill("gone", "x")).state).toBe(at);
  });

  it("has the focus by a press anywhere in its box, but not by one beside it", () => {
    const { b, id, box, name, button } = form();
    const at = start(b.project, id);
    const focus = (layer: string) =>
      feed(b.project, at, on(layer), ...click).state.keyboard.focused[0];
    expect(focus(box)).toBe(`${id}/${name}`);
    expect(focus(button)).toBe(`${id}/${button}`);
    expect(focus("root")).toBeUndefined();
  });
});

describe("a click without a pointer", () => {
  it("does what a click does, hovers nothing, and leaves alone what is pressed", () => {
    const { b, id, button, pressed } = form();
    const at = start(b.project, id);
    const done = feed(b.project, at, { type: "click", layer: button });
    expect(done.state.traits[id]?.[pressed.id]).toBe(pressed.v.yes);
    expect(done.state.pointer).toMatchObject({ over: [], pressed: null });
    const holding = feed(b.project, at, on(button), { type: "down" }).state;
    expect(feed(b.project, holding, { type: "click", layer: button }).state).toBe(holding);
    expect(feed(b.project, at, { type: "click", layer: "gone" }).events).toEqual([]);
  });
});
