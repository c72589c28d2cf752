import { beforeAll, describe, expect, it } from "vitest";
import {
  align,
  copyLayers,
  detach,
  distances,
  distribute,
  extract,
  flattenLayer,
  lock,
  moveInto,
  pasteClip,
  readClip,
  replaceBy,
  restackTo,
  snap,
  unwrap,
  wrap,
} from "#core/edit";
import type { Id } from "#core/basics";
import { boundsIn, layout } from "#core/layout";
import type { LayoutBox, LayoutEnv, Rect } from "#core/layout";
import { Resolver, childrenOf, variantsOf } from "#core/looks";
import { ROOT } from "#core/project";
import { kelpwayKit } from "../../../demo/index";
import { testEnv } from "../../../tests/support/env";
import { Builder } from "../../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const sceneOf = (b: Builder, variant = {}): LayoutBox =>
  layout(env, new Resolver().tree(b.project, b.at, variant) as never);
const boxesOf = (b: Builder, ids: readonly Id[], variant = {}): Map<Id, Rect> => {
  const all = boundsIn(sceneOf(b, variant));
  return new Map(ids.map((id) => [id, all.get(id) as Rect]));
};
const three = () => {
  const b = new Builder();
  b.new("component", "Berths");
  return {
    b,
    ids: [
      [0, 0],
      [30, 4],
      [90, 8],
    ].map(([x = 0, y = 0]) => b.layer("box", { x, y, width: 20, height: 20, fill: "#1f6f5c" })),
  };
};

describe("snapping", () => {
  const at = (x: number, y: number, width = 10, height = 10): Rect => ({ x, y, width, height });
  it("catches edges and middles within reach, and says along which line", () => {
    const s = snap(at(3, 100), [at(0, 0, 50, 50)], 6);
    expect([s.dx, s.dy]).toEqual([-3, 0]);
    expect(s.guides[0]).toMatchObject({ axis: "x", at: 0, from: 0, to: 110 });
    expect(snap(at(21.5, 200), [at(0, 0, 50, 50)], 6).dx).toBe(-1.5);
    expect(snap(at(9, 100), [at(0, 0, 50, 50)], 6).dx).toBe(0);
  });
  it("finds equal gaps, beside and between", () => {
    expect(snap(at(42, 1), [at(0, 3), at(20, 3)], 4)).toMatchObject({ dx: -2 });
    const between = snap(at(27, 0), [at(0, 3), at(50, 3)], 4);
    expect(between.dx).toBe(-2);
    expect(between.gaps.map((g) => g.to - g.from)).toEqual([15, 15]);
  });
  it("catches only the edge that is pulled, and measures distances", () => {
    expect(snap(at(3, 3, 100, 100), [at(0, 0, 106, 50)], 6, { x: ["to"], y: [] })).toMatchObject({
      dx: 3,
      dy: 0,
    });
    expect(
      distances(at(0, 0), at(30, 0))
        .filter((g) => g.axis === "x")
        .map((g) => g.to - g.from),
    ).toEqual([20]);
    expect(distances(at(10, 10), at(0, 0, 40, 50)).map((g) => g.to - g.from)).toEqual([
      10, 20, 10, 30,
    ]);
  });
});

describe("lining up and grouping", () => {
  it("lines several up with one another and one with what is around it, and gives equal gaps", () => {
    const { b, ids } = three();
    const boxes = boxesOf(b, ids);
    expect([...align(boxes, "left", null).values()].map((m) => m.dx)).toEqual([0, -30, -90]);
    expect(
      align(new Map([["a", { x: 5, y: 5, width: 10, height: 10 }]]), "centre", {
        x: 0,
        y: 0,
        width: 100,
        height: 20,
      }).get("a"),
    ).toEqual({ dx: 40, dy: 0 });
    expect([...distribute(boxes, "x").values()].map((m) => m.dx)).toEqual([0, 15, 0]);
    expect(distribute(new Map([...boxes].slice(0, 2)), "x").size).toBe(0);
  });

  it("a group leaves its layers where they are, in every variant; ungrouping brings back what was", () => {
    const { b, ids } = three();
    const open = b.trait("Open", "no", "yes");
    b.look({ [open.id]: [open.v.yes as string] }, ids[1] as Id, { x: 60 });
    const before = boundsIn(sceneOf(b, { [open.id]: open.v.yes as string }));
    const made = wrap(b.piece, ids.slice(1), "group", boxesOf(b, ids.slice(1)));
    if (!made) throw new Error("no group");
    b.do(made.change);
    const after = boundsIn(sceneOf(b, { [open.id]: open.v.yes as string }));
    for (const id of ids) expect(after.get(id)).toEqual(before.get(id));
    expect(childrenOf(b.piece).get(made.id)).toHaveLength(2);
    const back = unwrap(b.piece, made.id, { x: 30, y: 4 });
    if (!back) throw new Error("not undone");
    b.do(back.change);
    expect(boundsIn(sceneOf(b, { [open.id]: open.v.yes as string })).get(ids[1] as Id)).toEqual(
      before.get(ids[1] as Id),
    );
    expect(unwrap(b.piece, ids[0] as Id, { x: 0, y: 0 })).toBeNull();
  });

  it("a row takes the order and the mean gap; ungrouping it keeps the places", () => {
    const { b, ids } = three();
    const made = wrap(b.piece, [...ids].reverse(), "row", boxesOf(b, ids));
    if (!made) throw new Error("no row");
    b.do(made.change);
    expect(b.piece.looks.base?.changes[made.id]).toMatchObject({ arrange: "row", gap: 25 });
    const row = sceneOf(b).children[0] as LayoutBox;
    expect(row.children.map((c) => c.x)).toEqual([0, 45, 90]);
    const back = unwrap(
      b.piece,
      made.id,
      { x: row.x, y: row.y },
      new Map(row.children.map((c) => [c.layer.id, { x: c.x, y: c.y }])),
    );
    if (!back) throw new Error("not undone");
    b.do(back.change);
    expect(sceneOf(b).children.map((c) => c.x)).toEqual([0, 45, 90]);
  });

  it("layers of different parents are not put together; a locked one can be freed", () => {
    const { b, ids } = three();
    const inner = b.layer("box", {}, ids[0]);
    expect(
      wrap(b.piece, [inner, ids[1] as Id], "group", boxesOf(b, [inner, ids[1] as Id])),
    ).toBeNull();
    b.do(lock(b.piece, ids, true));
    expect(b.piece.layers[ids[0] as Id]?.locked).toBe(true);
    b.do(lock(b.piece, ids, false));
    expect(b.piece.layers[ids[0] as Id]?.locked).toBeUndefined();
  });

  it("restacks to either end, and moves into another parent without a jump", () => {
    const { b, ids } = three();
    const [first, second, third] = ids as [Id, Id, Id];
    b.do(restackTo(b.piece, [first], "front"));
    expect(
      childrenOf(b.piece)
        .get(ROOT)
        ?.map((l) => l.id),
    ).toEqual([second, third, first]);
    const change = moveInto(b.piece, [first], third, 0, new Map([[first, { dx: -90, dy: -8 }]]));
    if (!change) throw new Error("not moved");
    const before = boundsIn(sceneOf(b)).get(first);
    b.do(change);
    expect(boundsIn(sceneOf(b)).get(first)).toEqual(before);
    expect(moveInto(b.piece, [third], first, 0)).toBeNull();
  });

  it("a flattened compound is a path that holds its outline", () => {
    const { b, ids } = three();
    const made = wrap(b.piece, ids.slice(0, 2), "compound", boxesOf(b, ids.slice(0, 2)));
    if (!made) throw new Error("no compound");
    b.do(made.change).do(flattenLayer({ ...b.piece }, made.id, "M0 0L100 0L100 100Z"));
    expect(b.piece.layers[made.id]?.kind).toBe("path");
    expect(Object.keys(b.piece.layers)).toHaveLength(3);
  });
});

describe("copying layers", () => {
  it("pastes with all looks at home, and as they were seen elsewhere", () => {
    const b = new Builder();
    b.project = kelpwayKit();
    b.on("alert-switch");
    const clip = readClip(
      JSON.stringify(
        copyLayers("p", b.project, b.piece, { alerts: "alerts-on", pressed: "pressed-no" }, [
          "toggle",
        ]),
      ),
    );
    if (!clip) throw new Error("no clip");
    const home = pasteClip("p", b.project, b.piece, clip, ROOT, 12);
    b.do(home.change);
    const knob = (childrenOf(b.piece).get(home.ids[0] as Id) ?? []).find((l) =>
      l.name.startsWith("Knob"),
    );
    expect(Object.values(b.piece.looks).filter((l) => l.changes[knob?.id ?? ""]).length).toBe(4);
    b.new("component", "Elsewhere");
    const away = pasteClip("p", b.project, b.piece, clip, ROOT, 0);
    b.do(away.change);
    const other = Object.values(b.piece.layers).find((l) => l.name === "Knob");
    expect(b.piece.looks.base?.changes[other?.id ?? ""]).toMatchObject({ x: 32 });
    expect(readClip("{}")).toBeNull();
    expect(readClip("ahoy")).toBeNull();
  });
});

const looksLike = (p: LayoutBox): string =>
  JSON.stringify([
    Math.round(p.width * 100),
    Math.round(p.height * 100),
    p.values.fill,
    p.lines.map((l) => l.text),
    p.children.map((c) => [Math.round(c.x * 100), Math.round(c.y * 100), looksLike(c)]),
    p.nested && looksLike(p.nested),
  ]);
/** What is painted, without who holds it: places of every leaf. */
const leaves = (p: LayoutBox, x = 0, y = 0): string[] => {
  const [px, py] = [x + p.x, y + p.y];
  const inside = [...p.children, ...(p.nested ? [p.nested] : [])];
  return inside.length
    ? inside.flatMap((c) => leaves(c, px, py))
    : [
        [
          p.layer.name,
          px,
          py,
          p.width,
          p.height,
          JSON.stringify(p.values.fill),
          p.lines.map((l) => l.text).join(),
        ].join(" "),
      ];
};

describe("components out of layers and back", () => {
  it("extracting changes no variant's look, carries the traits along and lets rules listen to the copy", () => {
    const b = new Builder();
    b.project = kelpwayKit();
    b.on("alert-switch");
    b.rule({ source: "knob", trigger: { type: "click" } });
    const before = variantsOf(b.piece).map((v) => leaves(sceneOf(b, v)));
    const made = extract(b.project, b.piece, ["toggle"], "Toggle", boxesOf(b, ["toggle"]));
    if (!made) throw new Error("nothing made");
    b.do(made.change);
    expect(variantsOf(b.piece).map((v) => leaves(sceneOf(b, v)))).toEqual(before);
    expect(Object.keys(b.project.pieces[made.component]?.traits ?? {}).sort()).toEqual([
      "alerts",
      "pressed",
    ]);
    expect(Object.values(b.piece.rules).some((r) => r.source === made.copy)).toBe(true);
    const back = detach(b.project, b.piece, made.copy);
    if (!back) throw new Error("not undone");
    b.do(back.change);
    expect(variantsOf(b.piece).map((v) => leaves(sceneOf(b, v)))).toEqual(before);
    expect(detach(b.project, b.piece, "label")).toBeNull();
  });

  it("several layers become a component as large as they are; what could be set from outside still can", () => {
    const b = new Builder();
    b.project = kelpwayKit();
    b.on("pier-pin");
    const before = variantsOf(b.piece).map((v) => leaves(sceneOf(b, v)));
    // as one sees them where the bubble is open
    const [, open] = variantsOf(b.piece);
    const boxes = boxesOf(b, ["bubble", "pin"], open);
    const made = extract(b.project, b.piece, ["bubble", "pin"], "Marker", boxes);
    if (!made) throw new Error("nothing made");
    b.do(made.change);
    expect(variantsOf(b.piece).map((v) => leaves(sceneOf(b, v)).sort())).toEqual(
      before.map((l) => l.sort()),
    );
    expect(b.piece.options.name).toMatchObject({ layer: made.copy, key: "option:name" });
    b.on("saltholm-pier");
    expect(JSON.stringify(sceneOf(b))).toContain("Gull Isle");
  });

  it("replacing keeps place, size and texts of the same name", () => {
    const b = new Builder();
    b.project = kelpwayKit();
    b.new("screen", "Board");
    const box = b.layer("box", { x: 40, y: 50, width: 200, height: 60 });
    const label = b.layer("text", { text: "Delay alerts" }, box);
    b.do({
      label: "x",
      ops: [{ op: "set", path: ["pieces", b.at, "layers", label, "name"], value: "Label 2" }],
    });
    const made = replaceBy(b.project, b.piece, [box], "alert-switch", boxesOf(b, [box]));
    if (!made) throw new Error("nothing made");
    b.do(made.change);
    const copy = sceneOf(b).children[0] as LayoutBox;
    expect([copy.x, copy.y, copy.width, copy.height]).toEqual([40, 50, 200, 60]);
    expect(looksLike(copy)).toContain("Delay alerts");
    expect(
      replaceBy(
        b.project,
        b.project.pieces["alert-switch"] as never,
        ["label"],
        "alert-switch",
        new Map(),
      ),
    ).toBeNull();
  });
});
