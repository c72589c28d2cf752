import { meets } from "../../looks";
import { lastsFor } from "../../motion";
import type { Motion, Project } from "../../project";
import { liveAt } from "../chain";
import { scheduleClips } from "./clips";
import { liveCopies, rulesOf } from "../piece";
import { changed } from "../state";
import type { State, Timer } from "../state";
import type { Path } from "../types";

/**
 * Starts the waits whose condition has become true and drops those whose condition no longer holds;
 * what is held goes on being held.
 */
export const scheduleTimers = (project: Project, state: State): State => {
  const scheduled: Record<string, true> = {};
  const waits: Timer[] = state.timers.waits.filter(
    (t) => t.source !== undefined && t.clip === undefined,
  );
  for (const live of liveCopies(project, state)) {
    for (const rule of rulesOf(project, live.piece)) {
      if (rule.trigger.type !== "delay") continue;
      const key = `${live.path} ${rule.id}`;
      if (state.timers.stopped[key] || !meets(rule.when, live.variant)) continue;
      scheduled[key] = true;
      const running = state.timers.waits.find(
        (t) =>
          t.at === live.path &&
          t.rule === rule.id &&
          t.source === undefined &&
          t.clip === undefined,
      );
      if (running) waits.push(running);
      else if (!state.timers.scheduled[key])
        waits.push({ at: live.path, rule: rule.id, due: state.now + (rule.trigger.ms ?? 0) });
    }
  }
  const played = scheduleClips(project, state);
  return {
    ...state,
    clips: played.clips,
    timers: { ...state.timers, scheduled, waits: [...waits, ...played.waits] },
  };
};

/**
 * Notes that a copy is in motion until a motion that begins now ends, if it has rules that wait for
 * that.
 */
export const noteInMotion = (project: Project, state: State, path: Path, motion: Motion): State => {
  const live = liveAt(project, state, path);
  if (!live || !rulesOf(project, live.piece).some((r) => r.trigger.type === "settled"))
    return state;
  const { settling } = state.timers;
  const until = Math.max(settling[path] ?? 0, state.now + lastsFor(motion));
  return changed(state, "timers", { settling: { ...settling, [path]: until } });
};
