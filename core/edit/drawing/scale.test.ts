import { beforeAll, describe, expect, it } from "vitest";
import { scaleLayers, scaleLayersIn } from "#core/edit";
import type { Id } from "#core/basics";
import { boundsIn, findBox, hitTest, layout, spotAt, spotBounds } from "#core/layout";
import type { LayoutBox, LayoutEnv, Rect } from "#core/layout";
import { Resolver, suggestedScope, variantsOf } from "#core/looks";
import { BASE, ROOT } from "#core/project";
import type { Variant } from "#core/project";
import { kelpwayKit } from "../../../demo/index";
import { testEnv } from "../../../tests/support/env";
import { Builder } from "../../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const sceneOf = (b: Builder, variant: Variant = {}): LayoutBox => {
  const tree = new Resolver().tree(b.project, b.at, variant);
  if (!tree) throw new Error("nothing to lay out");
  return layout(env, tree);
};
const boxesOf = (scene: LayoutBox): Map<Id, Rect> => new Map(boundsIn(scene));

/** The kit's switch with its four variants. */
const theSwitch = () => {
  const b = new Builder();
  b.project = kelpwayKit();
  b.at = "alert-switch";
  return b;
};

describe("scaling a whole component", () => {
  it("makes every layer of every variant so many times as large, at its place", () => {
    const b = theSwitch();
    const before = variantsOf(b.piece).map((v) => boxesOf(sceneOf(b, v)));
    const scaling = { by: 2, corner: { x: 0, y: 0 }, boxes: boxesOf(sceneOf(b)) };
    b.do(scaleLayers(b.project, b.piece, [ROOT], scaling));
    variantsOf(b.piece).forEach((v, i) => {
      for (const [id, box] of boxesOf(sceneOf(b, v))) {
        const was = before[i]?.get(id);
        expect(box.x, id).toBeCloseTo((was?.x ?? 0) * 2, 0);
        expect(box.width, id).toBeCloseTo((was?.width ?? 0) * 2, 0);
        expect(box.height, id).toBeCloseTo((was?.height ?? 0) * 2, 0);
      }
    });
    const said = b.piece.looks[BASE]?.changes;
    expect(said?.knob).toMatchObject({
      radius: [28, 28, 28, 28],
      shadow: [{ x: 0, y: 2, blur: 6 }],
    });
    expect(said?.label).toMatchObject({ size: 34 });
    expect(said?.root).toMatchObject({ gap: 28, padding: [16, 20, 16, 20] });
  });

  it("and half as large again is as it was", () => {
    const b = theSwitch();
    const before = JSON.stringify(variantsOf(b.piece).map((v) => [...boxesOf(sceneOf(b, v))]));
    for (const by of [4, 0.25]) {
      const scaling = { by, corner: { x: 0, y: 0 }, boxes: boxesOf(sceneOf(b)) };
      b.do(scaleLayers(b.project, b.piece, [ROOT], scaling));
    }
    expect(JSON.stringify(variantsOf(b.piece).map((v) => [...boxesOf(sceneOf(b, v))]))).toBe(
      before,
    );
  });
});

describe("scaling layers", () => {
  it("keeps the corner of what is chosen, and the ways between them", () => {
    const b = new Builder();
    b.new("component", "Pin");
    const one = b.layer("box", { x: 20, y: 10, width: 30, height: 10, borderWidth: 1 });
    const two = b.layer("text", { x: 60, y: 10, text: "Quay" });
    const scaling = { by: 1.5, corner: { x: 20, y: 10 }, boxes: new Map() };
    b.do(scaleLayers(b.project, b.piece, [one, two], scaling));
    const said = b.piece.looks[BASE]?.changes;
    expect(said?.[one]).toMatchObject({ x: 20, y: 10, width: 45, height: 15, borderWidth: 1.5 });
    expect(said?.[two]).toMatchObject({ x: 80, y: 10, size: 24 });
  });

  it("in a scope leaves the other variants as they are", () => {
    const b = new Builder();
    b.new("component", "Pin");
    const box = b.layer("box", { x: 20, y: 10, width: 30, height: 10, blur: 2 });
    const { id, v } = b.trait("Open", "no", "yes");
    const open = { [id]: v.yes ?? "" };
    const scaling = { by: 2, corner: { x: 20, y: 10 }, boxes: new Map() };
    const whens = [suggestedScope(b.piece, open)];
    const change = scaleLayersIn(b.project, b.piece, [box], scaling, { variant: open, whens });
    if (!change) throw new Error("nothing to scale");
    b.do(change);
    expect(findBox(sceneOf(b), box)?.placed).toMatchObject({ width: 30, height: 10 });
    expect(findBox(sceneOf(b, open), box)?.placed).toMatchObject({ x: 20, width: 60, height: 20 });
    expect(findBox(sceneOf(b, open), box)?.placed.values.blur).toBe(4);
  });

  it("takes a token's value along, which it is bound to no more", () => {
    const b = theSwitch();
    const style = Object.values(b.project.tokens).find((t) => t.type === "style");
    b.look({}, "label", { style: { token: style?.id ?? "" } });
    const size = findBox(sceneOf(b), "label")?.placed.values.size ?? 0;
    const scaling = { by: 2, corner: { x: 0, y: 0 }, boxes: new Map() };
    b.do(scaleLayers(b.project, b.piece, ["label"], scaling));
    expect(findBox(sceneOf(b), "label")?.placed.values.size).toBe(size * 2);
  });
});

describe("a copy", () => {
  const placed = (values: Record<string, string | number>) => {
    const b = theSwitch();
    b.new("screen", "Board");
    const copy = b.layer("instance", { component: "alert-switch", x: 10, y: 20, ...values });
    return { b, copy };
  };

  it("that is scaled shows all of it larger, and its box is what one sees", () => {
    const { b, copy } = placed({});
    const own = findBox(sceneOf(b), copy)?.placed;
    const scaling = { by: 2, corner: { x: 10, y: 20 }, boxes: boxesOf(sceneOf(b)) };
    b.do(scaleLayers(b.project, b.piece, [copy], scaling));
    const scene = sceneOf(b);
    const box = findBox(scene, copy)?.placed;
    expect(box?.width).toBeCloseTo((own?.width ?? 0) * 2, 1);
    const root = spotAt(scene, `${copy}/root`);
    const seen = root && spotBounds(root);
    expect(seen?.x).toBeCloseTo(10, 1);
    expect(seen?.y).toBeCloseTo(20, 1);
    expect(seen?.width).toBeCloseTo(box?.width ?? 0, 1);
    const knob = spotAt(scene, `${copy}/knob`);
    const at = knob && spotBounds(knob);
    expect(at?.width).toBeCloseTo(56, 0);
    const hit = at && hitTest(scene, at.x + 20, at.y + 20);
    expect(hit?.path).toBe(`${copy}/knob`);
  });

  it("keeps its proportions in a size of another shape", () => {
    const { b, copy } = placed({
      width: 1000,
      widthMode: "fixed",
      height: 26,
      heightMode: "fixed",
      resizing: "scale",
    });
    const box = findBox(sceneOf(b), copy)?.placed;
    expect(box?.height).toBeCloseTo(26, 3);
    expect(box?.width).toBeLessThan(200);
  });

  it("that is laid out again has the size it is given", () => {
    const { b, copy } = placed({ width: 300, widthMode: "fixed" });
    expect(findBox(sceneOf(b), copy)?.placed.width).toBe(300);
    expect(spotAt(sceneOf(b), `${copy}/knob`)?.width).toBe(28);
  });
});
