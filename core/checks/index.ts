export { check, checked } from "./check";
export type { Checked } from "./check";
export { valueKey } from "./map";
export type { MapLink, PieceMap } from "./map";
export { neighbourhood } from "./reduce";
export { traitSpace } from "./traitspace";
export { findingId } from "./types";
export type { Finding } from "./types";
export { roleFor } from "./spoken";
