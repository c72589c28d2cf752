import { describe, expect, it } from "vitest";
import { readPath, scalePath } from "#core/geometry";
import type { LayoutBox } from "#core/layout";
import { defaultsOf } from "#core/properties";
import type { LayerKind, Value } from "#core/properties";
import { markup, paint, svgDocument } from "#core/paint";

const layer = (
  kind: LayerKind,
  values: Record<string, Value> = {},
  more: Partial<LayoutBox> = {},
): LayoutBox => ({
  layer: { id: "knob", kind, name: "Knob", parent: "root", order: "a0" },
  values: { ...defaultsOf(kind), ...values },
  x: 4,
  y: 6,
  width: 40,
  height: 20,
  lines: [],
  children: [],
  nested: null,
  presence: 1,
  dissolve: null,
  ...more,
});

describe("painting", () => {
  it("a box: fill, inner border, corners limited to a pill, shadow behind", () => {
    const text = markup(
      paint(
        layer("box", {
          fill: "#2c9a70",
          borderColour: "#1c2f3a80",
          borderWidth: 2,
          radius: [99, 99, 99, 99],
          shadow: [{ x: 0, y: 2, blur: 6, spread: 1, colour: "#00000040" }],
        }),
      ),
    );
    expect(text).toContain('<g data-layer="knob" transform="translate(4 6)">');
    expect(text).toContain('<rect x="0" y="0" width="40" height="20" rx="10" fill="#2c9a70"/>');
    expect(text).toContain(
      '<rect x="1" y="1" width="38" height="18" rx="9" fill="none" stroke="#1c2f3a" stroke-opacity="0.502" stroke-width="2"/>',
    );
    expect(text).toContain("filter:blur(3px)");
    expect(text.indexOf("blur")).toBeLessThan(text.indexOf("#2c9a70"));
  });

  it("corners of their own, ellipses, paths, opacity and rotation", () => {
    expect(markup(paint(layer("box", { fill: "#ffffff", radius: [8, 0, 0, 0] })))).toContain(
      "M8 0H40A0 0",
    );
    expect(markup(paint(layer("ellipse", { fill: "#ffffff" })))).toContain(
      '<ellipse cx="20" cy="10" rx="20" ry="10"',
    );
    expect(markup(paint(layer("path", { fill: "#ffffff", shape: "M0 0 L100 50 Z" })))).toContain(
      'd="M0 0L40 10Z"',
    );
    expect(
      markup(paint(layer("box", { opacity: 0.5, rotation: 90 }, { presence: 0.5 }))),
    ).toContain('transform="translate(4 6) rotate(90 20 10)" opacity="0.25"');
  });

  it("clips children by a shape whose id says its geometry, so that equal ids never clip differently", () => {
    const inside = layer("box", { fill: "#ffffff" });
    const one = markup(
      paint(layer("box", { clip: true, radius: [4, 4, 4, 4] }, { children: [inside] })),
    );
    const two = markup(
      paint(layer("box", { clip: true, radius: [4, 4, 4, 4] }, { children: [inside], x: 90 })),
    );
    const id = (t: string) => /clipPath id="([^"]+)"/.exec(t)?.[1];
    expect(id(one)).toBe(id(two));
    expect(one).toContain(`clip-path="url(#${id(one) ?? "?"})"`);
    expect(id(markup(paint(layer("box", { clip: true }, { children: [inside] }))))).not.toBe(
      id(one),
    );
  });

  it("text is escaped and set line by line", () => {
    const text = svgDocument(
      layer(
        "text",
        {},
        { lines: [{ text: `<b>"Fish & chips"</b>\u0007`, x: 0, baseline: 15, width: 80 }] },
      ),
    );
    expect(text).toContain("&lt;b&gt;&quot;Fish &amp; chips&quot;&lt;/b&gt;</text>");
    expect(text.startsWith('<svg xmlns="http://www.w3.org/2000/svg" width="40" height="20"')).toBe(
      true,
    );
  });

  it("a dissolve lies old under new in an isolated group", () => {
    const from = layer("box", { fill: "#000000" });
    const text = markup(
      paint(layer("box", { fill: "#ffffff" }, { dissolve: { from, progress: 0.25 } })),
    );
    expect(text).toContain("isolation:isolate");
    expect(text).toContain('opacity="0.75"');
    expect(text).toContain("plus-lighter");
  });

  it("what dissolves only itself keeps what is inside it: that is there at every moment", () => {
    const word = layer(
      "text",
      {},
      {
        layer: { id: "word", kind: "text", name: "Word", parent: "knob", order: "a0" },
        lines: [{ text: "Quay", x: 0, baseline: 12, width: 20 }],
      },
    );
    const from = layer("box", { fill: "#000000" }, { x: 2, y: 3, width: 30 });
    const now = layer(
      "box",
      { fill: "#ffffff" },
      { children: [word], dissolve: { from, progress: 0, own: true } },
    );
    const text = markup(paint(now));
    expect(text.match(/Quay/g)).toHaveLength(1);
    // beside the two that mix, not in the one that is not there yet
    expect(text).toMatch(/<\/g><\/g><g data-layer="word"/);
    expect(text).toContain(
      'opacity="1" pointer-events="none" transform="translate(-2 -3)"><rect x="0" y="0" width="30"',
    );
    expect(text).toContain('opacity="0" style="mix-blend-mode:plus-lighter"');
  });

  it("flat: upright layers say their places in their own numbers, down through what holds them", () => {
    const inner = layer(
      "ellipse",
      { fill: "#1f6f5c", opacity: 0.5 },
      { layer: { id: "dot", kind: "ellipse", name: "Dot", parent: "knob", order: "a0" } },
    );
    const word = layer(
      "text",
      { fill: "#20302e" },
      {
        layer: { id: "word", kind: "text", name: "Word", parent: "knob", order: "a1" },
        x: 10,
        y: 2,
        lines: [{ text: "Quay", x: 1, baseline: 12, width: 20 }],
      },
    );
    const held = layer("box", { fill: "#ffffff" }, { children: [inner, word] });
    const flat = markup(paint(held, true));
    expect(flat).not.toContain("transform");
    expect(flat).toContain('<rect x="4" y="6" width="40" height="20" rx="0" fill="#ffffff"/>');
    expect(flat).toContain(
      '<ellipse cx="28" cy="22" rx="20" ry="10" fill="#1f6f5c" fill-opacity="0.5"/>',
    );
    expect(flat).toContain('x="15" y="20"');
    expect(flat.match(/data-layer/g)).toHaveLength(3);
    expect(markup(paint(held)).match(/transform/g)).toHaveLength(3);
  });

  it("flat: what turns, clips, masks or casts a shadow keeps its transform, and so do the places inside it", () => {
    const inner = () =>
      layer(
        "box",
        { fill: "#1f6f5c" },
        { layer: { id: "dot", kind: "box", name: "Dot", parent: "knob", order: "a0" } },
      );
    for (const values of [
      { rotation: 20 },
      { scale: [2, 2] as const },
      { clip: true },
      { shadow: [{ x: 0, y: 1, blur: 2, spread: 0, colour: "#000000" }] },
      { blur: 2 },
      { mixing: "multiply" },
    ] as Record<string, Value>[]) {
      const text = markup(
        paint(layer("box", { fill: "#ffffff", ...values }, { children: [inner()] }), true),
      );
      expect(text).toContain('transform="translate(4 6)');
      expect(text).toContain('<rect x="4" y="6" width="40" height="20" rx="0" fill="#1f6f5c"/>');
    }
    const masked = markup(
      paint(
        layer(
          "box",
          { fill: "#ffffff" },
          { children: [layer("ellipse", { masks: true, fill: "#000000" }), inner()] },
        ),
        true,
      ),
    );
    expect(masked).toContain("<mask");
    expect(masked).toContain('transform="translate(4 6)"');
  });

  it("flat: the same layer at two places is painted at each, and kept while it stays", () => {
    const inner = layer("box", { fill: "#1f6f5c" });
    const at = (x: number) => layer("box", { fill: "#ffffff" }, { x, children: [inner] });
    expect(markup(paint(at(10), true))).toContain('<rect x="14" y="12"');
    expect(markup(paint(at(30), true))).toContain('<rect x="34" y="12"');
    const still = at(30);
    expect(paint(still, true)).toBe(paint(still, true));
  });

  it("equal placed layers keep their paint", () => {
    const p = layer("box");
    expect(paint(p)).toBe(paint(p));
  });

  it("reads path data and leaves a broken tail out", () => {
    expect(
      readPath("M0 0 10 10 20 0Z")
        .map((s) => s.command)
        .join(""),
    ).toBe("MLLZ");
    expect(readPath("M0 0 L5")).toHaveLength(1);
    expect(scalePath("M0 0 C10 20 30 40 50 60", 200, 100)).toBe("M0 0C20 20 60 40 100 60");
  });
});
