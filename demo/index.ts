export { pictureFiles } from "./assets";
export { kelpwayEditions } from "./editions";
export type { DemoEdition } from "./editions";
export { islandApp } from "./island";
export { kelpwayKit } from "./kit";
