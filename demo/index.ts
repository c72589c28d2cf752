import { orderAfter } from "#core/project";
import type { Piece, Project } from "#core/project";
import { piece } from "./build";
import { alertSwitch, bicycleTickBox } from "./components";
import { cabinClimate, tripSettings } from "./screens";

/** The demo project: the design system and the app of Kelpway Ferries, an island ferry company we made up. */
export const kelpwayKit = (): Project => {
  const pieces: Piece[] = [];
  for (const source of [alertSwitch, bicycleTickBox, tripSettings, cabinClimate]) pieces.push(piece(source, orderAfter(pieces)));
  return { format: 1, name: "Kelpway kit", start: "trip-settings", pieces: Object.fromEntries(pieces.map((p) => [p.id, p])), tokens: {}, assets: {} };
};
