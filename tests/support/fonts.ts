import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { inflateSync } from "node:zlib";
import opentype from "opentype.js";

const shipped = (ending: "woff" | "woff2"): Buffer =>
  readFileSync(
    createRequire(import.meta.url).resolve(
      `@fontsource/caveat/files/caveat-latin-700-normal.${ending}`,
    ),
  );

/** A WOFF 1.0 file taken apart into the TrueType file it was made from. */
const unpacked = (woff: Buffer): Buffer => {
  const n = woff.readUInt16BE(12);
  const head = Buffer.alloc(12 + 16 * n);
  const bodies: Buffer[] = [];
  woff.copy(head, 0, 4, 8);
  head.writeUInt16BE(n, 4);
  let at = head.length;
  for (let i = 0; i < n; i++) {
    const entry = 44 + 20 * i;
    const offset = woff.readUInt32BE(entry + 4);
    const packed = woff.readUInt32BE(entry + 8);
    const length = woff.readUInt32BE(entry + 12);
    const bytes = woff.subarray(offset, offset + packed);
    const table = packed < length ? inflateSync(bytes) : bytes;
    woff.copy(head, 12 + 16 * i, entry, entry + 4);
    head.writeUInt32BE(woff.readUInt32BE(entry + 16), 12 + 16 * i + 4);
    head.writeUInt32BE(at, 12 + 16 * i + 8);
    head.writeUInt32BE(length, 12 + 16 * i + 12);
    const padded = Buffer.concat([table, Buffer.alloc((4 - (length % 4)) % 4)]);
    bodies.push(padded);
    at += padded.length;
  }
  return Buffer.concat([head, ...bodies]);
};

/** A font of three letters with cubic outlines, drawn here. */
const drawn = (): Buffer => {
  const glyph = (name: string, unicode: number, advanceWidth: number, width: number) => {
    const path = new opentype.Path();
    path.moveTo(50, 0);
    path.curveTo(50, 300, width, 400, width, 700);
    path.lineTo(width, 0);
    path.close();
    return new opentype.Glyph({ name, unicode, advanceWidth, path });
  };
  const missing = new opentype.Glyph({
    name: ".notdef",
    unicode: 0,
    advanceWidth: 500,
    path: new opentype.Path(),
  });
  const font = new opentype.Font({
    familyName: "Tidemark",
    styleName: "Regular",
    unitsPerEm: 1000,
    ascender: 800,
    descender: -200,
    glyphs: [
      missing,
      glyph("a", 97, 640, 600),
      glyph("b", 98, 320, 300),
      glyph("space", 32, 250, 60),
    ],
  });
  return Buffer.from(font.toArrayBuffer());
};

/** The same kind of file in every form people have fonts in. */
export const fontFiles = {
  woff2: shipped("woff2"),
  woff: shipped("woff"),
  ttf: unpacked(shipped("woff")),
  otf: drawn(),
} as const;
