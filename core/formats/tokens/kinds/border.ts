import type { BorderValue, Parts } from "../../../project";
import { isObject } from "../json";
import { readColour, writeColour } from "./colour";
import type { Kind } from "./kind";
import { readLength, writeLength } from "./length";
import { readStroke } from "./stroke";

/** Colour, width and style of a line around something (§9.3). */
export const borderKind: Kind<Parts<BorderValue>> = {
  name: "border",
  type: "border",
  read: (json, { part }) => {
    if (!isObject(json)) return undefined;
    const colour = part(json.color, "colour", readColour);
    const width = part(json.width, "length", readLength);
    const style = part(json.style, "stroke", readStroke);
    if (colour === undefined || width === undefined || style === undefined) return undefined;
    return { colour, width, style };
  },
  write: ({ colour, width, style }, part) => ({
    color: part(colour, writeColour),
    width: part(width, writeLength),
    style: part(style, (stroke) => stroke),
  }),
};
