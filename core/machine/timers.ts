import { meets } from "../looks";
import { lastsFor } from "../motion";
import type { Motion, Project } from "../project";
import { liveAt } from "./chain";
import { armClips } from "./clips";
import { liveCopies, rulesOf } from "./piece";
import type { Path, State, Timer } from "./types";

/**
 * Starts the waits whose condition has become true and drops those whose condition no longer holds;
 * what is held goes on being held.
 */
export const scheduleTimers = (project: Project, state: State): State => {
  const armed: Record<string, true> = {};
  const timers: Timer[] = state.timers.filter(
    (t) => t.source !== undefined && t.clip === undefined,
  );
  for (const live of liveCopies(project, state)) {
    for (const rule of rulesOf(project, live.piece)) {
      if (rule.trigger.type !== "delay") continue;
      const key = `${live.path} ${rule.id}`;
      if (state.stopped[key] || !meets(rule.when, live.variant)) continue;
      armed[key] = true;
      const running = state.timers.find(
        (t) =>
          t.at === live.path &&
          t.rule === rule.id &&
          t.source === undefined &&
          t.clip === undefined,
      );
      if (running) timers.push(running);
      else if (!state.armed[key])
        timers.push({ at: live.path, rule: rule.id, due: state.now + (rule.trigger.ms ?? 0) });
    }
  }
  const played = armClips(project, state);
  return { ...state, armed, clips: played.clips, timers: [...timers, ...played.timers] };
};

/**
 * Notes that a copy is in motion until a motion that begins now ends, if it has rules that wait for
 * that.
 */
export const noteInMotion = (project: Project, state: State, path: Path, motion: Motion): State => {
  const live = liveAt(project, state, path);
  if (!live || !rulesOf(project, live.piece).some((r) => r.trigger.type === "settled"))
    return state;
  return {
    ...state,
    settling: {
      ...state.settling,
      [path]: Math.max(state.settling[path] ?? 0, state.now + lastsFor(motion)),
    },
  };
};
