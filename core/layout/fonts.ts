/**
 * What the computation must know of a font file: advances and kerning, read from the file itself
 * when the app is built. All lengths are in font units; `upm` of them make one em.
 */
export interface Face {
  /** code points this file serves (as in CSS unicode-range), inclusive pairs, ascending */
  readonly ranges: readonly (readonly [number, number])[];
  readonly upm: number;
  readonly ascent: number;
  /** below the baseline, negative */
  readonly descent: number;
  /** advance by character */
  readonly advances: Readonly<Record<string, number>>;
  /**
   * kerning class of a character as the left one, as the right one; characters not named have none
   */
  readonly left: Readonly<Record<string, number>>;
  readonly right: Readonly<Record<string, number>>;
  /** adjustment by left class, then right class */
  readonly kern: readonly (readonly number[])[];
}

/**
 * Faces by "family/weight"; several files may share one weight, each serving its own characters.
 */
export type FontBook = Readonly<Record<string, readonly Face[]>>;

/**
 * The faces for a family and weight: the nearest lighter weight stands in for one that is not
 * shipped, as in CSS font matching.
 */
export const facesFor = (book: FontBook, family: string, weight: string): readonly Face[] => {
  const exact = book[`${family}/${weight}`];
  if (exact) return exact;
  const wanted = Number(weight);
  const weights = Object.keys(book)
    .filter((k) => k.startsWith(`${family}/`))
    .map((k) => Number(k.slice(family.length + 1)))
    .sort((a, b) => a - b);
  const nearest =
    wanted > 500
      ? (weights.find((w) => w >= wanted) ?? weights.at(-1))
      : (weights.findLast((w) => w <= wanted) ?? weights[0]);
  if (nearest === undefined) return Object.values(book)[0] ?? [];
  return book[`${family}/${nearest}`] ?? [];
};

const serves = (face: Face, code: number): boolean =>
  face.ranges.some(([from, to]) => code >= from && code <= to);

/**
 * Wide scripts and pictographs take one em, everything else unknown six tenths: an estimate, since
 * no shipped file has them.
 */
const guess = (code: number): number =>
  code >= 0x1100 && (code <= 0x115f || (code >= 0x2e80 && code <= 0xffdc) || code >= 0x1f000)
    ? 1
    : 0.6;

/**
 * Width in px of a text on one line, as Chromium sets it with ligatures off, kerning on and
 * geometric precision: advances and pair kerning within each font file, letter spacing after every
 * character.
 */
export const widthOf = (
  faces: readonly Face[],
  text: string,
  size: number,
  spacing: number,
): number => {
  let width = 0;
  let count = 0;
  let lastFace: Face | undefined;
  let last = "";
  for (const char of text) {
    const code = char.codePointAt(0) ?? 0;
    const face = faces.find((f) => serves(f, code) && f.advances[char] !== undefined);
    if (!face) width += guess(code) * size;
    else {
      const scale = size / face.upm;
      width += (face.advances[char] ?? 0) * scale;
      if (face === lastFace) {
        const l = face.left[last];
        const r = face.right[char];
        if (l !== undefined && r !== undefined) width += (face.kern[l]?.[r] ?? 0) * scale;
      }
    }
    lastFace = face;
    last = char;
    count++;
  }
  return width + count * spacing;
};
