import pixelmatch from "pixelmatch";
import type { LayoutBox } from "#core/layout";
import { paint } from "#core/paint";
import type { Paint } from "#core/paint";
import { embedded } from "../services/embed";
import { rasterise, standAlone } from "../services/raster";

/** In how many of their pixels two pictures differ, and where. */
export interface PixelDifference {
  /** 0–1 */
  readonly share: number;
  /** the second picture with what differs marked, as an address */
  readonly picture: string;
}

/** Larger pictures are compared at less than one pixel a pixel, px. */
const MOST_PIXELS = 1_200_000;
/** What differs is marked in the colour of what is live. */
const MARK: [number, number, number] = [217, 98, 43];

const scaleOf = (width: number, height: number): number =>
  Math.min(2, Math.sqrt(MOST_PIXELS / Math.max(1, width * height)));

interface Size {
  readonly width: number;
  readonly height: number;
}

const pixelsOf = async (
  paints: Paint,
  size: Size,
  scale: number,
  kept: { readonly style: string; readonly address: (hash: string) => string },
): Promise<ImageData> => {
  const canvas = document.createElement("canvas");
  canvas.width = Math.ceil(size.width * scale);
  canvas.height = Math.ceil(size.height * scale);
  const { width, height } = size;
  const svg = standAlone(paints, {
    width: canvas.width,
    height: canvas.height,
    box: [0, 0, width, height],
    ...kept,
  });
  const context = await rasterise(svg, canvas, "#ffffff");
  return context.getImageData(0, 0, canvas.width, canvas.height);
};

const addressOf = (pixels: Uint8ClampedArray<ArrayBuffer>, width: number, height: number) => {
  const canvas = document.createElement("canvas");
  canvas.width = width;
  canvas.height = height;
  canvas.getContext("2d")?.putImageData(new ImageData(pixels, width, height), 0, 0);
  return canvas.toDataURL();
};

/** Compares two laid-out trees as they are painted, pixel by pixel (YIQ distance, antialiasing left out). */
export const pixelDifference = async (
  before: LayoutBox,
  after: LayoutBox,
): Promise<PixelDifference> => {
  const size = {
    width: Math.max(before.width, after.width),
    height: Math.max(before.height, after.height),
  };
  const scale = scaleOf(size.width, size.height);
  const paints = [paint(before), paint(after)] as const;
  const kept = await embedded(paints);
  const [was, is] = await Promise.all(paints.map((p) => pixelsOf(p, size, scale, kept)));
  if (!was || !is) throw new Error("nothing was painted");
  const marked = new Uint8ClampedArray(was.data.length);
  const { width, height } = was;
  const options = { threshold: 0.05, diffColor: MARK, alpha: 0.25 };
  const count = pixelmatch(was.data, is.data, marked, width, height, options);
  return { share: count / (width * height), picture: addressOf(marked, width, height) };
};
