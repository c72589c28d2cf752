import { openDatabase } from "./database";
import { ProjectLog } from "./log";

export { openDatabase } from "./database";
export { migrate } from "./migrations";
export { ProjectDamaged, ProjectLog } from "./log";
export type { AppendResult, Listed, Missed, Snapshot } from "./log";
export { troubleOf } from "./trouble";
export { LARGEST_FONT, LARGEST_PICTURE, readAsset, readAssetFace, storeAsset } from "./assets";
export type { StoreAnswer } from "./assets";
export { appendRequest, newProjectRequest, sinceRequest, watchRequest } from "./requests";

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
export { decodeApart } from "./decoding/apart";
export { decodeHere } from "./decoding/decode";
export { readProposal } from "./decoding/change";
export { Unreadable } from "./decoding/bytes";
