import { meets, restingVariant } from "../looks/variants";
import { ROOT } from "../project/types";
import type { Id, Motion, Piece, Project, Rule, TriggerType } from "../project/types";
import { contest, targetValue, writerKey, writeTraits } from "./effects";
import { endHolds } from "./holds";
import { ancestry, liveCopies, rulesOf } from "./piece";
import type { Live } from "./piece";
import type { Happening, Hold, Input, Path, State, Timer } from "./types";

/** More rule steps than this without time passing is a loop. */
export const MOST_STEPS = 64;

type Happen = (h: Happening) => void;
const still: Motion = { kind: "cut", duration: 0, delay: 0, easing: "linear" };

/** The state a piece starts in, with the waits that begin at once. */
export const start = (project: Project, piece: Id, now = 0): State => {
  const empty: State = { now, screen: piece, history: [], traits: {}, writers: {}, serial: 1, timers: [], armed: {}, holds: [], over: [], pressed: null, stopped: {} };
  return arm(project, empty);
};

/** Copies by path for one state. */
const liveAt = (project: Project, state: State, path: Path): Live | undefined => liveCopies(project, state).find((l) => l.path === path);

/** Starts the waits whose condition has become true and drops those whose condition no longer holds. */
const arm = (project: Project, state: State): State => {
  const armed: Record<string, true> = {};
  const timers: Timer[] = [];
  for (const live of liveCopies(project, state)) {
    for (const rule of rulesOf(project, live.piece)) {
      if (rule.trigger.type !== "delay") continue;
      const key = `${live.path} ${rule.id}`;
      if (state.stopped[key] || !meets(rule.when, live.variant)) continue;
      armed[key] = true;
      const running = state.timers.find((t) => t.at === live.path && t.rule === rule.id);
      if (running) timers.push(running);
      else if (!state.armed[key]) timers.push({ at: live.path, rule: rule.id, due: state.now + (rule.trigger.ms ?? 0) });
    }
  }
  return { ...state, armed, timers };
};

const fireRule = (project: Project, state: State, live: Live, rule: Rule, source: Path, happen: Happen): State => {
  const serial = state.serial + 1;
  let next: State = { ...state, serial };
  const variant = next.traits[live.path] ?? live.variant;
  const sets: Record<Id, Id> = {};
  for (const effect of rule.effects) {
    if (effect.type !== "set") continue;
    const value = targetValue(live.piece, { ...variant, ...sets }, effect);
    if (value !== null) sets[effect.trait] = value;
  }
  const was: Record<Id, { value: Id; writer: number }> = {};
  for (const trait in sets) was[trait] = { value: variant[trait] ?? "", writer: next.writers[writerKey(live.path, trait)] ?? 0 };
  const written = writeTraits(project, next, live, sets, serial);
  next = written.state;
  const cause = rule.trigger.type === "hover" ? "hover" : rule.trigger.type === "press" ? "press" : null;
  if (rule.undo && cause) {
    const hold: Hold = { at: live.path, rule: rule.id, source, cause, serial, was, motion: rule.motion };
    next = { ...next, holds: [...next.holds, hold] };
  }
  happen({ type: "fired", at: state.now, state: next, path: live.path, rule: rule.id, trigger: rule.trigger.type, sets: written.sets, motion: rule.motion });
  for (const effect of rule.effects) {
    if (effect.type === "go") next = goTo(project, next, effect.screen, rule.motion, { path: live.path, rule: rule.id }, happen);
    if (effect.type === "back") next = goBack(project, next, rule.motion, { path: live.path, rule: rule.id }, happen);
  }
  return arm(project, next);
};

type Cause = { path: Path; rule: Id | null };

const enterScreen = (project: Project, state: State, screen: Id, history: readonly Id[], motion: Motion, cause: Cause, happen: Happen): State => {
  // what was held or waited for on the screen left behind ends with it
  const left = endHolds(project, state, () => true, () => undefined);
  const next = arm(project, { ...left, screen, history, over: [], pressed: null, timers: [], armed: {} });
  happen({ type: "went", at: state.now, state: next, path: cause.path, rule: cause.rule, from: state.screen, to: screen, motion });
  return next;
};

const goTo = (project: Project, state: State, screen: Id, motion: Motion, cause: Cause, happen: Happen): State =>
  screen === state.screen || !project.pieces[screen] ? state : enterScreen(project, state, screen, [...state.history, state.screen].slice(-100), motion, cause, happen);

const goBack = (project: Project, state: State, motion: Motion, cause: Cause, happen: Happen): State => {
  const to = state.history.findLast((s) => project.pieces[s]);
  return to === undefined ? state : enterScreen(project, state, to, state.history.slice(0, state.history.lastIndexOf(to)), motion, cause, happen);
};

const answers = (rule: Rule, trigger: TriggerType, layer: Id): boolean => rule.trigger.type === trigger && (rule.source ?? ROOT) === layer;

/** Lets the rules of one layer that answer a trigger compete and fire; says whether there was any. */
const fireOn = (project: Project, state: State, live: Live, layer: Id, triggers: readonly TriggerType[], happen: Happen): { state: State; any: boolean } => {
  const variant = state.traits[live.path] ?? live.variant;
  const enabled = rulesOf(project, live.piece).filter((r) => triggers.some((t) => answers(r, t, layer)) && meets(r.when, variant));
  const { wins, losses } = contest(enabled);
  let next = state;
  for (const rule of wins) next = fireRule(project, next, live, rule, `${live.path}/${layer}`, happen);
  for (const { rule, to } of losses) happen({ type: "lost", at: state.now, state: next, path: live.path, rule: rule.id, to: to.id });
  return { state: next, any: enabled.length > 0 };
};

/** The pieces an event passes through, from the innermost copy outwards, each with the layers it may land on, innermost first. */
const passage = (project: Project, state: State, chain: readonly Path[]): { live: Live; layers: Id[] }[] => {
  const byPath = new Map(liveCopies(project, state).map((l) => [l.path, l]));
  const out: { live: Live; layers: Id[] }[] = [];
  for (const path of chain) {
    const cut = path.lastIndexOf("/");
    const live = byPath.get(path.slice(0, cut));
    if (!live) continue;
    const last = out.at(-1);
    if (last && last.live.path === live.path) last.layers.push(path.slice(cut + 1));
    else out.push({ live, layers: [path.slice(cut + 1)] });
  }
  return out;
};

/** In each piece on the way out, the innermost layer with an enabled rule takes the event. */
const dispatch = (project: Project, state: State, trigger: TriggerType, chain: readonly Path[], happen: Happen): { state: State; any: boolean } => {
  let next = state, any = false;
  for (const { live, layers } of passage(project, state, chain)) {
    if (next.screen !== state.screen) break;
    for (const layer of layers) {
      const result = fireOn(project, next, live, layer, [trigger], happen);
      next = result.state;
      if (result.any) { any = true; break; }
    }
  }
  return { state: next, any };
};

/** enter, leave and hover are for one layer and do not climb. */
const onLayer = (project: Project, state: State, path: Path, triggers: readonly TriggerType[], happen: Happen): State => {
  const cut = path.lastIndexOf("/");
  const live = liveAt(project, state, path.slice(0, cut));
  return live ? fireOn(project, state, live, path.slice(cut + 1), triggers, happen).state : state;
};

/** All layers an event at a layer concerns, innermost first, through the copies around it. */
const chainOf = (project: Project, state: State, layer: Path | null): Path[] => {
  if (layer === null) return [];
  const parts = layer.split("/");
  const pieces: (Piece | undefined)[] = [project.pieces[state.screen]];
  const paths = [state.screen];
  const live = new Map(liveCopies(project, state).map((l) => [l.path, l.piece]));
  for (const part of parts.slice(0, -1)) {
    const path = `${paths.at(-1)}/${part}`;
    paths.push(path);
    pieces.push(live.get(path));
  }
  const out: Path[] = [];
  for (let i = parts.length - 1; i >= 0; i--) {
    const piece = pieces[i];
    if (!piece) continue;
    out.push(...ancestry(piece, parts[i] as string).map((id) => `${paths[i]}/${id}`));
  }
  return out;
};

const moveOver = (project: Project, state: State, layer: Path | null, happen: Happen): State => {
  const chain = chainOf(project, state, layer);
  const left = state.over.filter((p) => !chain.includes(p));
  const entered = chain.filter((p) => !state.over.includes(p)).reverse();
  if (left.length + entered.length === 0) return state;
  let next: State = { ...state, over: chain };
  const screen = state.screen;
  for (const path of left) {
    next = arm(project, endHolds(project, next, (h) => h.cause === "hover" && h.source === path, happen));
    next = onLayer(project, next, path, ["leave"], happen);
    if (next.screen !== screen) return next;
  }
  for (const path of entered) {
    next = onLayer(project, next, path, ["enter", "hover"], happen);
    if (next.screen !== screen) return next;
  }
  return next;
};

const lift = (project: Project, state: State, happen: Happen): State => {
  if (!state.pressed) return state;
  const common = state.pressed.filter((p) => state.over.includes(p));
  let next: State = { ...state, pressed: null };
  const screen = state.screen;
  const release = dispatch(project, next, "release", common, happen);
  const click = release.state.screen === screen ? dispatch(project, release.state, "click", common, happen) : { state: release.state, any: false };
  next = click.state;
  const inner = state.pressed[0];
  const waited = passage(project, state, state.pressed).some(({ live, layers }) =>
    rulesOf(project, live.piece).some((r) => (r.trigger.type === "click" || r.trigger.type === "release") && layers.includes(r.source ?? ROOT)));
  if (common.length < state.pressed.length && waited && !release.any && !click.any && inner) happen({ type: "leftPressed", at: state.now, state: next, layer: inner });
  else if (!release.any && !click.any && inner && !waited) happen({ type: "missed", at: state.now, state: next, layer: inner });
  return next.screen === screen ? arm(project, endHolds(project, next, (h) => h.cause === "press", happen)) : next;
};

/** Feeds one input. Same state and input give the same result, always. */
export const step = (project: Project, state: State, input: Input): { state: State; happenings: Happening[] } => {
  const happenings: Happening[] = [];
  const happen: Happen = (h) => happenings.push(h);
  const go = (): State => {
    switch (input.type) {
      case "over": return moveOver(project, state, input.layer, happen);
      case "down": {
        if (state.pressed) return state;
        const pressed = state.over;
        return dispatch(project, { ...state, pressed }, "press", pressed, happen).state;
      }
      case "up": return lift(project, state, happen);
      case "cancel": return arm(project, endHolds(project, { ...state, pressed: null }, (h) => h.cause === "press", happen));
      case "show": return showTrait(project, state, input.at, input.trait, input.value, happen);
      case "screen": return input.screen === state.screen ? state : goTo(project, state, input.screen, still, { path: input.screen, rule: null }, happen);
    }
  };
  const moved = go();
  const settled = runDue(project, moved, moved.now, happen);
  return { state: settled, happenings };
};

const showTrait = (project: Project, state: State, at: Path, trait: Id, value: Id, happen: Happen): State => {
  const live = liveAt(project, state, at);
  if (!live?.piece.traits[trait]?.values[value]) return state;
  const serial = state.serial + 1;
  const written = writeTraits(project, { ...state, serial }, live, { [trait]: value }, serial);
  const next = arm(project, written.state);
  if (written.sets.length) happen({ type: "shown", at: state.now, state: next, path: at, sets: written.sets });
  return next;
};

/** Lets time pass until `until` (ms), firing waits at the very moment they are due. */
export const advance = (project: Project, state: State, until: number): { state: State; happenings: Happening[] } => {
  const happenings: Happening[] = [];
  const next = runDue(project, state, Math.max(until, state.now), (h) => happenings.push(h));
  return { state: { ...next, now: Math.max(next.now, until) }, happenings };
};

const runDue = (project: Project, from: State, until: number, happen: Happen): State => {
  let state = from, moment = -Infinity, steps = 0;
  let recent: { path: Path; rule: Id }[] = [];
  for (;;) {
    const due = Math.min(...state.timers.map((t) => t.due));
    if (!(due <= until)) return state;
    if (due > moment) { moment = due; steps = 0; recent = []; }
    state = { ...state, now: Math.max(state.now, due) };
    const first = state.timers.find((t) => t.due === due) as Timer;
    const together = state.timers.filter((t) => t.due === due && t.at === first.at);
    state = { ...state, timers: state.timers.filter((t) => !together.includes(t)) };
    const live = liveAt(project, state, first.at);
    if (!live) continue;
    const rules = together.flatMap((t) => rulesOf(project, live.piece).filter((r) => r.id === t.rule));
    const { wins, losses } = contest(rules);
    for (const rule of wins) {
      recent.push({ path: live.path, rule: rule.id });
      state = fireRule(project, state, live, rule, `${live.path}/${ROOT}`, happen);
      steps++;
    }
    for (const { rule, to } of losses) happen({ type: "lost", at: state.now, state, path: live.path, rule: rule.id, to: to.id });
    if (steps > MOST_STEPS) {
      state = stopLoop(state, recent, happen);
      steps = 0;
    }
  }
};

const stopLoop = (state: State, recent: readonly { path: Path; rule: Id }[], happen: Happen): State => {
  const keys = new Map(recent.map((r) => [`${r.path} ${r.rule}`, r]));
  const next: State = {
    ...state,
    stopped: { ...state.stopped, ...Object.fromEntries([...keys.keys()].map((k) => [k, true as const])) },
    timers: state.timers.filter((t) => !keys.has(`${t.at} ${t.rule}`)),
  };
  happen({ type: "loop", at: state.now, state: next, rules: [...keys.values()] });
  return next;
};

/** The traits of the shown piece itself. */
export const shownVariant = (project: Project, state: State) => {
  const piece = project.pieces[state.screen];
  return piece ? (state.traits[state.screen] ?? restingVariant(piece)) : {};
};

/** After an edit: what no longer exists is let go, waits are looked at afresh. */
export const revise = (project: Project, state: State): State => {
  const screen = project.pieces[state.screen] ? state.screen : (state.history.findLast((s) => project.pieces[s]) ?? state.screen);
  return arm(project, { ...state, screen, stopped: {} });
};
