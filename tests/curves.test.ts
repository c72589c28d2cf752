import fc from "fast-check";
import type { Browser, Page } from "puppeteer-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { cssEasing, cssWords, curveOf, presets, springFrom } from "#core/motion";
import type { Easing } from "#core/project";
import { launch } from "./support/browser";

let browser: Browser, close: () => Promise<void>, page: Page;
beforeAll(async () => {
  ({ browser, close } = await launch());
  page = await browser.newPage();
});
afterAll(() => close());

const POINTS = 100;
/** What Chromium itself makes of a timing function, at even moments. */
const inChromium = (css: readonly string[]): Promise<number[][]> => page.evaluate((list, n) => list.map((easing) => {
  const effect = new KeyframeEffect(document.body, null, { duration: 1000, easing, fill: "both" }), animation = new Animation(effect, document.timeline);
  return Array.from({ length: n + 1 }, (_, i) => { animation.currentTime = Math.min(999.999, (1000 * i) / n); return effect.getComputedTiming().progress as number; });
}), css, POINTS);

const farthest = (easing: Easing, shown: readonly number[]): number => Math.max(...shown.map((p, i) => Math.abs(p - curveOf(easing)(Math.min(0.999999, i / POINTS)))));

describe("in Chromium", () => {
  it("fifty Béziers are Chromium's own, to a thousandth at a hundred points", async () => {
    const x = fc.integer({ min: 0, max: 100 }).map((n) => n / 100), y = fc.integer({ min: -80, max: 180 }).map((n) => n / 100);
    const curves: Easing[] = [...cssWords, ...fc.sample(fc.tuple(x, y, x, y), { numRuns: 45, seed: 7 })];
    const shown = await inChromium(curves.map((c) => cssEasing(c).css));
    expect(curves.flatMap((easing, i) => { const off = farthest(easing, shown[i] ?? []); return off < 1e-3 ? [] : [{ easing, off }]; })).toEqual([]);
  });

  it("springs, bounces and the rest are what their linear() says, within the error it states", async () => {
    const curves: Easing[] = [...presets.map((p) => p.easing), ...[0.1, 0.3, 0.6, 0.8].map((bounciness) => springFrom({ swing: 400, bounciness })), { kind: "bounce", times: 6, keeps: 0.6 }, { kind: "windup", back: 0.4 }, { kind: "steps", count: 5, jump: "start" }];
    for (const most of [0.01, 0.002, 0.0005]) {
      const css = curves.map((c) => cssEasing(c, most)), shown = await inChromium(css.map((c) => c.css));
      for (const [i, easing] of curves.entries()) {
        const off = farthest(easing, shown[i] ?? []), stated = css[i]?.error ?? 0;
        // Béziers and steps are written as they are
        expect(off).toBeLessThanOrEqual(Math.max(stated, 0.001) + 1e-6);
      }
    }
  });
});
