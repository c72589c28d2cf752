import "./zod";
import "#core/combine";
import { animatedSvg } from "#core/formats/motion";
import type { AnimatedOptions } from "#core/formats/motion";
import type { Paint } from "#core/paint";
import { expose } from "comlink";
import { zipSync } from "fflate";
import { applyPalette, GIFEncoder, quantize } from "gifenc";

let gif: {
  readonly writer: ReturnType<typeof GIFEncoder>;
  readonly width: number;
  readonly height: number;
} | null = null;

const pictures = {
  /** A new GIF (GIF89a) of a size, px. */
  begin(width: number, height: number): void {
    gif = { writer: GIFEncoder(), width, height };
  },

  /**
   * One more frame: RGBA pixels, and for how long it is shown, ms (GIF knows hundredths of a
   * second).
   */
  add(pixels: Uint8ClampedArray, ms: number): void {
    if (!gif) throw new Error("no picture was begun");
    const palette = quantize(pixels, 256, { format: "rgb565" });
    gif.writer.writeFrame(applyPalette(pixels, palette, "rgb565"), gif.width, gif.height, {
      palette,
      delay: ms,
      repeat: 0,
    });
  },

  /** The finished file. */
  end(): Uint8Array {
    if (!gif) throw new Error("no picture was begun");
    gif.writer.finish();
    const bytes = gif.writer.bytes();
    gif = null;
    return bytes;
  },

  /**
   * A moving SVG of frames and their times (ms); `addresses` say where kept pictures are, by their
   * hash.
   */
  svg(
    frames: readonly Paint[],
    times: readonly number[],
    width: number,
    height: number,
    options: Omit<AnimatedOptions, "address">,
    addresses: ReadonlyMap<string, string>,
  ): Uint8Array {
    return new TextEncoder().encode(
      animatedSvg(frames, times, width, height, {
        ...options,
        address: (hash) => addresses.get(hash) ?? "",
      }),
    );
  },

  /** Files as one ZIP, as they are: pictures are packed already. */
  zip(files: Readonly<Record<string, Uint8Array>>): Uint8Array {
    return zipSync(files, { level: 0 });
  },
};
export type Pictures = typeof pictures;
expose(pictures);
