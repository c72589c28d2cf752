import { describe, expect, it } from "vitest";
import { BenchMemory } from "./memory";
import { createBench } from "./state";

describe("what benches leave behind", () => {
  it("is found again on the same piece: what was chosen, the zoom, the drawer", () => {
    const memory = new BenchMemory();
    const bench = createBench("switch", memory).getState();
    bench.choose(["knob"]);
    bench.setZoom(2);
    bench.openTab("rules");
    memory.keep({ ...bench, chosen: ["knob"], zoom: 2, tab: "rules" });
    expect(createBench("switch", memory).getState()).toMatchObject({
      pieceId: "switch",
      chosen: ["knob"],
      zoom: 2,
      tab: "rules",
    });
  });

  it("is not what was under way: a tool in hand, a drag, an open window", () => {
    const memory = new BenchMemory();
    const bench = createBench("switch", memory).getState();
    memory.keep({ ...bench, tool: "pen", editing: true, dialog: { kind: "keys" } });
    expect(createBench("switch", memory).getState()).toMatchObject({
      tool: "choose",
      editing: false,
      dialog: null,
    });
  });

  it("can be what a finding is about: its layers, rules and variant beside the checks", () => {
    const memory = new BenchMemory();
    const variant = { alerts: "alerts-on" };
    const about = { layers: ["label"], rules: ["tap"], variant };
    memory.show("switch", {
      ...about,
      id: "contrast-1",
      kind: "contrast",
      severity: "warning",
      text: "",
    });
    expect(createBench("switch", memory).getState()).toMatchObject({
      tab: "checks",
      chosen: ["label"],
      chosenRules: ["tap"],
      variant,
    });
    memory.open("switch", "to-and-fro");
    expect(createBench("switch", memory).getState()).toMatchObject({
      tab: "rehearsals",
      rehearsal: "to-and-fro",
      variant,
    });
  });

  it("goes along to other pieces as far as it is held", () => {
    const memory = new BenchMemory();
    const bench = createBench("switch", memory).getState();
    const heldVariant = { piece: "switch", variant: { alerts: "alerts-on" } };
    memory.keep({ ...bench, chosen: ["knob"], heldVariant });
    const other = createBench("bell", memory).getState();
    expect(other.heldVariant).toEqual(heldVariant);
    expect(other.chosen).not.toEqual(["knob"]);
  });
});
