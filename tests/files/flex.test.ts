import { plainText } from "#core/basics";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { layout } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { Resolver } from "#core/looks";
import { ROOT } from "#core/project";
import type { Value } from "#core/properties";
import { launch, Person } from "../support/browser";
import { testEnv } from "../support/env";
import { Dice } from "../support/chance/dice";
import { Builder } from "../support/pieces";

let env: LayoutEnv;
let person: Person;
let close: () => Promise<void>;
beforeAll(async () => {
  env = await testEnv();
  const opened = await launch();
  close = opened.close;
  person = await Person.open(opened.browser, inject("address"));
});
afterAll(() => close());

/** A layer to lay out, as values and as CSS. */
interface Tree {
  readonly values: Record<string, Value>;
  readonly css: string;
  readonly text?: string;
  readonly inside: readonly Tree[];
}

const aligns = {
  start: "flex-start",
  centre: "center",
  end: "flex-end",
  stretch: "stretch",
};
const spreads = {
  start: "flex-start",
  centre: "center",
  end: "flex-end",
  between: "space-between",
  around: "space-around",
  evenly: "space-evenly",
};
const words = ["Dock", "Gull Isle", "14:20", "Saltholm pier 2", "Sun deck"] as const;

interface Parent {
  readonly row: boolean;
  readonly mainFit: boolean;
  readonly crossFit: boolean;
  readonly stretches: boolean;
}

type Axis = "width" | "height";

/** Makes a tree of layers by chance, with the same meaning said in CSS. */
class Generator {
  constructor(private readonly dice: Dice) {}

  tree(depth: number, parent: Parent | null): Tree {
    const isLeaf = depth === 0 || (parent !== null && this.dice.chance(0.45));
    const isText = isLeaf && this.dice.chance(0.3);
    const mode = (main: boolean): string => {
      if (isText) return "fit";
      return isLeaf ? this.leafMode(main, parent) : this.boxMode(main, parent);
    };
    const row = parent?.row ?? true;
    const modes = { width: mode(row), height: mode(!row) };
    const values: Record<string, Value> = {};
    const css: string[] = ["box-sizing:border-box", "min-width:0", "min-height:0"];
    for (const axis of ["width", "height"] as const) {
      const main = (axis === "width") === row;
      this.size(axis, modes[axis], main, isLeaf ? 90 : 320, parent, values, css);
    }
    if (parent) {
      const fills = modes[row ? "width" : "height"] === "stretch";
      css.push(`flex-shrink:${fills ? 1 : 0}`);
      if (this.dice.chance(0.06)) this.float(values, css);
    }
    if (isText) return this.text(parent, values, css);
    if (isLeaf) return { values, css: css.join(";"), inside: [] };
    return this.box(depth, modes, values, css);
  }

  private leafMode(main: boolean, parent: Parent | null): string {
    const fits = main ? parent?.mainFit : parent?.crossFit;
    return this.dice.chance(0.25) && parent && !fits ? "stretch" : "fixed";
  }

  private boxMode(main: boolean, parent: Parent | null): string {
    const fits = main ? parent?.mainFit : parent?.crossFit;
    const canFill = parent && !fits;
    return this.dice.pick(canFill ? ["fixed", "fit", "stretch"] : ["fixed", "fit"]);
  }

  private size(
    axis: Axis,
    mode: string,
    main: boolean,
    most: number,
    parent: Parent | null,
    values: Record<string, Value>,
    css: string[],
  ): void {
    const size = this.dice.whole(12, most);
    values[`${axis}Mode`] = mode;
    values[axis] = size;
    if (mode === "fixed") css.push(`${axis}:${size}px`);
    // as large as what is inside, unless the parent stretches it across
    if (mode === "fit" && !(parent && !main && parent.stretches)) css.push(`${axis}:max-content`);
    if (parent && mode === "stretch") css.push(main ? "flex-basis:0px" : "align-self:stretch");
    if (parent && main) {
      const grow = this.dice.chance(0.2) ? this.dice.whole(1, 3) : 0;
      values.grow = grow;
      css.push(`flex-grow:${mode === "stretch" ? Math.max(1, grow) : grow}`);
    }
    if (mode !== "fixed" && this.dice.chance(0.15)) {
      const least = this.dice.whole(10, 120);
      values[axis === "width" ? "minWidth" : "minHeight"] = least;
      css.push(`min-${axis}:${least}px`);
    }
  }

  private float(values: Record<string, Value>, css: string[]): void {
    const [x, y] = [this.dice.whole(0, 40), this.dice.whole(0, 40)];
    Object.assign(values, { floats: true, x, y, widthMode: "fixed", heightMode: "fixed" });
    const [width, height] = [plainText(values.width), plainText(values.height)];
    css.push(
      "position:absolute",
      `left:${x}px`,
      `top:${y}px`,
      `width:${width}px`,
      `height:${height}px`,
    );
  }

  private text(parent: Parent | null, values: Record<string, Value>, css: string[]): Tree {
    const text = this.dice.pick(words);
    Object.assign(values, { text, size: 15, lineHeight: 1.3 });
    const breaks = parent?.row === false && parent.stretches;
    css.push(
      "font:400 15px/1.3 'Hanken Grotesk'",
      breaks ? "white-space:pre-wrap;overflow-wrap:break-word" : "white-space:pre",
      "font-variant-ligatures:none",
      "text-rendering:geometricPrecision",
    );
    return { values, css: css.join(";"), text, inside: [] };
  }

  private box(
    depth: number,
    modes: Readonly<Record<Axis, string>>,
    values: Record<string, Value>,
    css: string[],
  ): Tree {
    const row = this.dice.chance(0.5);
    const align = this.dice.pick(["start", "centre", "end", "stretch"] as const);
    const justify = this.dice.pick([
      "start",
      "centre",
      "end",
      "between",
      "around",
      "evenly",
    ] as const);
    const gap = this.dice.whole(0, 16);
    const side = () => this.dice.whole(0, 14);
    const padding = [side(), side(), side(), side()] as const;
    const mainMode = modes[row ? "width" : "height"];
    const crossMode = modes[row ? "height" : "width"];
    const wrap = mainMode === "fixed" && !values.floats && this.dice.chance(0.2);
    Object.assign(values, { arrange: row ? "row" : "column", align, justify, gap, padding, wrap });
    css.push(
      "display:flex",
      `flex-direction:${row ? "row" : "column"}`,
      `align-items:${aligns[align]}`,
      `justify-content:${spreads[justify]}`,
      `gap:${gap}px`,
      `padding:${padding.join("px ")}px`,
      `flex-wrap:${wrap ? "wrap" : "nowrap"}`,
      "align-content:flex-start",
    );
    if (!values.floats) css.push("position:relative");
    const own: Parent = {
      row,
      mainFit: mainMode === "fit",
      crossFit: crossMode === "fit",
      stretches: align === "stretch",
    };
    const inside = Array.from({ length: this.dice.whole(1, 5) }, () => this.tree(depth - 1, own));
    return { values, css: css.join(";"), inside };
  }
}

const html = (t: Tree): string =>
  `<div style="${t.css.replaceAll('"', "'")}">${t.text ?? ""}${t.inside.map(html).join("")}</div>`;

const build = (b: Builder, t: Tree, parent: string): void => {
  const id = b.layer(t.text === undefined ? "box" : "text", t.values, parent);
  for (const child of t.inside) build(b, child, id);
};

const flat = (p: LayoutBox): number[][] => [
  [p.x, p.y, p.width, p.height],
  ...p.children.flatMap(flat),
];

describe("rows and columns", () => {
  it("lie as Chromium's flexbox lays them, within half a pixel, on 500 generated trees", async () => {
    const trees = Array.from({ length: 500 }, (_, i) =>
      new Generator(new Dice(i + 1)).tree(3, null),
    );
    const shown = await person.page.evaluate(async (list) => {
      await document.fonts.load("400 15px 'Hanken Grotesk'", "Aa");
      const host = document.createElement("div");
      host.style.cssText =
        "position:absolute;left:0;top:0;display:flex;align-items:flex-start;font-variant-numeric:normal";
      document.body.append(host);
      return list.map((h) => {
        host.innerHTML = h;
        const out: number[][] = [];
        const visit = (e: Element, base: DOMRect) => {
          const box = e.getBoundingClientRect();
          out.push([box.x - base.x, box.y - base.y, box.width, box.height]);
          for (const c of e.children) visit(c, box);
        };
        const first = host.firstElementChild as Element;
        visit(first, first.getBoundingClientRect());
        return out;
      });
    }, trees.map(html));
    const off: string[] = [];
    trees.forEach((tree, i) => {
      const b = new Builder();
      b.new("component", "Tree");
      build(b, tree, ROOT);
      const placed = layout(env, new Resolver().tree(b.project, b.at, {}) as never)
        .children[0] as LayoutBox;
      const ours = flat({ ...placed, x: 0, y: 0 });
      const theirs = shown[i] ?? [];
      const worst = Math.max(
        ...ours.flatMap((box, k) => box.map((n, j) => Math.abs(n - (theirs[k]?.[j] ?? NaN)))),
      );
      if (!(worst <= 0.5) || ours.length !== theirs.length)
        off.push(
          `tree ${i + 1}: ${worst.toFixed(2)} px${process.env.FLEX ? ` ${html(tree)} ${JSON.stringify(ours)} ${JSON.stringify(theirs)}` : ""}`,
        );
    });
    expect(off).toEqual([]);
  });
});
