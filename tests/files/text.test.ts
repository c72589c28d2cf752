import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { facesFor, widthOf } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { families } from "#core/properties";
import { launch, Person } from "../support/browser";
import { testEnv } from "../support/env";

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

const strings = [
  "Dock alerts",
  "Bring a bicycle",
  "AVAILABLE To Wave",
  "Saltholm to Gull Isle, 14:20",
  "“Quiet” – please…",
  "0123456789",
  "£4.50 (return)",
  "Tyrkisk Våg Ærø Ålesund",
  "Pôrt, Čerešňa & Łódź",
  "fi fl ffi office waffle",
  "  two  spaces ",
  "Wind: 12 m/s, NE",
  "Ferry-times/today?",
  "illicit lilies",
  "MMMMMMWWWW",
];
const sizes = [9, 13, 16, 17.5, 28, 64];

describe("measured text", () => {
  it("is within half a pixel of what Chromium sets, for every shipped font", async () => {
    const cases = Object.entries(families).flatMap(([family, weights]) =>
      weights.flatMap((weight) =>
        strings.flatMap((text) =>
          sizes.map((size, i) => ({ family, weight, text, size, spacing: i === 2 ? 1.5 : 0 })),
        ),
      ),
    );
    expect(cases.length).toBeGreaterThan(700);
    const shown = await person.page.evaluate(async (list) => {
      await Promise.all(
        [...new Set(list.map((c) => `${c.weight} 20px "${c.family}"`))].flatMap((font) =>
          ["Aa", "ŁČ"].map((t) => document.fonts.load(font, t)),
        ),
      );
      const svg = document.createElementNS("http://www.w3.org/2000/svg", "svg");
      document.body.append(svg);
      return list.map((c) => {
        const t = document.createElementNS("http://www.w3.org/2000/svg", "text");
        t.setAttribute(
          "style",
          `font-family:"${c.family}";font-weight:${c.weight};font-size:${c.size}px;letter-spacing:${c.spacing}px;white-space:pre;font-kerning:normal;font-variant:none;text-rendering:geometricPrecision`,
        );
        t.textContent = c.text;
        svg.append(t);
        const width = t.getComputedTextLength();
        t.remove();
        return width;
      });
    }, cases);
    const off = cases
      .map((c, i) => ({
        ...c,
        ours: widthOf(facesFor(env.fonts, c.family, c.weight), c.text, c.size, c.spacing),
        theirs: shown[i] ?? NaN,
      }))
      .filter((c) => !(Math.abs(c.ours - c.theirs) <= 0.5));
    expect(off).toEqual([]);
  });
});
