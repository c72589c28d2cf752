import { meets } from "../looks/variants";
import type { Id, Motion, Project, Rule, TriggerType } from "../project/types";
import { ROOT } from "../project/types";
import { arm, setOut } from "./arm";
import { liveAt, passage, split } from "./chain";
import { contest, targetValue, writerKey, writeTraits } from "./effects";
import { endHolds } from "./holds";
import { rulesOf } from "./piece";
import type { Live } from "./piece";
import type { Happening, Hold, Path, State } from "./types";

export type Happen = (h: Happening) => void;
/** Whether a rule answers what happens. */
export type Asks = (rule: Rule) => boolean;
export const asks = (...types: readonly TriggerType[]): Asks => (rule) => types.includes(rule.trigger.type);

/** Which contact a rule's doing ends with, when it is marked so. */
const causes: Partial<Record<TriggerType, Hold["cause"]>> = { hover: "hover", press: "press", hold: "press", focus: "focus" };

/** What a rule sets, by the copy it sets it in: in effects' order, each seeing what those before it did. */
const writesOf = (project: Project, state: State, live: Live, rule: Rule): { live: Live; sets: Record<Id, Id> }[] => {
  const out: { live: Live; sets: Record<Id, Id> }[] = [{ live, sets: {} }];
  for (const effect of rule.effects) {
    if (effect.type !== "set" && effect.type !== "nested") continue;
    const path = effect.type === "set" ? live.path : `${live.path}/${effect.layer}`;
    const target = effect.type === "set" ? live : liveAt(project, state, path);
    if (!target) continue;
    let entry = out.find((o) => o.live.path === path);
    if (!entry) out.push(entry = { live: target, sets: {} });
    const value = targetValue(target.piece, { ...(state.traits[path] ?? target.variant), ...entry.sets }, effect.trait, effect.to);
    if (value !== null) entry.sets[effect.trait] = value;
  }
  return out;
};

/** Does what a rule says. `source` is the path of the layer it happened on. */
export const fireRule = (project: Project, state: State, live: Live, rule: Rule, source: Path, happen: Happen): State => {
  const serial = state.serial + 1, cause = rule.undo ? causes[rule.trigger.type] : undefined;
  let next: State = { ...state, serial };
  const done: { path: Path; sets: ReturnType<typeof writeTraits>["sets"] }[] = [];
  for (const { live: target, sets } of writesOf(project, next, live, rule)) {
    const variant = next.traits[target.path] ?? target.variant;
    const was = Object.fromEntries(Object.keys(sets).map((t) => [t, { value: variant[t] ?? "", writer: next.writers[writerKey(target.path, t)] ?? 0 }]));
    const written = writeTraits(project, next, target, sets, serial);
    next = written.sets.length ? setOut(project, written.state, target.path, rule.motion) : written.state;
    done.push({ path: target.path, sets: written.sets });
    if (cause && Object.keys(sets).length) next = { ...next, holds: [...next.holds, { at: target.path, rule: rule.id, source, cause, serial, was, motion: rule.motion }] };
  }
  const [own, ...inner] = done;
  happen({ type: "fired", at: state.now, state: next, path: live.path, rule: rule.id, trigger: rule.trigger.type, sets: own?.sets ?? [], inner, motion: rule.motion });
  for (const effect of rule.effects) {
    if (effect.type === "go") next = goTo(project, next, effect.screen, rule.motion, { path: live.path, rule: rule.id }, happen);
    if (effect.type === "back") next = goBack(project, next, rule.motion, { path: live.path, rule: rule.id }, happen);
    if (effect.type === "raise") next = raise(project, next, live.path, effect.signal, happen);
    if (effect.type === "address") happen({ type: "address", at: state.now, state: next, path: live.path, to: effect.to });
  }
  return arm(project, next);
};

/** Tells the piece around a copy something; who listens for that on the copy answers. */
const raise = (project: Project, state: State, path: Path, signal: Id, happen: Happen): State => {
  happen({ type: "raised", at: state.now, state, path, signal });
  const { copy, layer } = split(path), around = liveAt(project, state, copy);
  if (!path.includes("/") || !around) return state;
  return fireOn(project, state, around, layer, (r) => r.trigger.type === "signal" && r.trigger.signal === signal, happen).state;
};

export type Cause = { path: Path; rule: Id | null };

const enterScreen = (project: Project, state: State, screen: Id, history: readonly Id[], motion: Motion, cause: Cause, happen: Happen): State => {
  // what was held or waited for on the screen left behind ends with it
  const left = endHolds(project, state, () => true, () => undefined);
  const next = arm(project, { ...left, screen, history, over: [], pressed: null, byKey: null, heldIn: [], clicked: null, focused: [], timers: [], armed: {}, settling: {} });
  happen({ type: "went", at: state.now, state: next, path: cause.path, rule: cause.rule, from: state.screen, to: screen, motion });
  return next;
};

export const goTo = (project: Project, state: State, screen: Id, motion: Motion, cause: Cause, happen: Happen): State =>
  screen === state.screen || !project.pieces[screen] ? state : enterScreen(project, state, screen, [...state.history, state.screen].slice(-100), motion, cause, happen);

const goBack = (project: Project, state: State, motion: Motion, cause: Cause, happen: Happen): State => {
  const to = state.history.findLast((s) => project.pieces[s]);
  return to === undefined ? state : enterScreen(project, state, to, state.history.slice(0, state.history.lastIndexOf(to)), motion, cause, happen);
};

/** Lets rules of one copy compete and fires those that win; losers are told. */
export const fireAll = (project: Project, state: State, live: Live, rules: readonly Rule[], source: (rule: Rule) => Path, happen: Happen): State => {
  const { wins, losses } = contest(rules);
  let next = state;
  for (const rule of wins) next = fireRule(project, next, live, rule, source(rule), happen);
  for (const { rule, to } of losses) happen({ type: "lost", at: state.now, state: next, path: live.path, rule: rule.id, to: to.id });
  return next;
};

/** The rules of one layer that answer and may. */
export const enabledOn = (project: Project, state: State, live: Live, layer: Id, asked: Asks): Rule[] => {
  const variant = state.traits[live.path] ?? live.variant;
  return rulesOf(project, live.piece).filter((r) => asked(r) && (r.source ?? ROOT) === layer && meets(r.when, variant));
};

/** Lets the rules of one layer that answer compete and fire; says whether there was any. */
export const fireOn = (project: Project, state: State, live: Live, layer: Id, asked: Asks, happen: Happen): { state: State; any: boolean } => {
  const enabled = enabledOn(project, state, live, layer, asked);
  return { state: fireAll(project, state, live, enabled, () => `${live.path}/${layer}`, happen), any: enabled.length > 0 };
};

/** In each piece on the way out, the innermost layer with an enabled rule takes the event; `skip` are copies that do not get it. */
export const dispatch = (project: Project, state: State, asked: Asks, chain: readonly Path[], happen: Happen, skip: readonly Path[] = []): { state: State; any: boolean } => {
  let next = state, any = false;
  for (const { live, layers } of passage(project, state, chain)) {
    if (next.screen !== state.screen) break;
    if (skip.includes(live.path)) continue;
    for (const layer of layers) {
      const result = fireOn(project, next, live, layer, asked, happen);
      next = result.state;
      if (result.any) { any = true; break; }
    }
  }
  return { state: next, any };
};

/** For one layer; what happens there does not climb. */
export const onLayer = (project: Project, state: State, path: Path, asked: Asks, happen: Happen): State => {
  const { copy, layer } = split(path), live = liveAt(project, state, copy);
  return live ? fireOn(project, state, live, layer, asked, happen).state : state;
};
