import { beforeAll, describe, expect, it } from "vitest";
import { addOption, emptyProject, removeLayers } from "#core/edit";
import { layout } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { Resolver, restingVariant } from "#core/looks";
import { paint } from "#core/paint";
import { accept, qualified, remove, set } from "#core/project";
import type { Change, Op, Project } from "#core/project";
import {
  adopt,
  contentOf,
  decline,
  endAdoption,
  isAdoptionUsed,
  joinedUses,
  makeIndependent,
  reportOn,
  takeOver,
  usageOf,
} from "#core/system";
import type { Extent, Mapping, Offer, Report } from "#core/system";
import { worldOf } from "#core/world";
import type { Editions } from "#core/world";
import { testEnv } from "../../../tests/support/env";
import { Builder, becomes, goes } from "../../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const hashOf = (number: string): string => number.replaceAll(".", "").padEnd(64, "0");
const offer = (number: string): Offer => ({
  system: "pier-kit",
  name: "Pier kit",
  number,
  edition: hashOf(number),
});

/** A system with a lamp, a buoy and the colour both have, in two editions. */
const kit = () => {
  const b = new Builder();
  b.project = emptyProject("Pier kit");
  b.do({
    label: "Token",
    ops: [
      set(["tokens", "sea"], {
        id: "sea",
        type: "colour",
        name: "Sea",
        group: "",
        order: "a0",
        value: "#1f6f5c",
      }),
    ],
  });
  const buoy = b.new("component", "Buoy");
  b.layer("ellipse", { fill: "#e8723d", width: 20, height: 20 });
  const lamp = b.new("component", "Lamp");
  const glow = b.layer("box", { width: 40, height: 40 });
  b.look({}, glow, { fill: { token: "sea" } });
  const word = b.layer("text", { text: "Pier", y: 50 });
  const lit = b.trait("Lit", "no", "yes", "blinking");
  const label = addOption(b.piece, word, "text", "Word");
  b.do(label.change);
  const other = addOption(b.piece, word, "text", "Line");
  return { project: b.project, buoy, lamp, glow, word, lit, label: label.id, other };
};
const system = kit();

const edited = (project: Project, ops: readonly Op[]): Project => {
  const b = new Builder();
  b.project = project;
  return b.do({ label: "Edit", ops }).project;
};
const lampAt = (...path: string[]): string[] => ["pieces", system.lamp, ...path];
const looksOf = (glow: string): string[] => {
  const [look] = Object.values(system.project.pieces[system.lamp]?.looks ?? {}).filter(
    ({ changes }) => changes[glow]?.fill !== undefined,
  );
  return lampAt("looks", look?.id ?? "", "changes", glow, "fill");
};
/** The lamp is red, and cannot blink; there is no buoy. */
const second = edited(system.project, [
  set(looksOf(system.glow), "#b3402e"),
  remove(lampAt("traits", system.lit.id, "values", system.lit.v.blinking ?? "")),
  remove(["pieces", system.buoy]),
]);
const editions: Editions = new Map([
  [hashOf("1.0.0"), contentOf(system.project)],
  [hashOf("2.0.0"), contentOf(second)],
]);

/** Two screens with a lamp each, and a buoy on the first. */
const island = () => {
  const b = new Builder();
  b.project = emptyProject("Island app");
  const adopted = adopt(b.project, offer("1.0.0"));
  if (!adopted) throw new Error("not adopted");
  b.do(adopted.change);
  const lampId = qualified(adopted.id, system.lamp);
  const screen = (name: string) => {
    const id = b.new("screen", name);
    const lamp = b.layer("instance", { component: lampId });
    b.look({}, lamp, { [`trait:${system.lit.id}`]: system.lit.v.blinking ?? "" });
    return { id, lamp };
  };
  const quay = screen("Quay");
  const buoy = b.layer("instance", { component: qualified(adopted.id, system.buoy) });
  const mole = screen("Mole");
  const seen = b.trait("Seen", "no", "yes");
  b.rule({ source: mole.lamp, effects: [becomes(seen.id, seen.v.yes ?? "")] });
  b.rule({
    trigger: { type: "hover" },
    source: mole.lamp,
    effects: [
      {
        type: "nested",
        layer: mole.lamp,
        trait: system.lit.id,
        to: { value: system.lit.v.blinking ?? "" },
      },
      goes(seen.id, "next"),
    ],
  });
  return { project: b.project, adoption: adopted.id, lampId, quay, mole, buoy };
};
const app = island();

const world = (project: Project): Project => worldOf(project, editions);
const after = (project: Project, change: Change | null): Project => {
  const result = change && accept(project, change);
  if (!result?.ok) throw new Error(result ? result.error : "nothing to do");
  return result.project;
};
const seen = (project: Project, piece: string): string => {
  const whole = world(project);
  const record = whole.pieces[piece];
  const tree = record && new Resolver().tree(whole, piece, restingVariant(record));
  if (!tree) throw new Error("nothing to see");
  return JSON.stringify(paint(layout(env, tree)));
};
const reportTo = (project: Project): Report => {
  const next = after(project, {
    label: "",
    ops: [
      set(["adoptions", app.adoption, "edition"], hashOf("2.0.0")),
      set(["adoptions", app.adoption, "number"], "2.0.0"),
    ],
  });
  const run = reportOn(env, world(project), world(next), app.adoption);
  for (;;) {
    const { done, value } = run.next();
    if (done) return value;
  }
};
const taken = (extent: Extent, mappings: readonly Mapping[] = [], project = app.project): Project =>
  after(
    project,
    takeOver(world(project), editions, app.adoption, {
      offer: offer("2.0.0"),
      extent,
      mappings,
    }),
  );
const red = "#b3402e";
const numbers = (project: Project): string[] =>
  Object.values(project.adoptions)
    .map(({ number }) => number)
    .sort();

describe("adopting a system", () => {
  it("is done once for each edition, and ends when nothing of it is used", () => {
    expect(adopt(app.project, offer("1.0.0"))).toBeNull();
    expect(adopt(app.project, offer("2.0.0"))).not.toBeNull();
    expect(isAdoptionUsed(app.project, app.adoption)).toBe(true);
    expect(endAdoption(app.project, app.adoption)).toBeNull();
    const fresh = adopt(emptyProject("Bare"), offer("1.0.0"));
    const bare = after(emptyProject("Bare"), fresh?.change ?? null);
    expect(after(bare, endAdoption(bare, fresh?.id ?? "")).adoptions).toEqual({});
  });

  it("notes why an edition is not taken over, and forgets it", () => {
    const noted = after(app.project, decline(app.project, app.adoption, "2.0.0", " too red "));
    expect(noted.adoptions[app.adoption]?.declined).toEqual({ "2.0.0": "too red" });
    const back = after(noted, decline(noted, app.adoption, "2.0.0", ""));
    expect(back.adoptions[app.adoption]?.declined).toBeUndefined();
  });
});

describe("taking over another edition", () => {
  it("as a whole keeps what is gone at the edition before", () => {
    const project = taken({ of: "all" });
    expect(numbers(project)).toEqual(["1.0.0", "2.0.0"]);
    expect(seen(project, app.quay.id)).toContain(red);
    expect(seen(project, app.quay.id)).toContain("#e8723d");
    expect(seen(project, app.mole.id)).toContain(red);
  });

  it("as a whole is one step where nothing is gone that is used", () => {
    const piece = app.project.pieces[app.quay.id];
    if (!piece) throw new Error("no quay");
    const without = after(app.project, removeLayers(piece, [app.buoy]));
    const project = taken({ of: "all" }, [], without);
    expect(numbers(project)).toEqual(["2.0.0"]);
    expect(Object.keys(project.adoptions)).toEqual([app.adoption]);
    expect(seen(project, app.quay.id)).toContain(red);
  });

  it("by component moves its copies everywhere, and ends the old adoption with the last", () => {
    const project = taken({ of: "components", components: [system.lamp] });
    expect(seen(project, app.quay.id)).toContain(red);
    expect(seen(project, app.mole.id)).toContain(red);
    expect(numbers(project)).toEqual(["1.0.0", "2.0.0"]);
    const quay = project.pieces[app.quay.id];
    if (!quay) throw new Error("no quay");
    const without = after(project, removeLayers(quay, [app.buoy]));
    expect(isAdoptionUsed(without, app.adoption)).toBe(false);
  });

  it("by screen leaves all others as they are", () => {
    const project = taken({ of: "piece", piece: app.mole.id });
    expect(seen(project, app.quay.id)).toBe(seen(app.project, app.quay.id));
    expect(seen(project, app.mole.id)).toContain(red);
  });

  it("says what is lost as it is mapped, in looks and in rules", () => {
    const report = reportTo(app.project);
    const mappings = report.copies.flatMap(({ copy, lost }) =>
      lost.flatMap((one): Mapping[] => {
        const to = one.offers.find((o) => o.name === "yes")?.id;
        return to === undefined ? [] : [{ piece: copy.piece, layer: copy.layer, lost: one, to }];
      }),
    );
    expect(mappings.map((m) => m.lost.kind)).toEqual(["value", "value", "value"]);
    const project = taken({ of: "all" }, mappings);
    const text = JSON.stringify(project.pieces);
    expect(text).not.toContain(system.lit.v.blinking);
    expect(text).toContain(system.lit.v.yes);
  });

  it("without a mapping leaves what copies say, so that one can go back", () => {
    const project = taken({ of: "all" });
    const lampIn = (p: Project) => Object.values(p.pieces[app.mole.id]?.looks ?? {});
    const said = (p: Project) =>
      lampIn(p).map((l) => l.changes[app.mole.lamp]?.[`trait:${system.lit.id}`]);
    expect(said(project)).toEqual(said(app.project));
  });
});

describe("a component that is made independent", () => {
  const made = makeIndependent(world(app.project), app.lampId);
  const project = after(app.project, made?.change ?? null);

  it("stands in its place, looks the same, and remembers where it came from", () => {
    expect(seen(project, app.quay.id)).toBe(seen(app.project, app.quay.id));
    expect(project.pieces[made?.id ?? ""]?.origin).toEqual({
      system: "pier-kit",
      name: "Pier kit",
      number: "1.0.0",
      piece: system.lamp,
    });
    expect(JSON.stringify(project.pieces[app.mole.id])).not.toContain(app.lampId);
  });

  it("is not changed by another edition, but by its own edits", () => {
    const raised = taken({ of: "all" }, [], project);
    // its colour is a token of the system, and goes along
    expect(seen(raised, app.mole.id)).toBe(seen(app.project, app.mole.id));
    const own = edited(raised, [set(["pieces", made?.id ?? "", "name"], "Own lamp")]);
    expect(own.pieces[made?.id ?? ""]?.name).toBe("Own lamp");
  });

  it("is none where it is the project's own", () => {
    expect(makeIndependent(world(app.project), app.quay.id)).toBeNull();
  });
});

describe("how a system is used", () => {
  it("is counted by component, with what copies say of it", () => {
    const uses = usageOf(app.project, app.adoption);
    const lamp = uses.find((use) => use.component === system.lamp);
    expect(lamp).toEqual({
      component: system.lamp,
      copies: 2,
      overridden: { [`trait:${system.lit.id}`]: 2 },
    });
    const joined = joinedUses([uses, uses]);
    expect(joined.find((use) => use.component === system.buoy)?.copies).toBe(2);
    expect(joined.find((use) => use.component === system.lamp)?.overridden).toEqual({
      [`trait:${system.lit.id}`]: 4,
    });
  });
});
