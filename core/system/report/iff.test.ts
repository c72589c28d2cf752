import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import { addOption, addSignal, emptyProject } from "#core/edit";
import { findBox, layout } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { Resolver, inTheme, otherThemes, variantsOf } from "#core/looks";
import { paint } from "#core/paint";
import { apply, qualified, remove, set } from "#core/project";
import type { Op, Piece, Project, Step } from "#core/project";
import { Rehearser } from "#core/rehearse";
import { Run } from "#core/runtime";
import { contentOf, reportOn } from "#core/system";
import { worldOf } from "#core/world";
import { testEnv } from "../../../tests/support/env";
import { Builder, goes } from "../../../tests/support/pieces";
import { inputsOf } from "./behaviour";

const RUNS = Number(process.env.PROOF_RUNS ?? 25);

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const system = (() => {
  const b = new Builder();
  b.project = emptyProject("Pier kit");
  const sea = {
    id: "sea",
    type: "colour",
    name: "Sea",
    group: "",
    order: "a0",
    value: "#1f6f5c",
  };
  b.do({ label: "Token", ops: [set(["tokens", "sea"], sea)] });
  const buoy = b.new("component", "Buoy");
  const body = b.layer("ellipse", { width: 20, height: 20 });
  b.look({}, body, { fill: { token: "sea" } });
  const lamp = b.new("component", "Lamp");
  const glow = b.layer("box", { fill: "#f0c04e", width: 40, height: 40 });
  const word = b.layer("text", { text: "Pier", y: 50 });
  const lit = b.trait("Lit", "no", "yes", "blinking");
  b.look({ [lit.id]: [lit.v.yes ?? ""] }, glow, { fill: "#ffffff" });
  const label = addOption(b.piece, word, "text", "Word");
  b.do(label.change);
  const pressed = addSignal(b.piece, "pressed");
  b.do(pressed.change);
  const rule = b.rule({
    source: glow,
    effects: [goes(lit.id, "next"), { type: "raise", signal: pressed.id }],
  });
  const steps: readonly Step[] = [
    { do: "click", layer: glow },
    { do: "settle" },
    { do: "trait", at: "", trait: lit.id, value: lit.v.yes ?? "" },
  ];
  const rehearsal = { id: "lights", name: "It lights", order: "a0", steps };
  b.do({ label: "", ops: [set(["pieces", lamp, "rehearsals", "lights"], rehearsal)] });
  return { project: b.project, buoy, body, lamp, glow, word, lit, label, pressed, rule };
})();

const ADOPTION = { id: "kit", order: "a0", system: "pier", name: "Pier kit", number: "1.0.0" };

/** Three screens with a copy each: one that says much, one that says nothing, another component. */
const app = (() => {
  const b = new Builder();
  b.project = {
    ...emptyProject("Island app"),
    adoptions: { kit: { ...ADOPTION, edition: "one" } },
  };
  const screen = (name: string, component: string) => {
    const id = b.new("screen", name);
    const layer = b.layer("instance", { component: qualified("kit", component), x: 20, y: 20 });
    return { id, layer };
  };
  const much = screen("Much", system.lamp);
  b.look({}, much.layer, {
    [`option:${system.label.id}`]: "Gull Isle",
    [`trait:${system.lit.id}`]: system.lit.v.blinking ?? "",
  });
  const little = screen("Little", system.lamp);
  const other = screen("Other", system.buoy);
  return { project: b.project, copies: [much, little, other] };
})();

const lampAt = (...path: string[]): string[] => ["pieces", system.lamp, ...path];
const base = (piece: string): string => {
  const looks = Object.values(system.project.pieces[piece]?.looks ?? {});
  return looks.find(({ when }) => Object.keys(when).length === 0)?.id ?? "";
};
const values = lampAt("traits", system.lit.id, "values");

/** What may be done to the system, each by itself or with others. */
const edits: Readonly<Record<string, readonly Op[]>> = {
  recoloured: [
    set([...lampAt("looks", base(system.lamp), "changes", system.glow, "fill")], "#b3402e"),
  ],
  resized: [set([...lampAt("looks", base(system.lamp), "changes", system.glow, "width")], 64)],
  reworded: [set([...lampAt("looks", base(system.lamp), "changes", system.word, "text")], "Mole")],
  renamed: [set(lampAt("name"), "Lantern")],
  "option renamed": [set(lampAt("options", system.label.id, "name"), "Line")],
  "option gone": [remove(lampAt("options", system.label.id))],
  "value gone": [remove([...values, system.lit.v.blinking ?? ""])],
  "value renamed": [set([...values, system.lit.v.blinking ?? "", "name"], "flashing")],
  "starts lit": [set(lampAt("traits", system.lit.id, "rest"), system.lit.v.yes)],
  "rule gone": [remove(lampAt("rules", system.rule))],
  "rule off": [set(lampAt("rules", system.rule, "on"), false)],
  "signal gone": [remove(lampAt("signals", system.pressed.id))],
  "token value": [set(["tokens", "sea", "value"], "#123456")],
  "token renamed": [set(["tokens", "sea", "name"], "Deep sea")],
  described: [set(lampAt("about"), { description: "A lamp on a pier." })],
  "buoy larger": [
    set(["pieces", system.buoy, "looks", base(system.buoy), "changes", system.body, "height"], 26),
  ],
};
const names = Object.keys(edits);

const worldsFor = (done: readonly string[]) => {
  const next = apply(
    system.project,
    done.flatMap((name) => edits[name] ?? []),
  ).doc;
  const editions = new Map([
    ["one", contentOf(system.project)],
    ["two", contentOf(next)],
  ]);
  const raised = { ...app.project, adoptions: { kit: { ...ADOPTION, edition: "two" } } };
  return { before: worldOf(app.project, editions), after: worldOf(raised, editions) };
};

const named = (before: Project, after: Project): ReadonlySet<string> => {
  const run = reportOn(env, before, after, "kit");
  for (;;) {
    const { done, value } = run.next();
    if (done) return new Set(value.copies.map(({ copy }) => copy.piece));
  }
};

/** How a copy is painted in every variant and theme of its screen. */
const paintedIn = (world: Project, screen: string, layer: string): string =>
  JSON.stringify(
    [{}, ...otherThemes(world)].flatMap((theme) =>
      variantsOf(world.pieces[screen] as Piece).map((variant) => {
        const tree = new Resolver().tree(inTheme(world, theme), screen, variant);
        const placed = tree && findBox(layout(env, tree), layer)?.placed;
        return placed && paint({ ...placed, x: 0, y: 0 });
      }),
    ),
  );

/** What comes of what was recorded, done to a copy where it lies. */
const ranIn = (
  world: Project,
  screen: string,
  layer: string,
  inputs: readonly (readonly Step[])[],
): string =>
  JSON.stringify(
    inputs.map((steps) => {
      const sent: string[] = [];
      const run = new Run(env, world, screen, (event) => {
        if (event.type === "signalled") sent.push(event.signal);
      });
      const it = new Rehearser(run, world);
      return steps.map((step) => {
        const path = "layer" in step && step.layer !== null ? `${layer}/${step.layer}` : null;
        const why = it.step(path === null ? step : ({ ...step, layer: path } as Step));
        const copy = run.copies().find((c) => c.path === `${screen}/${layer}`);
        return [why, copy?.variant, sent.length];
      });
    }),
  );

/** Whether what a copy says is still there to be said. */
const faceIn = (world: Project, screen: string, layer: string): string => {
  const piece = world.pieces[screen] as Piece;
  const said = Object.values(piece.looks).map((look) => look.changes[layer] ?? {});
  return JSON.stringify(
    said.flatMap((changes) => {
      const { component: id } = changes;
      const component = typeof id === "string" ? world.pieces[id] : undefined;
      return Object.entries(changes).map(([key, value]) => {
        const [kind, of = ""] = key.split(":");
        if (kind === "option") return component?.options[of] !== undefined;
        if (kind === "trait" && typeof value === "string")
          return component?.traits[of]?.values[value] !== undefined;
        return true;
      });
    }),
  );
};

const differs = (before: Project, after: Project): ReadonlySet<string> => {
  const found = app.copies.filter(({ id, layer }) => {
    const component = Object.values(before.pieces[id]?.looks ?? {})
      .map((look) => look.changes[layer]?.component)
      .find((c) => typeof c === "string");
    const inputs = inputsOf(before, before.pieces[String(component)] as Piece);
    return (
      [paintedIn, faceIn].some((of) => of(before, id, layer) !== of(after, id, layer)) ||
      ranIn(before, id, layer, inputs) !== ranIn(after, id, layer, inputs)
    );
  });
  return new Set(found.map(({ id }) => id));
};

describe("a report", () => {
  it("names a copy just if it is painted, does or can be asked otherwise", () => {
    fc.assert(
      fc.property(fc.subarray(names, { minLength: 1, maxLength: 5 }), (done) => {
        const { before, after } = worldsFor(done);
        expect([done, named(before, after)]).toEqual([done, differs(before, after)]);
      }),
      { numRuns: RUNS },
    );
  }, 3_000_000);

  it.each(names)("%s, alone: the same", (name) => {
    const { before, after } = worldsFor([name]);
    expect(named(before, after)).toEqual(differs(before, after));
  });

  it("leaves adopters alone when something has only a new name", () => {
    const { before, after } = worldsFor([
      "renamed",
      "option renamed",
      "value renamed",
      "token renamed",
      "described",
    ]);
    expect(named(before, after)).toEqual(new Set());
  });
});
