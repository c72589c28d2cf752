import type { Id } from "../../basics";
import { meets } from "../../looks";
import { ROOT } from "../../project";
import type { Effect, Motion, Project, Rule, Variant } from "../../project";
import { OPTION } from "../../properties";
import type { SpecifiedValue } from "../../properties";
import { scheduleTimers, noteInMotion } from "../time/timers";
import { liveAt, propagationPath, split } from "../chain";
import { answeredBy } from "./asks";
import { contest } from "./contest";
import { targetValue } from "./target";
import { writeOptions, writerKey, writeTraits } from "./writing";
import { facetOf } from "./effects";
import type { Doing } from "./effect-types";
import { rulesOf } from "../piece";
import type { Emit, Move, RuleFilter, TraitSet } from "../events";
import type { Revert, State } from "../state";
import type { ActiveInstance, Path } from "../types";
import { triggerOf } from "./triggers";
import { sameSurface } from "../surface";

/**
 * What a rule sets in one copy with one motion; traits by their id, options by "option:" and
 * theirs.
 */
interface Writing {
  readonly live: ActiveInstance;
  readonly motion: Motion;
  readonly sets: Record<Id, Id>;
  readonly options: Record<Id, SpecifiedValue>;
}

/** What a rule sets, in effects' order, each seeing what those before it did. */
const writesOf = (project: Project, state: State, live: ActiveInstance, rule: Rule): Writing[] => {
  const out: Writing[] = [{ live, motion: rule.motion, sets: {}, options: {} }];
  for (const effect of rule.effects) {
    const setting = facetOf(effect).sets?.(effect);
    if (!setting) continue;
    const path = setting.copy === null ? live.path : `${live.path}/${setting.copy}`;
    const motion = effect.motion ?? rule.motion;
    const target = setting.copy === null ? live : liveAt(project, state, path);
    if (!target) continue;
    let entry = out.find((o) => o.live.path === path && o.motion === motion);
    if (!entry) out.push((entry = { live: target, motion, sets: {}, options: {} }));
    if ("option" in setting) {
      entry.options[OPTION + setting.option] = setting.value;
      continue;
    }
    const earlier = out.filter((o) => o.live.path === path).map((o) => o.sets);
    const sofar = earlier.reduce<Variant>(
      (variant, sets) => ({ ...variant, ...sets }),
      state.traits[path] ?? target.variant,
    );
    const value = targetValue(target.piece, sofar, setting.trait, setting.to);
    if (value !== null) entry.sets[setting.trait] = value;
  }
  return out;
};

/** What a copy was before something is set in it, and who had set that. */
const captureBefore = (state: State, { live, sets, options }: Writing): Revert["before"] => {
  const { path } = live;
  const variant = state.traits[path] ?? live.variant;
  const writer = (key: string) => state.writers[writerKey(path, key)] ?? 0;
  return {
    ...Object.fromEntries(
      Object.keys(sets).map((t) => [t, { value: variant[t] ?? "", writer: writer(t) }]),
    ),
    ...Object.fromEntries(
      Object.keys(options).map((o) => [
        o,
        { value: state.options[path]?.[o.slice(OPTION.length)], writer: writer(o) },
      ]),
    ),
  };
};

/** The state with what a rule sets, and nothing else of what it does. */
export const written = (project: Project, state: State, live: ActiveInstance, rule: Rule): State =>
  writesOf(project, state, live, rule).reduce(
    (s, { live: target, sets, options }) =>
      writeOptions(
        writeTraits(project, s, target, sets, s.serial).state,
        target.path,
        options,
        s.serial,
      ),
    state,
  );

/** Does what a rule says. `source` is the path of the layer it happened on. */
export const fireRule = (
  project: Project,
  state: State,
  live: ActiveInstance,
  rule: Rule,
  source: Path,
  emit: Emit,
): State => {
  const serial = state.serial + 1;
  const cause = rule.undo ? triggerOf(rule).contact : undefined;
  let next: State = { ...state, serial };
  const done = new Map<Path, TraitSet[]>([[live.path, []]]);
  const moves: Move[] = [];
  const writings = writesOf(project, next, live, rule);
  const [first] = writings;
  for (const writing of writings) {
    const { live: target, motion, sets, options } = writing;
    const { path } = target;
    const was = captureBefore(next, writing);
    const before = next;
    const written = writeTraits(project, next, target, sets, serial);
    next = writeOptions(written.state, path, options, serial);
    if (written.sets.length) next = noteInMotion(project, next, path, motion);
    done.set(path, [...(done.get(path) ?? []), ...written.sets]);
    const stirs = writing === first && rule.effects.some((e) => facetOf(e).runsLanes);
    if (stirs) next = noteInMotion(project, next, path, motion);
    if (stirs || next.traits !== before.traits || next.options !== before.options)
      moves.push({ state: next, path, motion });
    if (cause && Object.keys(was).length)
      next = {
        ...next,
        reverts: [
          ...next.reverts,
          {
            at: path,
            rule: rule.id,
            source,
            cause,
            serial,
            before: was,
            motion: rule.back ?? motion,
            ownTime: rule.back !== undefined,
          },
        ],
      };
  }
  const [own, ...inner] = [...done].map(([path, sets]) => ({ path, sets }));
  emit({
    type: "fired",
    at: state.now,
    state: next,
    path: live.path,
    rule: rule.id,
    trigger: rule.trigger.type,
    sets: own?.sets ?? [],
    inner,
    moves,
    motion: rule.motion,
  });
  return scheduleTimers(
    project,
    rule.effects.reduce((s, effect) => follow(project, s, live, rule, effect, emit), next),
  );
};

const fireAsked: Doing["fireOn"] = (project, state, live, layer, asked, emit) =>
  fireOn(project, state, live, layer, (r) => answeredBy(r).includes(asked), emit);

/** What an effect does beside setting traits and options. */
const follow = (
  project: Project,
  state: State,
  { path }: ActiveInstance,
  rule: Rule,
  effect: Effect,
  emit: Emit,
): State => {
  const motion = effect.motion ?? rule.motion;
  const cause = { path, rule: rule.id };
  const doing = { project, state, cause, motion, emit, fireOn: fireAsked };
  return facetOf(effect).apply?.(effect, doing) ?? state;
};

/** Lets rules of one copy compete and fires those that win; losers are told. */
export const fireAll = (
  project: Project,
  state: State,
  live: ActiveInstance,
  rules: readonly Rule[],
  source: (rule: Rule) => Path,
  emit: Emit,
): State => {
  const { wins, losses } = contest(rules);
  let next = state;
  for (const rule of wins) next = fireRule(project, next, live, rule, source(rule), emit);
  for (const { rule, to } of losses)
    emit({ type: "lost", at: state.now, state: next, path: live.path, rule: rule.id, to: to.id });
  return next;
};

/** The rules of one layer that answer and may. */
export const enabledOn = (
  project: Project,
  state: State,
  live: ActiveInstance,
  layer: Id,
  asked: RuleFilter,
): Rule[] => {
  const variant = state.traits[live.path] ?? live.variant;
  return rulesOf(project, live.piece).filter(
    (r) => asked(r) && (r.source ?? ROOT) === layer && meets(r.when, variant),
  );
};

/** Lets the rules of one layer that answer compete and fire; says whether there was any. */
export const fireOn = (
  project: Project,
  state: State,
  live: ActiveInstance,
  layer: Id,
  asked: RuleFilter,
  emit: Emit,
): { state: State; any: boolean } => {
  const enabled = enabledOn(project, state, live, layer, asked);
  return {
    state: fireAll(project, state, live, enabled, () => `${live.path}/${layer}`, emit),
    any: enabled.length > 0,
  };
};

/**
 * In each piece on the way out, the innermost layer with an enabled rule takes the event; `skip`
 * are copies that do not get it.
 */
export const dispatch = (
  project: Project,
  state: State,
  asked: RuleFilter,
  chain: readonly Path[],
  emit: Emit,
  skip: readonly Path[] = [],
): { state: State; any: boolean } => {
  let next = state;
  let any = false;
  for (const { live, layers } of propagationPath(project, state, chain)) {
    if (!sameSurface(next, state)) break;
    if (skip.includes(live.path)) continue;
    for (const layer of layers) {
      const result = fireOn(project, next, live, layer, asked, emit);
      next = result.state;
      if (result.any) {
        any = true;
        break;
      }
    }
  }
  return { state: next, any };
};

/** For one layer; what happens there does not climb. */
export const onLayer = (
  project: Project,
  state: State,
  path: Path,
  asked: RuleFilter,
  emit: Emit,
): State => {
  const { copy, layer } = split(path);
  const live = liveAt(project, state, copy);
  return live ? fireOn(project, state, live, layer, asked, emit).state : state;
};
