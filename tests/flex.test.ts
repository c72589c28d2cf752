import { plainText } from "#core/basics";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { layout } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { Resolver } from "#core/looks";
import { ROOT } from "#core/project";
import type { Value } from "#core/properties";
import { launch, Person } from "./support/browser";
import { testEnv } from "./support/env";
import { Builder } from "./support/pieces";

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

/** The same numbers each time (mulberry32), so that a failure can be looked at. */
const random = (seed: number) => () => {
  seed = (seed + 0x6d2b79f5) | 0;
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
};

const aligns: Record<string, string> = {
  start: "flex-start",
  centre: "center",
  end: "flex-end",
  stretch: "stretch",
};
const spreads: Record<string, string> = {
  start: "flex-start",
  centre: "center",
  end: "flex-end",
  between: "space-between",
  around: "space-around",
  evenly: "space-evenly",
};
const words = ["Dock", "Gull Isle", "14:20", "Saltholm pier 2", "Sun deck"];

interface Parent {
  readonly row: boolean;
  readonly mainFit: boolean;
  readonly crossFit: boolean;
  readonly stretches: boolean;
}

const generate = (r: () => number, depth: number, parent: Parent | null): Tree => {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(r() * list.length)] as T;
  const whole = (from: number, to: number) => Math.round(from + r() * (to - from));
  const values: Record<string, Value> = {};
  const css: string[] = ["box-sizing:border-box", "min-width:0", "min-height:0"];
  const leaf = depth === 0 || (parent !== null && r() < 0.45);
  const isText = leaf && r() < 0.3;
  const axes = [
    ["width", "Width", parent?.row ?? true],
    ["height", "Height", !(parent?.row ?? true)],
  ] as const;
  const modes: string[] = axes.map(([, , main]) => {
    if (leaf && !isText)
      return r() < 0.25 && parent && !(main ? parent.mainFit : parent.crossFit)
        ? "stretch"
        : "fixed";
    const options = parent
      ? ["fixed", "fit", ...((main ? parent.mainFit : parent.crossFit) ? [] : ["stretch"])]
      : ["fixed", "fit"];
    return isText ? "fit" : pick(options);
  });
  let shrink = 0;
  axes.forEach(([key, word, main], i) => {
    const mode = modes[i] as string;
    const size = whole(12, leaf ? 90 : 320);
    values[`${key}Mode`] = mode;
    values[key] = size;
    if (mode === "fixed") css.push(`${key}:${size}px`);
    // as large as what is inside, unless the parent stretches it across
    if (mode === "fit" && !(parent && !main && parent.stretches)) css.push(`${key}:max-content`);
    if (parent && mode === "stretch" && main) {
      css.push("flex-basis:0px");
      shrink = 1;
    }
    if (parent && mode === "stretch" && !main) css.push("align-self:stretch");
    if (parent && main) {
      const grow = r() < 0.2 ? whole(1, 3) : 0;
      values.grow = grow;
      css.push(`flex-grow:${mode === "stretch" ? Math.max(1, grow) : grow}`);
    }
    if (mode !== "fixed" && r() < 0.15) {
      const least = whole(10, 120);
      values[`min${word}`] = least;
      css.push(`min-${key}:${least}px`);
    }
  });
  if (parent) css.push(`flex-shrink:${shrink}`);
  if (parent && r() < 0.06) {
    Object.assign(values, {
      floats: true,
      x: whole(0, 40),
      y: whole(0, 40),
      widthMode: "fixed",
      heightMode: "fixed",
    });
    css.push(
      `position:absolute;left:${plainText(values.x)}px;top:${plainText(values.y)}px;width:${plainText(values.width)}px;height:${plainText(values.height)}px`,
    );
  }
  if (isText) {
    const text = pick(words);
    Object.assign(values, { text, size: 15, lineHeight: 1.3 });
    return {
      values,
      css: [
        ...css,
        "font:400 15px/1.3 'Hanken Grotesk'",
        parent?.row === false && parent.stretches
          ? "white-space:pre-wrap;overflow-wrap:break-word"
          : "white-space:pre",
        "font-variant-ligatures:none",
        "text-rendering:geometricPrecision",
      ].join(";"),
      text,
      inside: [],
    };
  }
  if (leaf) return { values, css: css.join(";"), inside: [] };
  const row = r() < 0.5;
  const align = pick(Object.keys(aligns));
  const justify = pick(Object.keys(spreads));
  const gap = whole(0, 16);
  const padding = [whole(0, 14), whole(0, 14), whole(0, 14), whole(0, 14)] as const;
  const mainMode = modes[row ? 0 : 1] as string;
  const crossMode = modes[row ? 1 : 0] as string;
  const wrap = mainMode === "fixed" && !values.floats && r() < 0.2;
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
  const inside = Array.from({ length: whole(1, 5) }, () =>
    generate(r, depth - 1, {
      row,
      mainFit: mainMode === "fit",
      crossFit: crossMode === "fit",
      stretches: align === "stretch",
    }),
  );
  return { values, css: css.join(";"), inside };
};

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
    const trees = Array.from({ length: 500 }, (_, i) => generate(random(i + 1), 3, null));
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
