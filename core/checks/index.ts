export { checked } from "./check";
export { explore, MOST_NODES } from "./explore";
export type { Explored } from "./explore";
export { valueKey } from "./map";
export type { MapLink, PieceMap } from "./map";
export { neighbourhood } from "./reduce";
export { traitSpace } from "./traitspace";
export { findingId } from "./types";
export type { CheckKind, Finding } from "./types";
