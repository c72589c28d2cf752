import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  addPiece,
  addTrait,
  addTraitValue,
  anyPlaceable,
  contains,
  piecesOf,
  placeable,
  duplicateLayers,
  duplicateRule,
  freeName,
  moveInto,
  moveRule,
  removeLayers,
  removePiece,
  removeTrait,
  removeTraitValue,
  renameLayer,
  restack,
  setRest,
  setRule,
  setValues,
  startScreen,
  topmost,
} from "#core/edit";
import { childrenOf, restOf, variantsOf } from "#core/looks";
import { ROOT, accept, apply, inOrder } from "#core/project";
import type { Change, Piece, Project } from "#core/project";
import { kelpwayKit } from "../../demo/index";
import { Builder } from "../../tests/support/pieces";
import { subtree } from "./drawing/layers";

const order = (b: Builder, parent = ROOT) =>
  (childrenOf(b.piece).get(parent) ?? []).map((l) => l.id);
const tree = () => {
  const b = new Builder();
  b.new("component", "Part");
  const a = b.layer("box");
  const c = b.layer("box");
  const d = b.layer("text");
  const inner = b.layer("ellipse", {}, a);
  return { b, a, c, d, inner };
};

describe("layers", () => {
  it("are restacked one place at a time, and stop at the ends", () => {
    const { b, a, c, d } = tree();
    b.do(restack(b.piece, a, 1) as Change);
    expect(order(b)).toEqual([c, a, d]);
    expect(restack(b.piece, d, 1)).toBeNull();
    expect(restack(b.piece, ROOT, 1)).toBeNull();
  });

  it("move into other boxes, never into themselves", () => {
    const { b, a, c, d, inner } = tree();
    b.do(moveInto(b.piece, [c, d], a, 0) as Change);
    expect(order(b, a)).toEqual([c, d, inner]);
    expect(moveInto(b.piece, [a], inner, 0)).toBeNull();
    expect(moveInto(b.piece, [c], d, 0)).toBeNull();
    expect(topmost(b.piece, [a, inner, ROOT])).toEqual([a]);
  });

  it("are removed with what is inside and what looks and options say about them; one undo brings all back", () => {
    const project = kelpwayKit();
    const piece = project.pieces["alert-switch"] as Piece;
    const change = removeLayers(piece, ["toggle", "knob", "label"]);
    const result = accept(project, change);
    if (!result.ok) throw new Error(result.error);
    const after = result.project.pieces["alert-switch"] as Piece;
    expect(Object.keys(after.layers)).toEqual([ROOT]);
    expect(JSON.stringify(after.looks)).not.toContain("knob");
    expect(Object.keys(after.options)).toEqual(["spoken"]);
    expect(apply(result.project, result.inverse).doc).toEqual(project);
  });

  it("are duplicated with their looks in every variant, next to the original, under free names", () => {
    const b = new Builder();
    b.project = kelpwayKit();
    b.on("alert-switch");
    const { change, ids } = duplicateLayers(b.piece, ["toggle"], { dx: 12, dy: 12 });
    b.do(change);
    const twin = ids[0] as string;
    expect(b.layerOf(twin).name).toBe("Toggle 2");
    expect(order(b)).toEqual(["label", "toggle", twin]);
    const knob = subtree(b.piece, twin).find((id) => b.layerOf(id).name === "Knob 2") as string;
    const on = Object.values(b.piece.looks).find((l) => l.changes.knob?.x === 32);
    expect(on?.changes[knob]?.x).toBe(32);
  });

  it("the root's name is the piece's name", () => {
    const { b } = tree();
    b.do(renameLayer(b.piece, ROOT, "Bell"));
    expect(b.piece.name).toBe("Bell");
  });
});

describe("traits", () => {
  it("removing one keeps the looks of its resting value and drops the others", () => {
    const { b, a } = tree();
    const t = b.trait("Alerts", "off", "on");
    b.look({ [t.id]: [t.v.on as string] }, a, { x: 1 }).look({ [t.id]: [t.v.off as string] }, a, {
      y: 2,
    });
    b.do(removeTrait(b.piece, b.piece.traits[t.id] as never));
    const said = Object.values(b.piece.looks)
      .filter((l) => l.id !== "base")
      .map((l) => [l.when, l.changes[a]]);
    expect(said).toEqual([[{}, { y: 2 }]]);
    expect(variantsOf(b.piece)).toEqual([{}]);
  });

  it("removing a value drops what holds for it alone, and a marked rest falls back to the first", () => {
    const { b, a } = tree();
    const t = b.trait("Step", "one", "two", "three");
    b.look({ [t.id]: [t.v.two as string] }, a, { x: 1 }).look(
      { [t.id]: [t.v.two as string, t.v.three as string] },
      a,
      { y: 2 },
    );
    b.do(setRest(b.piece, t.id, t.v.two as string));
    expect(restOf(b.piece.traits[t.id] as never)).toBe(t.v.two);
    b.do(removeTraitValue(b.piece, b.piece.traits[t.id] as never, t.v.two as string) as Change);
    expect(restOf(b.piece.traits[t.id] as never)).toBe(t.v.one);
    expect(
      Object.values(b.piece.looks)
        .filter((l) => l.id !== "base")
        .map((l) => l.when),
    ).toEqual([{ [t.id]: [t.v.three] }]);
    b.do(removeTraitValue(b.piece, b.piece.traits[t.id] as never, t.v.three as string) as Change);
    expect(removeTraitValue(b.piece, b.piece.traits[t.id] as never, t.v.one as string)).toBeNull();
  });

  it("new names do not repeat", () => {
    expect(freeName("Box", ["box", "Box 2"])).toBe("Box 3");
    const { b } = tree();
    b.do(addTrait(b.piece, "Contact", ["none"]).change).do(
      addTrait(b.piece, "Contact", ["none"]).change,
    );
    expect(inOrder(b.piece.traits).map((t) => t.name)).toEqual(["Contact", "Contact 2"]);
    const trait = inOrder(b.piece.traits)[0] as never;
    b.do(addTraitValue(b.piece, trait, "none").change);
    expect(
      Object.values(inOrder(b.piece.traits)[0]?.values ?? {})
        .map((v) => v.name)
        .sort(),
    ).toEqual(["none", "none 2"]);
  });
});

describe("rules", () => {
  it("move, are copied behind the original, and lose their undo where no contact ends", () => {
    const { b, a } = tree();
    const one = b.rule({ trigger: { type: "press" }, source: a, undo: true });
    const two = b.rule({});
    const copy = duplicateRule(b.piece, b.piece.rules[one] as never);
    b.do(copy.change);
    expect(inOrder(b.piece.rules).map((r) => r.id)).toEqual([one, copy.id, two]);
    b.do(moveRule(b.piece, two, -1) as Change);
    expect(inOrder(b.piece.rules).map((r) => r.id)).toEqual([one, two, copy.id]);
    expect(moveRule(b.piece, one, -1)).toBeNull();
    b.do(setRule(b.piece, one, { trigger: { type: "click" } }));
    expect(b.piece.rules[one]?.undo).toBe(false);
    b.do(setRule(b.piece, copy.id, { trigger: { type: "hover" } }));
    expect(b.piece.rules[copy.id]?.undo).toBe(true);
  });
});

describe("pieces", () => {
  it("know what contains what, at any depth", () => {
    const project = kelpwayKit();
    expect(contains(project, "trip-settings", "alert-switch")).toBe(true);
    expect(contains(project, "alert-switch", "trip-settings")).toBe(false);
    expect(contains(project, "alert-switch", "alert-switch")).toBe(true);
  });

  it("take up any component but themselves and those that contain them", () => {
    const project = kelpwayKit();
    const components = piecesOf(project, "component");
    const forScreen = placeable(project, "trip-settings").map((c) => c.id);
    expect(forScreen).toEqual(components.map((c) => c.id));
    for (const outer of components) {
      const ids = placeable(project, outer.id).map((c) => c.id);
      expect(ids).toEqual(
        components.map((c) => c.id).filter((id) => !contains(project, id, outer.id)),
      );
      expect(ids).not.toContain(outer.id);
      expect(anyPlaceable(project, outer.id)).toBe(ids.length > 0);
    }
    const alone = new Builder();
    const only = alone.new("component", "Buoy");
    expect(anyPlaceable(alone.project, only)).toBe(false);
  });

  it("a prototype starts on the chosen screen, else on the first", () => {
    const project = kelpwayKit();
    expect(startScreen({ ...project, start: "cabin-climate" })?.id).toBe("cabin-climate");
    expect(startScreen({ ...project, start: "alert-switch" })?.id).toBe("trip-settings");
    const result = accept(project, removePiece(project, "trip-settings"));
    expect(result.ok && startScreen(result.project)?.id).toBe("cabin-climate");
  });
});

describe("any sequence of edits", () => {
  const edit = fc.tuple(fc.nat({ max: 8 }), fc.nat({ max: 50 }), fc.nat({ max: 50 }));
  const pick = <T>(list: readonly T[], n: number): T => list[n % list.length] as T;

  const commandFor = (project: Project, kind: number, m: number, n: number): Change | null => {
    const piece = pick(Object.values(project.pieces), m);
    const layer = pick(Object.keys(piece.layers), n);
    const traits = Object.values(piece.traits);
    const variants = variantsOf(piece);
    switch (kind) {
      case 0:
        return addPiece(project, "component", "New").change;
      case 1:
        return removeLayers(piece, [layer]);
      case 2:
        return restack(piece, layer, n % 2 ? 1 : -1);
      case 3:
        return duplicateLayers(piece, [layer], { dx: 5, dy: 5 }).change;
      case 4:
        return traits.length
          ? removeTrait(piece, pick(traits, n))
          : addTrait(piece, "Open", ["no", "yes"]).change;
      case 5:
        return traits.length
          ? removeTraitValue(piece, pick(traits, n), pick(Object.keys(pick(traits, n).values), m))
          : null;
      case 6:
        return setValues(
          piece,
          Object.fromEntries(Object.entries(pick(variants, m)).map(([t, v]) => [t, [v]])),
          { [layer]: { x: n } },
        );
      case 7:
        return moveInto(piece, [layer], pick(Object.keys(piece.layers), m), 0);
      default:
        return renameLayer(piece, layer, `Name ${n}`);
    }
  };

  it("stays valid, and taking all inverses back gives the project one began with", () => {
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 25 }), (edits) => {
        let project = kelpwayKit();
        const before = project;
        const inverses: Change[] = [];
        for (const [kind, m, n] of edits) {
          const change = commandFor(project, kind, m, n);
          if (!change || change.ops.length === 0) continue;
          const result = accept(project, change);
          if (!result.ok) throw new Error(`${change.label}: ${result.error}`);
          project = result.project;
          inverses.push({ label: "back", ops: result.inverse });
        }
        for (const inverse of inverses.reverse()) project = apply(project, inverse.ops).doc;
        expect(project).toEqual(before);
      }),
      { numRuns: 150 },
    );
  });
});
