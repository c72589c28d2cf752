import { componentsAt, liveCopies, rulesOf } from "../behaviour/piece";
import { focusStops } from "../behaviour/focus";
import { isEntry } from "../behaviour/forms";
import { advance, start, step } from "../behaviour/machine";
import type { Happening, Input, Path, State, Timer } from "../behaviour/types";
import type { LayoutEnv } from "../layout/place";
import { restOf, traitsOf, valuesOf, variantFrom } from "../looks/variants";
import { TRAIT } from "../properties/registry";
import type { Id, Piece, Project, Step, TriggerType, Variant } from "../project/types";
import { Surveyor } from "./places";

/** By what something is done. What is at rest can be gone on with by any of them. */
export type Mode = "rest" | "mouse" | "touch" | "keys";

/** One thing that can be done, or a wait that may end. */
export type Doing =
  | { readonly do: "point"; readonly layer: Path | null }
  | { readonly do: "press" }
  | { readonly do: "release" }
  | { readonly do: "pause" }
  | { readonly do: "finger"; readonly layer: Path }
  | { readonly do: "lift" }
  | { readonly do: "drag"; readonly layer: Path; readonly by: readonly [number, number] }
  | { readonly do: "key"; readonly key: string; readonly phase: "down" | "up" }
  | { readonly do: "focus"; readonly layer: Path | null }
  | { readonly do: "see"; readonly layer: Path }
  | { readonly do: "answer"; readonly path: Path; readonly well: boolean }
  | { readonly do: "wait"; readonly timer: Timer }
  | { readonly do: "settle"; readonly path: Path }
  | { readonly do: "show"; readonly trait: Id; readonly value: Id };

export interface Node {
  readonly key: string;
  readonly mode: Mode;
  readonly state: State;
  /** how one gets here first */
  readonly from: { readonly node: Node; readonly does: Doing } | null;
  /** traits of the shown piece */
  readonly variant: Variant;
}
export interface Edge {
  readonly from: Node;
  readonly to: Node;
  readonly does: Doing;
  /** by what it is done; waits end by themselves */ readonly by: Mode;
  readonly happenings: readonly Happening[];
}
export interface Explored {
  readonly nodes: readonly Node[];
  readonly edges: readonly Edge[];
  /** false: there is more than was looked at */ readonly whole: boolean;
  readonly surveyor: Surveyor;
}

/** How many situations are looked at before the rest is left; a situation is all traits with what is pointed at, pressed and waited for. */
export const MOST_NODES = 6000;
/** Time that passes with each thing done, so that waits that began one after the other can be told apart; ms. */
const INSTANT = 1e-6;

/** What is on screen, as text: equal states look and answer alike. */
const shownKey = (project: Project, state: State): string =>
  JSON.stringify([
    state.screen,
    state.overlays.map((o) => o.screen),
    state.options,
    liveCopies(project, state).map((l) => [l.path, traitsOf(l.piece).map((t) => l.variant[t.id])]),
  ]);

/** Waits in the order they began; those that began together keep the order in which they end. */
const groups = (project: Project, state: State): { timer: Timer; began: number }[] => {
  const live = new Map(liveCopies(project, state).map((l) => [l.path, l.piece]));
  return state.timers
    .map((timer) => ({
      timer,
      began: timer.due - (live.get(timer.at)?.rules[timer.rule]?.trigger.ms ?? 0),
    }))
    .sort((a, b) => a.began - b.began || a.timer.due - b.timer.due);
};
const together = (a: number, b: number): boolean => Math.abs(a - b) < INSTANT / 2;

const keyOf = (project: Project, mode: Mode, state: State, shown: string): string => {
  let rank = 0;
  let last = NaN;
  const waits = groups(project, state).map(({ timer, began }) => {
    if (!together(began, last)) rank++;
    last = began;
    return [rank, timer.at, timer.rule, timer.source];
  });
  const holds = state.holds.map((h) => [
    h.at,
    h.rule,
    h.source,
    Object.entries(h.was).map(([t, w]) => [t, w.value, state.writers[`${h.at} ${t}`] === h.serial]),
  ]);
  return JSON.stringify([
    mode,
    shown,
    state.over[0],
    state.pressed?.[0] ?? state.pressed,
    state.byKey,
    state.heldIn,
    state.clicked?.chain[0],
    state.focused[0],
    holds,
    waits,
    Object.keys(state.settling),
    Object.keys(state.stopped),
    state.history.length > 0,
    Object.entries(state.clips).map(([p, c]) => [p, c.playing, Math.round(c.moment)]),
    state.entries,
    state.seen,
    Object.keys(state.sending),
  ]);
};

const modeOf = (mode: Mode, state: State): Mode =>
  state.over.length === 0 && !state.pressed && state.focused.length === 0 && !state.clicked
    ? "rest"
    : mode;

const uses = (project: Project, state: State, ...types: readonly TriggerType[]): boolean =>
  liveCopies(project, state).some((l) =>
    rulesOf(project, l.piece).some((r) => types.includes(r.trigger.type)),
  );

/** Keys that rules of what is shown listen for. */
const keysOf = (project: Project, state: State): string[] => [
  ...new Set(
    liveCopies(project, state).flatMap((l) =>
      rulesOf(project, l.piece).flatMap((r) =>
        r.trigger.type === "key" && r.trigger.key ? [r.trigger.key] : [],
      ),
    ),
  ),
];

const ways = { left: [-1, 0], right: [1, 0], up: [0, -1], down: [0, 1], any: [1, 0] } as const;

/** The drags that what is pressed may become. */
const dragsOn = (
  project: Project,
  state: State,
): { layer: Path; by: readonly [number, number] }[] => {
  const layer = state.over[0]?.slice(state.screen.length + 1);
  if (layer === undefined) return [];
  const out = new Map<string, readonly [number, number]>();
  for (const l of liveCopies(project, state))
    for (const r of rulesOf(project, l.piece)) {
      if (r.trigger.type !== "drag" || !state.over.includes(`${l.path}/${r.source ?? "root"}`))
        continue;
      const [x, y] = ways[r.trigger.direction ?? "right"];
      const travel = (r.trigger.travel ?? 120) + 10;
      out.set(r.trigger.direction ?? "right", [x * travel, y * travel]);
    }
  return [...out.values()].map((by) => ({ layer, by }));
};

/** Everything that can be done next, and by what. */
const doings = (
  project: Project,
  { mode, state }: Pick<Node, "mode" | "state">,
  surveyor: Surveyor,
  shown: string,
): { does: Doing; mode: Mode }[] => {
  const out: { does: Doing; mode: Mode }[] = [];
  const hits = surveyor.places(state, shown).hits;
  if (mode === "rest" || mode === "mouse") {
    const add = (does: Doing) => out.push({ does, mode: "mouse" });
    if (state.clicked) add({ do: "pause" });
    if (!state.pressed) {
      if (!state.clicked) for (const layer of hits) add({ do: "point", layer });
      if (state.over.length) {
        if (!state.clicked) add({ do: "point", layer: null });
        add({ do: "press" });
        for (const d of dragsOn(project, state)) add({ do: "drag", ...d });
      }
    } else {
      if (state.over.length) add({ do: "point", layer: null });
      else add({ do: "point", layer: state.pressed[0]?.slice(state.screen.length + 1) ?? null });
      add({ do: "release" });
    }
  }
  if (mode === "rest")
    for (const layer of hits) out.push({ does: { do: "finger", layer }, mode: "touch" });
  if (mode === "touch" && state.pressed) {
    if (state.over.length) out.push({ does: { do: "point", layer: null }, mode: "touch" });
    out.push({ does: { do: "lift" }, mode: "touch" });
  }
  if (mode === "rest" || mode === "keys") {
    const add = (does: Doing) => out.push({ does, mode: "keys" });
    if (state.byKey !== null) add({ do: "key", key: state.byKey, phase: "up" });
    else {
      const now = state.focused[0]?.slice(state.screen.length + 1);
      for (const layer of focusStops(project, state))
        if (layer !== now) add({ do: "focus", layer });
      if (state.focused.length) {
        add({ do: "focus", layer: null });
        add({ do: "key", key: "Enter", phase: "down" });
      }
      // one letter stands for whatever is typed
      const [entry] = state.focused;
      if (isEntry(project, state, entry))
        for (const key of state.entries[entry ?? ""] === undefined
          ? ["x", "ArrowDown"]
          : ["ArrowDown"])
          add({ do: "key", key, phase: "down" });
      for (const key of keysOf(project, state)) add({ do: "key", key, phase: "down" });
      if (state.overlays.length) add({ do: "key", key: "Escape", phase: "down" });
    }
  }
  const waits = groups(project, state);
  // of waits that began together the shorter one ends first
  for (const [i, { timer, began }] of waits.entries())
    if (!waits.some((w, k) => k < i && together(w.began, began) && w.timer.due < timer.due))
      out.push({ does: { do: "wait", timer }, mode });
  // where there is a layer that listens for it, one may scroll it into sight
  for (const l of liveCopies(project, state))
    for (const r of rulesOf(project, l.piece))
      if (r.trigger.type === "seen" && r.source && !state.seen.includes(`${l.path}/${r.source}`))
        out.push({
          does: { do: "see", layer: `${l.path}/${r.source}`.slice(state.screen.length + 1) },
          mode,
        });
  for (const path of Object.keys(state.sending))
    for (const well of [true, false]) out.push({ does: { do: "answer", path, well }, mode });
  for (const path of Object.keys(state.settling)) out.push({ does: { do: "settle", path }, mode });
  return out;
};

/** Does one thing; inputs that belong together happen at one moment. */
export const perform = (
  project: Project,
  before: State,
  does: Doing,
): { state: State; happenings: Happening[] } => {
  const happenings: Happening[] = [];
  let state: State = { ...before, now: before.now + INSTANT };
  const feed = (...inputs: readonly Input[]) => {
    for (const input of inputs) {
      const r = step(project, state, input);
      state = r.state;
      happenings.push(...r.happenings);
    }
  };
  const end = (changed: State) => {
    const r = advance(project, changed, changed.now);
    state = r.state;
    happenings.push(...r.happenings);
  };
  switch (does.do) {
    case "point":
      feed({ type: "over", layer: does.layer });
      break;
    case "press":
      feed({ type: "down" });
      break;
    case "release":
      feed({ type: "up" });
      break;
    case "pause":
      state = { ...state, clicked: null };
      break;
    case "finger":
      feed({ type: "over", layer: does.layer }, { type: "down" });
      break;
    case "lift":
      feed({ type: "up" }, { type: "over", layer: null });
      break;
    case "drag":
      feed(
        { type: "move", x: 0, y: 0 },
        { type: "down" },
        { type: "move", x: does.by[0], y: does.by[1] },
        { type: "up" },
      );
      break;
    case "key":
      feed({ type: "key", key: does.key, phase: does.phase });
      if (does.phase === "down" && state.byKey === null)
        feed({ type: "key", key: does.key, phase: "up" });
      break;
    case "focus":
      feed({ type: "focus", layer: does.layer });
      break;
    case "show":
      feed({ type: "show", at: state.screen, trait: does.trait, value: does.value });
      break;
    case "wait":
      end({
        ...state,
        timers: state.timers.map((t) =>
          t.at === does.timer.at &&
          t.due === does.timer.due &&
          (t.source === undefined) === (does.timer.source === undefined) &&
          t.clip === does.timer.clip
            ? { ...t, due: state.now }
            : t,
        ),
      });
      break;
    case "see":
      feed({
        type: "seen",
        layers: [...state.seen.map((p) => p.slice(state.screen.length + 1)), does.layer],
      });
      break;
    case "answer": {
      const form = state.sending[does.path];
      if (form)
        end({
          ...state,
          answersWell: does.well,
          sending: { ...state.sending, [does.path]: { ...form, due: state.now } },
        });
      break;
    }
    case "settle":
      end({ ...state, settling: { ...state.settling, [does.path]: state.now } });
      break;
  }
  // a double click needs somebody who listens for one
  if (state.clicked && !uses(project, state, "double")) state = { ...state, clicked: null };
  return { state: { ...state, trail: [], grip: state.pressed ? state.grip : null }, happenings };
};

/** Values a piece may start in: where no rule sets a trait, others give it; and how copies of it are placed. */
export const givenValues = (project: Project, piece: Piece): { trait: Id; value: Id }[] => {
  const rules = Object.values(piece.rules).filter((r) => r.on);
  const out: { trait: Id; value: Id }[] = [];
  const add = (trait: Id, value: unknown) => {
    if (
      typeof value === "string" &&
      piece.traits[trait]?.values[value] &&
      !out.some((o) => o.trait === trait && o.value === value)
    )
      out.push({ trait, value });
  };
  for (const t of traitsOf(piece))
    if (!rules.some((r) => r.effects.some((e) => e.type === "set" && e.trait === t.id)))
      for (const v of valuesOf(t)) if (v.id !== restOf(t)) add(t.id, v.id);
  for (const other of Object.values(project.pieces)) {
    // a piece and its duplicate may know the same traits: what counts is what is said to copies of this one
    const isHere = (layer: Id) => componentsAt(project, other, layer).includes(piece);
    for (const look of Object.values(other.looks))
      for (const [layer, changes] of Object.entries(look.changes))
        for (const [key, value] of Object.entries(changes))
          if (key.startsWith(TRAIT) && isHere(layer)) add(key.slice(TRAIT.length), value);
    for (const rule of Object.values(other.rules))
      for (const e of rule.effects) {
        if (e.type !== "nested" || !isHere(e.layer)) continue;
        if ("value" in e.to) add(e.trait, e.to.value);
        else for (const v of Object.keys(piece.traits[e.trait]?.values ?? {})) add(e.trait, v);
      }
  }
  return out;
};

/**
 * Everything that can become of a piece: all situations that mouse, touch and keyboard lead to, one after another, with waits
 * that may end before or after whatever else is done. It is the machine's own step that is taken. Yields now and then.
 */
export function* explore(
  env: LayoutEnv | null,
  project: Project,
  piece: Piece,
  most = MOST_NODES,
): Generator<void, Explored> {
  const surveyor = new Surveyor(env, project);
  const nodes = new Map<string, Node>();
  const edges: Edge[] = [];
  let whole = true;
  const node = (mode: Mode, state: State, from: Node["from"]): Node | null => {
    const shown = shownKey(project, state);
    const now = modeOf(mode, state);
    const key = keyOf(project, now, state, shown);
    const known = nodes.get(key);
    if (known) return known;
    if (nodes.size >= most) {
      whole = false;
      return null;
    }
    const made: Node = {
      key,
      mode: now,
      state,
      from,
      variant: variantFrom(piece, state.traits[piece.id] ?? {}),
    };
    nodes.set(key, made);
    return made;
  };
  const first = node("rest", start(project, piece.id), null);
  const queue: Node[] = first ? [first] : [];
  const given = givenValues(project, piece);
  for (let i = 0, seeded = false; i < queue.length || !seeded; i++) {
    // what people can do comes first, then where copies are placed to begin: the ways told are then what people do
    if (i === queue.length) {
      seeded = true;
      for (let k = 0; k < queue.length && queue.length < most; k++) {
        const from = queue[k] as Node;
        if (from.from !== null && from.from.does.do !== "show") continue;
        for (const { trait, value } of given) {
          if (from.variant[trait] === value) continue;
          const does = { do: "show", trait, value } as const;
          const { state, happenings } = perform(project, from.state, does);
          const size = nodes.size;
          const to = node("rest", state, { node: from, does });
          if (!to) continue;
          edges.push({ from, to, does, by: "rest", happenings });
          if (nodes.size > size) queue.push(to);
        }
      }
      if (i === queue.length) break;
    }
    const at = queue[i] as Node;
    const shown = shownKey(project, at.state);
    // what is left for another screen is looked at there
    if (at.state.screen !== piece.id) continue;
    for (const { does, mode } of doings(project, at, surveyor, shown)) {
      const { state, happenings } = perform(project, at.state, does);
      const size = nodes.size;
      const to = node(mode, state, { node: at, does });
      if (!to) continue;
      edges.push({
        from: at,
        to,
        does,
        by:
          does.do === "wait" || does.do === "settle" || does.do === "answer" || does.do === "see"
            ? "rest"
            : mode,
        happenings,
      });
      if (nodes.size > size) queue.push(to);
    }
    if (i % 20 === 0) yield;
  }
  return { nodes: [...nodes.values()], edges, whole, surveyor };
}

/** The shortest sequence found that leads to a situation, as a rehearsal's steps, with the real waits. */
export const wayTo = (project: Project, piece: Piece, node: Node, last?: Doing): Step[] => {
  const list: Doing[] = last ? [last] : [];
  for (let at: Node | undefined = node; at?.from; at = at.from.node) list.unshift(at.from.does);
  let state = start(project, piece.id);
  const steps: Step[] = [];
  const feed = (input: Input) => {
    state = step(project, state, input).state;
  };
  const until = (due: number) => {
    if (due > state.now) steps.push({ do: "wait", ms: Math.ceil(due - state.now) });
    state = advance(project, state, Math.ceil(due)).state;
  };
  for (const does of list) {
    switch (does.do) {
      case "point":
        steps.push({ do: "point", layer: does.layer });
        feed({ type: "over", layer: does.layer });
        break;
      case "press":
        steps.push({ do: "press" });
        feed({ type: "down" });
        break;
      case "release":
        steps.push({ do: "release" });
        feed({ type: "up" });
        break;
      case "pause":
        until(state.now + 500);
        break;
      case "finger":
        feed({ type: "over", layer: does.layer });
        feed({ type: "down" });
        steps.push({ do: "point", layer: does.layer }, { do: "press" });
        break;
      case "lift":
        feed({ type: "up" });
        feed({ type: "over", layer: null });
        steps.push({ do: "release" }, { do: "point", layer: null });
        break;
      case "drag":
        steps.push({ do: "drag", layer: does.layer, by: does.by, ms: 300 });
        state = perform(project, state, does).state;
        break;
      case "key":
        if (does.phase === "down") steps.push({ do: "key", key: does.key });
        feed({ type: "key", key: does.key, phase: does.phase });
        break;
      case "focus":
        steps.push({ do: "focus", layer: does.layer });
        feed({ type: "focus", layer: does.layer });
        break;
      case "show":
        steps.push({ do: "show", at: "", trait: does.trait, value: does.value });
        feed({ type: "show", at: state.screen, trait: does.trait, value: does.value });
        break;
      case "wait":
        until(
          state.timers.find((t) => t.at === does.timer.at && t.rule === does.timer.rule)?.due ??
            state.now,
        );
        break;
      case "see":
        steps.push({ do: "scroll", layer: does.layer, by: 10_000 });
        state = perform(project, state, does).state;
        break;
      case "answer":
        steps.push({ do: "answer", well: does.well });
        feed({ type: "answer", well: does.well });
        until(state.sending[does.path]?.due ?? state.now);
        break;
      case "settle":
        until(state.settling[does.path] ?? state.now);
        break;
    }
  }
  return shortened(steps);
};

/** Point, press and release on one layer are a click. */
const shortened = (steps: readonly Step[]): Step[] => {
  const out: Step[] = [];
  for (const s of steps) {
    const [a, b] = out.slice(-2);
    if (s.do === "release" && b?.do === "press" && a?.do === "point" && a.layer !== null)
      out.splice(-2, 2, { do: "click", layer: a.layer });
    else out.push(s);
  }
  return out;
};
