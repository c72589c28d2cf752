import { describe, expect, it } from "vitest";
import { varyingOf } from "#core/looks";
import { Builder } from "../../../tests/support/pieces";
import { wholeGrid } from "../state/view";
import { bestFit, cardSize, fitAlone, GAP, nextZoom, isOutgrown, takenFor } from "./fit";

const room = { width: 760, height: 460 };

/** A component with one trait of so many values. */
const withValues = (count: number) => {
  const b = new Builder();
  b.new("component", "Buoy");
  b.trait("Light", ...Array.from({ length: count }, (_, i) => `light ${i}`));
  return varyingOf(b.piece);
};

describe("the zoom of the stage", () => {
  it("goes through its steps and ends at the last ones", () => {
    expect(nextZoom(1, 1)).toBe(1.5);
    expect(nextZoom(1, -1)).toBe(0.75);
    expect(nextZoom(0.6, 1)).toBe(0.75);
    expect(nextZoom(16, 1)).toBeNull();
    expect(nextZoom(0.1, -1)).toBeNull();
  });

  it("shows a small part larger than life, and a screen whole", () => {
    expect(fitAlone(room, { width: 60, height: 30 }).zoom).toBe(6);
    const { zoom } = fitAlone(room, { width: 390, height: 844 });
    expect(cardSize({ width: 390, height: 844 }, zoom).height).toBeLessThan(room.height);
  });

  it("is 1 before the stage has a size", () => {
    expect(fitAlone({ width: 0, height: 0 }, { width: 60, height: 30 }).zoom).toBe(1);
  });

  it("takes a piece that is nothing yet for one of a usual size", () => {
    expect(takenFor({ width: 0, height: 0 })).toEqual({ width: 520, height: 250 });
    expect(takenFor({ width: 1, height: 120 })).toEqual({ width: 520, height: 250 });
    expect(takenFor({ width: 32, height: 20 })).toEqual({ width: 32, height: 20 });
  });

  it("is fitted anew where cards are too large now, or could be a good deal larger", () => {
    expect([isOutgrown(2, 1.95), isOutgrown(2, 2.4), isOutgrown(2, 2.6)]).toEqual([
      true,
      false,
      true,
    ]);
  });

  it("lays the values of one trait in as many lines as leave the cards largest", () => {
    const size = { width: 120, height: 40 };
    const few = bestFit(withValues(2), wholeGrid, room, size);
    const many = bestFit(withValues(9), wholeGrid, room, size);
    expect(few.flow ?? 2).toBeLessThanOrEqual(2);
    const columns = many.flow ?? 9;
    expect(columns).toBeLessThan(9);
    const card = cardSize(size, many.zoom);
    expect(columns * (card.width + GAP) - GAP).toBeLessThanOrEqual(room.width);
  });

  it("keeps rows where somebody has chosen which traits go down", () => {
    const piece = withValues(9);
    expect(
      bestFit(piece, { ...wholeGrid, down: [] }, room, { width: 120, height: 40 }).flow,
    ).toBeNull();
  });

  it("leaves a card room for its head, however small the piece is", () => {
    expect(cardSize({ width: 10, height: 10 }, 1).width).toBe(190);
    expect(cardSize({ width: 200, height: 10 }, 2).width).toBeGreaterThan(400);
  });
});
