import type { GradientParts, Part, Parts } from "../../../project";
import type { Stop } from "../../../properties";
import { isList, isObject } from "../json";
import type { Json, JsonObject } from "../json";
import { readColour, writeColour } from "./colour";
import type { Kind, Reader } from "./kind";
import { readNumber } from "./number";

const MOST = 24;
/** As CSS draws a gradient that names no direction: downwards. */
const DOWN = 180;

const clamped = (n: number): number => Math.min(1, Math.max(0, n));

const readStop = (json: Json, { part, plain }: Reader): Parts<Stop> | undefined => {
  if (!isObject(json)) return undefined;
  const colour: Part<string> | undefined = part(json.color, "colour", readColour);
  const at = plain(json.position, readNumber);
  return colour === undefined || at === undefined ? undefined : { at: clamped(at), colour };
};

const shapeOf = (value: GradientParts): JsonObject =>
  value.kind === "linear"
    ? { kind: "linear", angle: value.angle }
    : { kind: "radial", centre: value.centre, radii: value.radii };

const isUsual = (value: GradientParts): boolean => value.kind === "linear" && value.angle === DOWN;

/** Colours along an axis (§9.6); which way it runs is not for the format to say. */
export const gradientKind: Kind<GradientParts> = {
  name: "gradient",
  type: "gradient",
  read: (json, reader) => {
    if (!isList(json)) return undefined;
    const read = json.map((stop) => readStop(stop, reader));
    const stops = read.filter((stop) => stop !== undefined);
    const isWhole = stops.length === read.length && stops.length >= 2 && stops.length <= MOST;
    return isWhole ? { kind: "linear", angle: DOWN, stops } : undefined;
  },
  write: ({ stops }, part) =>
    stops.map(({ at, colour }) => ({
      color: part(colour, writeColour),
      position: part(at, clamped),
    })),
  more: (value) => (isUsual(value) ? undefined : { gradient: shapeOf(value) }),
  withMore: (value, more) =>
    isObject(more.gradient) ? { ...more.gradient, stops: value.stops } : value,
};
