export { readTokens } from "./read";
export type { FileTheme, ReadToken, ReadTokens, ThemedValue, TokenFile } from "./read";
export type { FileGroup, Problem } from "./file";
export { OURS } from "./made";
export { renamed } from "./renamed";
export { sameJson } from "./same";
export { ownPath, pathsOf } from "./names";
export { writeTokens } from "./write";
export type { WrittenFile } from "./write";
