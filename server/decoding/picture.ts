import sharp from "sharp";
import { Unreadable } from "./bytes";

/** Longest side of a picture, px: browsers cannot be trusted to paint larger ones. */
const LONGEST_SIDE = 8192;
/**
 * Pixels of a picture: as many as four bytes each may take of the memory of everybody who sees it.
 */
const MOST_PIXELS = 40_000_000;
const MOST_FRAMES = 500;

const types = {
  png: "image/png",
  jpeg: "image/jpeg",
  webp: "image/webp",
  gif: "image/gif",
} as const;
type Format = keyof typeof types;
const isTaken = (format: string | undefined): format is Format =>
  format !== undefined && Object.hasOwn(types, format);

/** What Nubble must know of a picture file. */
export interface PictureFacts {
  readonly type: (typeof types)[Format];
  readonly width: number;
  readonly height: number;
}

sharp.cache(false);
sharp.concurrency(1);

/**
 * Pictures turned by their camera (Exif orientation 5 to 8) are as wide as they are stored high.
 */
const shownSize = (
  width: number,
  height: number,
  orientation = 1,
): { width: number; height: number } =>
  orientation >= 5 ? { width: height, height: width } : { width, height };

/**
 * Reads a picture file (PNG, JPEG, WebP, GIF) to its end: a header alone would be believed
 * otherwise. What it claims is checked before anything is unpacked; throws `Unreadable` with the
 * reason.
 */
export const readPicture = async (bytes: Uint8Array): Promise<PictureFacts> => {
  const options = {
    failOn: "error",
    limitInputPixels: MOST_PIXELS,
    sequentialRead: true,
    unlimited: false,
  } as const;
  const {
    format,
    width,
    height,
    orientation,
    pages = 1,
  } = await sharp(bytes, { ...options, limitInputPixels: false })
    .metadata()
    .catch(() => {
      throw new Unreadable("the file is not a supported image. Use PNG, JPEG, WebP or GIF");
    });
  if (!isTaken(format))
    throw new Unreadable(`images of type ${format} are not supported. Use PNG, JPEG, WebP or GIF`);
  if (!(width > 0) || !(height > 0)) throw new Unreadable("the picture has no size");
  if (Math.max(width, height) > LONGEST_SIDE)
    throw new Unreadable(
      `the picture is ${width} × ${height} px; ${LONGEST_SIDE} px is the longest side`,
    );
  if (width * height > MOST_PIXELS)
    throw new Unreadable(
      `the image has ${Math.round((width * height) / 1e6)} million pixels; the limit is ${MOST_PIXELS / 1e6} million`,
    );
  if (pages > MOST_FRAMES)
    throw new Unreadable(`the image has ${pages} frames; the limit is ${MOST_FRAMES}`);
  // every pixel is unpacked and thrown away
  await sharp(bytes, options)
    .stats()
    .catch(() => {
      throw new Unreadable("the image file is damaged or incomplete");
    });
  return { type: types[format], ...shownSize(width, height, orientation) };
};
