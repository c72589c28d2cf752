import { ownPieces } from "../../world";
import { entryOf } from "../../basics";
import type { Id } from "../../basics";
import { tokenValueOf } from "../../looks";
import { isShown, resolveMotion } from "../../machine";
import { curveOf, lengthOf } from "../../motion";
import { inOrder, set } from "../../project";
import type {
  Change,
  Effect,
  Lane,
  Motion,
  MotionValue,
  Op,
  Piece,
  Project,
  Rule,
  Token,
} from "../../project";
import { editWords } from "../words";

/** A motion in use: a rule's own, that of one of its effects, or that of its way back. */
export interface MotionUse {
  readonly piece: Id;
  readonly rule: Id;
  /** null: the rule's own */ readonly effect: number | "back" | null;
  readonly motion: Motion;
}

const usesIn = (piece: Piece, rule: Rule): MotionUse[] => [
  { piece: piece.id, rule: rule.id, effect: null, motion: rule.motion },
  ...rule.effects.flatMap((e, effect): MotionUse[] =>
    e.motion ? [{ piece: piece.id, rule: rule.id, effect, motion: e.motion }] : [],
  ),
  ...(rule.undo && rule.back
    ? [{ piece: piece.id, rule: rule.id, effect: "back" as const, motion: rule.back }]
    : []),
];

/** Every motion by which something is shown over time. */
export const motionsIn = (pieces: readonly Piece[]): MotionUse[] =>
  pieces
    .flatMap((p) => inOrder(p.rules).flatMap((r) => (r.effects.some(isShown) ? usesIn(p, r) : [])))
    .filter((u) => u.motion.kind !== "cut");

/** Rules and effects that follow a token with all of their motion, or parts of it. */
export const motionUsesOf = (project: Project, token: Id): readonly MotionUse[] =>
  usesByToken(project).get(token) ?? [];

const byToken = new WeakMap<object, ReadonlyMap<Id, readonly MotionUse[]>>();

/** The motions that follow each token; found once for as long as no piece changes. */
const usesByToken = (project: Project): ReadonlyMap<Id, readonly MotionUse[]> =>
  entryOf(byToken, project.pieces, () => {
    const found = new Map<Id, MotionUse[]>();
    for (const use of motionsIn(Object.values(project.pieces)))
      for (const token of new Set(tokensOfMotion(use.motion)))
        entryOf(found, token, () => []).push(use);
    return found;
  });

/** Motions of the same duration and curve, told together. */
export interface MotionGroup {
  readonly key: string;
  readonly value: MotionValue;
  /** the token they follow; null when they say it themselves */
  readonly token: Token | null;
  readonly uses: readonly MotionUse[];
  /** of those that follow none: the token that is most like it, and how unlike (0: the same) */
  readonly nearest: { readonly token: Token; readonly off: number } | null;
}

const MOMENTS = 40;

/**
 * How unlike two motions are: how far apart they are at their farthest, as a share of the way, with
 * their own durations.
 */
export const unlike = (a: MotionValue, b: MotionValue): number => {
  const [la, lb] = [lengthOf(a), lengthOf(b)];
  const whole = Math.max(la, lb, 1);
  const [ca, cb] = [curveOf(a.easing), curveOf(b.easing)];
  let most = 0;
  for (let i = 0; i <= MOMENTS; i++) {
    const ms = (whole * i) / MOMENTS;
    most = Math.max(most, Math.abs((ms >= la ? 1 : ca(ms / la)) - (ms >= lb ? 1 : cb(ms / lb))));
  }
  return most;
};

/**
 * All motions of a project, or of one piece of it, by duration and curve, those used most first.
 */
export const motionGroups = (project: Project, piece: Id | null = null): MotionGroup[] => {
  const tokens = inOrder(project.tokens)
    .filter((t) => t.type === "motion")
    .flatMap((token) => {
      const value = tokenValueOf(project.tokens, "motion", token.id);
      return value ? [{ token, value }] : [];
    });
  const groups = new Map<string, { value: MotionValue; token: Token | null; uses: MotionUse[] }>();
  for (const use of motionsIn(ownPieces(project).filter((p) => piece === null || p.id === piece))) {
    const token = tokens.find((t) => t.token.id === use.motion.token);
    const { duration, easing } = token?.value ?? use.motion;
    // a spring's duration says nothing
    const value: MotionValue = { duration: lengthOf({ duration, easing }), easing };
    const key = JSON.stringify([token?.token.id ?? null, value]);
    const group = groups.get(key) ?? {
      value: { duration, easing },
      token: token?.token ?? null,
      uses: [],
    };
    group.uses.push(use);
    groups.set(key, group);
  }
  return [...groups]
    .map(([key, g]): MotionGroup => {
      const near = g.token
        ? []
        : tokens
            .map((t) => ({ token: t.token, off: unlike(g.value, t.value) }))
            .sort((a, b) => a.off - b.off);
      return { key, ...g, nearest: near[0] ?? null };
    })
    .sort((a, b) => b.uses.length - a.uses.length);
};

const writing = (
  project: Project,
  uses: readonly MotionUse[],
  motion: (m: Motion) => Motion,
): Op[] => {
  const effects = new Map<string, readonly Effect[]>();
  const ops: Op[] = [];
  for (const { piece, rule, effect } of uses) {
    const now = project.pieces[piece]?.rules[rule];
    const at = ["pieces", piece, "rules", rule];
    if (!now) continue;
    if (effect === null) {
      ops.push(set([...at, "motion"], motion(now.motion)));
      continue;
    }
    if (effect === "back") {
      if (now.back) ops.push(set([...at, "back"], motion(now.back)));
      continue;
    }
    const key = at.join("/");
    const list = effects.get(key) ?? now.effects;
    effects.set(
      key,
      list.map((e, i) => (i === effect && e.motion ? { ...e, motion: motion(e.motion) } : e)),
    );
  }
  return [...ops, ...[...effects].map(([key, list]) => set([...key.split("/"), "effects"], list))];
};

/** Lets motions follow a token, as one step of undo; lanes stay as they are. */
export const followMotion = (
  project: Project,
  uses: readonly MotionUse[],
  token: Token,
): Change => {
  const value = tokenValueOf(project.tokens, "motion", token.id);
  return {
    label: editWords.use(token.name),
    ops: value ? writing(project, uses, (m) => ({ ...m, ...value, token: token.id })) : [],
  };
};

type Timed = Pick<Lane, "duration" | "delay" | "easing" | "parts" | "poses">;

const partNames = ["duration", "delay", "easing"] as const;

/** The same with other tokens for its parts and keyframes, or with none. */
const withTokens = <T extends Timed>(timed: T, to: (token: Id) => Id | undefined): T => {
  const { parts = {}, poses } = timed;
  const kept = partNames.flatMap((name) => {
    const old = parts[name];
    const token = old === undefined ? undefined : to(old);
    return token === undefined ? [] : [[name, token] as const];
  });
  const shown = poses?.map((pose) => ({
    ...pose,
    ...(pose.token ? { token: to(pose.token) } : {}),
    ...(pose.valueToken ? { valueToken: to(pose.valueToken) } : {}),
  }));
  return {
    ...timed,
    ...(timed.parts ? { parts: kept.length > 0 ? Object.fromEntries(kept) : undefined } : {}),
    ...(shown ? { poses: shown } : {}),
  };
};

/** Without the tokens of parts that go. */
const keepParts = <T extends Timed>(timed: T, gone: ReadonlySet<Id>): T =>
  withTokens(timed, (token) => (gone.has(token) ? undefined : token));

/** The same with one token for another. */
const followed = <T extends Timed>(timed: T, from: Id, to: Id): T =>
  withTokens(timed, (token) => (token === from ? to : token));

/** What follows one token follows another instead. */
export const followInstead = (project: Project, from: Id, to: Id): Op[] => {
  const uses = motionUsesOf(project, from);
  return writing(project, uses, (motion) => {
    const next = followed(motion, from, to);
    const lanes = next.lanes?.map((lane) => followed(lane, from, to));
    const token = next.token === from ? to : next.token;
    return { ...next, ...(token ? { token } : {}), ...(lanes ? { lanes } : {}) };
  });
};

/** A motion as it is shown, without the tokens that go. */
const keptMotion = (project: Project, motion: Motion, gone: ReadonlySet<Id>): Motion => {
  const { token, ...shown } = resolveMotion(project, motion);
  const lanes = shown.lanes?.map((lane) => keepParts(lane, gone));
  const kept = keepParts({ ...shown, ...(lanes ? { lanes } : {}) }, gone);
  return token === undefined || gone.has(token) ? kept : { ...kept, token };
};

const timedTokens = ({ parts = {}, poses = [] }: Pick<Lane, "parts" | "poses">): Id[] => [
  ...partNames.flatMap((name) => parts[name] ?? []),
  ...poses.flatMap(({ token, valueToken }) => [token, valueToken].filter((id) => id !== undefined)),
];

/** The tokens that a motion or its lanes follow. */
export const tokensOfMotion = (motion: Motion): Id[] => [
  ...(motion.token === undefined ? [] : [motion.token]),
  ...timedTokens(motion),
  ...(motion.lanes ?? []).flatMap(timedTokens),
];

/** What follows tokens keeps its present value instead: when they go. */
export const keepMotion = (project: Project, gone: ReadonlySet<Id>): Op[] => {
  const uses = motionsIn(Object.values(project.pieces)).filter((use) =>
    tokensOfMotion(use.motion).some((id) => gone.has(id)),
  );
  return writing(project, uses, (motion) => keptMotion(project, motion, gone));
};
