import type { Id } from "../basics";
import { meets } from "../looks";
import { ROOT } from "../project";
import type { Effect, Motion, Project, Rule, TriggerType } from "../project";
import { OPTION } from "../properties";
import type { SpecifiedValue } from "../properties";
import { scheduleTimers, noteInMotion } from "./timers";
import { liveAt, propagationPath, split } from "./chain";
import { clipAt, momentOf } from "./clips";
import { contest, targetValue, writeOptions, writerKey, writeTraits } from "./effects";
import { closeOverlay, goBack, goTo, openOverlay, overlayMeant } from "./navigate";
import { rulesOf } from "./piece";
import type { ActiveInstance } from "./piece";
import { sameSurface, without } from "./surface";
import type { Emit, RuleFilter, Revert, Move, Path, State, TraitSet } from "./types";

export const listensFor =
  (...types: readonly TriggerType[]): RuleFilter =>
  (rule) =>
    types.includes(rule.trigger.type);

/** Which contact a rule's doing ends with, when it is marked so. */
const causes: Partial<Record<TriggerType, Revert["cause"]>> = {
  hover: "hover",
  press: "press",
  hold: "press",
  focus: "focus",
};

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
    if (effect.type !== "set" && effect.type !== "nested" && effect.type !== "option") continue;
    const path = effect.type === "set" ? live.path : `${live.path}/${effect.layer}`;
    const motion = effect.motion ?? rule.motion;
    const target = effect.type === "set" ? live : liveAt(project, state, path);
    if (!target) continue;
    let entry = out.find((o) => o.live.path === path && o.motion === motion);
    if (!entry) out.push((entry = { live: target, motion, sets: {}, options: {} }));
    if (effect.type === "option") {
      entry.options[OPTION + effect.option] = effect.value;
      continue;
    }
    const sofar = Object.assign(
      {},
      state.traits[path] ?? target.variant,
      ...out.filter((o) => o.live.path === path).map((o) => o.sets),
    ) as Record<Id, Id>;
    const value = targetValue(target.piece, sofar, effect.trait, effect.to);
    if (value !== null) entry.sets[effect.trait] = value;
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
  const cause = rule.undo ? causes[rule.trigger.type] : undefined;
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
    const stirs = writing === first && rule.effects.some((e) => e.type === "stir");
    if (stirs) next = noteInMotion(project, next, path, motion);
    if (stirs || next.traits !== before.traits || next.options !== before.options)
      moves.push({ state: next, path, motion });
    if (cause && Object.keys(was).length)
      next = {
        ...next,
        holds: [
          ...next.holds,
          { at: path, rule: rule.id, source, cause, serial, before: was, motion },
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

/** What an effect does beyond setting traits and options. */
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
  switch (effect.type) {
    case "go":
      return goTo(project, state, effect.screen, motion, cause, emit);
    case "back":
      return goBack(project, state, motion, cause, emit);
    case "open":
      return openOverlay(project, state, effect.screen, motion, cause, emit);
    case "close": {
      const meant = overlayMeant(state, path);
      return meant === null ? state : closeOverlay(project, state, meant, motion, cause, emit);
    }
    case "clip":
    case "seek":
      return turnClip(project, state, path, effect, emit);
    case "scroll":
      emit({ type: "scrollTo", at: state.now, state, path, layer: effect.layer, motion });
      return state;
    case "empty":
      return emptied(state, path);
    case "raise":
      return raise(project, state, path, effect.signal, emit);
    case "address":
      emit({ type: "address", at: state.now, state, path, to: effect.to });
      return state;
    default:
      return state;
  }
};

/** Empties what has been filled in in a copy. */
const emptied = (state: State, copy: Path): State => {
  const own = Object.keys(state.entries).filter((p) => split(p).copy === copy);
  return own.length
    ? { ...state, entries: own.reduce((e, p) => without(e, p), state.entries) }
    : state;
};

type ClipEffect = Extract<Effect, { type: "clip" | "seek" }>;

const playsAfter = (effect: ClipEffect, playing: boolean): boolean => {
  if (effect.type === "seek") return playing;
  return effect.act === "turn" ? !playing : effect.act === "play";
};

const momentAfter = (effect: ClipEffect, length: number, now: number): number =>
  effect.type === "seek" ? Math.min(length, effect.ms) : now;

/** Plays, halts or turns a clip, or goes to a moment of it; the clip tells so itself. */
const turnClip = (
  project: Project,
  state: State,
  path: Path,
  effect: ClipEffect,
  emit: Emit,
): State => {
  const live = liveAt(project, state, path);
  const at = live && clipAt(project, state, live, effect.layer);
  if (!live || !at) return state;
  const moment = Math.min(at.length, momentOf(at.clip, state.now));
  const plays = playsAfter(effect, at.clip.playing);
  const isOver = plays && moment >= at.length;
  const clip = {
    playing: plays,
    since: state.now,
    moment: momentAfter(effect, at.length, isOver ? 0 : moment),
  };
  const next: State = { ...state, clips: { ...state.clips, [`${path}/${effect.layer}`]: clip } };
  if (plays === at.clip.playing) return scheduleTimers(project, next);
  const what = plays ? "played" : "paused";
  emit({ type: "clip", at: state.now, state: next, path, layer: effect.layer, what });
  return fireOn(project, scheduleTimers(project, next), live, effect.layer, listensFor(what), emit)
    .state;
};

/** Tells the piece around a copy something; who listens for that on the copy answers. */
const raise = (project: Project, state: State, path: Path, signal: Id, emit: Emit): State => {
  emit({ type: "signalled", at: state.now, state, path, signal });
  const { copy, layer } = split(path);
  const around = liveAt(project, state, copy);
  if (!path.includes("/") || !around) return state;
  return fireOn(
    project,
    state,
    around,
    layer,
    (r) => r.trigger.type === "signal" && r.trigger.signal === signal,
    emit,
  ).state;
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
