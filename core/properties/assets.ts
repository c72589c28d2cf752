import type { Id } from "../basics";

/** The files pictures come in, as media types (RFC 6838). */
export const pictureTypes = ["image/png", "image/jpeg", "image/webp", "image/gif"] as const;
export type PictureType = (typeof pictureTypes)[number];

/** One part of an icon's drawing: path data in the icon's own units. */
export interface IconShape {
  readonly d: string;
  readonly holes: boolean;
}

/**
 * An icon the project uses, with its drawing: projects do not depend on the catalogue it came from.
 */
export interface IconAsset {
  readonly id: Id;
  readonly kind: "icon";
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly IconShape[];
}

/** A picture the project uses; its bytes are kept once, by their SHA-256. */
export interface PictureAsset {
  readonly id: Id;
  readonly kind: "picture";
  readonly name: string;
  readonly hash: string;
  readonly type: PictureType;
  readonly width: number;
  readonly height: number;
  readonly bytes: number;
}

/** A font file a project brings along, for one weight of one family. */
export interface FontAsset {
  readonly id: Id;
  readonly kind: "font";
  readonly name: string;
  readonly hash: string;
  readonly family: string;
  readonly weight: string;
  readonly bytes: number;
}
export type Asset = IconAsset | PictureAsset | FontAsset;
