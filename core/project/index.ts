export * from "./types";
export { byOrder, inOrder, newId, orderAfter, orderAt, tableEntry } from "./ids";
export {
  apply,
  changeSchema,
  isRestoring,
  merge,
  Places,
  related,
  remove,
  same,
  sentOps,
  set,
} from "./change";
export { limits } from "./limits";
export { cleanText, cutText } from "./text";
export type { Change, Op } from "./change";
export { accept } from "./accept";
export { issueText, readProject, upgrade } from "./schema";
export { isInside, overwrittenBy, restoredValue, touchesAny, valueAt } from "./history";
export type { Clash, LoggedChange } from "./history";
export { judge, restoreKey, restoringOps } from "./judge";
export type { Proposal } from "./judge";
