export { ENDING, LARGEST_FILE, manifestSchema, MEDIA_TYPE } from "./file";
export type { Entries, KeptEdition, KeptFile, NamedProject, ProjectFile } from "./file";
export { readEntries } from "./read";
export type { ReadProjectFile } from "./read";
export { projectFileWords } from "./words";
export { projectEntries } from "./write";
