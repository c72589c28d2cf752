import { wrap } from "comlink";
import type { LayoutBox } from "#core/layout";
import { paint } from "#core/paint";
import type { Paint } from "#core/paint";
import type { Pictures } from "../../../workers/pictures";
import { embedded } from "../../services/embed";
import { rasterise, standAlone } from "../../services/raster";

/** How a change is filmed. */
export interface Filming {
  readonly kind: "gif" | "png" | "svg";
  /** px of the picture per px of the piece */
  readonly scale: number;
  /** frames per second */
  readonly rate: number;
  /** a CSS colour behind the piece; null: clear (not of a GIF) */
  readonly ground: string | null;
  /** px of the piece around it */
  readonly margin: number;
  /** ms the end is shown before it begins again */
  readonly pause: number;
}

/** More frames than this are not filmed. */
const MOST_FRAMES = 600;

/** The moments of a film, ms from the beginning: its end is always among them. */
export const momentsOf = (length: number, rate: number): number[] => {
  const step = 1000 / rate;
  const count = Math.min(MOST_FRAMES - 1, Math.ceil(length / step - 1e-9));
  return [...Array.from({ length: count }, (_, i) => i * step), length];
};

const pngOf = (canvas: HTMLCanvasElement): Promise<Uint8Array> =>
  new Promise((done, fail) => {
    canvas.toBlob((blob) => {
      if (blob) void blob.arrayBuffer().then((b) => done(new Uint8Array(b)));
      else fail(new Error("no picture"));
    }, "image/png");
  });

/** Work goes on for so long at a time, ms: then the page may answer. */
const BREATH = 12;
/** The part of the progress that painting the frames is. */
const PAINTED = 0.3;

const painted = async (
  frameAt: (ms: number) => LayoutBox,
  moments: readonly number[],
  tell: (done: number) => void,
  cancelled: () => boolean,
): Promise<Paint[] | null> => {
  const frames: Paint[] = [];
  let since = performance.now();
  for (const [i, moment] of moments.entries()) {
    frames.push(paint(frameAt(moment)));
    if (performance.now() - since < BREATH) continue;
    tell((PAINTED * (i + 1)) / moments.length);
    await new Promise((next) => setTimeout(next));
    if (cancelled()) return null;
    since = performance.now();
  }
  return frames;
};

/**
 * Films a change: each moment is painted as the player paints it, and put together in a worker, as
 * pictures drawn by the browser or as one SVG that moves. Tells how far it is (0–1); null when it
 * was cancelled.
 */
export const film = async (
  frameAt: (ms: number) => LayoutBox,
  size: { readonly width: number; readonly height: number },
  length: number,
  how: Filming,
  tell: (done: number) => void,
  cancelled: () => boolean,
): Promise<Uint8Array | null> => {
  const moments = momentsOf(length, how.rate);
  const frames = await painted(frameAt, moments, tell, cancelled);
  if (!frames) return null;
  const { style, address, pictures: addresses } = await embedded(frames);
  const { margin, scale, ground, pause } = how;
  const worker = new Worker(new URL("../../../workers/pictures.ts", import.meta.url), {
    type: "module",
  });
  const pictures = wrap<Pictures>(worker);
  try {
    if (how.kind === "svg") {
      const bytes = await pictures.svg(
        frames,
        moments,
        size.width,
        size.height,
        { margin, scale, ground, pause, style },
        addresses,
      );
      return cancelled() ? null : bytes;
    }
    const w = size.width + 2 * margin;
    const h = size.height + 2 * margin;
    const canvas = document.createElement("canvas");
    const files: Record<string, Uint8Array> = {};
    canvas.width = Math.round(w * scale);
    canvas.height = Math.round(h * scale);
    if (how.kind === "gif") await pictures.begin(canvas.width, canvas.height);
    for (const [i, frame] of frames.entries()) {
      if (cancelled()) return null;
      const svg = standAlone(frame, {
        width: canvas.width,
        height: canvas.height,
        box: [-margin, -margin, w, h],
        style,
        address,
      });
      const context = await rasterise(
        svg,
        canvas,
        how.kind === "gif" ? (ground ?? "#ffffff") : ground,
      );
      if (how.kind === "gif")
        await pictures.add(
          context.getImageData(0, 0, canvas.width, canvas.height).data,
          i === frames.length - 1 ? pause : 1000 / how.rate,
        );
      else files[`${String(i + 1).padStart(4, "0")}.png`] = await pngOf(canvas);
      tell(PAINTED + ((1 - PAINTED) * (i + 1)) / frames.length);
    }
    return how.kind === "gif" ? await pictures.end() : await pictures.zip(files);
  } finally {
    worker.terminate();
  }
};
