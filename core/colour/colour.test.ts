import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { colourAt, colourText, mixColour, notations, parseColour } from "#core/colour";

const byte = fc.integer({ min: 0, max: 255 });
const hexOf = (...bytes: readonly number[]): string =>
  `#${bytes.map((n) => n.toString(16).padStart(2, "0")).join("")}`;
const solid = fc.tuple(byte, byte, byte).map((rgb) => hexOf(...rgb));
const any = fc.oneof(
  solid,
  fc.tuple(byte, byte, byte, fc.integer({ min: 0, max: 254 })).map((rgba) => hexOf(...rgba)),
);
const share = fc.double({ min: 0, max: 1, noNaN: true });

/** Red, green, blue and alpha of a stored colour, 0–255. */
const bytesOf = (colour: string): number[] => {
  if (colour === "none") return [0, 0, 0, 0];
  const pairs = colour.slice(1).match(/../g) ?? [];
  const [r = 0, g = 0, b = 0, a = 255] = pairs.map((pair) => Number.parseInt(pair, 16));
  return [r, g, b, a];
};
const apart = (a: string, b: string): number =>
  Math.max(...bytesOf(a).map((n, i) => Math.abs(n - (bytesOf(b)[i] ?? NaN))));

describe("colours as people type them", () => {
  it("are read in every notation of CSS Color 4, with or without #, whatever the case", () => {
    const read: Record<string, string> = {
      "#F80": "#ff8800",
      ff8800: "#ff8800",
      "#ff880080": "#ff880080",
      "  SeaGreen ": "#2e8b57",
      "rgb(255 136 0)": "#ff8800",
      "rgb(255, 136, 0)": "#ff8800",
      "rgba(255, 136, 0, 0.5)": "#ff880080",
      "hsl(32 100% 50%)": "#ff8800",
      "hwb(32 0% 0%)": "#ff8800",
      "rgb(100% 0% 0% / 100%)": "#ff0000",
      "oklch(1 0 0)": "#ffffff",
      "lab(0 0 0)": "#000000",
    };
    for (const [text, colour] of Object.entries(read))
      expect([text, parseColour(text)]).toEqual([text, colour]);
  });

  it("may be none at all", () => {
    for (const text of ["none", "transparent", "", "  ", "NONE"])
      expect(parseColour(text)).toBe("none");
  });

  it("are refused where they are no colour, and never throw", () => {
    for (const text of [
      "#12345",
      "#ggg",
      "rgb(",
      "seagreenish",
      "12px",
      "url(#a)",
      "var(--x)",
      "/0a",
      "rgb(/",
      "1 / 2",
    ])
      expect([text, parseColour(text)]).toEqual([text, null]);
    const texts = fc.oneof(
      fc.string(),
      fc.string({ unit: fc.constantFrom(..."rgbhsla(#%, /.-+e0f") }),
    );
    fc.assert(
      fc.property(texts, (text) => {
        const colour = parseColour(text);
        expect(
          colour === null || colour === "none" || /^#[0-9a-f]{6}([0-9a-f]{2})?$/.test(colour),
        ).toBe(true);
      }),
    );
  });

  it("are the same colour in every notation they are shown in, but for rounding", () => {
    fc.assert(
      fc.property(any, fc.constantFrom(...notations), (colour, notation) => {
        const again = parseColour(colourText(colour, notation));
        expect(again).not.toBeNull();
        expect(apart(again ?? "none", colour)).toBeLessThanOrEqual(notation === "hsl" ? 2 : 1);
      }),
    );
  });

  it("show nothing but themselves when they are none", () => {
    for (const notation of notations) expect(colourText("none", notation)).toBe("none");
  });
});

describe("the mix of two colours", () => {
  it("is exactly the first at the start and the second at the end", () => {
    fc.assert(
      fc.property(any, any, (from, to) => {
        const mix = mixColour(from, to);
        expect(mix(1)).toBe(to);
        expect(apart(mix(0), from)).toBe(0);
      }),
    );
  });

  it("is itself all the way where both are the same", () => {
    fc.assert(
      fc.property(any, share, (colour, t) => {
        expect(mixColour(colour, colour)(t)).toBe(colour);
      }),
    );
  });

  it("from none keeps the colour it goes to: it does not darken on the way", () => {
    fc.assert(
      fc.property(solid, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (colour, t) => {
        const [r, g, b, a] = bytesOf(mixColour("none", colour)(t));
        const [wr, wg, wb] = bytesOf(colour);
        expect(
          Math.max(...[r, g, b].map((n, i) => Math.abs((n ?? 0) - ([wr, wg, wb][i] ?? 0)))),
        ).toBeLessThanOrEqual(1);
        expect(Math.abs((a ?? 0) - t * 255)).toBeLessThanOrEqual(1);
      }),
    );
  });

  it("grows lighter evenly, as the eye sees it: half way from black to white is OKLab's middle grey", () => {
    const mix = mixColour("#000000", "#ffffff");
    // OKLab lightness 0.5 is 0.125 of linear light, 0.3885 of sRGB
    expect(apart(mix(0.5), "#636363")).toBeLessThanOrEqual(1);
    const greys = Array.from({ length: 21 }, (_, i) => bytesOf(mix(i / 20))[0] ?? 0);
    expect(greys).toEqual([...greys].sort((a, b) => a - b));
  });

  it("stays a colour when a spring shoots beyond its ends", () => {
    fc.assert(
      fc.property(any, any, fc.double({ min: -0.5, max: 1.5, noNaN: true }), (from, to, t) => {
        expect(mixColour(from, to)(t)).toMatch(/^(none|#[0-9a-f]{6}([0-9a-f]{2})?)$/);
      }),
    );
  });

  it("does not depend on what was asked before", () => {
    const mix = mixColour("#1f6f5c", "#f2c14e");
    const first = [0.2, 0.9, 0.2, 0.5].map(mix);
    const fresh = [0.2, 0.9, 0.2, 0.5].map((t) => mixColour("#1f6f5c", "#f2c14e")(t));
    expect(first).toEqual(fresh);
    expect(first[0]).toBe(first[2]);
  });
});

describe("the colour of a gradient at a place", () => {
  const stops = [
    { at: 0.2, colour: "#000000" },
    { at: 0.6, colour: "#c80000" },
    { at: 0.6, colour: "#0000c8" },
    { at: 1, colour: "none" },
  ];

  it("is the nearest stop's before the first and after the last", () => {
    expect(colourAt(stops, -1)).toBe("#000000");
    expect(colourAt(stops, 0.1)).toBe("#000000");
    expect(colourAt(stops, 2)).toBe("none");
  });

  it("is mixed in sRGB between stops, and breaks off where two lie at one place", () => {
    expect(colourAt(stops, 0.4)).toBe("#640000");
    expect(colourAt(stops, 0.6)).toBe("#c80000");
    expect(apart(colourAt(stops, 0.6001), "#0000c8")).toBeLessThanOrEqual(1);
  });

  it("keeps its colour while it fades away", () => {
    expect(apart(colourAt(stops, 0.8), "#0000c880")).toBeLessThanOrEqual(1);
  });
});
