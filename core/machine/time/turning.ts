import type { Id } from "../../basics";
import { liveAt } from "../chain";
import { clipAt, momentOf } from "./clips";
import type { Doing } from "../rules/effect-types";
import { scheduleTimers } from "./timers";
import type { State } from "../state";

/** Whether a clip plays, and where it is, ms from its beginning. */
interface ClipMoment {
  readonly playing: boolean;
  readonly moment: number;
}

/** Plays, halts or turns a clip, or goes to a moment of it; the clip tells so itself. */
export const turnClip = (
  doing: Doing,
  layer: Id,
  turn: (now: ClipMoment, length: number) => ClipMoment,
): State => {
  const { project, state, emit, fireOn } = doing;
  const { path } = doing.cause;
  const live = liveAt(project, state, path);
  const at = live && clipAt(project, state, live, layer);
  if (!live || !at) return state;
  const { clip, length } = at;
  const moment = Math.min(length, momentOf(clip, state.now));
  const turned = turn({ playing: clip.playing, moment }, length);
  const clips = { ...state.clips, [`${path}/${layer}`]: { ...turned, since: state.now } };
  const next = scheduleTimers(project, { ...state, clips });
  if (turned.playing === clip.playing) return next;
  const what = turned.playing ? "played" : "paused";
  emit({ type: "clip", at: state.now, state: { ...state, clips }, path, layer, what });
  return fireOn(project, next, live, layer, what, emit).state;
};
