export { scxmlEvent, writeScxml } from "./scxml";
export { readSvg } from "./svg/read";
export type { Draft, Picture, ReadSvg } from "./svg/read";
export { readIcon } from "./svg/icon";
export { pathInBox } from "./svg/geometry";
export { animatedSvg, cssTransform, hashesIn } from "./motion/animated";
export type { AnimatedOptions } from "./motion/animated";
export { cssKeyframes } from "./motion/keyframes";
