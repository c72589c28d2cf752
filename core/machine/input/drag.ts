import { present } from "../../basics";
import type { Id } from "../../basics";
import { meets } from "../../looks";
import type { Motion, Project, Rule, Trigger } from "../../project";
import { liveAt, propagationPath, split } from "../chain";
import { enabledOn, fireAll, written } from "../rules/fire";
import { rulesOf } from "../piece";
import { sameSurface } from "../surface";
import type { Carrying, Emit } from "../events";
import { changed } from "../state";
import type { ActiveDrag, State } from "../state";
import type { Path, Point } from "../types";
import { listensFor } from "../rules/listening";

/** How far a press may wander before it is a drag, px. */
export const SLOP = 4;
/** How far back the speed of a drag looks, ms. */
const LOOK_BACK = 80;

/** What a drag trigger says when it leaves something out: px, share of the travel, px/s. */
export const usualDrag = {
  way: "line",
  lean: 8,
  direction: "right",
  travel: 120,
  part: 0.5,
  speed: 500,
} as const;
const saidBy = (t: Trigger) => ({
  way: t.way ?? usualDrag.way,
  lean: t.lean ?? usualDrag.lean,
  direction: t.direction ?? usualDrag.direction,
  travel: Math.max(1, t.travel ?? usualDrag.travel),
  part: t.part ?? usualDrag.part,
  speed: t.speed ?? usualDrag.speed,
});

/** How far something lies along a drag's direction, px; negative on the other side. */
const along = (t: Trigger, [x, y]: Point): number => {
  switch (saidBy(t).direction) {
    case "left":
      return -x;
    case "right":
      return x;
    case "up":
      return -y;
    case "down":
      return y;
    case "any":
      return Math.hypot(x, y);
  }
};

/** Whether a way mostly goes where a drag's direction says. */
const heads = (t: Trigger, way: Point): boolean =>
  along(t, way) >= SLOP && along(t, way) >= Math.hypot(...way) * Math.SQRT1_2 - 1e-9;

const isFree = (rule: Rule): boolean => saidBy(rule.trigger).way === "free";

/** Of rules for drags of a layer the one that a way begins: a free one wherever it goes. */
const begunBy = (rules: readonly Rule[], way: Point): Rule | undefined => {
  const headed = rules.find((r) => heads(r.trigger, way));
  if (headed || Math.hypot(...way) < SLOP) return headed;
  const free = rules.filter(isFree);
  return free.sort((a, b) => along(b.trigger, way) - along(a.trigger, way))[0];
};

/**
 * The drag that a way from where it was pressed begins: in the innermost copy that listens, its
 * innermost layer that does.
 */
const beginning = (
  project: Project,
  state: State,
  chain: readonly Path[],
  way: Point,
): Omit<ActiveDrag, "progress"> | null => {
  for (const { live, layers } of propagationPath(project, state, chain)) {
    for (const layer of layers) {
      const rules = enabledOn(project, state, live, layer, listensFor("drag"));
      const rule = begunBy(rules, way);
      if (rule) return { at: live.path, rule: rule.id, source: `${live.path}/${layer}` };
      if (rules.length) break;
    }
  }
  return null;
};

const ruleAt = (project: Project, state: State, drag: { at: Path; rule: Id }): Rule | undefined => {
  const live = liveAt(project, state, drag.at);
  const rule = live && rulesOf(project, live.piece).find((r) => r.id === drag.rule);
  return rule && live && meets(rule.when, state.traits[live.path] ?? live.variant)
    ? rule
    : undefined;
};

/** A drag goes on as long as there is its rule. */
export const keepDrag = (project: Project, state: State): State => {
  const { drag } = state.pointer;
  return drag && !ruleAt(project, state, drag) ? changed(state, "pointer", { drag: null }) : state;
};

/**
 * The state as it will be when the drag under way is let go past its threshold: what the hand moves
 * towards.
 */
export const dragged = (project: Project, state: State): State => {
  const { drag } = state.pointer;
  const live = drag && liveAt(project, state, drag.at);
  const rule = drag && ruleAt(project, state, drag);
  return live && rule ? written(project, state, live, rule) : state;
};

/**
 * The pointer has moved: a press that wanders becomes a drag, and a drag follows. px of the shown
 * piece.
 */
export const moveTo = (project: Project, state: State, to: Point, emit: Emit): State => {
  const { trail: before, pressed, grip, drag } = state.pointer;
  const trail = [
    ...before.filter((t) => state.now - t.at <= LOOK_BACK),
    { at: state.now, point: to },
  ];
  if (!pressed || state.keyboard.pressing !== null || !grip)
    return changed(state, "pointer", { trail: pressed ? trail : trail.slice(-1) });
  const way: Point = [to[0] - grip[0], to[1] - grip[1]];
  const moved = changed(state, "pointer", { trail });
  const now = drag && ruleAt(project, moved, drag);
  if (now && (along(now.trigger, way) > 0 || drag.progress !== 0))
    return follow(moved, now, way, emit);
  const began = beginning(project, moved, pressed, way);
  // what keeps with the hand does so back past its beginning, too
  const goesOn = now && isFree(now) && (!began || began.rule === now.id);
  if (goesOn) return follow(moved, now, way, emit);
  if (!began) return moved;
  const rule = present(ruleAt(project, moved, began));
  // what is dragged is no click and is not held, in any copy
  const dragging = changed(moved, "pointer", {
    drag: { ...began, progress: 0 },
    heldIn: propagationPath(project, moved, pressed).map((p) => p.live.path),
  });
  const waits = moved.timers.waits.filter((t) => t.source === undefined);
  return follow(changed(dragging, "timers", { waits }), rule, way, emit);
};

const follow = (state: State, rule: Rule, way: Point, emit: Emit): State => {
  const { drag } = state.pointer;
  if (!drag) return state;
  const progress = Math.min(1, Math.max(0, along(rule.trigger, way) / saidBy(rule.trigger).travel));
  const next = changed(state, "pointer", { drag: { ...drag, progress } });
  emit({
    type: "dragging",
    at: state.now,
    state: next,
    path: drag.at,
    rule: rule.id,
    progress,
    motion: rule.motion,
    carries: carriedBy(rule, drag.source, way),
  });
  return next;
};

/** How far the pointer is from where it pressed, px. */
const wayOf = ({ pointer: { trail, grip } }: State): Point => {
  const here = trail.at(-1)?.point;
  return here && grip ? [here[0] - grip[0], here[1] - grip[1]] : [0, 0];
};

const carriedBy = (rule: Rule, source: Path, by: Point): Carrying | null =>
  isFree(rule) ? { source, by, lean: saidBy(rule.trigger).lean, motion: rule.motion } : null;

/** How fast the pointer goes along a direction, px/s, over the last moments. */
const speedOf = (state: State, trigger: Trigger): number => {
  const recent = state.pointer.trail.filter((t) => state.now - t.at <= LOOK_BACK);
  const first = recent[0];
  const last = recent.at(-1);
  if (!first || !last || last.at <= first.at) return 0;
  const way: Point = [last.point[0] - first.point[0], last.point[1] - first.point[1]];
  return (along(trigger, way) / (state.now - first.at)) * 1000;
};

/**
 * A drag is let go: far enough or fast enough it is done, from where it is; otherwise, or when it
 * was cancelled, it goes back.
 */
export const drop = (project: Project, state: State, cancelled: boolean, emit: Emit): State => {
  const { drag } = state.pointer;
  if (!drag) return state;
  const free = changed(state, "pointer", { drag: null });
  const live = liveAt(project, free, drag.at);
  const rule = ruleAt(project, free, drag);
  if (!live || !rule) return free;
  const said = saidBy(rule.trigger);
  const done =
    !cancelled &&
    (drag.progress >= said.part ||
      (drag.progress > 0 && speedOf(state, rule.trigger) >= said.speed));
  const left = done ? 1 - drag.progress : drag.progress;
  const { lanes: _all, ...plain } = rule.motion;
  const motion: Motion = { ...plain, duration: rule.motion.duration * left, delay: 0 };
  emit({
    type: "dropped",
    at: state.now,
    state: free,
    path: drag.at,
    rule: rule.id,
    done,
    motion,
    carries: carriedBy(rule, drag.source, wayOf(state)),
  });
  if (!done) return free;
  const { layer } = split(drag.source);
  const others = enabledOn(
    project,
    free,
    live,
    layer,
    (r) => r.trigger.type === "drag" && saidBy(r.trigger).direction === said.direction,
  );
  const next = fireAll(
    project,
    free,
    live,
    others.map((r) => (r.id === rule.id ? { ...r, motion } : r)),
    () => drag.source,
    emit,
  );
  return sameSurface(next, state) ? next : changed(next, "pointer", { drag: null });
};
