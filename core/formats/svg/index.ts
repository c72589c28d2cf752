export { pathInBox } from "./geometry";
export { readIcon } from "./icon";
export { readSvg } from "./read";
export type { Draft, ReadSvg } from "./draft";
