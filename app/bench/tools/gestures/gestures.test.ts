import { beforeAll, describe, expect, it } from "vitest";
import type { Id } from "#core/basics";
import type { LayoutEnv } from "#core/layout";
import { restingVariant, variantKey, variantsOf } from "#core/looks";
import { ROOT } from "#core/project";
import { hundredths } from "#core/properties";
import { kelpwayKit } from "../../../../demo/index";
import { Bench, benchWith } from "../../../../tests/support/bench";
import { testEnv } from "../../../../tests/support/env";
import { PenDrawing } from "./pen";
import type { PenPoint } from "./pen";
import { PathShaping, pathOn } from "./shape";
import type { ShapePoint, ShownPath } from "./shape";
import { WireDrawing, wireEnds, wirePath } from "./wire";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

/** A bench with an empty piece of 200 × 120 and one box. */
const empty = () =>
  benchWith(env, (b) => {
    b.look({}, ROOT, { width: 200, height: 120 });
    return b.layer("box", { x: 100, y: 60, width: 40, height: 30 });
  });

describe("drawing with the pen", () => {
  const pen = () => {
    const { bench, made: box } = empty();
    const drawing = new PenDrawing(bench.workpiece);
    bench.state.setTool("pen");
    const card = { placed: bench.scene, zoom: 1 };
    const point = (x: number, y: number, held: Partial<PenPoint> = {}): PenPoint => ({
      x,
      y,
      shift: false,
      ctrl: false,
      ...held,
    });
    const press = (x: number, y: number, held: Partial<PenPoint> = {}) => {
      drawing.down(point(x, y, held), card, false);
      drawing.up();
    };
    const path = () => {
      const [id = ""] = bench.state.chosen;
      return { id, layer: bench.piece.layers[id], values: bench.values(id) };
    };
    return { bench, box, drawing, card, point, press, path };
  };

  it("sets points on whole px, and a press on the first closes the path", () => {
    const { bench, drawing, press, path } = pen();
    press(10.3, 10.4);
    press(50.2, 10);
    press(50, 40);
    expect(drawing.knots.map((k) => [k.x, k.y])).toEqual([
      [10, 10],
      [50, 10],
      [50, 40],
    ]);
    press(12, 12);
    expect(drawing.knots).toHaveLength(0);
    expect(bench.state.tool).toBe("choose");
    expect(path().layer?.kind).toBe("path");
    expect(path().values).toMatchObject({ x: 10, y: 10, width: 40, height: 30 });
    expect(path().values.fill).toBe("#a9c6bd");
  });

  it("ends an open path, which is a line without a filling", () => {
    const { drawing, card, press, path } = pen();
    press(10, 10);
    press(70, 10);
    drawing.finish(false, card);
    expect(path().values).toMatchObject({ width: 60, height: 0, borderWidth: 2 });
  });

  it("catches the edges of layers, unless Ctrl is held", () => {
    const { drawing, card, point } = pen();
    drawing.move(point(97, 20), card);
    expect(drawing.at?.x).toBe(100);
    expect(drawing.at?.guides).not.toHaveLength(0);
    drawing.move(point(97.25, 20, { ctrl: true }), card);
    expect(drawing.at).toMatchObject({ x: 97.25, guides: [] });
    drawing.leave();
    expect(drawing.at).toBeNull();
  });

  it("keeps in line with the last point with Shift", () => {
    const { drawing, press } = pen();
    press(10, 10);
    press(50, 17, { shift: true });
    expect(drawing.knots.at(-1)).toMatchObject({ x: 50, y: 10 });
  });

  it("bends the line through a point that is pulled", () => {
    const { drawing, card, point } = pen();
    drawing.down(point(10, 10), card, false);
    drawing.move(point(11, 10), card);
    expect(drawing.knots[0]?.after).toBeNull();
    drawing.move(point(30, 20), card);
    expect(drawing.knots[0]).toMatchObject({
      after: { x: 30, y: 20 },
      before: { x: -10, y: 0 },
    });
  });

  it("takes points back, and gives up without a trace", () => {
    const { bench, drawing, card, press } = pen();
    press(10, 10);
    press(50, 10);
    drawing.back();
    expect(drawing.knots).toHaveLength(1);
    drawing.giveUp();
    drawing.finish(false, card);
    expect(bench.workpiece.session.undoLabel).toBeNull();
  });
});

describe("drawing a wire", () => {
  const wired = () => {
    const bench = new Bench(env, kelpwayKit(), "alert-switch");
    const wire = new WireDrawing(bench.workpiece);
    return { bench, wire };
  };

  it("leads from the chosen layers to a card", () => {
    const { bench, wire } = wired();
    bench.state.choose(["knob"]);
    wire.begin({ x: 10, y: 20 });
    expect(bench.state.wiring).toBe(true);
    wire.end({ x: 300, y: 40 }, { card: "alerts-on.pressed-no" });
    expect(bench.state.wiring).toBe(false);
    expect(bench.state.wired).toMatchObject({
      x: 300,
      layers: ["knob"],
      from: [restingVariant(bench.piece)],
      to: { variant: { alerts: "alerts-on", pressed: "pressed-no" } },
    });
    expect(wire.from).toBeNull();
  });

  it("leads from the whole piece where nothing is chosen", () => {
    const { bench, wire } = wired();
    wire.begin({ x: 0, y: 0 });
    wire.end({ x: 1, y: 1 }, { screen: "side-chooser", over: true });
    expect(bench.state.wired).toMatchObject({
      layers: [ROOT],
      to: { screen: "side-chooser", over: true },
    });
  });

  it("ends nowhere on its own card, beside all, and where there is no such card", () => {
    const { bench, wire } = wired();
    const own = variantKey(bench.piece, restingVariant(bench.piece));
    for (const end of [{ card: own }, null, { card: "nothing" }]) {
      wire.begin({ x: 0, y: 0 });
      wire.end({ x: 1, y: 1 }, end);
      expect(bench.state.wired).toBeNull();
    }
    wire.end({ x: 1, y: 1 }, { card: "alerts-on.pressed-no" });
    expect(bench.state.wired).toBeNull();
  });

  it("is offered by keys, too: every other card, and every screen in both ways", () => {
    const { bench } = wired();
    const ends = wireEnds(bench.workpiece);
    const screens = Object.values(bench.workpiece.project.pieces).filter(
      (p) => p.kind === "screen",
    );
    expect(ends).toHaveLength(variantsOf(bench.piece).length - 1 + 2 * screens.length);
    expect(ends[0]).toEqual({ label: "To off, pressed", end: { card: "alerts-off.pressed-yes" } });
  });

  it("bends to the side at both ends", () => {
    expect(wirePath({ x: 0, y: 0 }, { x: 100, y: 50 })).toBe("M0 0 C50 0 50 50 100 50");
    expect(wirePath({ x: 0, y: 0 }, { x: 10, y: 0 })).toBe("M0 0 C30 0 -20 0 10 0");
  });
});

describe("shaping a path", () => {
  const shaped = () => {
    const { bench, made } = benchWith(env, (b) => {
      b.look({}, ROOT, { width: 200, height: 120 });
      return b.layer("path", {
        x: 20,
        y: 10,
        width: 100,
        height: 100,
        shape: "M0 0 L100 0 L100 100 L0 100 Z",
      });
    });
    bench.state.choose([made]);
    bench.state.shape(made);
    const shaping = new PathShaping(bench.workpiece, bench.edits, made);
    const path = (): ShownPath => {
      const found = pathOn(bench.scene, made);
      if (!found) throw new Error("no path");
      return found;
    };
    const point = (x: number, y: number, held: Partial<ShapePoint> = {}): ShapePoint => ({
      x,
      y,
      shift: false,
      alt: false,
      ctrl: false,
      ...held,
    });
    return { bench, id: made, shaping, path, point };
  };
  const knot = (n: number) => ({ outline: 0, knot: n, part: "knot" as const });
  const corners = (path: ShownPath) =>
    path.outlines[0]?.knots.map((k) => [hundredths(k.x), hundredths(k.y)]);
  const boxOf = (bench: Bench, id: Id) => {
    const { x, y, width, height } = bench.values(id);
    return { x, y, width, height };
  };

  it("drags a point; the layer's box fits around them and the rest stays in its place", () => {
    const { bench, id, shaping, path, point } = shaped();
    shaping.down(knot(0), point(20, 10), path());
    shaping.move(point(10, 30), path(), 1);
    shaping.up();
    expect(boxOf(bench, id)).toEqual({ x: 10, y: 10, width: 110, height: 100 });
    expect(corners(path())).toEqual([
      [0, 20],
      [110, 0],
      [110, 100],
      [10, 100],
    ]);
    bench.undo();
    expect(boxOf(bench, id)).toEqual({ x: 20, y: 10, width: 100, height: 100 });
  });

  it("moves all chosen points by keys, goes on with Tab, and leaves with Esc", () => {
    const { bench, shaping, path, point } = shaped();
    shaping.down(knot(1), point(120, 10), path());
    shaping.down(knot(2), point(120, 110, { shift: true }), path());
    expect(shaping.key("ArrowRight", true, path())).toBe(true);
    expect(corners(path())?.[1]).toEqual([110, 0]);
    expect(corners(path())?.[2]).toEqual([110, 100]);
    shaping.key("Tab", false, path());
    expect(shaping.chosen).toEqual([{ outline: 0, knot: 2 }]);
    expect(shaping.key("x", false, path())).toBe(false);
    shaping.key("Escape", false, path());
    expect(shaping.chosen).toEqual([]);
    expect(bench.state.shaping).not.toBeNull();
    shaping.key("Escape", false, path());
    expect(bench.state.shaping).toBeNull();
  });

  it("adds a point on the line, and leaves the points beside it", () => {
    const { bench, shaping, path, point } = shaped();
    shaping.move(point(70, 12), path(), 1);
    expect(shaping.ghost).not.toBeNull();
    expect(shaping.add(point(70, 12), path(), 1)).toBe(true);
    expect(corners(path())).toHaveLength(5);
    expect(shaping.chosen).toEqual([{ outline: 0, knot: 1 }]);
    expect(shaping.add(point(70, 60), path(), 1)).toBe(false);
    expect(bench.state.shaping).toBeNull();
  });

  it("removes points, and with the last of them the layer", () => {
    const { bench, id, shaping, path, point } = shaped();
    shaping.down(knot(0), point(20, 10), path());
    shaping.key("Delete", false, path());
    expect(corners(path())).toHaveLength(3);
    for (const n of [0, 1, 2]) shaping.down(knot(n), point(0, 0, { shift: true }), path());
    shaping.key("Delete", false, path());
    expect(bench.piece.layers[id]).toBeUndefined();
  });

  it("makes a corner smooth, whose handles are dragged, one alone with Alt", () => {
    const { shaping, path, point } = shaped();
    shaping.turn({ outline: 0, knot: 1 }, path());
    const smooth = path().outlines[0]?.knots[1];
    expect(smooth?.before && smooth.after).not.toBeNull();
    const { before } = smooth ?? {};
    shaping.down({ outline: 0, knot: 1, part: "after" }, point(0, 0), path());
    shaping.move(point(0, 10, { alt: true, ctrl: true }), path(), 1);
    const bent = path().outlines[0]?.knots[1];
    expect(bent?.after?.y).toBeCloseTo((smooth?.after?.y ?? 0) + 10, 1);
    expect(bent?.before?.y).toBeCloseTo(before?.y ?? 0, 1);
  });
});
