import { openDatabase } from "./database";
import { Editions } from "./editions";
import { ProjectLog } from "./log/log";
import { Projects } from "./projects";

export { LARGEST_FONT, LARGEST_PICTURE, readAsset, readAssetFace, storeAsset } from "./assets";
export type { StoreAnswer } from "./assets";
export type { Missed } from "./log/changes";
export { editionContent, editionsSeenBy } from "./contents";
export type { EditionAnswer } from "./contents";
export { openDatabase } from "./database";
export { decodeApart } from "./decoding/apart";
export { decodeHere } from "./decoding/decode";
export { examine } from "./keeping/doctor";
export type { Ailment } from "./keeping/doctor";
export { Editions } from "./editions";
export type { Adopter, EditionAbout, PublishAnswer } from "./editions";
export { exportProject } from "./files/export";
export { importProject } from "./files/import";
export type { Imported } from "./files/import";
export { packsApart, packsHere } from "./files/packer";
export { changedAt, createdAt, sittingsBefore } from "./history/history";
export type { Sittings, Told } from "./history/history";
export { momentsOf, MOST_MOMENTS, nameMoment } from "./history/moments";
export type { Moment } from "./history/moments";
export { browserOf, noteWindow } from "./history/windows";
export { listBin, listProjects } from "./listing";
export type { Binned, Listed } from "./listing";
export type { AppendResult } from "./log/append";
export { ProjectDamaged } from "./log/damage";
export type { News } from "./log/feeds";
export { ServerOutdated, ProjectLog } from "./log/log";
export type { Snapshot } from "./log/log";
export type { Head } from "./log/states";
export { logger } from "./logger";
export { metrics, noteProcess, openStreams, requests } from "./metrics";
export { alone, migrate } from "./migrations";
export {
  changesRequest,
  editionRequest,
  momentRequest,
  projectsRequest,
  sinceRequest,
  watchRequest,
} from "./requests";
export type { EditionRequest, ProjectsRequest } from "./requests";
export { BIN_DAYS, Projects } from "./projects";
export { isShownKey, shownAddress } from "./shown";
export { pictureAt, pictureOf } from "./pictures/pictures";
export { tileOf } from "./tile";
export type { Tile } from "./tile";
export { troubleOf } from "./trouble";

let shared: ProjectLog | undefined;

/** The log this server process works on, at the address in DATABASE_URL; it hears the others. */
export const projectLog = (): ProjectLog => {
  if (!shared) {
    const url = process.env.DATABASE_URL;
    if (!url) throw new Error("DATABASE_URL is not set: start Nubble with ./nubble start");
    shared = new ProjectLog(openDatabase(url));
    // a pooler that shares connections cannot listen for one of those who share them
    void shared.hearOthers(process.env.DATABASE_LISTEN_URL ?? url);
  }
  return shared;
};

/** The editions that the projects of this server process publish. */
export const editions = (): Editions => new Editions(projectLog());

/** The projects of this server process as wholes. */
export const projects = (): Projects => new Projects(projectLog());
