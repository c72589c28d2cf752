import { createHash } from "node:crypto";
import { imageSize } from "image-size";
import { AssetRow } from "./database";
import { describeFont, readFace } from "./face";

/** Largest picture and largest font taken, bytes. */
export const LARGEST_PICTURE = 8_000_000;
export const LARGEST_FONT = 4_000_000;
/** Longest side of a picture, px: browsers cannot be trusted to paint larger ones. */
const LONGEST_SIDE = 8192;

const types: Readonly<Record<string, string>> = { png: "image/png", jpg: "image/jpeg", webp: "image/webp", gif: "image/gif" };

export type StoredPicture = { readonly kind: "picture"; readonly hash: string; readonly type: string; readonly width: number; readonly height: number; readonly bytes: number };
export type StoredFont = { readonly kind: "font"; readonly hash: string; readonly family: string; readonly weight: string; readonly slanted: boolean; readonly bytes: number };
export type StoreAnswer = StoredPicture | StoredFont | { readonly kind: "refused"; readonly reason: string };

const refused = (reason: string): StoreAnswer => ({ kind: "refused", reason });
const megabytes = (n: number): string => `${Math.round(n / 1e5) / 10} MB`;
const hashOf = (bytes: Buffer): string => createHash("sha256").update(bytes).digest("hex");

const isFont = (b: Buffer): boolean => ["wOFF", "wOF2", "OTTO", "true"].includes(b.toString("latin1", 0, 4)) || b.readUInt32BE(0) === 0x00010000;

/** Whether the end of a picture is there: the header alone would be believed otherwise. */
const isWhole = (bytes: Buffer, type: string): boolean => {
  const tail = bytes.subarray(-64);
  if (type === "png") return tail.includes(Buffer.from("IEND"));
  if (type === "jpg") return bytes.lastIndexOf(Buffer.from([0xff, 0xd9])) > bytes.length - 8192;
  if (type === "gif") return tail.includes(0x3b);
  return bytes.length >= bytes.readUInt32LE(4) + 8;
};

/** Keeps a picture or font by its contents, once; the reason when it cannot be taken. What the sender calls it is not believed. */
export const storeAsset = async (bytes: Buffer): Promise<StoreAnswer> => {
  if (bytes.length < 12) return refused("the file is empty");
  if (isFont(bytes)) return storeFont(bytes);
  if (bytes.length > LARGEST_PICTURE) return refused(`the picture has ${megabytes(bytes.length)}; ${megabytes(LARGEST_PICTURE)} is the most`);
  let size: { width: number; height: number; type?: string | undefined };
  try {
    size = imageSize(bytes);
  } catch {
    return refused("the file is no picture that can be read: PNG, JPEG, WebP, GIF and SVG can");
  }
  const type = types[size.type ?? ""];
  if (!type) return refused(`pictures of the type ${size.type ?? "unknown"} cannot be taken: PNG, JPEG, WebP, GIF and SVG can`);
  if (!(size.width > 0) || !(size.height > 0)) return refused("the picture has no size");
  if (Math.max(size.width, size.height) > LONGEST_SIDE) return refused(`the picture is ${size.width} × ${size.height} px; ${LONGEST_SIDE} px is the longest side`);
  if (!isWhole(bytes, size.type ?? "")) return refused("the picture is cut off: its end is missing");
  const hash = hashOf(bytes);
  await AssetRow.findOrCreate({ where: { hash }, defaults: { hash, type, bytes, face: null } });
  return { kind: "picture", hash, type, width: size.width, height: size.height, bytes: bytes.length };
};

const storeFont = async (bytes: Buffer): Promise<StoreAnswer> => {
  if (bytes.length > LARGEST_FONT) return refused(`the font has ${megabytes(bytes.length)}; ${megabytes(LARGEST_FONT)} is the most`);
  const hash = hashOf(bytes);
  try {
    const about = describeFont(bytes);
    const known = await AssetRow.findByPk(hash, { attributes: ["hash"] });
    if (!known) await AssetRow.findOrCreate({ where: { hash }, defaults: { hash, type: "font", bytes, face: readFace(bytes) } });
    return { kind: "font", hash, ...about, bytes: bytes.length };
  } catch (error) {
    if (error instanceof Error && error.name.startsWith("Sequelize")) throw error;
    return refused("the font file cannot be read: it is broken, or of a kind other than TTF, OTF, WOFF and WOFF2");
  }
};

/** A kept file; null when there is none with this hash. */
export const readAsset = async (hash: string): Promise<{ type: string; bytes: Buffer } | null> => {
  const row = /^[0-9a-f]{64}$/.test(hash) ? await AssetRow.findByPk(hash, { attributes: ["type", "bytes"] }) : null;
  return row && { type: row.type === "font" ? "font/sfnt" : row.type, bytes: row.bytes };
};

/** What layout must know of a kept font. */
export const readAssetFace = async (hash: string): Promise<AssetRow["face"]> => /^[0-9a-f]{64}$/.test(hash) ? ((await AssetRow.findByPk(hash, { attributes: ["face"] }))?.face ?? null) : null;
