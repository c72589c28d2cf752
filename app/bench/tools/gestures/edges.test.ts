import { describe, expect, it } from "vitest";
import { edgesNear } from "./edges";
import type { Pixels } from "./edges";

/** A picture of 100 × 60 with a dark box on light ground, and a single speck. */
const drawing = (): Pixels => {
  const [width, height] = [100, 60];
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const inBox = x >= 30 && x < 70 && y >= 20 && y < 40;
      const isSpeck = x === 10 && y === 10;
      data.set(inBox || isSpeck ? [30, 110, 90, 255] : [245, 240, 230, 255], (y * width + x) * 4);
    }
  return { data, width, height };
};
const reference = { picture: "p", x: 0, y: 0, width: 100, opacity: 0.4 };

describe("the edges of a reference picture", () => {
  it("catch what is near them, each along its own axis", () => {
    expect(edgesNear(drawing(), reference, { x: 32.4, y: 30 }, 6)).toEqual({ x: 30, y: null });
    expect(edgesNear(drawing(), reference, { x: 50, y: 38 }, 6)).toEqual({ x: null, y: 40 });
    expect(edgesNear(drawing(), reference, { x: 68, y: 22 }, 6)).toEqual({ x: 70, y: 20 });
  });

  it("are where the picture lies and as large as it is shown", () => {
    const half = { ...reference, x: 10, y: 5, width: 50 };
    expect(edgesNear(drawing(), half, { x: 26, y: 20 }, 3)).toEqual({ x: 25, y: null });
  });

  it("leave alone what is far from all, beside the picture, or near a mere speck", () => {
    expect(edgesNear(drawing(), reference, { x: 50, y: 30 }, 6)).toEqual({ x: null, y: null });
    expect(edgesNear(drawing(), reference, { x: -5, y: 30 }, 40)).toEqual({ x: null, y: null });
    expect(edgesNear(drawing(), reference, { x: 10, y: 10 }, 4)).toEqual({ x: null, y: null });
  });

  it("are none where nothing can be seen, whatever colour is hidden there", () => {
    const clear = drawing();
    for (let i = 3; i < clear.data.length; i += 4) clear.data[i] = 0;
    expect(edgesNear(clear, reference, { x: 31, y: 30 }, 6)).toEqual({ x: null, y: null });
  });
});
