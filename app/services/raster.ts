import { markup } from "#core/paint";
import type { Paint } from "#core/paint";

/** What of a picture is shown, and how large it is made. */
export interface View {
  /** px of the picture */
  readonly width: number;
  readonly height: number;
  /** px of what is painted */
  readonly box: readonly [x: number, y: number, width: number, height: number];
  /** fonts, as CSS */
  readonly style: string;
  /** where kept files are, by their hash */
  readonly address: (hash: string) => string;
}

/** Paint as an SVG that stands alone. */
export const standAlone = (paint: Paint, { width, height, box, style, address }: View): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="${box.join(" ")}"><style>${style}</style>${markup(paint, address)}</svg>`;

/** Draws an SVG text into a canvas, as large as that is; on a colour, or clear. */
export const rasterise = async (
  svg: string,
  canvas: HTMLCanvasElement,
  ground: string | null,
): Promise<CanvasRenderingContext2D> => {
  const context = canvas.getContext("2d", { willReadFrequently: true });
  if (!context) throw new Error("the browser gives no canvas");
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await image.decode();
  context.clearRect(0, 0, canvas.width, canvas.height);
  if (ground !== null) {
    context.fillStyle = ground;
    context.fillRect(0, 0, canvas.width, canvas.height);
  }
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  return context;
};
