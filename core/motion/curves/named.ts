import type { Easing } from "../../project";
import { motionWords } from "../words";
import { springLasting } from "./spring";

/** A curve with a name of its own. */
export interface NamedCurve {
  readonly name: string;
  readonly easing: Easing;
}

/** The CSS words. */
export const cssWords = ["linear", "ease", "ease-in", "ease-out", "ease-in-out"] as const;

/** Curves that have no CSS word, in plain words. */
export const namedCurves: readonly NamedCurve[] = [
  { name: motionWords.spring, easing: springLasting(700, 0.3) },
  { name: motionWords.bounce, easing: { kind: "bounce", times: 3, keeps: 0.3 } },
  { name: motionWords.overshoot, easing: [0.3, 0.2, 0.25, 1.45] },
  { name: motionWords.windUp, easing: { kind: "windup", back: 0.12 } },
  { name: motionWords.steps, easing: { kind: "steps", count: 6, jump: "end" } },
];
