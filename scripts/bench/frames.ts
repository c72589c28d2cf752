import type * as player from "../../player/index.ts";
import { join } from "node:path";
import { build } from "esbuild";
import type { Browser, Page } from "puppeteer-core";
import type { LayoutEnv } from "../../core/layout/index.ts";
import type { Motion, Project } from "../../core/project/index.ts";
import type { Value } from "../../core/properties/index.ts";
import { launch, sleep } from "../../tests/support/browser.ts";
import { root } from "../serve.ts";
import { buoys, cast, fleet } from "./fleet.ts";
import type { Line } from "./support.ts";

type Stand = typeof globalThis & {
  player_: typeof player;
  running_: { destroy(): void }[];
  /** by the time of the frame: ms of script */ script_: Map<number, number>;
  on_: boolean;
};

/**
 * A page of its own with the player in it, and a clock on every frame: how long its script takes,
 * and when it begins.
 */
const standPage = async (browser: Browser): Promise<Page> => {
  const source = `import { Player } from ${JSON.stringify(join(root, "player/index.ts"))}; globalThis.player_ = { Player };`;
  const made = await build({
    stdin: { contents: source, resolveDir: root, loader: "ts" },
    bundle: true,
    minify: true,
    format: "iife",
    target: "es2022",
    write: false,
    absWorkingDir: root,
    logLevel: "error",
  });
  const page = await browser.newPage();
  await page.setContent(`<!doctype html><body style="margin:0"></body>`);
  await page.evaluate(() => {
    const w = globalThis as unknown as Stand;
    const ask = requestAnimationFrame.bind(globalThis);
    Object.assign(w, { running_: [], script_: new Map(), on_: false });
    globalThis.requestAnimationFrame = (call) =>
      ask((t) => {
        const begin = performance.now();
        call(t);
        if (w.on_) w.script_.set(t, (w.script_.get(t) ?? 0) + performance.now() - begin);
      });
  });
  await page.addScriptTag({ content: made.outputFiles[0]?.text ?? "" });
  return page;
};

const putIn = (
  page: Page,
  env: LayoutEnv,
  project: Project,
  pieces: readonly string[],
): Promise<void> =>
  page.evaluate(
    (env, project, pieces) => {
      const w = globalThis as unknown as Stand;
      for (const old of w.running_.splice(0)) old.destroy();
      document.body.replaceChildren();
      for (const piece of pieces) {
        const host = document.createElement("div");
        host.style.cssText = "float:left;margin:4px";
        document.body.append(host);
        w.running_.push(new w.player_.Player(host, { env, project, piece }));
      }
    },
    env as never,
    project as never,
    pieces,
  );

interface Frames {
  readonly rate: number;
  readonly script: number;
  readonly worst: number;
}

/**
 * What the frames of a while were like: how many a second, and the script of one, in the middle and
 * of the slowest twentieth; ms.
 */
const watch = async (page: Page, ms: number): Promise<Frames> => {
  await page.evaluate(() => Object.assign(globalThis, { script_: new Map(), on_: true }));
  await sleep(ms);
  return page.evaluate(() => {
    const w = globalThis as unknown as Stand;
    w.on_ = false;
    const times = [...w.script_.keys()];
    const sorted = [...w.script_.values()].sort((a, b) => a - b);
    const at = (share: number) => sorted[Math.floor(sorted.length * share)] ?? NaN;
    return {
      rate: ((times.length - 1) * 1000) / ((times.at(-1) ?? 0) - (times[0] ?? 0)),
      script: at(0.5),
      worst: at(0.95),
    };
  });
};

const told = ({ rate, script, worst }: Frames): string =>
  `${rate.toFixed(0)} frames/s, script ${script.toFixed(1)} ms a frame (19 of 20 under ${worst.toFixed(1)} ms)`;

/** What the page's script holds once what nobody needs is gone, MB. */
const held = async (page: Page): Promise<number> => {
  const session = await page.createCDPSession();
  await session.send("HeapProfiler.collectGarbage");
  const { usedSize } = await session.send("Runtime.getHeapUsage");
  await session.detach();
  return usedSize / 1e6;
};

const LAYERS = 500;
const kinds: readonly {
  readonly name: string;
  readonly rest: Record<string, Value>;
  readonly to: (i: number) => Record<string, Value>;
}[] = [
  { name: "moving", rest: {}, to: (i) => ({ x: 760 - (i % 25) * 30, y: 10 + ((i * 7) % 500) }) },
  {
    name: "moving, turning, fading, changing colour",
    rest: {},
    to: (i) => ({
      x: 760 - (i % 25) * 30,
      y: 10 + ((i * 7) % 500),
      rotation: 90,
      opacity: 0.5,
      fill: "#1f6f5c",
    }),
  },
  {
    name: "6 properties with size, corners and shadow",
    rest: { shadow: cast(1) },
    to: (i) => ({
      x: 760 - (i % 25) * 30,
      width: 32,
      fill: "#1f6f5c",
      radius: [8, 8, 8, 8],
      opacity: 0.6,
      shadow: cast(6),
    }),
  },
];

/** What the player costs in a browser while much moves. */
export const frames = async (env: LayoutEnv, line: Line): Promise<void> => {
  const { browser, close } = await launch();
  try {
    const page = await standPage(browser);
    const motion: Motion = { kind: "tween", duration: 60_000, delay: 0, easing: "linear" };
    for (const { name, rest, to } of kinds) {
      const made = fleet(LAYERS, rest, to, motion);
      await putIn(page, env, made.project, [made.piece]);
      await page.mouse.click(400, 300);
      await sleep(700);
      line(`player: ${LAYERS} layers ${name}`, told(await watch(page, 3000)));
    }
    const harbour = buoys(20);
    await putIn(page, env, harbour.project, [harbour.piece]);
    await sleep(1000);
    line(
      "player: a screen with 20 running copies, 18 loops in each",
      told(await watch(page, 3000)),
    );
    const before = await held(page);
    const minute = await watch(page, 60_000);
    line(
      "player: the same for a minute of real time",
      `${told(minute)}; memory ${before.toFixed(2)} MB before, ${(await held(page)).toFixed(2)} MB after`,
    );
    const alone = buoys(1);
    await putIn(
      page,
      env,
      alone.project,
      Array.from({ length: 20 }, () => alone.piece),
    );
    await sleep(1000);
    line("player: 20 players in one page, 18 loops in each", told(await watch(page, 3000)));
  } finally {
    await close();
  }
};
