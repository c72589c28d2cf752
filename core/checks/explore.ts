import { present } from "../basics";
import type { Id } from "../basics";
import type { LayoutEnv } from "../layout";
import { restOf, traitsOf, valuesOf, variantFrom } from "../looks";
import {
  advance,
  changed,
  componentsAt,
  focusStops,
  isEntry,
  liveCopies,
  resolveNumbers,
  rulesOf,
  start,
  step,
  withinScreen,
} from "../machine";
import type { Input, MachineEvent, Path, State, Timer } from "../machine";
import type { Piece, Project, Step, TriggerType, Variant } from "../project";
import { TRAIT } from "../properties";
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
  readonly events: readonly MachineEvent[];
}
export interface Explored {
  readonly nodes: readonly Node[];
  readonly edges: readonly Edge[];
  /** false: there is more than was looked at */ readonly whole: boolean;
  readonly surveyor: Surveyor;
}

/**
 * How many situations are looked at before the rest is left; a situation is all traits with what is
 * pointed at, pressed and waited for.
 */
export const MOST_NODES = 6000;
/**
 * Time that passes with each thing done, so that waits that began one after the other can be told
 * apart; ms.
 */
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
  const length = (timer: Timer): number => {
    const trigger = live.get(timer.at)?.rules[timer.rule]?.trigger;
    return (trigger && resolveNumbers(project, trigger).ms) ?? 0;
  };
  return state.timers.waits
    .map((timer) => ({ timer, began: timer.due - length(timer) }))
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
  const reverts = state.reverts.map((revert) => [
    revert.at,
    revert.rule,
    revert.source,
    Object.entries(revert.before).map(([key, was]) => [
      key,
      was.value,
      state.writers[`${revert.at} ${key}`] === revert.serial,
    ]),
  ]);
  return JSON.stringify([
    mode,
    shown,
    state.pointer.over[0],
    state.pointer.pressed?.[0] ?? state.pointer.pressed,
    state.keyboard.pressing,
    state.pointer.heldIn,
    state.pointer.clicked?.chain[0],
    state.keyboard.focused[0],
    state.keyboard.shown,
    reverts,
    waits,
    Object.keys(state.timers.settling),
    Object.keys(state.timers.stopped),
    state.history.length > 0,
    Object.entries(state.clips).map(([p, c]) => [p, c.playing, Math.round(c.moment)]),
    state.forms.entries,
    state.scroll.inSight,
    Object.keys(state.forms.sending),
  ]);
};

/** What is on screen in a situation, as text. */
export const shownIn = ({ key }: Pick<Node, "key">): string =>
  // keys are written as lists that begin with the mode and this
  (JSON.parse(key) as [string, string])[1];

const modeOf = (mode: Mode, state: State): Mode =>
  state.pointer.over.length === 0 &&
  !state.pointer.pressed &&
  state.keyboard.focused.length === 0 &&
  !state.pointer.clicked
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
  const layer = state.pointer.over[0]?.slice(state.screen.length + 1);
  if (layer === undefined) return [];
  const out = new Map<string, readonly [number, number]>();
  for (const l of liveCopies(project, state))
    for (const r of rulesOf(project, l.piece)) {
      if (
        r.trigger.type !== "drag" ||
        !state.pointer.over.includes(`${l.path}/${r.source ?? "root"}`)
      )
        continue;
      const [x, y] = ways[r.trigger.direction ?? "right"];
      const travel = (r.trigger.travel ?? 120) + 10;
      out.set(r.trigger.direction ?? "right", [x * travel, y * travel]);
    }
  return [...out.values()].map((by) => ({ layer, by }));
};

interface Next {
  readonly does: Doing;
  readonly mode: Mode;
}

/** What a mouse can do next. */
const byMouse = (project: Project, state: State, hits: readonly string[]): Doing[] => {
  const wait: Doing[] = state.pointer.clicked ? [{ do: "pause" }] : [];
  if (state.pointer.pressed) {
    const back = state.pointer.pressed[0]?.slice(state.screen.length + 1) ?? null;
    return [
      ...wait,
      { do: "point", layer: state.pointer.over.length ? null : back },
      { do: "release" },
    ];
  }
  const points = hits.map((layer): Doing => ({ do: "point", layer }));
  const onto = state.pointer.clicked ? [] : points;
  if (state.pointer.over.length === 0) return [...wait, ...onto];
  const away: Doing[] = state.pointer.clicked ? [] : [{ do: "point", layer: null }];
  const drags = dragsOn(project, state).map((drag): Doing => ({ do: "drag", ...drag }));
  return [...wait, ...onto, ...away, { do: "press" }, ...drags];
};

/** What a finger that is down can do next. */
const byFinger = (state: State): Doing[] =>
  state.pointer.over.length ? [{ do: "point", layer: null }, { do: "lift" }] : [{ do: "lift" }];

/** What a keyboard can do next. */
const byKeys = (project: Project, state: State, isFocusable: (stop: Path) => boolean): Doing[] => {
  if (state.keyboard.pressing !== null)
    return [{ do: "key", key: state.keyboard.pressing, phase: "up" }];
  const press = (key: string): Doing => ({ do: "key", key, phase: "down" });
  const [entry] = state.keyboard.focused;
  const now = entry?.slice(state.screen.length + 1);
  const stops = focusStops(project, state).filter((layer) => layer !== now && isFocusable(layer));
  const out = stops.map((layer): Doing => ({ do: "focus", layer }));
  if (entry !== undefined) out.push({ do: "focus", layer: null }, press("Enter"));
  // one letter stands for whatever is typed
  const isEmpty = state.forms.entries[entry ?? ""] === undefined;
  if (isEntry(project, state, entry))
    out.push(...(isEmpty ? ["x", "ArrowDown"] : ["ArrowDown"]).map(press));
  out.push(...keysOf(project, state).map(press));
  if (state.overlays.length) out.push(press("Escape"));
  return out;
};

/**
 * What happens by itself next, or by scrolling: waits that end, layers that come into sight,
 * answers, and coming to rest.
 */
const byThemselves = (project: Project, state: State): Doing[] => {
  const waits = groups(project, state);
  // of waits that began together the shorter one ends first
  const first = waits.filter(
    ({ timer, began }, i) =>
      !waits.some((w, k) => k < i && together(w.began, began) && w.timer.due < timer.due),
  );
  // where there is a layer that listens for it, one may scroll it into sight
  const seen = liveCopies(project, state).flatMap(({ path, piece }) =>
    rulesOf(project, piece).flatMap((r): Doing[] => {
      const layer = `${path}/${r.source}`;
      const waitsFor =
        r.trigger.type === "seen" && r.source && !state.scroll.inSight.includes(layer);
      return waitsFor ? [{ do: "see", layer: layer.slice(state.screen.length + 1) }] : [];
    }),
  );
  return [
    ...first.map(({ timer }): Doing => ({ do: "wait", timer })),
    ...seen,
    ...Object.keys(state.forms.sending).flatMap((path): Doing[] => [
      { do: "answer", path, well: true },
      { do: "answer", path, well: false },
    ]),
    ...Object.keys(state.timers.settling).map((path): Doing => ({ do: "settle", path })),
  ];
};

/** Everything that can be done next, and by what. */
const doings = (
  project: Project,
  { mode, state }: Pick<Node, "mode" | "state">,
  surveyor: Surveyor,
  shown: string,
): Next[] => {
  const { hits, isFocusable } = surveyor.places(state, shown);
  const out: Next[] = [];
  const add = (by: Mode, list: readonly Doing[]) => {
    for (const does of list) out.push({ does, mode: by });
  };
  if (mode === "rest" || mode === "mouse") add("mouse", byMouse(project, state, hits));
  if (mode === "rest")
    add(
      "touch",
      hits.map((layer) => ({ do: "finger", layer })),
    );
  if (mode === "touch" && state.pointer.pressed) add("touch", byFinger(state));
  if (mode === "rest" || mode === "keys") add("keys", byKeys(project, state, isFocusable));
  add(mode, byThemselves(project, state));
  return out;
};

/** One thing being done; inputs that belong together happen at one moment. */
class Performance {
  readonly events: MachineEvent[] = [];
  state: State;

  constructor(
    private readonly project: Project,
    before: State,
  ) {
    this.state = { ...before, now: before.now + INSTANT };
  }

  private take({ state, events }: { state: State; events: readonly MachineEvent[] }): void {
    this.state = state;
    this.events.push(...events);
  }

  private feed(...inputs: readonly Input[]): void {
    for (const input of inputs) this.take(step(this.project, this.state, input));
  }

  /** Lets what is due end. */
  private end(state: State): void {
    this.take(advance(this.project, state, state.now));
  }

  private endMotion(path: string): void {
    const { timers, now } = this.state;
    this.end(changed(this.state, "timers", { settling: { ...timers.settling, [path]: now } }));
  }

  act(does: Doing): void {
    switch (does.do) {
      case "point":
        return this.feed({ type: "over", layer: does.layer });
      case "press":
        return this.feed({ type: "down" });
      case "release":
        return this.feed({ type: "up" });
      case "pause":
        this.state = changed(this.state, "pointer", { clicked: null });
        return;
      case "finger":
        return this.feed({ type: "over", layer: does.layer }, { type: "down" });
      case "lift":
        return this.feed({ type: "up" }, { type: "over", layer: null });
      case "drag":
        return this.drag(does.by);
      case "key":
        return this.key(does.key, does.phase);
      case "focus":
        return this.feed({ type: "focus", layer: does.layer });
      case "show":
        return this.feed({
          type: "show",
          at: this.state.screen,
          trait: does.trait,
          value: does.value,
        });
      case "wait":
        return this.endWait(does.timer);
      case "see":
        return this.see(does.layer);
      case "answer":
        return this.answer(does.path, does.well);
      case "settle":
        return this.endMotion(does.path);
    }
  }

  private drag([x, y]: readonly [number, number]): void {
    this.feed(
      { type: "move", x: 0, y: 0 },
      { type: "down" },
      { type: "move", x, y },
      { type: "up" },
    );
  }

  private key(key: string, phase: "down" | "up"): void {
    this.feed({ type: "key", key, phase });
    if (phase === "down" && this.state.keyboard.pressing === null)
      this.feed({ type: "key", key, phase: "up" });
  }

  private endWait(timer: Timer): void {
    const isIt = (t: Timer): boolean =>
      t.at === timer.at &&
      t.due === timer.due &&
      (t.source === undefined) === (timer.source === undefined) &&
      t.clip === timer.clip;
    const { timers, now } = this.state;
    const waits = timers.waits.map((t) => (isIt(t) ? { ...t, due: now } : t));
    this.end(changed(this.state, "timers", { waits }));
  }

  private see(layer: string): void {
    const before = this.state.scroll.inSight.map((path) =>
      path.slice(this.state.screen.length + 1),
    );
    this.feed({ type: "seen", layers: [...before, layer] });
  }

  private answer(path: string, well: boolean): void {
    const { sending } = this.state.forms;
    const form = sending[path];
    if (!form) return;
    const answered = { ...sending, [path]: { ...form, due: this.state.now } };
    this.end(changed(this.state, "forms", { answersWell: well, sending: answered }));
  }
}

/**
 * A focus that a press brought and nobody is shown. Unless somebody listens for that it makes no
 * difference until a key is pressed, and what keys do there is looked at from the keyboard's focus.
 */
const isFocusUnnoticed = (project: Project, state: State): boolean => {
  const { focused, shown } = state.keyboard;
  if (shown || focused.length === 0) return false;
  return !liveCopies(project, state).some(({ piece }) =>
    rulesOf(project, piece).some(({ trigger }) => trigger.by === "any"),
  );
};

/** Does one thing; inputs that belong together happen at one moment. */
const perform = (
  project: Project,
  before: State,
  does: Doing,
): { state: State; events: MachineEvent[] } => {
  const performance = new Performance(project, before);
  performance.act(does);
  const { events } = performance;
  const state = isFocusUnnoticed(project, performance.state)
    ? changed(performance.state, "keyboard", { focused: [] })
    : performance.state;
  // a double click needs somebody who listens for one
  const clicked =
    state.pointer.clicked && uses(project, state, "double") ? state.pointer.clicked : null;
  const grip = state.pointer.pressed ? state.pointer.grip : null;
  return { state: changed(state, "pointer", { clicked, trail: [], grip }), events };
};

/**
 * Values a piece may start in: where no rule sets a trait, others give it; and how copies of it are
 * placed.
 */
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
    // a piece and its duplicate may know the same traits: what counts is what is said to copies of
    // this one
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

/** Doings that nobody does: time passes, or something is scrolled. */
const byNobody: readonly Doing["do"][] = ["wait", "settle", "answer", "see"];

/** Situations found so far, and what leads from one to another. */
class Exploration {
  readonly nodes = new Map<string, Node>();
  readonly edges: Edge[] = [];
  readonly queue: Node[] = [];
  readonly surveyor: Surveyor;
  whole = true;

  constructor(
    env: LayoutEnv | null,
    private readonly project: Project,
    private readonly piece: Piece,
    private readonly most: number,
  ) {
    this.surveyor = new Surveyor(env, project);
    this.node("rest", start(project, piece.id), null);
  }

  /** The situation of a state, new ones at the end of the queue; null when there are too many. */
  private node(mode: Mode, state: State, from: Node["from"]): Node | null {
    const now = modeOf(mode, state);
    const key = keyOf(this.project, now, state, shownKey(this.project, state));
    const known = this.nodes.get(key);
    if (known) return known;
    if (this.nodes.size >= this.most) {
      this.whole = false;
      return null;
    }
    const variant = variantFrom(this.piece, state.traits[this.piece.id] ?? {});
    const made: Node = { key, mode: now, state, from, variant };
    this.nodes.set(key, made);
    this.queue.push(made);
    return made;
  }

  /** What the keyboard's focus was on may have gone out of sight: then it goes, as it runs. */
  private seenFocus(state: State): { state: State; events: readonly MachineEvent[] } {
    const [focus] = state.keyboard.focused;
    if (focus === undefined || state.screen !== this.piece.id) return { state, events: [] };
    const places = this.surveyor.places(state, shownKey(this.project, state));
    return places.isFocusable(withinScreen(focus))
      ? { state, events: [] }
      : step(this.project, state, { type: "focus", layer: null });
  }

  private lead(from: Node, does: Doing, mode: Mode): void {
    const done = perform(this.project, from.state, does);
    const { state, events: more } = this.seenFocus(done.state);
    const events = [...done.events, ...more];
    const to = this.node(mode, state, { node: from, does });
    const by = byNobody.includes(does.do) ? "rest" : mode;
    if (to) this.edges.push({ from, to, does, by, events });
  }

  /**
   * Everything that can be done in a situation. What is left for another screen is looked at there.
   */
  goOn(from: Node): void {
    if (from.state.screen !== this.piece.id) return;
    const shown = shownKey(this.project, from.state);
    for (const { does, mode } of doings(this.project, from, this.surveyor, shown)) {
      this.lead(from, does, mode);
    }
  }

  /** Where copies of the piece are placed to begin. */
  begin(): void {
    const given = givenValues(this.project, this.piece);
    for (let i = 0; i < this.queue.length && this.queue.length < this.most; i++) {
      const from = present(this.queue[i]);
      if (from.from !== null && from.from.does.do !== "show") continue;
      for (const { trait, value } of given) {
        if (from.variant[trait] !== value) this.lead(from, { do: "show", trait, value }, "rest");
      }
    }
  }
}

/**
 * Everything that can become of a piece: all situations that mouse, touch and keyboard lead to, one
 * after another, with waits that may end before or after whatever else is done. It is the machine's
 * own step that is taken. Yields now and then.
 */
export function* explore(
  env: LayoutEnv | null,
  project: Project,
  piece: Piece,
  most = MOST_NODES,
): Generator<void, Explored> {
  const all = new Exploration(env, project, piece, most);
  let hasBegun = false;
  for (let i = 0; i < all.queue.length || !hasBegun; i++) {
    // what people can do comes first, then where copies are placed to begin: the ways told are then
    // what people do
    if (i === all.queue.length) {
      hasBegun = true;
      all.begin();
      if (i === all.queue.length) break;
    }
    all.goOn(present(all.queue[i]));
    if (i % 20 === 0) yield;
  }
  const { nodes, edges, whole, surveyor } = all;
  return { nodes: [...nodes.values()], edges, whole, surveyor };
}

/** A way through situations as steps of a rehearsal, on the real clock. */
class Way {
  readonly steps: Step[] = [];
  private state: State;

  constructor(
    private readonly project: Project,
    piece: Piece,
  ) {
    this.state = start(project, piece.id);
  }

  private feed(...inputs: readonly Input[]): void {
    for (const input of inputs) this.state = step(this.project, this.state, input).state;
  }

  private until(due: number): void {
    const { now } = this.state;
    if (due > now) this.steps.push({ do: "wait", ms: Math.ceil(due - now) });
    this.state = advance(this.project, this.state, Math.ceil(due)).state;
  }

  private perform(does: Doing): void {
    this.state = perform(this.project, this.state, does).state;
  }

  take(does: Doing): void {
    switch (does.do) {
      case "point":
        this.steps.push({ do: "point", layer: does.layer });
        return this.feed({ type: "over", layer: does.layer });
      case "press":
        this.steps.push({ do: "press" });
        return this.feed({ type: "down" });
      case "release":
        this.steps.push({ do: "release" });
        return this.feed({ type: "up" });
      case "pause":
        return this.until(this.state.now + 500);
      case "finger":
        this.steps.push({ do: "point", layer: does.layer }, { do: "press" });
        return this.feed({ type: "over", layer: does.layer }, { type: "down" });
      case "lift":
        this.steps.push({ do: "release" }, { do: "point", layer: null });
        return this.feed({ type: "up" }, { type: "over", layer: null });
      case "drag":
        this.steps.push({ do: "drag", layer: does.layer, by: does.by, ms: 300 });
        return this.perform(does);
      case "key":
        if (does.phase === "down") this.steps.push({ do: "key", key: does.key });
        return this.feed({ type: "key", key: does.key, phase: does.phase });
      case "focus":
        this.steps.push({ do: "focus", layer: does.layer });
        return this.feed({ type: "focus", layer: does.layer });
      case "show": {
        const { trait, value } = does;
        this.steps.push({ do: "show", at: "", trait, value });
        return this.feed({ type: "show", at: this.state.screen, trait, value });
      }
      case "see":
        this.steps.push({ do: "scroll", layer: does.layer, by: 10_000 });
        return this.perform(does);
      case "answer":
        this.steps.push({ do: "answer", well: does.well });
        this.feed({ type: "answer", well: does.well });
        return this.until(this.dueOf(does));
      case "wait":
      case "settle":
        return this.until(this.dueOf(does));
    }
  }

  /** When what is waited for ends; now when nothing is. */
  private dueOf(does: Extract<Doing, { do: "wait" | "settle" | "answer" }>): number {
    const { timers, forms, now } = this.state;
    if (does.do === "answer") return forms.sending[does.path]?.due ?? now;
    if (does.do === "settle") return timers.settling[does.path] ?? now;
    const { at, rule } = does.timer;
    return timers.waits.find((t) => t.at === at && t.rule === rule)?.due ?? now;
  }
}

/**
 * The shortest sequence found that leads to a situation, as a rehearsal's steps, with the real
 * waits.
 */
export const wayTo = (project: Project, piece: Piece, node: Node, last?: Doing): Step[] => {
  const list: Doing[] = last ? [last] : [];
  for (let at: Node | undefined = node; at?.from; at = at.from.node) list.unshift(at.from.does);
  const way = new Way(project, piece);
  for (const does of list) way.take(does);
  return shortened(way.steps);
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
