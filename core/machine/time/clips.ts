import { present } from "../../basics";
import type { Id } from "../../basics";
import type { LayoutBox } from "../../layout";
import { meets } from "../../looks";
import type { Project } from "../../project";
import type { ClipState, State, Timer } from "../state";
import type { ActiveInstance, Path } from "../types";
import { liveCopies, rulesOf } from "../piece";
import { layersWith } from "../saying";

/** Where a clip is, ms from its beginning. */
export const momentOf = (clip: ClipState, now: number): number =>
  clip.playing ? clip.moment + now - clip.since : clip.moment;

/** A clip of a copy: how long it is, whether it begins again, and where it is. */
export const clipAt = (
  project: Project,
  state: State,
  live: ActiveInstance,
  layer: Id,
): { length: number; repeats: boolean; clip: ClipState } | null => {
  const found = layersWith(project, live, "plays").find((c) => c.layer.id === layer);
  return found
    ? {
        length: present(found.values.plays),
        repeats: found.values.repeats === true,
        clip: state.clips[`${live.path}/${layer}`] ?? {
          playing: false,
          moment: 0,
          since: state.now,
        },
      }
    : null;
};

/**
 * Clips that are part of the scene, those that start by themselves begun, and what they wait for:
 * moments that rules listen for, and their ends.
 */
export const scheduleClips = (
  project: Project,
  state: State,
): { clips: State["clips"]; waits: Timer[] } => {
  const clips: Record<Path, ClipState> = {};
  const waits: Timer[] = [];
  for (const live of liveCopies(project, state))
    for (const { layer, values } of layersWith(project, live, "plays")) {
      const path = `${live.path}/${layer.id}`;
      const clip =
        state.clips[path] ??
        (values.starts === true ? { playing: true, moment: 0, since: state.now } : undefined);
      if (!clip) continue;
      clips[path] = clip;
      if (!clip.playing) continue;
      const due = (ms: number) => clip.since + ms - clip.moment;
      const length = present(values.plays);
      waits.push({ at: live.path, rule: "", due: due(length), clip: path });
      for (const r of rulesOf(project, live.piece))
        if (
          r.trigger.type === "reached" &&
          r.source === layer.id &&
          meets(r.when, live.variant) &&
          (r.trigger.ms ?? 0) > clip.moment &&
          (r.trigger.ms ?? 0) < length
        )
          waits.push({ at: live.path, rule: r.id, due: due(r.trigger.ms ?? 0), clip: path });
    }
  return {
    clips: Object.keys(clips).length || Object.keys(state.clips).length ? clips : state.clips,
    waits,
  };
};

/** The scene with its clips where they are now. */
export const withMoments = (scene: LayoutBox, state: State): LayoutBox => {
  if (Object.keys(state.clips).length === 0) return scene;
  const visit = (p: LayoutBox, prefix: string): LayoutBox => {
    const path = prefix + p.layer.id;
    const clip = state.clips[`${state.screen}/${path}`];
    const children = p.children.map((c) => visit(c, prefix));
    const nested = p.nested && visit(p.nested, `${path}/`);
    const same = nested === p.nested && children.every((c, i) => c === p.children[i]);
    if (!clip) return same ? p : { ...p, children, nested };
    return {
      ...p,
      children,
      nested,
      shapes: null,
      values: {
        ...p.values,
        playedTo: Math.min(p.values.plays ?? 0, momentOf(clip, state.now)),
      },
    };
  };
  return visit(scene, "");
};
