export { check, checked } from "./check";
export type { Checked } from "./check";
export { explore, givenValues, MOST_NODES, perform, wayTo } from "./explore";
export type { Doing, Edge, Explored, Mode, Node } from "./explore";
export { MOST_ON_MAP, traitMap, valueKey, variantMap } from "./map";
export type { MapLink, MapNode, PieceMap } from "./map";
export { neighbourhood, reduced } from "./reduce";
export { checkKinds, findingId } from "./types";
export type { CheckKind, Finding } from "./types";
