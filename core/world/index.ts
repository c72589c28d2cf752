export { kindsOf } from "./kinds";
export { partsOf } from "./parts";
export { Renaming } from "./renaming";
export type { Names } from "./renaming";
export { ownPieces, ownRecords } from "./own";
export { MOST_SEEN, countSeen, missingEditions, worldOf } from "./world";
export type { Editions } from "./world";
