import { beforeAll, describe, expect, it } from "vitest";
import { accessTree, proposedAria } from "#core/access";
import type { AccessNode } from "#core/access";
import { setTraitAria } from "#core/edit";
import type { LayoutEnv } from "#core/layout";
import { ROOT } from "#core/project";
import type { Project } from "#core/project";
import type { Role } from "#core/properties";
import { Run } from "#core/runtime";
import { testEnv } from "../../tests/support/env";
import { Builder, becomes, goes } from "../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const told = (run: Run, project: Project): readonly AccessNode[] => {
  const goal = run.goal();
  if (!goal) throw new Error("nothing is shown");
  return accessTree(project, run.inside, goal.scene, (path) => goal.isFocusable(path));
};

const lineOf = ({ role, name, states, stop }: AccessNode): string =>
  [role, name, ...Object.entries(states).map(([k, v]) => `${k}=${v}`), stop === null ? "" : "*"]
    .filter(Boolean)
    .join(" ");

/** What is told, a line for each thing; what has the Tab key's stop with a star. */
const lines = (nodes: readonly AccessNode[], depth = 0): string[] =>
  nodes.flatMap((n) => ["  ".repeat(depth) + lineOf(n), ...lines(n.children, depth + 1)]);

const started = (b: Builder, piece = b.at) => {
  const run = new Run(env, b.project, piece);
  return { run, lines: () => lines(told(run, b.project)) };
};

/** A switch that is on or off as a whole, with a word beside it. */
const lamp = (b: Builder, values: Record<string, string> = {}) => {
  const id = b.new("component", "Lamp");
  b.look({}, ROOT, { role: "switch", fill: "#ffffff", ...values });
  b.layer("text", { text: "Deck lamp" });
  const lit = b.trait("On", "off", "on");
  b.rule({ effects: [goes(lit.id, "opposite")] });
  return { id, lit };
};

describe("what assistive technology is told", () => {
  it("a component is one thing with its state, named by its words; each copy has its own", () => {
    const b = new Builder();
    const { id, lit } = lamp(b);
    b.new("screen", "Bridge");
    b.layer("instance", { component: id, y: 0 });
    b.layer("instance", { component: id, y: 200, [`trait:${lit.id}`]: lit.v.on as string });
    expect(started(b).lines()).toEqual([
      "switch aria-checked=false *",
      "  text Deck lamp",
      "switch aria-checked=true *",
      "  text Deck lamp",
    ]);
  });

  it("the state follows a click that has no pointer, as assistive technology sends it", () => {
    const b = new Builder();
    const { id } = lamp(b, { label: "Lamp on the bridge" });
    const { run, lines: all } = started(b, id);
    run.input({ type: "click", layer: ROOT });
    expect(all()[0]).toBe("switch Lamp on the bridge aria-checked=true *");
    expect(run.inside.pointer.over).toEqual([]);
  });

  it("a copy is clicked as a whole, by what its component does", () => {
    const b = new Builder();
    const { id, lit } = lamp(b);
    b.new("screen", "Bridge");
    const copy = b.layer("instance", { component: id });
    const { run } = started(b);
    run.input({ type: "click", layer: told(run, b.project)[0]?.path ?? "" });
    expect(run.inside.traits[`${b.at}/${copy}`]?.[lit.id]).toBe(lit.v.on);
  });

  it("of layers that each set one value, that of the present value is chosen; a list is made of tabs", () => {
    const b = new Builder();
    const id = b.new("component", "Decks");
    const deck = b.trait("Deck", "Car", "Saloon", "Sun");
    b.do(setTraitAria(b.piece, deck.id, { state: "selected", on: [] }));
    for (const [i, name] of ["Car", "Saloon", "Sun"].entries()) {
      const tab = b.layer("box", { x: i * 80, width: 70, height: 40, role: "tab", label: name });
      b.rule({ source: tab, effects: [becomes(deck.id, deck.v[name] as string)] });
    }
    const { run, lines: all } = started(b, id);
    expect(all()).toEqual([
      "tablist Decks",
      "  tab Car aria-selected=true *",
      "  tab Saloon aria-selected=false *",
      "  tab Sun aria-selected=false *",
    ]);
    run.input({ type: "show", at: id, trait: deck.id, value: deck.v.Sun as string });
    expect(all().at(-1)).toBe("  tab Sun aria-selected=true *");
  });

  it("each role says the same thing in its own word", () => {
    const attribute = (role: Role) => {
      const b = new Builder();
      lamp(b, { role });
      return /aria-\w+=\w+/.exec(started(b).lines().join())?.[0];
    };
    expect(["checkbox", "button", "link", "option"].map((r) => attribute(r as Role))).toEqual([
      "aria-checked=false",
      "aria-pressed=false",
      "aria-current=false",
      "aria-selected=false",
    ]);
  });

  it("what opens something says whether it is open; what is disabled is so in all its parts", () => {
    const b = new Builder();
    b.new("component", "Pier");
    const open = b.trait("Open", "no", "yes");
    const off = b.trait("Disabled", "no", "yes");
    const pin = b.layer("box", { width: 40, height: 40, role: "button", label: "Pin" });
    b.layer("box", { y: 50, width: 40, height: 40, role: "link", label: "Timetable" });
    b.rule({ source: pin, effects: [goes(open.id, "opposite")] });
    const { run, lines: all } = started(b);
    run.input({ type: "show", at: b.at, trait: open.id, value: open.v.yes as string });
    run.input({ type: "show", at: b.at, trait: off.id, value: off.v.yes as string });
    expect(all()).toEqual([
      "button Pin aria-expanded=true aria-disabled=true *",
      "link Timetable aria-disabled=true",
    ]);
  });

  it("what is clicked is a button or a link without being called so, and never holds another control", () => {
    const b = new Builder();
    const { id } = lamp(b);
    const other = b.new("screen", "Cabin");
    const screen = b.new("screen", "Ship");
    const t = b.trait("Lit", "dark", "bright");
    const card = b.layer("box", { width: 300, height: 150, fill: "#ffffff" });
    b.rule({ source: card, effects: [goes(t.id, "next")] });
    b.layer("instance", { component: id }, card);
    const door = b.layer("box", { y: 200, width: 80, height: 40, fill: "#ffffff" });
    b.rule({ source: door, effects: [{ type: "go", screen: other }] });
    const bell = b.layer("box", { y: 300, width: 80, height: 40, fill: "#ffffff" });
    b.rule({ source: bell, effects: [goes(t.id, "next")] });
    const roles = started(b, screen)
      .lines()
      .map((l) => l.trim().split(" ")[0]);
    expect(roles).toEqual(["group", "switch", "text", "link", "button"]);
  });

  it("what cannot be seen is not told, what can be scrolled to is", () => {
    const b = new Builder();
    b.new("screen", "Cargo");
    b.layer("text", { text: "seen" });
    b.layer("text", { text: "faded", opacity: 0 });
    b.layer("text", { text: "hidden", visible: false });
    const hold = b.layer("box", { y: 50, width: 100, height: 20, clip: true });
    b.layer("text", { text: "cut off", y: 60 }, hold);
    const list = b.layer("box", { y: 100, width: 100, height: 20, scrolls: "down" });
    b.layer("text", { text: "further down", y: 60 }, list);
    expect(started(b).lines()).toEqual(["text seen", "text further down"]);
  });

  it("of what lies over one another only the front: a dialog by the name of its screen", () => {
    const b = new Builder();
    const notice = b.new("screen", "Notice");
    b.layer("text", { text: "The ramp is closed" });
    const deck = b.new("screen", "Deck");
    b.layer("text", { text: "Beneath" });
    const { run, lines: all } = started(b, deck);
    run.input({ type: "overlay", screen: notice });
    expect(all()).toEqual(["dialog Notice aria-modal=true", "  text The ramp is closed"]);
    run.input({ type: "back" });
    expect(all()).toEqual(["text Beneath"]);
  });

  it("an entry is a field with what is in it; the rest of roles have what they need", () => {
    const b = new Builder();
    b.new("screen", "Form");
    const name = b.layer("text", { text: "Your name", entry: "typing", label: "Name" });
    b.layer("text", { y: 40, text: "Fares", role: "heading" });
    const speed = b.trait("Speed", "slow", "half", "full");
    b.layer("box", { y: 80, width: 90, height: 20, role: "slider", label: "Speed" });
    const { run, lines: all } = started(b);
    run.input({ type: "show", at: b.at, trait: speed.id, value: speed.v.half as string });
    expect(all()).toEqual([
      "field Name *",
      "heading aria-level=2",
      "  text Fares",
      "slider Speed aria-valuemin=0 aria-valuemax=2 aria-valuenow=1 aria-valuetext=half",
    ]);
    const field = () => told(run, b.project)[0]?.field;
    expect([field()?.text, field()?.placeholder]).toEqual(["", "Your name"]);
    run.input({ type: "fill", layer: name, text: "Ida" });
    expect([field()?.text, field()?.placeholder]).toEqual(["Ida", ""]);
  });
});

describe("the state a trait most likely stands for", () => {
  const proposed = (name: string, values: string[], role: Role = "none") => {
    const b = new Builder();
    b.new("component", "Part");
    const { id } = b.trait(name, ...values);
    const trait = b.piece.traits[id];
    const aria = trait ? proposedAria(trait, role) : null;
    const names = (ids: readonly string[]) => ids.map((v) => trait?.values[v]?.name);
    return aria && [aria.state, names(aria.on), names(aria.mixed ?? [])];
  };

  it.each([
    ["Checked", ["no", "yes"], ["checked", ["yes"], []]],
    ["Alerts", ["off", "on"], ["checked", ["on"], []]],
    ["All boats", ["unchecked", "some", "checked"], null],
    ["Checked", ["no", "some", "yes"], ["checked", ["yes"], ["some"]]],
    ["Selected", ["false", "true"], ["selected", ["true"], []]],
    ["Menu", ["closed", "open"], ["expanded", ["open"], []]],
    ["Use", ["enabled", "disabled"], ["disabled", ["disabled"], []]],
    ["Contact", ["none", "hovered", "pressed"], null],
    ["Size", ["small", "large"], null],
  ] as const)("%s: %s", (name, values, expected) => {
    expect(proposed(name, [...values])).toEqual(expected);
  });

  it("goes by the role where no name says anything, and never beyond what the role can say", () => {
    expect(proposed("Lit", ["dark", "bright"], "switch")).toEqual(["checked", ["bright"], []]);
    expect(proposed("Deck", ["car", "saloon", "sun"], "tab")).toEqual(["selected", [], []]);
    expect(proposed("Open", ["no", "yes"], "heading")).toBeNull();
  });
});
