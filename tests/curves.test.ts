import fc from "fast-check";
import type { Browser, Page } from "puppeteer-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { animatedSvg, cssKeyframes } from "#core/formats/motion";
import { layout } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { Resolver, restingVariant } from "#core/looks";
import type { ComputedLayer } from "#core/looks";
import { endsOf, rulesOf } from "#core/machine";
import {
  Change,
  cssEasing,
  cssWords,
  curveOf,
  laneValue,
  lastsFor,
  namedCurves,
  springFrom,
} from "#core/motion";
import { paint, svgDocument } from "#core/paint";
import type { Easing, Piece, Rule } from "#core/project";
import { kelpwayKit } from "../demo/index";
import { launch } from "./support/browser";
import { testEnv } from "./support/env";

let browser: Browser;
let close: () => Promise<void>;
let page: Page;
let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
  ({ browser, close } = await launch());
  page = await browser.newPage();
});
afterAll(() => close());

const POINTS = 100;
/** What Chromium itself makes of a timing function, at even moments. */
const inChromium = (css: readonly string[]): Promise<number[][]> =>
  page.evaluate(
    (list, n) =>
      list.map((easing) => {
        const effect = new KeyframeEffect(document.body, null, {
          duration: 1000,
          easing,
          fill: "both",
        });
        const animation = new Animation(effect, document.timeline);
        return Array.from({ length: n + 1 }, (_, i) => {
          animation.currentTime = Math.min(999.999, (1000 * i) / n);
          return effect.getComputedTiming().progress as number;
        });
      }),
    css,
    POINTS,
  );

const farthest = (easing: Easing, shown: readonly number[]): number =>
  Math.max(...shown.map((p, i) => Math.abs(p - curveOf(easing)(Math.min(0.999999, i / POINTS)))));

describe("in Chromium", () => {
  it("fifty Béziers are Chromium's own, to a thousandth at a hundred points", async () => {
    const x = fc.integer({ min: 0, max: 100 }).map((n) => n / 100);
    const y = fc.integer({ min: -80, max: 180 }).map((n) => n / 100);
    const curves: Easing[] = [
      ...cssWords,
      ...fc.sample(fc.tuple(x, y, x, y), { numRuns: 45, seed: 7 }),
    ];
    const shown = await inChromium(curves.map((c) => cssEasing(c).css));
    expect(
      curves.flatMap((easing, i) => {
        const off = farthest(easing, shown[i] ?? []);
        return off < 1e-3 ? [] : [{ easing, off }];
      }),
    ).toEqual([]);
  });

  it("springs, bounces and the rest are what their linear() says, within the error it states", async () => {
    const curves: Easing[] = [
      ...namedCurves.map((p) => p.easing),
      ...[0.1, 0.3, 0.6, 0.8].map((bounciness) => springFrom({ swing: 400, bounciness })),
      { kind: "bounce", times: 6, keeps: 0.6 },
      { kind: "windup", back: 0.4 },
      { kind: "steps", count: 5, jump: "start" },
    ];
    for (const most of [0.01, 0.002, 0.0005]) {
      const css = curves.map((c) => cssEasing(c, most));
      const shown = await inChromium(css.map((c) => c.css));
      for (const [i, easing] of curves.entries()) {
        const off = farthest(easing, shown[i] ?? []);
        const stated = css[i]?.error ?? 0;
        // Béziers and steps are written as they are
        expect(off).toBeLessThanOrEqual(Math.max(stated, 0.001) + 1e-6);
      }
    }
  });
});

describe("exports of the kit's motions, in Chromium", () => {
  const moments = [0, 0.18, 0.41, 0.66, 0.9];
  const scenes = (id: string, ruleId: string) => {
    const kit = kelpwayKit();
    const piece = kit.pieces[id] as Piece;
    const rule = rulesOf(kit, piece).find((r) => r.id === ruleId) as Rule;
    const ends = endsOf(piece, rule, restingVariant(piece));
    const [from, to] = [ends.from, ends.to].map((v) =>
      layout(env, new Resolver().tree(kit, id, v) as ComputedLayer),
    ) as [LayoutBox, LayoutBox];
    return {
      from,
      to,
      rule,
      change: new Change(from, [{ to: to, motion: rule.motion }]),
      length: lastsFor(rule.motion),
    };
  };

  it("a moving SVG shows at every moment what the player shows", async () => {
    for (const [id, rule] of [
      ["route-bell", "fill"],
      ["board-now-button", "hover"],
      ["harbour-dock-bar", "to-ticket"],
      ["menu-button", "turn"],
      ["alert-switch", "flip"],
    ] as const) {
      const { change, from, to, length } = scenes(id, rule);
      const times = Array.from({ length: 61 }, (_, i) => (length * i) / 60);
      const frames = times.map((t) => paint(change.frame(t)));
      const svg = animatedSvg(frames, times, to.width, to.height, {
        margin: 8,
        ground: "#ffffff",
        pause: null,
        style: "",
        address: () => "",
      });
      const offs: number[] = [];
      const stills: string[] = [];
      expect(from.width).toBeGreaterThan(0);
      await page.setContent(`<body style="margin:0">${svg}</body>`);
      for (const share of moments) {
        const at = length * share;
        await page.evaluate((ms) => {
          for (const a of document.getAnimations()) {
            a.pause();
            a.currentTime = ms;
          }
        }, at);
        const size = {
          x: 0,
          y: 0,
          width: Math.ceil(to.width) + 16,
          height: Math.ceil(to.height) + 16,
        };
        const moving = await page.screenshot({ clip: size, encoding: "base64" });
        const other = await browser.newPage();
        await other.setContent(
          `<body style="margin:0">${svgDocument(change.frame(at), 8).replace("<svg ", '<svg style="background:#fff" ')}</body>`,
        );
        const still = await other.screenshot({ clip: size, encoding: "base64" });
        await other.close();
        offs.push(await unlikePixels(page, moving, still));
        stills.push(still);
        await page.setContent(`<body style="margin:0">${svg}</body>`);
      }
      // far less than what moves: from its first to its other moments the picture itself changes
      const changed = Math.max(
        ...(await Promise.all(stills.map((s) => unlikePixels(page, stills[0] as string, s)))),
      );
      expect({
        id,
        changed: changed > 3 * Math.max(...offs),
        near: Math.max(...offs) < 0.008,
      }).toEqual({ id, changed: true, near: true });
    }
  });

  it("CSS keyframes have at every moment the values Nubble has", async () => {
    const { change, from, to, rule, length } = scenes("route-bell", "fill");
    const css = cssKeyframes("Bell", from, to, rule.motion);
    await page.setContent(
      `<style>${css}</style><div class="bell"></div><div class="ground"></div><div class="dot"></div>`,
    );
    for (const share of moments) {
      const at = length * share;
      const scene = change.frame(at);
      const shown = await page.evaluate((ms) => {
        for (const a of document.getAnimations()) {
          a.pause();
          a.currentTime = ms;
        }
        return ["bell", "ground", "dot"].map(
          (c) => getComputedStyle(document.querySelector(`.${c}`) as Element).scale,
        );
      }, at);
      for (const [i, id] of ["bell", "ground", "dot"].entries()) {
        const wanted = (laneValue(scene, id, "scale") as readonly number[])[0] as number;
        const is = shown[i] === "none" ? 1 : parseFloat(shown[i] ?? "");
        expect(Math.abs(is - wanted)).toBeLessThan(0.004);
      }
    }
  });
});

/** How far two pictures differ: the mean difference of a pixel, 0–1. */
const unlikePixels = (at: Page, a: string, b: string): Promise<number> =>
  at.evaluate(
    async (one, two) => {
      const data: Uint8ClampedArray[] = [];
      for (const source of [one, two]) {
        const image = new Image();
        image.src = `data:image/png;base64,${source}`;
        await image.decode();
        const canvas = document.createElement("canvas");
        const context = canvas.getContext("2d") as CanvasRenderingContext2D;
        canvas.width = image.width;
        canvas.height = image.height;
        context.drawImage(image, 0, 0);
        data.push(context.getImageData(0, 0, image.width, image.height).data);
      }
      const [x, y] = data as [Uint8ClampedArray, Uint8ClampedArray];
      let sum = 0;
      for (let i = 0; i < x.length; i++) sum += Math.abs((x[i] as number) - (y[i] as number));
      return sum / x.length / 255;
    },
    a,
    b,
  );
