import { createHash } from "node:crypto";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { Asset, PictureAsset } from "#core/properties";
import { icons } from "./icons";

const pictures = {
  "car-deck": "Car deck",
  saloon: "Saloon",
  "sun-deck": "Sun deck",
  "gull-isle": "Gull Isle",
  saltholm: "Saltholm harbour",
  "night-boat": "Night boat",
  captain: "Captain",
  deckhand: "Deckhand",
} as const;

/**
 * The picture files of the kit, drawn by us: `scripts/pictures.ts` makes them of the drawings
 * beside them. Every command of ours runs at the project's root.
 */
export const pictureFiles = (): { id: string; name: string; bytes: Buffer }[] =>
  Object.entries(pictures).map(([file, name]) => ({
    id: `picture-${file}`,
    name,
    bytes: readFileSync(join(process.cwd(), "demo/pictures", `${file}.png`)),
  }));

const pictureAsset = ({
  id,
  name,
  bytes,
}: {
  id: string;
  name: string;
  bytes: Buffer;
}): PictureAsset => ({
  id,
  kind: "picture",
  name,
  type: "image/png",
  hash: createHash("sha256").update(bytes).digest("hex"),
  width: bytes.readUInt32BE(16),
  height: bytes.readUInt32BE(20),
  bytes: bytes.length,
});

/** Icons and pictures of the kit, by id. */
export const assets = (): Readonly<Record<string, Asset>> =>
  Object.fromEntries([...icons, ...pictureFiles().map(pictureAsset)].map((a) => [a.id, a]));
