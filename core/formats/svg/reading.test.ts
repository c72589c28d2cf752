import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readSvg } from "#core/formats/svg";
import type { Draft } from "#core/formats/svg";
import { unevenness } from "./geometry";
import { viewOf } from "./view";

const read = (inner: string, attrs = 'width="100" height="100"') => {
  const result = readSvg(`<svg xmlns="http://www.w3.org/2000/svg" ${attrs}>${inner}</svg>`);
  if (!result.ok) throw new Error(result.error);
  return result.picture;
};
const all = (drafts: readonly Draft[]): Draft[] =>
  drafts.flatMap((draft) => [draft, ...all(draft.inside)]);
const values = (inner: string, attrs?: string) => all(read(inner, attrs).layers)[0]?.values ?? {};
const lost = (inner: string) => read(inner).lost;

describe("texts of a file", () => {
  it("stand on their baseline, as large and heavy as they are, aligned at their anchor", () => {
    expect(
      values('<text x="10" y="50" font-size="20" font-weight="bold" text-anchor="end">Dock</text>'),
    ).toMatchObject({
      x: 10,
      y: 30.4,
      size: 20,
      weight: "700",
      alignText: "end",
      text: "Dock",
    });
  });

  it("grow with what they are in, and their letters' distance with them", () => {
    const [, text] = all(
      read(
        '<g transform="scale(2)"><text x="5" y="10" font-size="8" letter-spacing="0.5">A</text><rect width="1" height="1"/></g>',
      ).layers,
    );
    expect(text?.values).toMatchObject({ size: 16, spacing: 1 });
  });

  it("become a layer for each run with a place of its own", () => {
    const { layers } = read(
      '<text x="10" y="20">Pier <tspan x="10" y="40">two</tspan><tspan dx="5" dy="10">three</tspan></text>',
    );
    const texts = all(layers).filter((d) => d.kind === "text");
    expect(texts.map((t) => t.values.text)).toEqual(["Pier", "two", "three"]);
    const [first, second, third] = texts.map((t) => [t.values.x, t.values.y]);
    expect(Number(second?.[1]) - Number(first?.[1])).toBe(20);
    expect([
      Number(third?.[0]) - Number(second?.[0]),
      Number(third?.[1]) - Number(second?.[1]),
    ]).toEqual([5, 10]);
  });

  it("take the first family of a list, and weights by name or number", () => {
    const text = (attrs: string) => values(`<text y="9" ${attrs}>A</text>`);
    expect(text(`font-family="'Hanken Grotesk', sans-serif"`).font).toBe("Hanken Grotesk");
    expect(text("").font).toBeUndefined();
    for (const [said, weight] of [
      ["bold", "700"],
      ["lighter", "300"],
      ["600", "600"],
      ["heavy", "400"],
    ])
      expect([said, text(`font-weight="${said}"`).weight]).toEqual([said, weight]);
    expect(text('text-decoration="underline"').decoration).toBe("underlined");
  });

  it("name what of them cannot be kept", () => {
    const said = (inner: string) => lost(`${inner}<rect width="5" height="5"/>`);
    expect(said('<text x="1 2 3" y="9">abc</text>')).toContain("letters placed one by one");
    expect(said('<text y="9" font-style="italic">a</text>')).toContain("slanted letters");
    expect(said('<text y="9" transform="rotate(9)">a</text>')).toContain("the slant of a text");
    expect(said('<text y="9">a<textPath href="#p">b</textPath></text>')).toContain(
      "a text on a path",
    );
  });
});

describe("clips and masks", () => {
  const shape = '<rect width="50" height="50" fill="#1f6f5c"';

  it("become a shape in front of what they cut, in one group with it", () => {
    const { layers, lost: left } = read(
      `<defs><clipPath id="c"><circle cx="25" cy="25" r="20"/></clipPath></defs>${shape} clip-path="url(#c)"/>`,
    );
    expect(left).toEqual([]);
    expect(layers[0]?.inside.map((d) => [d.name, d.kind, d.values.masks ?? false])).toEqual([
      ["Clip", "ellipse", true],
      ["Box", "box", false],
    ]);
    // a clip cuts by its shape, whatever it looks like
    expect(layers[0]?.inside[0]?.values.fill).toBe("#000000");
  });

  it("are kept one of a kind; what cannot be kept is named", () => {
    const both = `<defs><clipPath id="c"><rect width="9" height="9"/></clipPath><mask id="m"><rect width="9" height="9" fill="#ffffff"/></mask></defs>${shape} clip-path="url(#c)" mask="url(#m)"/>`;
    expect(lost(both)).toContain("a mask and a clip of the same element: only the clip is kept");
    const grey = `<defs><mask id="m"><rect width="9" height="9" fill="#808080"/></mask></defs>${shape} mask="url(#m)"/>`;
    expect(lost(grey)).toContain("a luminance mask (kept as a shape)");
    const boxed = `<defs><clipPath id="c" clipPathUnits="objectBoundingBox"><rect width=".5" height="1"/></clipPath></defs>${shape} clip-path="url(#c)"/>`;
    expect(lost(boxed)).toContain("a clip in units of its box");
    expect(lost(`${shape} clip-path="inset(5px)"/>`)).toContain("a clip");
  });

  it("that are not in the file cut nothing", () => {
    expect(read(`${shape} clip-path="url(#gone)"/>`).layers[0]?.kind).toBe("box");
  });
});

describe("what is used several times", () => {
  it("takes its looks from where it is used, but for what it says itself", () => {
    const { layers } = read(
      '<defs><g id="b"><rect width="10" height="10"/><rect x="20" width="10" height="10" fill="#e3b341"/></g></defs><use href="#b" fill="#1f6f5c" opacity="0.5"/>',
    );
    const boxes = all(layers).filter((d) => d.kind === "box" && d.inside.length === 0);
    expect(boxes.map((d) => [d.values.fill, d.values.opacity])).toEqual([
      ["#1f6f5c", undefined],
      ["#e3b341", undefined],
    ]);
    expect(all(layers).filter((d) => d.values.opacity === 0.5)).toHaveLength(1);
  });

  it("as a symbol fills the size it is used in", () => {
    const { layers } = read(
      '<symbol id="s" viewBox="0 0 10 10"><rect width="10" height="10"/></symbol><use href="#s" x="5" y="5" width="40" height="40"/>',
    );
    const box = all(layers).find((d) => d.inside.length === 0);
    expect(box?.values).toMatchObject({ width: 40, height: 40 });
  });

  it("and is not there is named", () => {
    expect(lost('<use href="#gone"/><rect width="5" height="5"/>')).toEqual([
      "a reference to something outside the file",
    ]);
  });
});

describe("names of what is read", () => {
  it("are what the file says: its title, a label in any namespace, an id that can be read", () => {
    const name = (attrs: string, inside = "") =>
      read(`<rect width="5" height="5" ${attrs}>${inside}</rect>`).layers[0]?.name;
    expect(name('id="r1"', "<title>Pier</title>")).toBe("Pier");
    expect(name('xmlns:dock="https://kelpway.example/ns" dock:label="Quay" id="r1"')).toBe("Quay");
    expect(name('id="Sun_x20_deck"')).toBe("Sun deck");
    expect(name("")).toBe("Box");
  });
});

describe("the view of a drawing", () => {
  const size = fc.integer({ min: 1, max: 500 });
  const element = (attrs: Record<string, string>) =>
    ({ tag: "svg", attrs, style: {}, children: [], text: "" }) as never;

  it("shows all of it in the middle, or fills the size with it, without changing its shape", () => {
    fc.assert(
      fc.property(size, size, size, size, fc.boolean(), (w, h, vw, vh, slice) => {
        const { matrix } = viewOf(
          element({
            width: String(w),
            height: String(h),
            viewBox: `0 0 ${vw} ${vh}`,
            preserveAspectRatio: slice ? "xMidYMid slice" : "",
          }),
          { width: 300, height: 150 },
        );
        const [a, b, c, d, e, f] = matrix;
        expect([a, b, c]).toEqual([d, 0, 0]);
        const across = [e, e + a * vw];
        const down = [f, f + d * vh];
        const outside = Math.max(-(across[0] ?? 0), -(down[0] ?? 0));
        if (slice) expect(outside).toBeGreaterThanOrEqual(-1e-6);
        else expect(outside).toBeLessThanOrEqual(1e-6);
        expect((across[0] ?? 0) + (across[1] ?? 0)).toBeCloseTo(w, 6);
        expect((down[0] ?? 0) + (down[1] ?? 0)).toBeCloseTo(h, 6);
      }),
    );
  });

  it("is as large as the file says, as its box, or as is usual", () => {
    const sizeOf = (attrs: Record<string, string>) =>
      viewOf(element(attrs), { width: 300, height: 150 }).size;
    expect(sizeOf({ width: "40", height: "50%" })).toEqual({ width: 40, height: 75 });
    expect(sizeOf({ viewBox: "0 0 24 12" })).toEqual({ width: 24, height: 12 });
    for (const viewBox of ["", "0 0 24", "0 0 0 12", "a b c d", "0 0 -5 5"])
      expect([viewBox, sizeOf({ viewBox })]).toEqual([viewBox, { width: 300, height: 150 }]);
  });
});

describe("how unevenly a transform stretches", () => {
  const number = fc.double({ min: 0.1, max: 10, noNaN: true });
  const angle = fc.double({ min: 0, max: 6.28, noNaN: true });

  it("is not at all where it moves, turns, mirrors and grows", () => {
    fc.assert(
      fc.property(number, angle, fc.boolean(), (s, t, mirrored) => {
        const [x, y] = [s * Math.cos(t), s * Math.sin(t)];
        const sign = mirrored ? -1 : 1;
        expect(unevenness([x, y, -y * sign, x * sign, 3, 4])).toBeCloseTo(1, 6);
      }),
    );
  });

  it("is the ratio of both directions, however it is turned", () => {
    fc.assert(
      fc.property(number, number, angle, (a, b, t) => {
        const [cos, sin] = [Math.cos(t), Math.sin(t)];
        const uneven = unevenness([a * cos, a * sin, -b * sin, b * cos, 0, 0]);
        expect(uneven / (Math.max(a, b) / Math.min(a, b))).toBeCloseTo(1, 5);
      }),
    );
  });

  it("is named where a line is stretched, and nowhere else", () => {
    const line = (transform: string) =>
      lost(
        `<path d="M0 0L9 9" fill="none" stroke="#000" stroke-width="2" transform="${transform}"/>`,
      );
    expect(line("scale(2 1)")).toEqual(["the uneven width of a stretched line"]);
    expect(line("skewX(20)")).toEqual(["the uneven width of a stretched line"]);
    expect(line("rotate(30) scale(2) translate(4)")).toEqual([]);
  });
});
