import type { Id } from "../../basics";
import type { Effect, Rule } from "../../project";
import type { Emit, Move, TraitSet } from "../events";
import type { Ask } from "../rules/asks";
import type { Doing } from "../rules/effect-types";
import { facetOf } from "../rules/effects";
import { fireRule as fireReadably } from "../rules/fire";
import type { Revert, State } from "../state";
import { sameSurface } from "../surface";
import type { Path } from "../types";
import { copyOf } from "../state";
import { programOf } from "./program";
import type { Program } from "./program";
import type { Group, NumberedRule, Plan } from "./plan";
import type { SceneCopy } from "./scene";
import type { Answer, Sets, VariantRow } from "./variant-row";
import { noteMotion, schedule } from "./waits";
import { beforeSets, hasSets, writeSets } from "./write";

/** A rule that is being fired: where, and on which layer it happened. */
interface Firing {
  readonly program: Program;
  readonly copy: SceneCopy;
  readonly rule: Rule;
  readonly plan: Plan;
  readonly source: Path;
  readonly emit: Emit;
}

/** What one group of a rule's settings comes to, as things stood before any was done. */
interface Writing {
  readonly path: Path;
  /** its copy, as it was found before anything was set */
  readonly found: SceneCopy;
  readonly group: Group;
  readonly sets: Sets;
}

const writingsOf = (firing: Firing, state: State): readonly Writing[] => {
  const { program, copy, plan } = firing;
  const [own] = plan.groups;
  const first = {
    path: copy.path,
    found: copy,
    group: own,
    sets: program.rowAt(state, copy).setsOf(own),
  };
  if (plan.groups.length === 1) return [first];
  const scene = program.scene(state);
  const out: Writing[] = [first];
  for (const group of plan.groups.slice(1)) {
    const path = group.copy === null ? copy.path : `${copy.path}/${group.copy}`;
    const found = group.copy === null ? copy : scene.at(path);
    if (found) out.push({ path, found, group, sets: program.rowAt(state, found).setsOf(group) });
  }
  return out;
};

const heldBy = (
  { program, rule, plan, source }: Firing,
  state: State,
  { path, group, sets }: Writing,
  row: VariantRow,
  serial: number,
): Revert | null => {
  if (!plan.cause || !hasSets(sets)) return null;
  return {
    at: path,
    rule: rule.id,
    source,
    cause: plan.cause,
    serial,
    motion: rule.back ?? group.motion,
    ownTime: rule.back !== undefined,
    before: beforeSets(program, state, path, row, sets),
  };
};

const withRevert = (state: State, revert: Revert): State => {
  const next = copyOf(state);
  next.reverts = [...state.reverts, revert];
  return next;
};

/** Sets what a rule sets, group by group, and tells that it fired. */
const setAll = (firing: Firing, before: State): State => {
  const { program, copy, rule, plan, emit } = firing;
  const begun = copyOf(before);
  const serial = before.serial + 1;
  begun.serial = serial;
  let next: State = begun;
  let own: readonly TraitSet[] = [];
  let inner: { path: Path; sets: readonly TraitSet[] }[] = [];
  const moves: Move[] = [];
  const writings = writingsOf(firing, next);
  for (const writing of writings) {
    const { path, found, group, sets } = writing;
    const { motion } = group;
    const row = program.rowAt(next, found);
    const revert = heldBy(firing, next, writing, row, serial);
    const written = writeSets(program, next, path, row.writeKnown(sets), sets, serial);
    next = written.state;
    const stirs = plan.stirs && writing === writings[0];
    if (written.sets.length || stirs) next = noteMotion(program, next, path, motion);
    if (path === copy.path) own = own.length ? [...own, ...written.sets] : written.sets;
    else {
      const known = inner.find((i) => i.path === path);
      if (!known) inner = [...inner, { path, sets: written.sets }];
      else known.sets = [...known.sets, ...written.sets];
    }
    if (stirs || hasSets(sets)) moves.push({ state: next, path, motion });
    if (revert) next = withRevert(next, revert);
  }
  emit({
    type: "fired",
    at: before.now,
    state: next,
    path: copy.path,
    rule: rule.id,
    trigger: rule.trigger.type,
    sets: own,
    inner,
    moves,
    motion: rule.motion,
  });
  return next;
};

/** What an effect does beside setting traits. */
const follow = ({ program, copy, rule, emit }: Firing, state: State, effect: Effect): State => {
  const motion = effect.motion ?? rule.motion;
  const cause = { path: copy.path, rule: rule.id };
  const doing = { project: program.project, state, cause, motion, emit, fireOn: fireOnLive };
  return facetOf(effect).apply?.(effect, doing) ?? state;
};

/** Does what a rule says. `source` is the path of the layer it happened on. */
const fire = (
  program: Program,
  state: State,
  copy: SceneCopy,
  { rule, plan }: NumberedRule,
  source: Path,
  emit: Emit,
): State => {
  if (!plan) return fireReadably(program.project, state, copy.live, rule, source, emit);
  const firing = { program, copy, rule, plan, source, emit };
  let next = setAll(firing, state);
  for (const effect of plan.others) next = follow(firing, next, effect);
  return schedule(program, next);
};

/** Fires the rules that won; those that lost are told. */
export const fireAnswer = (
  program: Program,
  state: State,
  copy: SceneCopy,
  { wins, losses }: Answer,
  sourceOf: (rule: Id) => Path,
  emit: Emit,
): State => {
  let next = state;
  for (const rule of wins) next = fire(program, next, copy, rule, sourceOf(rule.rule.id), emit);
  for (const { rule, to } of losses)
    emit({ type: "lost", at: state.now, state: next, path: copy.path, rule, to });
  return next;
};

/** Lets the rules of one layer that answer compete and fire; the same state where there is none. */
const answerOn = (
  program: Program,
  state: State,
  copy: SceneCopy,
  layer: Id,
  answer: Answer,
  emit: Emit,
): State =>
  answer.rules.length === 0
    ? state
    : fireAnswer(program, state, copy, answer, () => `${copy.path}/${layer}`, emit);

const fireOnLive: Doing["fireOn"] = (project, state, live, layer, asked, emit) => {
  const program = programOf(project);
  const copy = program.scene(state).at(live.path);
  const answer = copy && program.rowAt(state, copy).answer(asked, layer);
  return copy && answer
    ? { state: answerOn(program, state, copy, layer, answer, emit), any: answer.rules.length > 0 }
    : { state, any: false };
};

/** For one layer of a copy; what happens there does not climb. */
export const onLayer = (
  program: Program,
  state: State,
  copyPath: Path,
  layer: Id,
  ask: Ask,
  emit: Emit,
): State => {
  const copy = program.scene(state).at(copyPath);
  if (!copy?.table.answering(ask)?.has(layer)) return state;
  return answerOn(program, state, copy, layer, program.rowAt(state, copy).answer(ask, layer), emit);
};

/** What came of an event, and whether any rule answered it. */
export interface Answered {
  readonly state: State;
  readonly any: boolean;
}

/**
 * In each piece on the way out, the innermost layer with an enabled rule takes the event; `skip`
 * are copies that do not get it.
 */
export const dispatch = (
  program: Program,
  state: State,
  ask: Ask,
  chain: readonly Path[],
  emit: Emit,
  skip: readonly Path[] = [],
): Answered => {
  let next = state;
  let any = false;
  for (const { copy, layers } of program.scene(state).route(chain)) {
    if (!sameSurface(next, state)) break;
    const asked = copy.table.answering(ask);
    if (!asked || skip.includes(copy.path)) continue;
    for (const layer of layers) {
      if (!asked.has(layer)) continue;
      const answer = program.rowAt(next, copy).answer(ask, layer);
      if (answer.rules.length === 0) continue;
      next = answerOn(program, next, copy, layer, answer, emit);
      any = true;
      break;
    }
  }
  return { state: next, any };
};
