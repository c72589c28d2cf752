import { beforeAll, describe, expect, it } from "vitest";
import type { LayoutEnv } from "#core/layout";
import { copiesOf, spokenParts, tokensIn, usesByComponent } from "#core/library";
import { ROOT } from "#core/project";
import { kelpwayKit } from "../../demo/index";
import { testEnv } from "../../tests/support/env";
import { Builder, becomes, goes } from "../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const partsOf = (b: Builder) => spokenParts(env, b.project, b.at);

describe("what a component says to assistive technology", () => {
  it("its role, name, states, and the keys its rules hear", () => {
    const [part, ...others] = spokenParts(env, kelpwayKit(), "bicycle-tick-box");
    expect(others).toEqual([]);
    expect(part).toMatchObject({
      role: "checkbox",
      name: "Bring a bicycle",
      states: { "aria-checked": "false" },
      missing: [],
    });
    expect(part?.keys).toEqual([
      { keys: ["Enter", " "], does: "Checked becomes the opposite value" },
    ]);
  });

  it("a checkbox that nothing turns on lacks its key", () => {
    const b = new Builder();
    b.new("component", "Box");
    b.look({}, ROOT, { role: "checkbox" });
    const [part] = partsOf(b);
    expect(part?.missing).toEqual(["Space turns it on and off"]);
  });

  it("keys that only do something in another state are heard there", () => {
    const b = new Builder();
    b.new("component", "Menu");
    const { id, v } = b.trait("Open", "no", "yes");
    b.look({}, ROOT, { role: "button", label: "Menu" });
    b.rule({ effects: [goes(id, "opposite")] });
    b.rule({
      trigger: { type: "key", key: "Escape" },
      when: { [id]: [v.yes ?? ""] },
      effects: [becomes(id, v.no ?? "")],
    });
    expect(partsOf(b)[0]?.keys).toContainEqual({ keys: ["Escape"], does: "Open becomes no" });
  });

  it("radio buttons without arrow keys are compared with the practice", () => {
    const parts = spokenParts(env, kelpwayKit(), "seat-side-chooser");
    const radio = parts.find((p) => p.role === "radio");
    expect(radio?.missing).toEqual([
      "Arrow Right or Arrow Down goes to the next one",
      "Arrow Left or Arrow Up goes to the previous one",
    ]);
  });

  it("is nothing for what is not there", () => {
    expect(spokenParts(env, kelpwayKit(), "no such piece")).toEqual([]);
  });
});

describe("uses", () => {
  it("name every piece a component is placed in, with its copies", () => {
    const b = new Builder();
    const pin = b.new("component", "Pin");
    b.new("component", "Map");
    const copies = [
      b.layer("instance", { component: pin }),
      b.layer("instance", { component: pin }),
    ];
    const uses = usesByComponent(b.project).get(pin) ?? [];
    expect(uses.map((u) => [u.piece.name, [...u.layers].sort()])).toEqual([["Map", copies.sort()]]);
    expect(copiesOf(b.project, pin)).toBe(2);
    expect(copiesOf(b.project, b.at)).toBe(0);
  });

  it("name the tokens a component is bound to, by looks and motions", () => {
    const kit = kelpwayKit();
    const piece = kit.pieces["deck-tabs"];
    const names = [...(piece ? tokensIn(piece) : [])].map((id) => kit.tokens[id]?.name);
    expect(names.length).toBeGreaterThan(2);
    expect(names).not.toContain(undefined);
  });
});
