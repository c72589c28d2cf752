import { ruleText } from "../../../describe";
import { rulesOf } from "../../../machine";
import { inOrder } from "../../../project";
import type { Easing, Lane, Motion, Piece, Project, Rule } from "../../../project";
import type { Said } from "../kinds/kind";
import { moreOfCurve } from "../kinds/curve";
import { transitionKind } from "../kinds/transition";
import { writePart } from "./part";

interface Timed {
  readonly duration: number;
  readonly delay: number;
  readonly easing: Easing;
}

// a motion's tokens are put in: nothing of it is bound
const plain = writePart((token) => token);

/** The nearest transition of the format, and what that does not say. */
const timeOf = ({ duration, delay, easing }: Timed): Said => ({
  $type: "transition",
  $value: transitionKind.write({ duration, delay, easing }, plain),
  ...moreOfCurve(easing),
});

const laneOf = (piece: Piece, lane: Lane): Said => ({
  layer: piece.layers[lane.layer]?.name ?? lane.layer,
  ...(lane.key === null ? {} : { property: lane.key }),
  ...timeOf(lane),
  ...(lane.poses
    ? { keyframes: lane.poses.map(({ at, value, easing }) => ({ at, value, easing })) }
    : {}),
  ...(lane.times === undefined ? {} : { times: lane.times === 0 ? "infinite" : lane.times }),
  ...(lane.turns ? { alternate: true } : {}),
});

const motionOf = (project: Project, piece: Piece, rule: Rule, motion: Motion): Said => ({
  component: piece.name,
  rule: ruleText(project, piece, rule),
  kind: motion.kind,
  ...timeOf(motion),
  ...(motion.token ? { token: project.tokens[motion.token]?.name } : {}),
  ...(motion.lanes ? { lanes: motion.lanes.map((lane) => laneOf(piece, lane)) } : {}),
});

/**
 * How components move, for who reads the tokens: each motion with its lanes, beside the nearest
 * transition of the format. Tokens stand for themselves; these are not read again.
 */
export const componentMotions = (project: Project): readonly Said[] =>
  inOrder(project.pieces)
    .filter((piece) => piece.kind === "component")
    .flatMap((piece) =>
      rulesOf(project, piece).flatMap((rule) =>
        [rule.motion, rule.back, ...rule.effects.map((e) => e.motion)].flatMap((motion) =>
          motion && motion.kind !== "cut" ? [motionOf(project, piece, rule, motion)] : [],
        ),
      ),
    );
