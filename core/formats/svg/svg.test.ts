import { describe, expect, it } from "vitest";
import { pathInBox, readIcon, readSvg } from "#core/formats/svg";
import type { Draft } from "#core/formats/svg";

const read = (inner: string, attrs = 'width="100" height="80"') => {
  const result = readSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${attrs}>${inner}</svg>`,
  );
  if (!result.ok) throw new Error(result.error);
  return result.picture;
};
const first = (inner: string, attrs?: string): Draft => read(inner, attrs).layers[0] as Draft;

describe("SVG files as layers", () => {
  it("keep shapes as what they are, with colours in every notation", () => {
    expect(first('<rect x="4" y="6" width="20" height="10" rx="3" fill="#1f6f5c"/>')).toMatchObject(
      {
        kind: "box",
        values: { x: 4, y: 6, width: 20, height: 10, radius: [3, 3, 3, 3], fill: "#1f6f5c" },
      },
    );
    expect(first('<circle cx="10" cy="10" r="4" fill="rgb(0 0 0 / 50%)"/>')).toMatchObject({
      kind: "ellipse",
      values: { x: 6, y: 6, width: 8, height: 8, fill: "#00000080" },
    });
    expect(first('<path d="M0 0h10v10z" fill="tomato"/>')).toMatchObject({
      kind: "path",
      values: { fill: "#ff6347", shape: "M0 0L100 0L100 100Z" },
    });
    expect(
      first(
        '<polyline points="0,0 10,0 10,10" fill="none" stroke="#000" stroke-width="2" stroke-linecap="round"/>',
      ),
    ).toMatchObject({
      kind: "path",
      values: { borderColour: "#000000", borderWidth: 2, borderAt: "centre", ends: "round" },
    });
    expect(first('<rect width="9" height="9"/>').values.fill).toBe("#000000");
    expect(first('<rect width="9" height="9" fill="none"/>').values.fill).toBeUndefined();
  });

  it("apply transforms: an upright one to the box, others to the outline", () => {
    expect(
      first(
        '<g transform="translate(10 5) scale(2)"><rect width="10" height="4" rx="1" fill="red"/></g>',
      ).inside[0],
    ).toMatchObject({ kind: "box", values: { width: 20, height: 8, radius: [2, 2, 2, 2] } });
    const turned = first(
      '<rect x="0" y="0" width="10" height="10" transform="rotate(45)" fill="red"/>',
    );
    expect(turned.kind).toBe("path");
    expect(turned.values.width).toBeCloseTo(14.142, 2);
    expect(
      first(
        '<svg viewBox="0 0 10 10" width="50" height="50"><circle cx="5" cy="5" r="5" fill="red"/></svg>',
      ),
    ).toMatchObject({ kind: "ellipse", values: { width: 50, height: 50 } });
  });

  it("read style sheets, inherit, and dress what `use` brings in", () => {
    expect(
      first(
        '<style>.a { fill: #123456 } #b { fill: #654321 }</style><rect class="a" id="b" width="4" height="4"/>',
      ).values.fill,
    ).toBe("#654321");
    expect(first('<g fill="#00ff00"><rect width="4" height="4"/></g>').inside[0]?.values.fill).toBe(
      "#00ff00",
    );
    expect(
      first(
        '<defs><rect id="r" width="4" height="4"/></defs><use xlink:href="#r" x="10" y="20" fill="#abcdef"/>',
      ).values,
    ).toMatchObject({ x: 10, y: 20, fill: "#abcdef" });
    expect(
      first('<rect width="4" height="4" style="opacity:.5;mix-blend-mode:multiply" fill="red"/>')
        .values,
    ).toMatchObject({ opacity: 0.5, mixing: "multiply" });
  });

  it("read gradients over the box of their shape, chained ones too", () => {
    const fill = first(
      '<defs><linearGradient id="a"><stop offset="0" stop-color="#fff"/><stop offset="1" stop-color="#000" stop-opacity=".5"/></linearGradient><linearGradient id="g" xlink:href="#a" x1="0" y1="0" x2="0" y2="1"/></defs><rect width="40" height="20" fill="url(#g)"/>',
    ).values.fill;
    expect(fill).toEqual({
      kind: "linear",
      angle: 180,
      stops: [
        { at: 0, colour: "#ffffff" },
        { at: 1, colour: "#00000080" },
      ],
    });
    expect(
      first(
        '<defs><radialGradient id="g"><stop offset="0" stop-color="red"/><stop offset="1" stop-color="blue"/></radialGradient></defs><circle cx="10" cy="10" r="10" fill="url(#g)"/>',
      ).values.fill,
    ).toMatchObject({ kind: "radial", centre: [0.5, 0.5], radii: [0.5, 0.5] });
  });

  it("make a mask of a clip, and texts of texts", () => {
    const clipped = first(
      '<defs><clipPath id="c"><circle cx="10" cy="10" r="10"/></clipPath></defs><rect width="20" height="20" fill="red" clip-path="url(#c)"/>',
    );
    expect(clipped.inside.map((d) => [d.kind, d.values.masks ?? false])).toEqual([
      ["ellipse", true],
      ["box", false],
    ]);
    expect(
      first(
        '<text x="10" y="30" font-size="20" font-family="Figtree" font-weight="bold" text-anchor="middle">Dock <tspan>now</tspan></text>',
      ),
    ).toMatchObject({
      kind: "text",
      values: { text: "Dock", size: 20, font: "Figtree", weight: "700", alignText: "centre" },
    });
  });

  it("name what cannot be kept and never take scripts over", () => {
    const picture = read(
      '<script>alert(1)</script><rect width="4" height="4" fill="url(#p)" onclick="alert(2)"/><image href="x.png"/><rect width="3" height="3" filter="url(#f)"/><defs><pattern id="p"/><filter id="f"><feTurbulence/></filter></defs>',
    );
    expect(picture.lost).toEqual(
      expect.arrayContaining(["a script", "a pattern", "an image inside the file", "a filter"]),
    );
    expect(JSON.stringify(picture.layers)).not.toContain("alert");
  });

  it("say why a file cannot be read", () => {
    expect(readSvg("<svg><rect</svg>")).toMatchObject({
      ok: false,
      error: expect.stringContaining("well-formed") as string,
    });
    expect(readSvg("<html></html>")).toMatchObject({
      ok: false,
      error: expect.stringContaining("<svg>") as string,
    });
    expect(readSvg('<svg xmlns="http://www.w3.org/2000/svg"><title>x</title></svg>')).toMatchObject(
      { ok: false, error: expect.stringContaining("nothing") as string },
    );
  });
});

describe("icons", () => {
  it("are outlines in one colour, or refused with the reason", () => {
    expect(readIcon('<svg viewBox="0 0 16 16"><path d="M0 0h4v4z"/></svg>')).toMatchObject({
      ok: true,
      icon: { width: 16, height: 16 },
    });
    expect(
      readIcon('<svg viewBox="0 0 16 16"><path stroke="red" d="M0 0h4v4z"/></svg>'),
    ).toMatchObject({ ok: false, error: expect.stringContaining("stroke") as string });
  });
  it("and paths come into per cent of a box with their arcs as curves", () => {
    expect(pathInBox("M0,0h30v40z", 60, 80)).toBe("M0 0L50 0L50 50Z");
    expect(pathInBox("M0 5a5 5 0 0 1 10 0z", 10, 10)).toMatch(/^M0 50C/);
  });
});
