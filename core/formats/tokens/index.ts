export { readTokens } from "./read";
export type { ReadToken, ReadTokens, ThemedValue, TokenFile } from "./read";
export type { FileGroup, Problem } from "./file";
export { groupText } from "./names";
export { renamed } from "./renamed";
export { sameJson } from "./same";
export { cssOf } from "./css/css";
export { scssOf } from "./css/scss";
export { writeTokens } from "./write";
