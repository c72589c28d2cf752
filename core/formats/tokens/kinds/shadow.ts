import type { Parts } from "../../../project";
import type { Shadow } from "../../../properties";
import { isList, isObject } from "../json";
import type { Json } from "../json";
import { readColour, writeColour } from "./colour";
import type { Kind, Reader, WritePart } from "./kind";
import { readLength, writeLength } from "./length";

const MOST = 12;

const readOne = (json: Json, { part, plain }: Reader): Parts<Shadow> | undefined => {
  if (!isObject(json)) return undefined;
  const colour = part(json.color, "colour", readColour);
  const x = part(json.offsetX, "length", readLength);
  const y = part(json.offsetY, "length", readLength);
  const blur = part(json.blur ?? 0, "length", readLength);
  const spread = part(json.spread ?? 0, "length", readLength);
  const inset = plain(json.inset ?? false, (value) => value === true);
  if (colour === undefined || x === undefined || y === undefined) return undefined;
  if (blur === undefined || spread === undefined) return undefined;
  return { x, y, blur, spread, colour, ...(inset ? { inner: true } : {}) };
};

const writeOne = (shadow: Parts<Shadow>, part: WritePart): Json => ({
  color: part(shadow.colour, writeColour),
  offsetX: part(shadow.x, writeLength),
  offsetY: part(shadow.y, writeLength),
  blur: part(shadow.blur, writeLength),
  spread: part(shadow.spread, writeLength),
  ...(shadow.inner === true ? { inset: true } : {}),
});

/** One shadow or several, the first in front (§9.5). */
export const shadowKind: Kind<readonly Parts<Shadow>[]> = {
  name: "shadow",
  type: "shadow",
  read: (json, reader) => {
    const list = isList(json) ? json : [json];
    const shadows = list.map((one) => readOne(one, reader));
    const read = shadows.filter((s) => s !== undefined);
    return read.length === shadows.length && read.length <= MOST ? read : undefined;
  },
  write: (value, part) => {
    const list = value.map((one) => writeOne(one, part));
    return list.length === 1 && list[0] !== undefined ? list[0] : list;
  },
};
