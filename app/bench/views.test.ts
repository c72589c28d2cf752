import { describe, expect, it } from "vitest";
import { markUnused, nameVariant } from "#core/edit";
import { variantName, variantsOf } from "#core/looks";
import type { Piece } from "#core/project";
import { kelpwayKit } from "../../demo/index";
import { Builder } from "../../tests/support/pieces";
import { familiesOf, tokenWords } from "../parts/tokens";
import { colourAt } from "./tools/Dropper";
import { gridOf, shownVariants, stageOrder } from "./state/grid";
import { isHeavy } from "./state/Later";
import { linesOf } from "./tree/lines";
import { fromText, toText } from "./sheet/clipboard";
import { wholeGrid } from "./state/view";

const kit = (piece: string) => {
  const b = new Builder();
  b.project = kelpwayKit();
  return b.on(piece);
};

describe("which cards the stage shows", () => {
  it("follows the chosen axes, leaves out what is filtered or not used, and puts pinned ones first", () => {
    const b = kit("menu-button");
    const all = variantsOf(b.piece);
    expect(shownVariants(b.piece, wholeGrid)).toHaveLength(all.length);
    const across = gridOf(b.piece, { down: [], hidden: {} });
    expect([across.rows.length, across.columns.length]).toEqual([1, 8]);
    const turned = gridOf(b.piece, { down: ["contact"], hidden: {} });
    expect([turned.rows.length, turned.columns.length]).toEqual([4, 2]);
    const filtered = shownVariants(b.piece, {
      ...wholeGrid,
      hidden: { contact: ["contact-focused", "contact-pressed"] },
    });
    expect(filtered).toHaveLength(4);
    const last = all.at(-1) as never;
    expect(shownVariants(b.piece, { ...wholeGrid, pinned: [last] })[0]).toEqual(last);
    b.do(markUnused(b.piece, { open: ["open-yes"], contact: ["contact-focused"] }));
    expect(shownVariants(b.piece, wholeGrid)).toHaveLength(all.length - 1);
    // a filter that would leave nothing leaves everything
    expect(
      gridOf(b.piece, { down: null, hidden: { open: ["open-no", "open-yes"] } }).rows,
    ).toHaveLength(2);
  });

  it("and in which order, filtered or not: the sheet follows it", () => {
    const { piece } = kit("menu-button");
    const words = (down: readonly string[] | null) =>
      stageOrder(piece, down).map(
        (v) => `${String(v.open).slice(5)} ${String(v.contact).slice(8)}`,
      );
    expect(words(null)).toEqual([
      "no none",
      "no hovered",
      "no focused",
      "no pressed",
      "yes none",
      "yes hovered",
      "yes focused",
      "yes pressed",
    ]);
    expect(words(["contact"])).toEqual([
      "no none",
      "yes none",
      "no hovered",
      "yes hovered",
      "no focused",
      "yes focused",
      "no pressed",
      "yes pressed",
    ]);
    expect(words([])).toHaveLength(8);
    expect(words(["gone"])).toEqual(words([]));
  });

  it("calls a variant by its own name once it has one", () => {
    const b = kit("menu-button");
    const variant = { open: "open-yes", contact: "contact-none" };
    b.do(nameVariant(b.piece, variant, "Opened"));
    expect(variantName(b.piece, variant)).toBe("Opened");
    b.do(nameVariant(b.piece, variant, "Wide open"));
    expect(Object.values(b.piece.notes)).toHaveLength(1);
  });

  it("knows which pieces are too large to follow a hand everywhere", () => {
    expect(isHeavy(kit("alert-switch").piece, 4)).toBe(false);
    const many = {
      layers: Object.fromEntries(Array.from({ length: 200 }, (_, i) => [String(i), {}])),
    } as unknown as Piece;
    expect(isHeavy(many, 24)).toBe(true);
    expect(isHeavy(many, 1)).toBe(false);
    expect(isHeavy(undefined, 24)).toBe(false);
  });
});

describe("finding things", () => {
  it("shows layers that match and those around them, by name or kind", () => {
    const { piece } = kit("deck-tabs");
    const names = (find: string) => linesOf(piece, new Set(), find).map((l) => l.layer.name);
    expect(names("sun tab")).toEqual(["Deck tabs", "Tabs", "Sun tab"]);
    expect(names("picture")).toContain("Saloon picture");
    expect(names("anchor")).toEqual([]);
    expect(linesOf(piece, new Set(["root"]))).toHaveLength(1);
    expect(linesOf(piece, new Set(["root"]), "sun tab")).toHaveLength(3);
  });

  it("names tokens with their group, and families with the project's own", () => {
    const { project } = kit("alert-switch");
    expect(tokenWords(project.tokens["colour-kelp"] as never)).toBe("Sea/Kelp");
    expect(familiesOf(project)).toContain("Fraunces");
    const own = {
      id: "f",
      kind: "font",
      name: "f",
      hash: "0".repeat(64),
      family: "Tidemark",
      weight: "400",
      bytes: 1,
    } as const;
    expect(familiesOf({ ...project, assets: { f: own } })).toContain("Tidemark");
  });
});

describe("picking from a reference picture", () => {
  it("reads the pixel under a place of the piece, and nothing beside the picture or where it is clear", () => {
    // two by two: kelp, sun, clear, ink
    const pixels = {
      width: 2,
      height: 2,
      data: new Uint8ClampedArray([
        31, 111, 92, 255, 227, 179, 65, 255, 9, 9, 9, 0, 32, 48, 46, 255,
      ]),
    };
    const reference = { picture: "p", x: 10, y: 20, width: 100, opacity: 0.4 };
    const at = (x: number, y: number) => colourAt(pixels, reference, x, y);
    expect([at(11, 21), at(109, 21), at(70, 90), at(20, 110)]).toEqual([
      "#1f6f5c",
      "#e3b341",
      "#20302e",
      null,
    ]);
    expect([at(9, 21), at(111, 21), at(20, 19), at(20, 121)]).toEqual([null, null, null, null]);
  });
});

describe("ranges as text", () => {
  it("come back from a spreadsheet as they went", () => {
    const cells = [
      ["12", "a b"],
      ["#123456", "0 2 6 #00000040"],
    ];
    expect(fromText(toText(cells))).toEqual(cells);
  });
});
