import { present } from "../../basics";
import type { Id } from "../../basics";
import { boundValue } from "../../looks";
import { laneOf, lastsFor, timingOf } from "../../motion";
import type { LaneName } from "../../motion";
import { newId, orderAfter, set } from "../../project";
import type { Change, Lane, Motion, MotionValue, Piece, Pose, Project, Rule } from "../../project";
import { isBound, property } from "../../properties";
import type { SpecifiedValue } from "../../properties";
import { freeName } from "../pieces";
import type { Made } from "../pieces";
import { editWords } from "../words";
import { untied } from "./parts";

const isOf =
  (name: LaneName) =>
  (l: Lane): boolean =>
    l.layer === name.layer && l.key === name.key;

const withLanes = (motion: Motion, lanes: readonly Lane[]): Motion => {
  const { lanes: _old, ...rest } = motion;
  return lanes.length ? { ...rest, lanes } : rest;
};

/** Gives a layer or property a timing of its own, or changes the one it has. */
export const withLane = (
  motion: Motion,
  name: LaneName,
  parts: Partial<Omit<Lane, "layer" | "key">>,
): Motion => {
  const before = timingOf(motion, name);
  const lane: Lane = untied(before, { ...before, ...parts, ...name });
  const known = laneOf(motion, name);
  return withLanes(
    motion,
    known
      ? (motion.lanes ?? []).map((l) => (l === known ? lane : l))
      : [...(motion.lanes ?? []), lane],
  );
};

/** Takes a timing away again: the layer or property goes with what is around it. */
export const withoutLane = (motion: Motion, name: LaneName): Motion =>
  withLanes(
    motion,
    (motion.lanes ?? []).filter((l) => !isOf(name)(l)),
  );

/** Poses no further apart than this share of the lane are one. */
const ONE_POSE = 0.004;

/** The keyframe of a lane at a moment, a share of its time. */
export const poseAt = ({ poses = [] }: Lane, at: number): Pose | undefined =>
  poses.find((pose) => Math.abs(pose.at - at) <= ONE_POSE);

/**
 * A property has a value at a moment (a share of its lane's time); a pose that is there already
 * takes it.
 */
export const withPose = (motion: Motion, name: LaneName, pose: Pose): Motion => {
  const others = (timingOf(motion, name).poses ?? []).filter(
    (p) => Math.abs(p.at - pose.at) > ONE_POSE,
  );
  return withLane(motion, name, { poses: [...others, pose].sort((a, b) => a.at - b.at) });
};

/**
 * A property has a value at a moment, or the one that a token says, which it follows; a keyframe
 * that is there already keeps its curve. Nothing changes where the token says no such value.
 */
export const withValueAt = (
  { tokens }: Project,
  motion: Motion,
  name: LaneName & { readonly key: string },
  at: number,
  said: SpecifiedValue,
): Motion => {
  const entry = property(name.key);
  const value = entry && boundValue(tokens, entry, said);
  if (value === undefined) return motion;
  const known = poseAt(timingOf(motion, name), at);
  const { valueToken: _old, ...rest } = known ?? { at, easing: "ease-in-out" };
  const follows = isBound(said) ? { valueToken: said.token } : {};
  return withPose(motion, name, { ...rest, value, ...follows });
};

export const withoutPose = (motion: Motion, name: LaneName, index: number): Motion => {
  const poses = (laneOf(motion, name)?.poses ?? []).filter((_, i) => i !== index);
  return withLane(motion, name, { poses: poses.length ? poses : undefined });
};

export const cascadeOrders = ["first", "last", "middle", "across", "down"] as const;
export type CascadeOrder = (typeof cascadeOrders)[number];

/**
 * Layers set out one after another, `interval` ms apart: from the first or last as they are given,
 * from the middle outwards, or by where they are.
 */
export const cascaded = (
  motion: Motion,
  names: readonly LaneName[],
  interval: number,
  order: CascadeOrder,
  place: (layer: Id) => { readonly x: number; readonly y: number },
): Motion => {
  const n = names.length;
  const middle = (n - 1) / 2;
  const rank = names.map((name, i) => {
    if (order === "first") {
      return i;
    }
    if (order === "last") {
      return n - 1 - i;
    }
    if (order === "middle") {
      return Math.abs(i - middle) - (n % 2 === 0 ? 0.5 : 0);
    }
    return order === "across" ? place(name.layer).x : place(name.layer).y;
  });
  // what stands at the same place sets out together
  const steps =
    order === "across" || order === "down"
      ? rank.map((r) => [...new Set(rank)].sort((a, b) => a - b).indexOf(r))
      : rank;
  const begin = Math.min(...names.map((name) => timingOf(motion, name).delay));
  return names.reduce(
    (m, name, i) =>
      withLane(m, name, {
        delay: Math.max(0, Math.round(begin + present(steps[i]) * interval)),
      }),
    motion,
  );
};

/** Gives rules a motion, as one step of undo. */
export const setMotions = (
  piece: Piece,
  rules: readonly Id[],
  motion: (rule: Rule) => Motion,
  label = "Change timing",
): Change => ({
  label,
  ops: rules.flatMap((id) => {
    const rule = piece.rules[id];
    return rule ? [set(["pieces", piece.id, "rules", id, "motion"], motion(rule))] : [];
  }),
});

/** Gives one effect of a rule a motion of its own. */
export const setEffectMotion = (piece: Piece, rule: Id, effect: number, motion: Motion): Change => {
  const effects = piece.rules[rule]?.effects.map((e, i) => (i === effect ? { ...e, motion } : e));
  return {
    label: editWords.changeTiming,
    ops: effects ? [set(["pieces", piece.id, "rules", rule, "effects"], effects)] : [],
  };
};

/**
 * Gives rules the time, kind and curve of a motion, and its lanes where they are wanted too; else
 * each keeps its own lanes.
 */
export const giveMotion = (
  piece: Piece,
  rules: readonly Id[],
  { lanes, ...motion }: Motion,
  withLanes: boolean,
): Change =>
  setMotions(
    piece,
    rules,
    (r) => {
      const own = withLanes ? lanes : r.motion.lanes;
      return own?.length ? { ...motion, lanes: own } : motion;
    },
    editWords.copyTiming(rules.length),
  );

/** Keeps a motion's duration and curve as a token of the system. */
export const saveMotion = (
  project: Project,
  { duration, easing }: MotionValue,
  name: string,
): Made => {
  const all = Object.values(project.tokens);
  const id = newId();
  return {
    id,
    change: {
      label: editWords.newMotion(name),
      ops: [
        set(["tokens", id], {
          id,
          type: "motion",
          name: freeName(
            name,
            all.map((t) => t.name),
          ),
          group: "",
          order: orderAfter(all),
          value: { duration, easing },
        }),
      ],
    },
  };
};

/** How two motions differ in time, in words. */
export const compareTimes = (there: Motion, back: Motion): string => {
  const by = Math.round(lastsFor(back) - lastsFor(there));
  return by === 0 ? editWords.returnSameDuration : editWords.returnMs(by);
};
