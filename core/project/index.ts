export * from "./types";
export { byOrder, inOrder, newId, orderAfter, orderAt } from "./ids";
export { apply, changeSchema, merge, remove, set } from "./change";
export type { Change, Op } from "./change";
export { accept } from "./accept";
export type { Accepted } from "./accept";
export { brokenTree, issueText, readProject, upgrade } from "./schema";
