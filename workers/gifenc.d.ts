declare module "gifenc" {
  type Palette = readonly (readonly number[])[];
  export const GIFEncoder: () => {
    writeFrame(
      index: Uint8Array,
      width: number,
      height: number,
      options: {
        palette?: Palette;
        delay?: number;
        repeat?: number;
        transparent?: boolean;
        transparentIndex?: number;
        dispose?: number;
      },
    ): void;
    finish(): void;
    bytes(): Uint8Array;
  };
  export const quantize: (
    rgba: Uint8Array | Uint8ClampedArray,
    colours: number,
    options?: { format?: "rgb565" | "rgb444" | "rgba4444"; oneBitAlpha?: boolean },
  ) => Palette;
  export const applyPalette: (
    rgba: Uint8Array | Uint8ClampedArray,
    palette: Palette,
    format?: "rgb565" | "rgb444" | "rgba4444",
  ) => Uint8Array;
}
