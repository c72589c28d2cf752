import { describe, expect, it } from "vitest";
import { LaneDrag, gripAt, nearest } from "./lane";
import type { Bar } from "./lane";

/** A bar from 100 to 300 ms, at half a px a ms. */
const bar = (part: Partial<Bar> = {}): Bar => ({
  ends: "whole",
  begin: 100,
  end: 300,
  earliest: 0,
  edges: [],
  scale: 0.5,
  ...part,
});

describe("dragging a bar of Timing", () => {
  it("takes its ends near its edges, and only the whole of a short one", () => {
    expect([gripAt(2, 60), gripAt(30, 60), gripAt(58, 60), gripAt(2, 15)]).toEqual([
      "begin",
      "whole",
      "end",
      "whole",
    ]);
  });

  it("goes by tens of ms, and tells by how much more each time", () => {
    const drag = new LaneDrag(bar());
    expect(drag.to(13, false)).toEqual({ by: 30, guide: null });
    expect(drag.to(13.4, false)).toEqual({ by: 0, guide: null });
    expect(drag.to(5, false)).toEqual({ by: -20, guide: null });
    expect(drag.to(6.6, true)).toEqual({ by: 3, guide: null });
  });

  it("catches where others begin and end, with either of its ends", () => {
    const edges = [137, 342];
    expect(new LaneDrag(bar({ edges })).to(17, false)).toEqual({ by: 37, guide: 137 });
    expect(new LaneDrag(bar({ edges })).to(20.6, false)).toEqual({ by: 42, guide: 342 });
    expect(new LaneDrag(bar({ edges, ends: "end" })).to(17, false).guide).toBe(342);
    expect(new LaneDrag(bar({ edges })).to(17, true)).toEqual({ by: 34, guide: null });
  });

  it("does not catch what would have it begin before the change it is part of", () => {
    const edges = [88];
    expect(new LaneDrag(bar({ edges, earliest: 90 })).to(-6, false).guide).toBeNull();
    expect(new LaneDrag(bar({ edges, earliest: 80 })).to(-6, false).guide).toBe(88);
  });

  it("knows the nearest of several moments on screen", () => {
    expect(nearest([100, 104, 130], 103, 1)).toBe(104);
    expect(nearest([100], 120, 1)).toBeNull();
    expect(nearest([100], 110, 0.5)).toBe(100);
  });
});
