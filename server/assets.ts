import { createHash } from "node:crypto";
import type { PictureType } from "#core/properties";
import { AssetRow } from "./database";
import { decodeApart } from "./decoding/apart";
import type { Decode } from "./decoding/decode";

/** Largest picture and largest font taken, bytes. */
export const LARGEST_PICTURE = 8_000_000;
export const LARGEST_FONT = 4_000_000;

type StoredPicture = {
  readonly kind: "picture";
  readonly hash: string;
  readonly type: PictureType;
  readonly width: number;
  readonly height: number;
  readonly bytes: number;
};
type StoredFont = {
  readonly kind: "font";
  readonly hash: string;
  readonly family: string;
  readonly weight: string;
  readonly slanted: boolean;
  readonly bytes: number;
};
export type StoreAnswer =
  StoredPicture | StoredFont | { readonly kind: "refused"; readonly reason: string };

const refused = (reason: string): StoreAnswer => ({ kind: "refused", reason });
const megabytes = (n: number): string => `${Math.round(n / 1e5) / 10} MB`;
const hashOf = (bytes: Buffer): string => createHash("sha256").update(bytes).digest("hex");

const isFont = (b: Buffer): boolean =>
  ["wOFF", "wOF2", "OTTO", "true", "ttcf"].includes(b.toString("latin1", 0, 4)) ||
  b.readUInt32BE(0) === 0x00010000;

/**
 * Keeps a picture or font by its contents, once; the reason when it cannot be taken. What the
 * sender calls it is not believed. It is decoded apart unless it is a file of our own.
 */
export const storeAsset = async (
  bytes: Buffer,
  decode: Decode = decodeApart,
): Promise<StoreAnswer> => {
  if (bytes.length < 12) return refused("the file is empty");
  return isFont(bytes) ? storeFont(bytes, decode) : storePicture(bytes, decode);
};

const storePicture = async (bytes: Buffer, decode: Decode): Promise<StoreAnswer> => {
  if (bytes.length > LARGEST_PICTURE)
    return refused(
      `the image is ${megabytes(bytes.length)}; the limit is ${megabytes(LARGEST_PICTURE)}`,
    );
  const decoded = await decode("picture", bytes);
  if (!decoded.ok) return refused(decoded.reason);
  const { type, width, height } = decoded.facts;
  const hash = hashOf(bytes);
  await AssetRow.findOrCreate({ where: { hash }, defaults: { hash, type, bytes, face: null } });
  return { kind: "picture", hash, type, width, height, bytes: bytes.length };
};

const storeFont = async (bytes: Buffer, decode: Decode): Promise<StoreAnswer> => {
  if (bytes.length > LARGEST_FONT)
    return refused(
      `the font is ${megabytes(bytes.length)}; the limit is ${megabytes(LARGEST_FONT)}`,
    );
  const decoded = await decode("font", bytes);
  if (!decoded.ok) return refused(`the font file cannot be read: ${decoded.reason}`);
  const { face, ...about } = decoded.facts;
  const hash = hashOf(bytes);
  await AssetRow.findOrCreate({ where: { hash }, defaults: { hash, type: "font", bytes, face } });
  return { kind: "font", hash, ...about, bytes: bytes.length };
};

const isHash = (text: string): boolean => /^[0-9a-f]{64}$/.test(text);

/** A kept file; null when there is none with this hash. */
export const readAsset = async (hash: string): Promise<{ type: string; bytes: Buffer } | null> => {
  const row = isHash(hash)
    ? await AssetRow.findByPk(hash, { attributes: ["type", "bytes"] })
    : null;
  return row && { type: row.type === "font" ? "font/sfnt" : row.type, bytes: row.bytes };
};

/** What layout must know of a kept font. */
export const readAssetFace = async (hash: string): Promise<AssetRow["face"]> =>
  isHash(hash) ? ((await AssetRow.findByPk(hash, { attributes: ["face"] }))?.face ?? null) : null;
