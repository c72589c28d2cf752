import { beforeAll, describe, expect, it } from "vitest";
import { layout } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { Resolver, restingVariant, variantKey, variantsOf } from "#core/looks";
import { ROOT } from "#core/project";
import type { Piece } from "#core/project";
import { OPTION, TRAIT } from "#core/properties";
import { kelpwayKit } from "../../demo/index";
import { Builder } from "../../tests/support/pieces";
import { testEnv } from "../../tests/support/env";
import { gridOf, headings, variantOf } from "./state/grid";
import { outwards, pickLayer } from "./state/pick";
import { cellOf, differs, readCell, rowsFor } from "./sheet/rows";
import { Scenes } from "./state/scenes/scenes";
import { activeOf, parentForNew } from "./state/active";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});
const project = kelpwayKit();
const piece = (id: string): Piece => {
  const found = project.pieces[id];
  if (!found) throw new Error(id);
  return found;
};
const placed = (id: string): LayoutBox =>
  layout(env, new Resolver().tree(project, id, restingVariant(piece(id))) as never);

describe("the stage's lines", () => {
  it("are rows × columns along the traits, each variant exactly once, headings where they change", () => {
    const b = new Builder();
    b.new("component", "Dock bar");
    for (const name of ["A", "B", "C"]) b.trait(name, "one", "two");
    const grid = gridOf(b.piece);
    expect([grid.rows.length, grid.columns.length]).toEqual([2, 4]);
    const keys = grid.rows.flatMap((r) =>
      grid.columns.map((c) => variantKey(b.piece, variantOf(r, c))),
    );
    expect(new Set(keys)).toEqual(new Set(variantsOf(b.piece).map((v) => variantKey(b.piece, v))));
    expect(
      grid.columns.map((_, i) => headings(grid.columns, i).map((h) => `${h.trait.name} ${h.name}`)),
    ).toEqual([["B one", "C one"], ["C two"], ["B two", "C one"], ["C two"]]);
    const plain = new Builder();
    plain.new("component", "Plain");
    expect(gridOf(plain.piece)).toEqual({
      rows: [{ key: "", values: [] }],
      columns: [{ key: "", values: [] }],
    });
  });
});

describe("picking a layer", () => {
  it("takes the outermost first, then stays at the level one has gone in to", () => {
    const p = piece("alert-switch");
    const scene = placed("alert-switch");
    const toggle = scene.children.find((c) => c.layer.id === "toggle") as LayoutBox;
    const [px, py] = [toggle.x + 12, toggle.y + 12];
    expect(pickLayer(p, scene, px, py, [])).toBe("toggle");
    expect(pickLayer(p, scene, px, py, ["toggle"], "into")).toBe("knob");
    expect(pickLayer(p, scene, px, py, ["track"])).toBe("knob");
    expect(pickLayer(p, scene, px, py, [], "deep")).toBe("knob");
    expect(pickLayer(p, scene, 2, 2, [])).toBe(ROOT);
    expect(pickLayer(p, scene, -50, 0, [])).toBeNull();
    expect(outwards(p, "knob")).toEqual(["knob", "toggle", ROOT]);
  });

  it("takes a copy as a whole", () => {
    expect(pickLayer(piece("trip-settings"), placed("trip-settings"), 300, 245, [], "deep")).toBe(
      "dock",
    );
  });
});

describe("the sheet's rows", () => {
  const rows = (id: string, layer: string) =>
    rowsFor(project, piece(id), piece(id).layers[layer] as never, variantsOf(piece(id)));

  it("leave out what means nothing for a layer", () => {
    const keys = rows("alert-switch", "knob").map((r) => r.key);
    expect(keys).toContain("followX");
    expect(keys).not.toContain("gap");
    expect(keys).not.toContain("grow");
    expect(rows("alert-switch", "label").map((r) => r.key)).toContain("floats");
    expect(rows("alert-switch", ROOT).map((r) => r.key)).not.toContain("x");
  });

  it("show a copy's start and options with the component's own values as what is inherent", () => {
    const all = rows("trip-settings", "bicycle");
    expect(all.slice(0, 4).map((r) => r.label)).toEqual([
      "Component",
      "Initial Checked",
      "Initial Contact",
      "Label",
    ]);
    const start = all.find((r) => r.key === `${TRAIT}checked`);
    const words = all.find((r) => r.key === `${OPTION}words`);
    if (!start || !words) throw new Error("rows missing");
    const layer = piece("trip-settings").layers.bicycle as never;
    expect(cellOf(project, piece("trip-settings"), layer, start, {})).toMatchObject({
      text: "no",
      origin: { own: false },
    });
    expect(cellOf(project, piece("trip-settings"), layer, words, {}).text).toBe("Bring a bicycle");
    expect(readCell(project, start, "YES", undefined)).toEqual({
      ok: true,
      values: { [`${TRAIT}checked`]: "checked-yes" },
    });
    expect(readCell(project, start, "perhaps", undefined)).toMatchObject({
      ok: false,
      error: "Use one of: no, yes",
    });
  });

  it("a size is a number or a word, and a number makes it fixed", () => {
    const width = rows("alert-switch", "label").find((r) => r.key === "width");
    if (!width) throw new Error("no width");
    const p = piece("alert-switch");
    expect(cellOf(project, p, p.layers.label as never, width, restingVariant(p)).text).toBe("fit");
    expect(readCell(project, width, "fi", 100)).toEqual({ ok: true, values: { widthMode: "fit" } });
    expect(readCell(project, width, "120+8", 100)).toEqual({
      ok: true,
      values: { width: 128, widthMode: "fixed" },
    });
    expect(readCell(project, width, "wide", 100)).toMatchObject({
      ok: false,
      error: expect.stringContaining("fit or stretch") as string,
    });
    expect(cellOf(project, p, p.layers.knob as never, width, restingVariant(p)).text).toBe("28");
  });

  it("know which differ between variants", () => {
    const p = piece("alert-switch");
    const named = (key: string) => rows("alert-switch", "knob").find((r) => r.key === key) as never;
    expect(differs(p, p.layers.knob as never, named("x"))).toBe(true);
    expect(differs(p, p.layers.knob as never, named("height"))).toBe(false);
  });
});

describe("where edits go", () => {
  it("a chosen scope holds only for cards it reaches, else the suggested one is taken", () => {
    const p = piece("alert-switch");
    const on = { alerts: "alerts-on" };
    expect(activeOf(p, { variant: on, also: [], scope: null })).toMatchObject({
      whens: [{ alerts: ["alerts-on"] }],
      suggested: true,
    });
    expect(activeOf(p, { variant: on, also: [], scope: [{}] })).toMatchObject({
      whens: [{}],
      suggested: false,
    });
    expect(
      activeOf(p, { variant: on, also: [], scope: [{ alerts: ["alerts-off"] }] }),
    ).toMatchObject({ whens: [{ alerts: ["alerts-on"] }] });
    expect(activeOf(p, { variant: { alerts: "gone" }, also: [], scope: null }).variant).toEqual(
      restingVariant(p),
    );
  });

  it("new layers go into a box, empty or not, else beside what is chosen", () => {
    const p = piece("alert-switch");
    expect(parentForNew(p, [])).toBe(ROOT);
    expect(parentForNew(p, ["toggle"])).toBe("toggle");
    expect(parentForNew(p, ["knob"])).toBe("knob");
    expect(parentForNew(p, ["label"])).toBe(ROOT);
    expect(parentForNew(p, ["gone"])).toBe(ROOT);
  });

  it("cards keep what an edit in another scope does not touch", () => {
    const scenes = new Scenes();
    const b = new Builder();
    b.project = project;
    b.on("alert-switch");
    const before = scenes.of(env, b.project, b.piece, variantsOf(b.piece));
    b.look({ alerts: ["alerts-on"] }, "knob", { x: 31 });
    const after = scenes.of(env, b.project, b.piece, variantsOf(b.piece));
    expect(after.map((s, i) => s.placed === before[i]?.placed)).toEqual([true, true, false, false]);
  });
});
