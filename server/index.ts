import { openDatabase } from "./database";
import { ProjectLog } from "./log";

export { LARGEST_FONT, LARGEST_PICTURE, readAsset, readAssetFace, storeAsset } from "./assets";
export type { StoreAnswer } from "./assets";
export type { Missed } from "./changes";
export { openDatabase } from "./database";
export { decodeApart } from "./decoding/apart";
export { decodeHere } from "./decoding/decode";
export { ProjectDamaged, ServerOutdated, ProjectLog } from "./log";
export type { AppendResult, Listed, Snapshot } from "./log";
export { migrate } from "./migrations";
export { newProjectRequest, sinceRequest, watchRequest } from "./requests";
export { isShownKey, shownAddress } from "./shown";
export { troubleOf } from "./trouble";

let shared: ProjectLog | undefined;

/** The log this server process works on, at the address in DATABASE_URL. */
export const projectLog = (): ProjectLog => {
  if (!shared) {
    const url = process.env.DATABASE_URL;
    if (!url) throw new Error("DATABASE_URL is not set: start Nubble with ./nubble start");
    shared = new ProjectLog(openDatabase(url));
  }
  return shared;
};
