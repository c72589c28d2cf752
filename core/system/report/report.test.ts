import { beforeAll, describe, expect, it } from "vitest";
import { addOption, addSignal, emptyProject } from "#core/edit";
import type { LayoutEnv } from "#core/layout";
import { qualified, remove, set } from "#core/project";
import type { Op, Project } from "#core/project";
import { contentOf, reportOn } from "#core/system";
import type { Report } from "#core/system";
import { worldOf } from "#core/world";
import { testEnv } from "../../../tests/support/env";
import { Builder, becomes, goes } from "../../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

/** A system with a lamp and a buoy. */
const kit = () => {
  const b = new Builder();
  b.project = emptyProject("Pier kit");
  const buoy = b.new("component", "Buoy");
  b.layer("ellipse", { fill: "#e8723d", width: 20, height: 20 });
  const lamp = b.new("component", "Lamp");
  const glow = b.layer("box", { fill: "#f0c04e", width: 40, height: 40 });
  const word = b.layer("text", { text: "Pier", y: 50 });
  const lit = b.trait("Lit", "no", "yes", "blinking");
  b.look({ [lit.id]: [lit.v.yes ?? ""] }, glow, { fill: "#ffffff" });
  const label = addOption(b.piece, word, "text", "Word");
  b.do(label.change);
  const pressed = addSignal(b.piece, "pressed");
  b.do(pressed.change);
  b.rule({ source: glow, effects: [goes(lit.id, "next"), { type: "raise", signal: pressed.id }] });
  return { b, buoy, lamp, glow, word, lit, label: label.id, pressed: pressed.id };
};
const system = kit();

/** An app with a lamp that says something and does something, and a light that stands beside it. */
const island = () => {
  const b = new Builder();
  const adoption = {
    id: "kit",
    order: "a0",
    system: "pier",
    name: "Pier kit",
    edition: "one",
    number: "1.0.0",
  };
  b.project = { ...emptyProject("Island app"), adoptions: { kit: adoption } };
  const screen = b.new("screen", "Quay");
  b.look({}, "root", { arrange: "row", gap: 10, widthMode: "fixed", width: 600 });
  const copy = b.layer("instance", { component: qualified("kit", system.lamp) });
  const beside = b.layer("box", { width: 30, height: 30, fill: "#1f6f5c" });
  b.look({}, copy, {
    [`option:${system.label}`]: "Gull Isle",
    [`trait:${system.lit.id}`]: system.lit.v.blinking ?? "",
  });
  const seen = b.trait("Seen", "no", "yes");
  const heard = b.rule({
    trigger: { type: "signal", signal: system.pressed },
    source: copy,
    effects: [becomes(seen.id, seen.v.yes ?? "")],
  });
  const rehearsal = {
    id: "hears",
    name: "It hears the lamp",
    order: "a0",
    steps: [
      { do: "click", layer: `${copy}/${system.glow}` },
      { do: "settle" },
      { do: "trait", at: "", trait: seen.id, value: seen.v.yes },
    ],
  };
  b.do({ label: "", ops: [set(["pieces", screen, "rehearsals", "hears"], rehearsal)] });
  const plain = b.new("screen", "Plain");
  b.layer("box", { fill: "#123456", width: 10, height: 10 });
  return { project: b.project, screen, copy, beside, heard, plain };
};
const app = island();

const reported = (ops: readonly Op[], project: Project = app.project): Report => {
  const after = new Builder();
  after.project = system.b.project;
  after.do({ label: "Edit", ops });
  const editions = new Map([
    ["one", contentOf(system.b.project)],
    ["two", contentOf(after.project)],
  ]);
  const [adopted] = Object.values(project.adoptions);
  const raised = {
    ...project,
    adoptions: { kit: { ...(adopted as NonNullable<typeof adopted>), edition: "two" } },
  };
  const run = reportOn(env, worldOf(project, editions), worldOf(raised, editions), "kit");
  for (;;) {
    const { done, value } = run.next();
    if (done) return value;
  }
};
const lamp = (...path: readonly string[]): string[] => ["pieces", system.lamp, ...path];
const looks = Object.values(system.b.project.pieces[system.lamp]?.looks ?? {});
const base = looks.find((look) => Object.keys(look.when).length === 0)?.id ?? "";

describe("what another edition does to a project", () => {
  it("is nothing where nothing of what it uses changed", () => {
    expect(reported([])).toEqual({ copies: [], pieces: [], broken: [] });
    const buoy = ["pieces", system.buoy, "name"];
    expect(reported([set(buoy, "Float")])).toEqual({ copies: [], pieces: [], broken: [] });
  });

  it("is nothing where only a name changed: things are known by more", () => {
    const renamed = reported([
      set(lamp("name"), "Lantern"),
      set(lamp("traits", system.lit.id, "name"), "Burning"),
      set(lamp("options", system.label, "name"), "Sign"),
      set(lamp("signals", system.pressed, "name"), "switched"),
    ]);
    expect(renamed).toEqual({ copies: [], pieces: [], broken: [] });
  });

  it("is seen at each copy that looks otherwise, in place", () => {
    const report = reported([set(lamp("looks", base, "changes", system.glow, "fill"), "#ff0000")]);
    expect(report.copies).toMatchObject([
      { copy: { piece: app.screen, layer: app.copy }, size: null, pushed: [], lost: [] },
    ]);
    expect(report.copies[0]?.looks).toHaveLength(2);
    expect(report.pieces.map((p) => p.piece)).toEqual([app.screen]);
  });

  it("is none where the copy says another value itself", () => {
    const text = lamp("looks", base, "changes", system.word, "text");
    expect(reported([set(text, "Quay")]).copies).toEqual([]);
  });

  it("tells what is pushed by a copy of another size", () => {
    const report = reported([set(lamp("looks", base, "changes", "root", "width"), 320)]);
    expect(report.copies[0]?.size).toMatchObject({
      before: { width: 240 },
      after: { width: 320 },
    });
    expect(report.copies[0]?.pushed).toEqual([app.beside]);
  });

  it("tells what a copy says that is gone, and what could be said instead", () => {
    const values = lamp("traits", system.lit.id, "values", system.lit.v.blinking ?? "");
    const report = reported([remove(values), remove(lamp("options", system.label))]);
    expect(report.copies[0]?.lost.map((lost) => [lost.kind, lost.name])).toEqual(
      expect.arrayContaining([
        ["value", "blinking"],
        ["option", "Text Word"],
      ]),
    );
    const value = report.copies[0]?.lost.find((lost) => lost.kind === "value");
    expect(value?.offers.map((offer) => offer.name)).toEqual(["no", "yes"]);
  });

  it("tells which signals are heard no more, and which rehearsals fail", () => {
    const report = reported([remove(lamp("signals", system.pressed))]);
    expect(report.copies[0]?.lost).toMatchObject([
      { kind: "signal", name: "pressed", rule: app.heard },
    ]);
    expect(report.broken).toMatchObject([{ piece: app.screen, rehearsal: "hears" }]);
  });

  it("tells of a component that is gone", () => {
    const report = reported([remove(["pieces", system.lamp])]);
    expect(report.copies[0]?.lost).toMatchObject([{ kind: "component", name: "Lamp" }]);
  });
});
