import type { Id } from "../basics";
import { boundValue, tokenValueOf } from "../looks";
import { followingNumbers, isNumberOf, numberNames } from "../project";
import type {
  Easing,
  Effect,
  Motion,
  MotionParts,
  Numbered,
  Pose,
  Project,
  Rule,
} from "../project";
import { property } from "../properties";
import type { Value } from "../properties";

interface Timed {
  /** the property of a lane */
  readonly key?: string | null;
  readonly duration: number;
  readonly delay: number;
  readonly easing: Easing;
  readonly parts?: MotionParts | undefined;
  readonly poses?: readonly Pose[] | undefined;
}

const poseValue = ({ tokens }: Project, key: string, token: Id): Value | undefined => {
  const entry = property(key);
  return entry && boundValue(tokens, entry, { token });
};

const resolvePose = (project: Project, key: string, pose: Pose): Pose => {
  const { token, valueToken } = pose;
  const easing = token === undefined ? undefined : tokenValueOf(project.tokens, "curve", token);
  const value = valueToken === undefined ? undefined : poseValue(project, key, valueToken);
  return { ...pose, easing: easing ?? pose.easing, value: value ?? pose.value };
};

const followsToken = ({ token, valueToken }: Pose): boolean =>
  token !== undefined || valueToken !== undefined;

const hasParts = ({ parts, poses }: Timed): boolean =>
  parts !== undefined || (poses?.some(followsToken) ?? false);

/**
 * A time, a curve and keyframes with what the tokens of their parts say; what was removed is as it
 * stands.
 */
export const resolveTimed = <T extends Timed>(project: Project, timed: T): T => {
  if (!hasParts(timed)) return timed;
  const { tokens } = project;
  const { parts = {}, poses, key } = timed;
  const duration = parts.duration && tokenValueOf(tokens, "duration", parts.duration);
  const delay = parts.delay && tokenValueOf(tokens, "duration", parts.delay);
  const easing = parts.easing && tokenValueOf(tokens, "curve", parts.easing);
  return {
    ...timed,
    duration: duration ?? timed.duration,
    delay: delay ?? timed.delay,
    easing: easing ?? timed.easing,
    ...(poses ? { poses: poses.map((pose) => resolvePose(project, key ?? "", pose)) } : {}),
  };
};

const followsTokens = (motion: Motion): boolean =>
  motion.token !== undefined || hasParts(motion) || (motion.lanes?.some(hasParts) ?? false);

/** A motion with what its tokens say; as it stands when those were removed. */
export const resolveMotion = (project: Project, motion: Motion): Motion => {
  if (!followsTokens(motion)) return motion;
  const said = motion.token && tokenValueOf(project.tokens, "motion", motion.token);
  const whole = said ? { ...motion, ...said } : motion;
  const lanes = motion.lanes?.map((lane) => resolveTimed(project, lane));
  return resolveTimed(project, lanes ? { ...whole, lanes } : whole);
};

/**
 * What a trigger or an effect says, with the numbers of the tokens it follows. A token that was
 * removed, or says a number that cannot be there, leaves the number as it stands.
 */
export const resolveNumbers = <T extends Numbered>(project: Project, said: T): T => {
  const { tokens } = said;
  if (!tokens) return said;
  const numbers = numberNames.flatMap((name) => {
    const token = tokens[name];
    const value = token && tokenValueOf(project.tokens, followingNumbers[name], token);
    return isNumberOf(name, value) ? [[name, value] as const] : [];
  });
  return { ...said, ...Object.fromEntries(numbers) };
};

const resolveEffect = (project: Project, effect: Effect): Effect => {
  const said = effect.type === "seek" ? resolveNumbers(project, effect) : effect;
  return said.motion ? { ...said, motion: resolveMotion(project, said.motion) } : said;
};

const hasTokens = (rule: Rule): boolean =>
  rule.trigger.tokens !== undefined ||
  rule.effects.some((e) => e.type === "seek" && e.tokens !== undefined) ||
  [rule.motion, rule.back, ...rule.effects.map((e) => e.motion)].some(
    (motion) => motion && followsTokens(motion),
  );

/** A rule with what the tokens say that its times, curves and distances follow. */
export const resolveRule = (project: Project, rule: Rule): Rule => {
  if (!hasTokens(rule)) return rule;
  return {
    ...rule,
    trigger: resolveNumbers(project, rule.trigger),
    motion: resolveMotion(project, rule.motion),
    ...(rule.back ? { back: resolveMotion(project, rule.back) } : {}),
    effects: rule.effects.map((effect) => resolveEffect(project, effect)),
  };
};
