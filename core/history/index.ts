export { opsBetween } from "./difference";
export { fatesBetween, restoreAll, restorePiece } from "./restore";
export type { PieceFate } from "./restore";
export { sittingsOf } from "./sittings";
export type { Entry, Sitting } from "./sittings";
