import { beforeAll, describe, expect, it } from "vitest";
import { layout } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { Resolver, restingVariant } from "#core/looks";
import type { ComputedLayer } from "#core/looks";
import { endsOf, rulesOf } from "#core/machine";
import { Change, lastsFor } from "#core/motion";
import { svgDocument } from "#core/paint";
import type { Piece, Rule } from "#core/project";
import { firing } from "#core/runtime";
import { momentsOf } from "../../app/bench/timing/film";
import { kelpwayKit } from "../../demo/index";
import { sleep } from "../support/browser";
import type { Designer } from "../support/designer";
import { testEnv } from "../support/env";
import { givenDesk } from "../support/kit";

const desk = givenDesk();
let me: Designer;
beforeAll(() => {
  me = desk.me;
});

describe("moments of a change", () => {
  it("are filmed as a GIF that shows each as the player does, as PNG pictures, and cancelled on the way", async () => {
    await desk.timing("alert-switch", "flip");
    await me.page.evaluate(() => {
      const w = window as unknown as { saved_: Blob[] };
      const make = URL.createObjectURL.bind(URL);
      w.saved_ = [];
      URL.createObjectURL = (b: Blob) => {
        w.saved_.push(b);
        return make(b);
      };
    });
    const saveAs = async (item: string) => {
      await me.click("button", "Export…");
      await me.click("button", item);
    };
    const saved = (n: number) =>
      me.until(async () => {
        const types = await me.page.evaluate(() =>
          (window as unknown as { saved_: Blob[] }).saved_.map((b) => b.type),
        );
        if (types.length < n) throw new Error("nothing saved yet");
        return types;
      }, 40_000);
    await saveAs("Animated GIF…");
    await me.click("button", "Save", ".modal");
    expect(await saved(1)).toEqual(["image/gif"]);
    const kit = kelpwayKit();
    const piece = kit.pieces["alert-switch"] as Piece;
    const rule = rulesOf(kit, piece).find((r) => r.id === "flip") as Rule;
    const ends = endsOf(piece, rule, restingVariant(piece));
    const env = await testEnv();
    const [from, to] = [ends.from, ends.to].map((v) =>
      layout(env, new Resolver().tree(kit, piece.id, v) as ComputedLayer),
    ) as [LayoutBox, LayoutBox];
    const change = new Change(from, [{ to: to, motion: rule.motion }]);
    const moments = momentsOf(lastsFor(rule.motion), 25);
    const stills = moments.map((t) => svgDocument(change.frame(t), 24));
    const off = await me.page.evaluate(async (svgs) => {
      const decoder = new ImageDecoder({
        data: await ((window as unknown as { saved_: Blob[] }).saved_[0] as Blob).arrayBuffer(),
        type: "image/gif",
      });
      await decoder.tracks.ready;
      const frames = decoder.tracks.selectedTrack?.frameCount ?? 0;
      const out: number[] = [];
      for (const [i, svg] of svgs.entries()) {
        const { image } = await decoder.decode({ frameIndex: i });
        const wanted = new Image();
        wanted.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
        await wanted.decode();
        const [a, b] = [image, wanted].map((source) => {
          const canvas = document.createElement("canvas");
          const context = canvas.getContext("2d") as CanvasRenderingContext2D;
          canvas.width = image.displayWidth;
          canvas.height = image.displayHeight;
          context.fillStyle = "#fff";
          context.fillRect(0, 0, canvas.width, canvas.height);
          context.drawImage(source, 0, 0);
          return context.getImageData(0, 0, 70, canvas.height).data;
        }) as [Uint8ClampedArray, Uint8ClampedArray];
        let sum = 0;
        for (let k = 0; k < a.length; k++) sum += Math.abs((a[k] as number) - (b[k] as number));
        out.push(sum / a.length / 255);
      }
      return { frames, out };
    }, stills);
    expect(off.frames).toBe(moments.length);
    // a palette of 256 colours is all a GIF has
    expect(Math.max(...off.out)).toBeLessThan(0.02);
    await saveAs("PNG frames…");
    await me.click("button", "Save", ".modal");
    expect(await saved(2)).toEqual(["image/gif", "application/zip"]);
    const zip = await me.page.evaluate(async () => {
      const b = new Uint8Array(
        await ((window as unknown as { saved_: Blob[] }).saved_[1] as Blob).arrayBuffer(),
      );
      return {
        begins: [...b.slice(0, 4)],
        pictures: new TextDecoder("latin1").decode(b).match(/\d{4}\.png/g)?.length,
      };
    });
    expect(zip.begins).toEqual([0x50, 0x4b, 3, 4]);
    expect(zip.pictures).toBe(2 * momentsOf(lastsFor(rule.motion), 30).length);
    await saveAs("PNG frames…");
    await me.page.select("#film-size", "3");
    await me.page.select("#film-rate", "60");
    // clicked as soon as it is there: on a busy machine the film would be done before a hand gets
    // to it
    await me.page.evaluate(() => {
      const watch = new MutationObserver(() => {
        const buttons = [...document.querySelectorAll<HTMLButtonElement>(".modal button")];
        const cancel = buttons.find((button) => button.textContent === "Cancel");
        if (!cancel) return;
        watch.disconnect();
        cancel.click();
        document.body.dataset.cancelled = "yes";
      });
      watch.observe(document.body, { childList: true, subtree: true });
    });
    await me.click("button", "Save", ".modal");
    await me.until(async () => expect(await me.page.$("body[data-cancelled]")).not.toBeNull());
    await me.find("button", "Save", ".modal");
    expect(await saved(2)).toHaveLength(2);
    await me.press("Escape");
    await saveAs("CSS keyframes");
    await saveAs("Animated SVG…");
    await me.page.select("#film-size", "2");
    await me.pick("Background", "paper", ".modal");
    await me.click("button", "Save", ".modal");
    expect((await saved(4)).slice(2)).toEqual(["text/css", "image/svg+xml"]);
    const svg = await me.page.evaluate(() =>
      (window as unknown as { saved_: Blob[] }).saved_[3]?.text(),
    );
    expect(svg).toContain(`width="${2 * (from.width + 48)}"`);
    expect(svg).toMatch(/fill="#f5f1e8".*@font-face|@font-face.*fill="#f5f1e8"/s);
  });

  it("stage, running piece and export show the same pictures at the same moments", async () => {
    await desk.timing("deck-tabs", "show-sun");
    const kit = kelpwayKit();
    const piece = kit.pieces["deck-tabs"] as Piece;
    const env = await testEnv();
    const rule = rulesOf(kit, piece).find((r) => r.id === "show-sun") as Rule;
    const fired = firing(env, kit, piece, rule, restingVariant(piece), new Resolver());
    const change = new Change(fired?.from as LayoutBox, fired?.moves ?? []);
    const { width, height } = fired?.from as LayoutBox;
    await me.click("button", "Pause");
    const tab = await me.box('.try-host [data-layer="sun-tab"]');
    await me.page.mouse.click(tab.x + tab.width / 2, tab.y + tab.height / 2);
    const head = await me.find("slider", "Playhead");
    await head.focus();
    await me.press("Home");
    for (let at = 0; at < 3; at++) {
      for (let i = 0; i < 3; i++) await me.click("button", "Step");
      await head.focus();
      await me.press("Shift", "ArrowRight");
      const ms = 50 * (at + 1);
      const wanted = svgDocument(change.frame(ms));
      await me.until(async () =>
        expect(
          await me.page.$eval('[data-variant="deck-sun"] .preview-time', (t) => t.textContent),
        ).toBe(`${ms} ms`),
      );
      const off = await me.page.evaluate(
        async (svg, w, h) => {
          const whole = (host: string) =>
            `<svg xmlns="http://www.w3.org/2000/svg" width="${w}" height="${h}" viewBox="0 0 ${w} ${h}">${document.querySelector(`${host} svg [data-layer]`)?.outerHTML ?? ""}</svg>`;
          const pixels = await Promise.all(
            [svg, whole('[data-variant="deck-sun"]'), whole(".try-host")].map(async (text) => {
              const picture = new Image();
              const canvas = document.createElement("canvas");
              const context = canvas.getContext("2d") as CanvasRenderingContext2D;
              picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`;
              await picture.decode();
              canvas.width = w;
              canvas.height = h;
              context.drawImage(picture, 0, 0);
              return context.getImageData(0, 0, w, h).data;
            }),
          );
          const [a, ...others] = pixels as [
            Uint8ClampedArray,
            Uint8ClampedArray,
            Uint8ClampedArray,
          ];
          return {
            painted: a.some((v) => v > 0),
            off: others.map((b) => {
              let sum = 0;
              for (let k = 0; k < a.length; k++)
                sum += Math.abs((a[k] as number) - (b[k] as number));
              return sum / a.length / 255;
            }),
          };
        },
        wanted,
        width,
        height,
      );
      expect(off.painted).toBe(true);
      expect(Math.max(...off.off)).toBeLessThan(0.002);
    }
    await me.click("button", "Resume");
  });

  it("after a long while in the background loops are where they belong at once, without running through what was missed", async () => {
    await desk.go("welcome");
    await me.box('.try-host [data-layer="near"]');
    await sleep(1200);
    const seen = await me.page.evaluate(async () => {
      const place = () =>
        Number(
          /translate\((-?[\d.]+)/.exec(
            document.querySelector('.try-host [data-layer="near"]')?.getAttribute("transform") ??
              "",
          )?.[1] ?? 0,
        );
      const frame = () => new Promise(requestAnimationFrame);
      const real = performance.now.bind(performance);
      const places: number[] = [];
      performance.now = () => real() + 600_000;
      for (let i = 0; i < 30; i++) {
        await frame();
        places.push(place());
      }
      performance.now = real;
      return places;
    });
    // from one frame to the next a wave goes a few px, or begins again
    const steps = seen.slice(2).map((x, i) => ((((seen[i + 1] as number) - x) % 130) + 130) % 130);
    expect(Math.max(...steps)).toBeLessThan(20);
    expect(new Set(seen).size).toBeGreaterThan(10);
  });
});
