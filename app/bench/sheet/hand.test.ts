import { beforeAll, describe, expect, it } from "vitest";
import type { LayoutEnv } from "#core/layout";
import { variantKey, variantsOf } from "#core/looks";
import { kelpwayKit } from "../../../demo/index";
import { Bench } from "../../../tests/support/bench";
import { testEnv } from "../../../tests/support/env";
import { stageOrder } from "../state/grid";
import { SheetHand } from "./hand";
import { cellOf, rowsFor, sameCell } from "./rows";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const OFF = "alerts-off.pressed-no";
const OFF_PRESSED = "alerts-off.pressed-yes";
const ON = "alerts-on.pressed-no";

/** The sheet of a layer of the kit's switch, its columns as on the stage. */
const sheetOf = (...layers: string[]) => {
  const bench = new Bench(env, kelpwayKit(), "alert-switch");
  bench.state.choose(layers);
  const { piece } = bench;
  const layer = piece.layers[layers[0] ?? ""];
  if (!layer) throw new Error("no layer");
  const rows = rowsFor(bench.workpiece.project, piece, layer, variantsOf(piece));
  const variants = stageOrder(piece, null);
  const hand = new SheetHand(bench.workpiece, bench.edits);
  hand.show(rows, variants);
  const rowOf = (key: string) => rows.findIndex((r) => r.key === key);
  const columnOf = (key: string) => variants.findIndex((v) => variantKey(piece, v) === key);
  const cell = (key: string, variant: string, of = layers[0] ?? "") => {
    const row = rows[rowOf(key)];
    const own = bench.piece.layers[of];
    const column = variants[columnOf(variant)];
    if (!row || !own || !column) throw new Error(`no cell ${key} of ${variant}`);
    return cellOf(bench.workpiece.project, bench.piece, own, row, column);
  };
  const goTo = (key: string, variant: string) =>
    hand.go({ row: rowOf(key), column: columnOf(variant) });
  return { bench, hand, rows, rowOf, columnOf, cell, goTo };
};

describe("going about in the sheet", () => {
  it("chooses the card of the column, and stays within the grid", () => {
    const { bench, hand, rows, goTo } = sheetOf("knob");
    goTo("y", ON);
    expect(variantKey(bench.piece, bench.state.variant)).toBe(ON);
    const { focusing } = hand;
    expect(hand.walk("ArrowUp", false, false)).toBe(true);
    expect(rows[hand.place.row]?.key).toBe("x");
    expect(hand.focusing).toBe(focusing + 1);
    hand.walk("ArrowUp", true, false);
    hand.walk("ArrowUp", false, false);
    expect(hand.place.row).toBe(0);
    hand.walk("End", true, false);
    expect(hand.place).toEqual({ row: rows.length - 1, column: 3 });
    hand.walk("PageUp", false, false);
    expect(hand.place.row).toBe(Math.max(0, rows.length - 11));
    expect(hand.walk("q", false, false)).toBe(false);
  });

  it("extends a range with Shift, over rows and columns", () => {
    const { bench, hand, goTo } = sheetOf("knob");
    goTo("x", OFF);
    hand.walk("ArrowDown", false, true);
    hand.walk("ArrowRight", false, true);
    expect([0, 1, 2].map((row) => hand.inRows(row))).toEqual([true, true, false]);
    expect(hand.columns).toEqual([0, 1]);
    expect(hand.place).toEqual({ row: 0, column: 0 });
    expect(bench.state.also).toHaveLength(1);
    hand.toggleColumn(3);
    expect(hand.columns).toEqual([0, 1, 3]);
    hand.toggleColumn(1);
    expect(hand.columns).toEqual([0, 3]);
  });
});

describe("editing a cell", () => {
  it("takes what is typed, goes on, and says why it does not take the rest", () => {
    const { bench, hand, rows, cell, goTo } = sheetOf("knob");
    goTo("x", OFF);
    hand.begin("7");
    expect(hand.open).toEqual({ typed: "7", live: null });
    expect(bench.state.editing).toBe(true);
    const [row] = rows;
    if (!row) throw new Error("no row");
    expect(hand.commit(row, "wide", "down")).toBe(false);
    expect(bench.state.problem).toContain("X:");
    expect(hand.commit(row, "7", "down")).toBe(true);
    expect(cell("x", OFF)).toMatchObject({ text: "7", origin: { own: true } });
    expect(hand.place.row).toBe(1);
    expect(hand.open).toBeNull();
    expect(bench.state).toMatchObject({ editing: false, problem: null });
  });

  it("writes all chosen layers, each in its own terms", () => {
    const { hand, rows, cell, goTo } = sheetOf("knob", "track");
    goTo("width", OFF);
    const row = rows[hand.place.row];
    if (!row) throw new Error("no row");
    hand.begin("");
    hand.commit(row, "+10", "stay");
    expect([cell("width", OFF).text, cell("width", OFF, "track").text]).toEqual(["38", "74"]);
  });

  it("shows what is being chosen, as one step of undo that can be taken back", () => {
    const { bench, hand, rows, rowOf, cell, goTo } = sheetOf("knob");
    goTo("fill", OFF);
    const row = rows[rowOf("fill")];
    if (!row) throw new Error("no row");
    const before = cell("fill", OFF).text;
    hand.press();
    hand.live(row, "#112233");
    hand.live(row, "#445566");
    expect(cell("fill", OFF).text).toBe("#445566");
    hand.cancel();
    expect(cell("fill", OFF).text).toBe(before);
    hand.press();
    hand.live(row, "#112233");
    hand.live(row, "#445566");
    hand.keep("stay");
    bench.undo();
    expect(cell("fill", OFF).text).toBe(before);
  });

  it("turns a yes into a no without opening the cell", () => {
    const { hand, cell, goTo } = sheetOf("knob");
    goTo("visible", ON);
    hand.press();
    expect(hand.open).toBeNull();
    expect(cell("visible", ON).value).toBe(false);
    expect(cell("visible", OFF).value).toBe(true);
  });

  it("changes a number by steps, within its bounds", () => {
    const { bench, hand, rows, rowOf, cell, goTo } = sheetOf("knob");
    goTo("opacity", OFF);
    const row = rows[rowOf("opacity")];
    if (!row || row.type.is !== "number") throw new Error("no row");
    hand.scrub(row, -2, "scrub");
    hand.scrub(row, -3, "scrub");
    hand.settle();
    expect(cell("opacity", OFF).value).toBeCloseTo(row.type.max - 5 * row.type.step);
    hand.scrub(row, -1e6, "scrub more");
    expect(cell("opacity", OFF).value).toBe(row.type.min);
    hand.settle();
    bench.undo();
    bench.undo();
    expect(cell("opacity", OFF).value).toBe(row.type.max);
  });
});

describe("what is chosen", () => {
  it("several cards stay chosen when a cell of one of them is gone to; not when it is another's", () => {
    const { bench, hand, goTo } = sheetOf("knob");
    goTo("x", OFF);
    hand.toggleColumn(1);
    expect(hand.columns).toEqual([0, 1]);
    hand.go({ row: 2, column: 0 });
    expect([hand.columns, hand.place.column]).toEqual([[0, 1], 0]);
    hand.go({ row: 2, column: 2 });
    expect(hand.columns).toEqual([2]);
    expect(bench.state.also).toEqual([]);
  });

  it("a scope of one's own ends when another layer or card is chosen", () => {
    const { bench, goTo } = sheetOf("knob");
    goTo("x", ON);
    const narrow = [{}];
    bench.state.reach(narrow);
    bench.state.choose(["knob"]);
    expect(bench.state.scope).toBe(narrow);
    bench.state.choose(["track"]);
    expect(bench.state.scope).toBeNull();
    bench.state.reach(narrow);
    goTo("x", OFF);
    expect(bench.state.scope).toBeNull();
  });
});

describe("clearing, copying, filling", () => {
  it("clears only what the variant says for itself", () => {
    const { bench, hand, cell, goTo } = sheetOf("knob");
    goTo("x", ON);
    expect(cell("x", ON).origin.own).toBe(true);
    hand.clear();
    expect(cell("x", ON)).toMatchObject({ text: "4", origin: { own: false } });
    hand.clear();
    expect(bench.state.problem).toContain("Nothing to clear");
  });

  it("leaves what is set for all variants, until that is asked for by name", () => {
    const { bench, hand, cell, goTo } = sheetOf("knob");
    goTo("x", OFF);
    const before = cell("x", OFF).text;
    hand.clear();
    expect([cell("x", OFF).text, bench.state.problem]).toEqual([
      before,
      expect.stringContaining("for all variants"),
    ]);
    hand.clear(true);
    expect(cell("x", OFF)).toMatchObject({ text: "0" });
  });

  it("copies a range as text, and pastes it over other cells", () => {
    const { hand, cell, goTo } = sheetOf("knob");
    goTo("x", OFF);
    hand.walk("ArrowDown", false, true);
    hand.walk("ArrowRight", false, true);
    expect(hand.copy()).toBe("4\t4\n4\t4");
    goTo("width", OFF);
    hand.paste("30\t31\n20\t21");
    expect(cell("width", OFF).text).toBe("30");
    expect(cell("width", OFF_PRESSED).text).toBe("31");
    expect(cell("height", OFF).text).toBe("20");
    expect(cell("height", OFF_PRESSED).text).toBe("21");
  });

  it("pastes nothing at all when one cell cannot be read", () => {
    const { bench, hand, cell, goTo } = sheetOf("knob");
    goTo("width", OFF);
    hand.paste("30\tbroad");
    expect(cell("width", OFF).text).toBe("28");
    expect(bench.state.problem).toContain("Width");
    expect(bench.workpiece.session.undoLabel).toBeNull();
  });

  it("pastes a single cell into all that is chosen, and skips a dash", () => {
    const { hand, cell, goTo } = sheetOf("knob");
    goTo("width", OFF);
    hand.walk("ArrowDown", false, true);
    hand.paste("40");
    expect([cell("width", OFF).text, cell("height", OFF).text]).toEqual(["40", "40"]);
    goTo("width", OFF);
    hand.paste("–\t41");
    expect(cell("width", OFF).text).toBe("40");
  });

  it("fills other columns by a drawn grip, or the chosen ones by a key", () => {
    const { hand, cell, columnOf, goTo } = sheetOf("knob");
    goTo("x", ON);
    hand.fillTo(columnOf(ON) + 1);
    expect(hand.filled(columnOf(ON) + 1)).toBe(true);
    hand.endFill();
    expect(hand.filling).toBeNull();
    expect(cell("x", "alerts-on.pressed-yes").text).toBe("32");
    goTo("y", OFF);
    hand.toggleColumn(columnOf(ON));
    hand.go({ row: hand.place.row, column: columnOf(OFF) });
    hand.extend({ row: hand.place.row, column: columnOf(OFF_PRESSED) });
    hand.fillChosen();
    expect(cell("y", OFF_PRESSED)).toMatchObject({ text: "4", origin: { own: true } });
  });
});

describe("cells", () => {
  it("are the same for as long as they show the same", () => {
    const { bench, cell } = sheetOf("knob");
    const before = cell("x", OFF);
    bench.edits.setIn([{ alerts: "alerts-on", pressed: "pressed-no" }], { knob: { x: 40 } });
    expect(sameCell(before, cell("x", OFF))).toBe(true);
    bench.edits.setIn([{ alerts: "alerts-off", pressed: "pressed-no" }], { knob: { x: 5 } });
    expect(sameCell(before, cell("x", OFF))).toBe(false);
  });
});
