export { animatedSvg, cssTransform, hashesIn } from "./animated";
export type { AnimatedOptions } from "./animated";
export { cssKeyframes } from "./keyframes";
