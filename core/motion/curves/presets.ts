import type { Easing } from "../../project";
import { springFrom } from "./spring";
import { motionWords } from "../words";

/** A curve with a name of its own. */
export interface Preset {
  readonly name: string;
  readonly easing: Easing;
}

/** The CSS words. */
export const cssWords = ["linear", "ease", "ease-in", "ease-out", "ease-in-out"] as const;

const whole = (e: Easing): Easing =>
  typeof e === "object" && "kind" in e && e.kind === "spring"
    ? {
        ...e,
        stiffness: Math.round(e.stiffness * 10) / 10,
        damping: Math.round(e.damping * 100) / 100,
      }
    : e;

/** Curves that are often wanted and have no CSS word. */
export const presets: readonly Preset[] = [
  { name: motionWords.briskStart, easing: [0.1, 0.75, 0.2, 1] as const },
  { name: motionWords.slowCastOff, easing: [0.55, 0, 0.15, 1] as const },
  { name: motionWords.pastMark, easing: [0.3, 0.2, 0.25, 1.45] as const },
  { name: motionWords.stillWater, easing: springFrom({ swing: 420, bounciness: 0 }) },
  { name: motionWords.easyMooring, easing: springFrom({ swing: 480, bounciness: 0.18 }) },
  { name: motionWords.lightBuoy, easing: springFrom({ swing: 420, bounciness: 0.38 }) },
  { name: motionWords.bellRope, easing: springFrom({ swing: 300, bounciness: 0.62 }) },
  { name: motionWords.heavySwell, easing: springFrom({ swing: 900, bounciness: 0.25 }, 2) },
  { name: motionWords.droppedBall, easing: { kind: "bounce", times: 3, keeps: 0.3 } as const },
  { name: motionWords.takeRun, easing: { kind: "windup", back: 0.12 } as const },
  { name: "ticking", easing: { kind: "steps", count: 6, jump: "end" } as const },
].map((p) => ({ ...p, easing: whole(p.easing) }));
