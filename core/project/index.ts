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
export { cleanChange, cleanText, cutText, isCleanText } from "./text";
export type { Change, Op, RestoringOp } from "./change";
export { accept } from "./accept";
export type { Accepted } from "./accept";
export { brokenTree, issueText, readProject, upgrade } from "./schema";
export {
  clashesOf,
  goneFrom,
  isInside,
  isThere,
  overwrittenBy,
  restoredValue,
  touchesAny,
  valueAt,
} from "./history";
export type { Clash, LoggedChange } from "./history";
export { judge, restoreKey, restoringOps } from "./judge";
export type { Proposal, Verdict } from "./judge";
