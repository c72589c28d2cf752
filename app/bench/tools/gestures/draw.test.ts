import { beforeAll, describe, expect, it } from "vitest";
import type { LayoutEnv } from "#core/layout";
import { ROOT } from "#core/project";
import { benchWith } from "../../../../tests/support/bench";
import { testEnv } from "../../../../tests/support/env";
import { Inserter } from "../../commands/inserting";
import type { DrawnKind } from "../../state/view";
import { Drawing } from "./draw";
import type { PenPoint } from "./pen";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

/** A bench on a frame of 200 × 120 with a card in it, and a hand that draws. */
const drawing = (kind: DrawnKind) => {
  const { bench, made } = benchWith(env, (b) => {
    b.look({}, ROOT, { width: 200, height: 120 });
    return b.layer("box", { x: 100, y: 60, width: 80, height: 50 });
  });
  const hand = new Drawing(bench.workpiece, new Inserter(bench.workpiece));
  const card = { placed: bench.scene, zoom: 1 };
  const at = (x: number, y: number, held: Partial<PenPoint> = {}): PenPoint => ({
    x,
    y,
    shift: false,
    ctrl: false,
    ...held,
  });
  bench.state.draw(kind);
  const drag = (from: PenPoint, to: PenPoint) => {
    hand.down(from, card);
    hand.move(to, card);
    hand.up(card);
  };
  const drawn = () => {
    const [id = ""] = bench.state.chosen;
    return { layer: bench.piece.layers[id], values: bench.values(id) };
  };
  return { bench, box: made, hand, card, at, drag, drawn };
};

describe("drawing layers by dragging", () => {
  it("makes one from corner to corner, whichever way one drags, and puts the tool away", () => {
    const { bench, at, drag, drawn } = drawing("ellipse");
    drag(at(60.4, 50), at(20, 12.2));
    expect(drawn().layer).toMatchObject({ kind: "ellipse", parent: ROOT });
    expect(drawn().values).toMatchObject({ x: 20, y: 12, width: 40, height: 38 });
    expect(bench.state.tool).toBe("choose");
  });

  it("catches the edges of layers, and with Ctrl does not", () => {
    const { at, drag, drawn } = drawing("box");
    drag(at(20, 12), at(97, 57));
    expect(drawn().values).toMatchObject({ width: 80, height: 48 });
    const free = drawing("box");
    free.drag(free.at(20, 12), free.at(97, 57, { ctrl: true }));
    expect(free.drawn().values).toMatchObject({ width: 77, height: 45 });
  });

  it("is even with Shift, and a line then goes in steps of 45°", () => {
    const even = drawing("polygon");
    even.drag(even.at(10, 10), even.at(40, 28, { shift: true }));
    expect(even.drawn().values).toMatchObject({ width: 30, height: 30 });
    const line = drawing("line");
    line.drag(line.at(10, 20), line.at(50, 24, { shift: true }));
    expect(line.drawn().values.rotation).toBe(0);
    expect(line.drawn().values.width).toBeCloseTo(Math.hypot(40, 4), 1);
  });

  it("turns a line about its middle, from one end to the other", () => {
    const { at, drag, drawn } = drawing("line");
    drag(at(20, 20), at(50, 60, { ctrl: true }));
    expect(drawn().values).toMatchObject({ x: 10, y: 40, width: 50, rotation: 53.13 });
  });

  it("puts one of the usual size round a press", () => {
    const { at, drag, drawn } = drawing("box");
    drag(at(60, 40), at(60, 40));
    expect(drawn().values).toMatchObject({ x: 20, y: 16, width: 80, height: 48 });
  });

  it("goes into the chosen box where it begins in it, and says so", () => {
    const { bench, box, at, drag, drawn } = drawing("box");
    bench.state.choose([box]);
    drag(at(110, 70), at(130, 98));
    expect(drawn().layer?.parent).toBe(box);
    expect(drawn().values).toMatchObject({ x: 10, y: 10, width: 20, height: 28 });
    expect(bench.state.hint?.text).toBe("Box 2 is in Box.");
    bench.state.choose([box]);
    bench.state.draw("box");
    drag(at(10, 10), at(30, 30));
    expect(drawn().layer?.parent).toBe(ROOT);
  });

  it("begins to type a text, as wide as it was drawn; what is typed holds in every variant", () => {
    const { bench, at, drag, drawn } = drawing("text");
    drag(at(10, 10), at(70, 40));
    expect(drawn().values).toMatchObject({ x: 10, y: 10, width: 60, widthMode: "fixed" });
    expect(bench.state.typing).toEqual({
      layer: bench.state.chosen[0],
      fresh: true,
      centred: false,
    });
  });

  it("ends typing and posing where another layer is chosen", () => {
    const { bench, box, at, drag } = drawing("text");
    drag(at(10, 10), at(70, 40));
    bench.state.choose([box]);
    expect(bench.state.typing).toBeNull();
    bench.state.pose({ layer: box, key: "comesFrom" });
    bench.state.choose([]);
    expect([bench.state.posing, bench.state.tool]).toEqual([null, "choose"]);
  });

  it("makes nothing of what was given up", () => {
    const { bench, hand, card, at } = drawing("box");
    hand.down(at(10, 10), card);
    hand.move(at(40, 40), card);
    hand.giveUp();
    hand.up(card);
    expect(Object.keys(bench.piece.layers)).toHaveLength(2);
    expect(bench.state.tool).toBe("draw");
  });
});

describe("drawing in a piece whose frame fits its layers", () => {
  it("begins at its corner, and what is drawn beyond takes the others along", () => {
    const { bench } = benchWith(env, (b) => {
      b.look({}, ROOT, { widthMode: "fit", heightMode: "fit" });
    });
    const insert = new Inserter(bench.workpiece);
    insert.drawn("box", ROOT, { x: 70, y: -30 }, { width: 40, height: 20 });
    const [first = ""] = bench.state.chosen;
    expect(bench.values(first)).toMatchObject({ x: 0, y: 0 });
    insert.drawn("box", ROOT, { x: -15, y: 4 }, { width: 40, height: 20 });
    const [second = ""] = bench.state.chosen;
    expect(bench.values(first)).toMatchObject({ x: 15, y: 0 });
    expect(bench.values(second)).toMatchObject({ x: 0, y: 4 });
  });
});

describe("a border that is given a colour", () => {
  it("gets a width where it has none", () => {
    const { bench, box } = drawing("box");
    bench.edits.set({ [box]: { borderColour: "#20302e" } });
    expect(bench.values(box)).toMatchObject({ borderColour: "#20302e", borderWidth: 1 });
    bench.edits.set({ [box]: { borderWidth: 4 } });
    bench.edits.set({ [box]: { borderColour: "#c9472f" } });
    expect(bench.values(box)).toMatchObject({ borderWidth: 4 });
  });
});
