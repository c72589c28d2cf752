import { present } from "../../basics";
import type { Id } from "../../basics";
import { meets } from "../../looks";
import { ROOT } from "../../project";
import type { Project } from "../../project";
import { liveAt, split } from "../chain";
import { isHeldFor } from "../input/pressing";
import { scheduleTimers } from "./timers";
import { clipAt } from "./clips";
import { fireAll, fireOn } from "../rules/fire";
import { answerCome } from "../input/forms";
import { rulesOf } from "../piece";
import type { Emit, MachineEvent } from "../events";
import { changed } from "../state";
import type { State, Timer } from "../state";
import type { Path } from "../types";
import { listensFor } from "../rules/listening";

/** More rule steps than this without time passing is a loop. */
const MOST_STEPS = 64;

/** The waits of one copy that are due together. */
const fireTimers = (project: Project, state: State, first: Timer, emit: Emit): State => {
  const together = state.timers.waits.filter(
    (t) =>
      t.due === first.due &&
      t.at === first.at &&
      (t.source === undefined) === (first.source === undefined) &&
      t.clip === undefined,
  );
  const waits = state.timers.waits.filter((t) => !together.includes(t));
  const next = changed(state, "timers", { waits });
  const live = liveAt(project, next, first.at);
  if (!live) return next;
  const sources = new Map(together.map((t) => [t.rule, t.source ?? `${live.path}/${ROOT}`]));
  const held = first.source !== undefined;
  const variant = next.traits[live.path] ?? live.variant;
  const rules = rulesOf(project, live.piece).filter(
    (r) => sources.has(r.id) && (!held || meets(r.when, variant)),
  );
  if (held && (!isHeldFor(next, first) || rules.length === 0)) return next;
  const heldIn = [...next.pointer.heldIn, live.path];
  return fireAll(
    project,
    held ? changed(next, "pointer", { heldIn }) : next,
    live,
    rules,
    (r) => present(sources.get(r.id)),
    emit,
  );
};

/**
 * A clip has got to a moment that rules listen for, or to its end; one that repeats begins again.
 */
const fireClip = (
  project: Project,
  state: State,
  first: Timer & { readonly clip: Path },
  emit: Emit,
): State => {
  const together = state.timers.waits.filter((t) => t.clip === first.clip && t.due === first.due);
  const { layer } = split(first.clip);
  const waits = state.timers.waits.filter((t) => t.clip !== first.clip);
  const next = changed(state, "timers", { waits });
  const live = liveAt(project, next, first.at);
  const at = live && clipAt(project, next, live, layer);
  if (!live || !at) return next;
  const ends = together.some((t) => t.rule === "");
  const reached = rulesOf(project, live.piece).filter((r) => together.some((t) => t.rule === r.id));
  const clip = ends
    ? { playing: at.repeats, moment: at.repeats ? 0 : at.length, since: next.now }
    : {
        playing: true,
        moment: Math.max(...reached.map((r) => r.trigger.ms ?? 0)),
        since: next.now,
      };
  const moved = scheduleTimers(project, { ...next, clips: { ...next.clips, [first.clip]: clip } });
  emit({
    type: "clip",
    at: next.now,
    state: moved,
    path: first.at,
    layer,
    what: ends ? "ended" : "reached",
  });
  const told = fireAll(project, moved, live, reached, () => first.clip, emit);
  return ends ? fireOn(project, told, live, layer, listensFor("ended"), emit).state : told;
};

/** The motions of a copy have ended. */
const fireSettled = (project: Project, state: State, path: Path, emit: Emit): State => {
  const { [path]: _due, ...settling } = state.timers.settling;
  const next = changed(state, "timers", { settling });
  const live = liveAt(project, next, path);
  if (!live) return next;
  const variant = next.traits[path] ?? live.variant;
  const rules = rulesOf(project, live.piece).filter(
    (r) =>
      listensFor("settled")(r) && !next.timers.stopped[`${path} ${r.id}`] && meets(r.when, variant),
  );
  return fireAll(project, next, live, rules, () => `${path}/${ROOT}`, emit);
};

/** How waits that are due are answered. */
export interface Firing {
  readonly timers: (project: Project, state: State, first: Timer, emit: Emit) => State;
  readonly settled: (project: Project, state: State, path: Path, emit: Emit) => State;
}

export const readableFiring: Firing = { timers: fireTimers, settled: fireSettled };

/** When something will happen by itself, ms; Infinity when nothing will. */
export const nextDue = (state: State): number =>
  Math.min(
    ...state.timers.waits.map((t) => t.due),
    ...Object.values(state.timers.settling),
    ...Object.values(state.forms.sending).map((s) => s.due),
  );

/**
 * Fires what is due until a moment, each at its own: of one moment first what has settled, then
 * what waited.
 */
export const runDue = (
  project: Project,
  from: State,
  until: number,
  firing: Firing,
  emit: Emit,
): State => {
  let state = from;
  let moment = -Infinity;
  let steps = 0;
  let recent: { path: Path; rule: Id }[] = [];
  const note: Emit = (event: MachineEvent) => {
    if (event.type === "fired") {
      recent.push({ path: event.path, rule: event.rule });
      steps++;
    }
    emit(event);
  };
  for (;;) {
    const due = nextDue(state);
    if (!(due <= until)) return state;
    if (due > moment) {
      moment = due;
      steps = 0;
      recent = [];
    }
    state = { ...state, now: Math.max(state.now, due) };
    const settled = Object.keys(state.timers.settling).find(
      (p) => state.timers.settling[p] === due,
    );
    const timer = state.timers.waits.find((t) => t.due === due);
    const answered = Object.keys(state.forms.sending).find(
      (p) => state.forms.sending[p]?.due === due,
    );
    if (settled !== undefined) state = firing.settled(project, state, settled, note);
    else if (timer?.clip !== undefined)
      state = fireClip(project, state, { ...timer, clip: timer.clip }, note);
    else if (timer) state = firing.timers(project, state, timer, note);
    else if (answered !== undefined)
      state = scheduleTimers(project, answerCome(project, state, answered, note));
    if (steps > MOST_STEPS) {
      state = stopLoop(state, recent, emit);
      steps = 0;
    }
  }
};

const stopLoop = (state: State, recent: readonly { path: Path; rule: Id }[], emit: Emit): State => {
  const keys = new Map(recent.map((r) => [`${r.path} ${r.rule}`, r]));
  const next = changed(state, "timers", {
    stopped: {
      ...state.timers.stopped,
      ...Object.fromEntries([...keys.keys()].map((k) => [k, true as const])),
    },
    waits: state.timers.waits.filter((t) => !keys.has(`${t.at} ${t.rule}`)),
  });
  emit({ type: "loop", at: state.now, state: next, rules: [...keys.values()] });
  return next;
};
