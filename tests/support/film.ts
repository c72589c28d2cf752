import { setTimeout as sleep } from "node:timers/promises";
import type { Page } from "puppeteer-core";

/** Where something is, px of the window. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A painted layer as one sees it, px of the window. */
export interface Shown extends Box {
  fill: string | null;
}

/** The layers one asked for, each null where it is not painted. */
export type Frame = readonly (Shown | null)[];

/** What moves has come to rest once it is the same for so long, ms. */
const REST_MS = 400;
/** Something has to move within so long, and come to rest, ms. */
const LONGEST_MS = 8_000;
/** With longer between two of its frames a film does not tell how things moved, ms. */
const GAP_MS = 60;
/** A machine busy elsewhere draws too few frames: so many films are taken. */
const TAKES = 10;

interface Camera {
  isOn: boolean;
  /** when each frame was drawn, ms */
  times: number[];
  frames: Frame[];
  /** when something was seen to move last, ms; null before anything has */
  moved: number | null;
}

/** Runs in the page: looks at layers once, or in every frame from now on. */
const look = (host: string, ids: readonly string[], isFilmed: boolean): Frame => {
  const now = (): Frame =>
    ids.map((id) => {
      const g = [...document.querySelectorAll(`${host} [data-layer]`)]
        .filter((e) => e.getAttribute("data-layer") === id)
        .at(-1);
      const shape =
        g &&
        [...g.children].find(
          (c) =>
            ["rect", "ellipse", "path", "text"].includes(c.tagName) &&
            !(c as SVGElement).style.filter,
        );
      const box = shape?.getBoundingClientRect();
      return box
        ? {
            x: box.x,
            y: box.y,
            width: box.width,
            height: box.height,
            fill: shape?.getAttribute("fill") ?? null,
          }
        : null;
    });
  if (!isFilmed) return now();
  const camera: Camera = { isOn: true, times: [], frames: [], moved: null };
  (window as unknown as { camera_: Camera }).camera_ = camera;
  const draw = () => {
    if (!camera.isOn) return;
    const before = camera.frames.at(-1);
    const frame = now();
    const at = performance.now();
    if (before && JSON.stringify(before) !== JSON.stringify(frame)) camera.moved = at;
    camera.frames.push(frame);
    camera.times.push(at);
    requestAnimationFrame(draw);
  };
  requestAnimationFrame(draw);
  return [];
};

/** Runs in the page: how long all has been at rest, ms; null before anything moved. */
const restOf = (): number | null => {
  const { camera_: camera } = window as unknown as { camera_: Camera };
  const drawn = camera.times.at(-1);
  return camera.moved === null || drawn === undefined ? null : drawn - camera.moved;
};

/** Runs in the page: ends the film. */
const cut = (): Camera => {
  const { camera_: camera } = window as unknown as { camera_: Camera };
  camera.isOn = false;
  return camera;
};

/** The longest time between two frames while things moved, ms. */
const longestGap = ({ times, moved }: Camera): number =>
  Math.max(
    ...times.slice(1).map((at, i) => (moved !== null && at <= moved ? at - (times[i] ?? at) : 0)),
  );

/** Painted layers in a running scene, as they are on screen this moment. */
export const shownIn = (page: Page, host: string, ids: readonly string[]): Promise<Frame> =>
  page.evaluate(look, host, ids, false);

/**
 * Painted layers frame by frame, from before something is done until all is at rest. Where the
 * machine drew too few frames to tell how they moved, all is put back and filmed anew.
 *
 * @throws Error if nothing moves, if what moves never rests, or if no film has its frames
 */
export const filmOf = async (
  page: Page,
  scene: { host: string; ids: readonly string[] },
  act: () => Promise<unknown>,
  putBack: () => Promise<unknown>,
): Promise<readonly Frame[]> => {
  const gaps: number[] = [];
  for (let take = 0; take < TAKES; take++) {
    if (take > 0) await putBack();
    await page.evaluate(look, scene.host, scene.ids, true);
    await act();
    const end = Date.now() + LONGEST_MS;
    let rest: number | null = null;
    while (rest === null || rest < REST_MS) {
      if (Date.now() > end) {
        throw new Error(rest === null ? "nothing moved" : "what moves did not come to rest");
      }
      await sleep(50);
      rest = await page.evaluate(restOf);
    }
    const film = await page.evaluate(cut);
    const gap = longestGap(film);
    if (gap <= GAP_MS) return film.frames;
    gaps.push(Math.round(gap));
  }
  throw new Error(`too few frames were drawn: up to ${gaps.join(", ")} ms between two`);
};
