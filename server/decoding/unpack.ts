import { createRequire } from "node:module";
import { inflateSync } from "node:zlib";
import { Batches } from "../batches";
import { Reader, Unreadable } from "./bytes";
import { LARGEST_SFNT } from "./sfnt";

const tooLarge = (bytes: number): Unreadable =>
  new Unreadable(
    `it unpacks to ${Math.round(bytes / 1e6)} MB; ${LARGEST_SFNT / 1e6} MB is the limit`,
  );

const pad = (length: number): number => (length + 3) & ~3;

/** WOFF 1.0 (W3C Recommendation): each table packed by itself with zlib. */
const unpackWoff = (file: Reader): Uint8Array => {
  const count = file.u16(12);
  const entries = Array.from({ length: count }, (_, i) => {
    const at = 44 + i * 20;
    return {
      tag: file.part(at, 4),
      offset: file.u32(at + 4),
      packed: file.u32(at + 8),
      length: file.u32(at + 12),
      sum: file.part(at + 16, 4),
    };
  });
  const head = 12 + count * 16;
  const total = entries.reduce((sum, e) => sum + pad(e.length), head);
  if (total > LARGEST_SFNT) throw tooLarge(total);
  const out = new Uint8Array(total);
  const view = new DataView(out.buffer);
  out.set(file.part(4, 4), 0);
  view.setUint16(4, count);
  let at = head;
  for (const [i, entry] of entries.entries()) {
    const packed = file.part(entry.offset, entry.packed);
    const table =
      entry.packed < entry.length ? inflateSync(packed, { maxOutputLength: entry.length }) : packed;
    if (table.length !== entry.length) throw new Unreadable("a table is not as long as it says");
    const record = 12 + i * 16;
    out.set(entry.tag, record);
    out.set(entry.sum, record + 4);
    view.setUint32(record + 8, at);
    view.setUint32(record + 12, entry.length);
    out.set(table, at);
    at += pad(entry.length);
  }
  return out;
};

type Unpack = (bytes: Uint8Array) => Promise<Uint8Array>;

/** One at a time: what unpacking returns lies in its own memory, which the next call writes to. */
const unpacking = new Batches<Uint8Array, Uint8Array>(async (_, files) => {
  const unpack = createRequire(import.meta.url)("wawoff2/decompress.js") as Unpack;
  const found: Uint8Array[] = [];
  for (const bytes of files) found.push((await unpack(bytes)).slice());
  return found;
}, 1);

/** WOFF 2.0 (W3C Recommendation): all tables in one Brotli stream, some of them rewritten. */
const unpackWoff2 = async (file: Reader): Promise<Uint8Array> => {
  const total = file.u32(16);
  if (total > LARGEST_SFNT) throw tooLarge(total);
  if (file.u32(20) > file.length) throw new Unreadable("it ends before what it says it holds");
  const sfnt = await unpacking.run("woff2", file.bytes);
  if (sfnt.length > LARGEST_SFNT) throw tooLarge(sfnt.length);
  return sfnt;
};

/**
 * The plain OpenType font in a TTF, OTF, WOFF or WOFF2 file; throws for what would unpack to too
 * much.
 */
export const unpackFont = async (bytes: Uint8Array): Promise<Uint8Array> => {
  const file = new Reader(bytes);
  switch (file.tag(0)) {
    case "wOFF":
      return unpackWoff(file);
    case "wOF2":
      return unpackWoff2(file);
    default:
      return bytes;
  }
};
