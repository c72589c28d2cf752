declare module "subset-font" {
  /** Cuts a font down to the characters of a text. */
  export default function subsetFont(
    font: Buffer,
    text: string,
    options: { readonly targetFormat: "sfnt" | "woff" | "woff2" },
  ): Promise<Buffer>;
}
