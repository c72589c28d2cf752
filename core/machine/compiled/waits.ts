import type { State, Timer } from "../state";
import { noteInMotion } from "../time/timers";
import { scheduleClips } from "../time/clips";
import type { Motion } from "../../project";
import type { Path } from "../types";
import { isEmpty } from "./copies";
import { copyOf } from "../state";
import type { Program } from "./program";

const isHold = (t: Timer): boolean => t.source !== undefined && t.clip === undefined;

/** Whether nothing waits but what is held, and nothing is noted of other waits. */
const onlyHolds = ({ timers: { waits, scheduled } }: State): boolean => {
  for (const wait of waits) if (!isHold(wait)) return false;
  return isEmpty(scheduled);
};

/**
 * Starts the waits whose condition has become true and drops those whose condition no longer holds;
 * what is held goes on being held.
 */
export const schedule = (program: Program, state: State): State => {
  const scene = program.scene(state);
  if (!scene.hasWaits && onlyHolds(state) && isEmpty(state.clips)) return state;
  const { timers } = state;
  const scheduled: Record<string, true> = {};
  const waits = timers.waits.filter(isHold);
  for (const { path, row } of scene.copies)
    for (const { rule } of row.delays) {
      const key = program.keys.key(path, rule.id);
      if (timers.stopped[key]) continue;
      scheduled[key] = true;
      const running = timers.waits.find(
        (t) =>
          t.at === path && t.rule === rule.id && t.source === undefined && t.clip === undefined,
      );
      if (running) waits.push(running);
      else if (!timers.scheduled[key])
        waits.push({ at: path, rule: rule.id, due: state.now + (rule.trigger.ms ?? 0) });
    }
  const next = copyOf(state);
  if (scene.hasClips || !isEmpty(state.clips)) {
    const played = scheduleClips(program.project, state);
    next.clips = played.clips;
    waits.push(...played.waits);
  }
  const { settling, stopped } = timers;
  next.timers = { waits, scheduled, settling, stopped };
  return next;
};

/** Notes that a copy is in motion, if it has rules that wait for the end of that. */
export const noteMotion = (program: Program, state: State, path: Path, motion: Motion): State =>
  program.scene(state).at(path)?.table.waitsForRest
    ? noteInMotion(program.project, state, path, motion)
    : state;
