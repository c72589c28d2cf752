import { describe, expect, it } from "vitest";
import { advanceReadably, changed, liveCopies, start, stepReadably } from "#core/machine";
import type { Input, State, Timer } from "#core/machine";
import type { Piece, Project } from "#core/project";
import { Dice } from "../../../tests/support/chance/dice";
import { machineProject } from "../../../tests/support/chance/machines";
import { doings } from "./doings";
import { explore } from "./explore";
import { Packing } from "./packing";
import { observable } from "./performance";
import type { Explored } from "./explore";
import { givenValues } from "./given";
import { Grounds } from "./ground";
import type { Doing, Mode } from "./types";
import { INSTANT, beganTogether, waitsIn } from "./waits";

const COMPONENTS = Number(process.env["PROOF_RUNS"] ?? 20);
/** Components with more situations than this, all told apart, are left out. */
const MOST = 1500;

const fed = (project: Project, before: State, ...inputs: readonly Input[]): State =>
  inputs.reduce((state, input) => stepReadably(project, state, input).state, before);

const ended = (project: Project, state: State): State =>
  advanceReadably(project, state, state.now).state;

const waitOver = (project: Project, state: State, timer: Timer): State => {
  const isIt = (t: Timer): boolean =>
    t.at === timer.at &&
    t.due === timer.due &&
    (t.source === undefined) === (timer.source === undefined) &&
    t.clip === timer.clip;
  const waits = state.timers.waits.map((t) => (isIt(t) ? { ...t, due: state.now } : t));
  return ended(project, changed(state, "timers", { waits }));
};

/** One thing done by the readable machine, with nothing forgotten of what came of it. */
const done = (project: Project, before: State, does: Doing): State => {
  const state = { ...before, now: before.now + INSTANT };
  const within = (path: string) => path.slice(state.screen.length + 1);
  switch (does.do) {
    case "point":
      return fed(project, state, { type: "over", layer: does.layer });
    case "press":
      return fed(project, state, { type: "down" });
    case "release":
      return fed(project, state, { type: "up" });
    case "pause":
      return changed(state, "pointer", { clicked: null });
    case "finger":
      return fed(project, state, { type: "over", layer: does.layer }, { type: "down" });
    case "lift":
      return fed(project, state, { type: "up" }, { type: "over", layer: null });
    case "drag": {
      const [x, y] = does.by;
      const drag: Input[] = [
        { type: "move", x: 0, y: 0 },
        { type: "down" },
        { type: "move", x, y },
      ];
      return fed(project, state, ...drag, { type: "up" });
    }
    case "key": {
      const next = fed(project, state, { type: "key", key: does.key, phase: does.phase });
      const isOver = does.phase === "down" && next.keyboard.pressing === null;
      return isOver ? fed(project, next, { type: "key", key: does.key, phase: "up" }) : next;
    }
    case "focus":
      return fed(project, state, { type: "focus", layer: does.layer });
    case "see":
      return fed(project, state, {
        type: "seen",
        layers: [...state.scroll.inSight.map(within), does.layer],
      });
    case "show": {
      const { trait, value } = does;
      return fed(project, state, { type: "show", at: state.screen, trait, value });
    }
    case "wait":
      return waitOver(project, state, does.timer);
    case "settle": {
      const settling = { ...state.timers.settling, [does.path]: state.now };
      return ended(project, changed(state, "timers", { settling }));
    }
    case "answer": {
      const form = state.forms.sending[does.path];
      if (!form) return state;
      const sending = { ...state.forms.sending, [does.path]: { ...form, due: state.now } };
      return ended(project, changed(state, "forms", { answersWell: does.well, sending }));
    }
  }
};

const shownText = (project: Project, state: State): string =>
  JSON.stringify([
    state.screen,
    state.overlays.map((o) => o.screen),
    state.options,
    liveCopies(project, state).map((l) => [l.path, Object.entries(l.variant).sort()]),
  ]);

const modeOf = (mode: Mode, { pointer, keyboard }: State): Mode =>
  pointer.over.length || pointer.pressed || keyboard.focused.length || pointer.clicked
    ? mode
    : "rest";

/** A situation as text, without joining any that differ in anything but the time and in how often. */
const textOf = (project: Project, mode: Mode, state: State): string => {
  let last = NaN;
  const waits = waitsIn(project, state).map(({ timer, began }) => {
    const isNew = !beganTogether(began, last);
    last = began;
    return [isNew, timer.at, timer.rule, timer.source, timer.clip];
  });
  const { pointer, keyboard, timers, forms, scroll } = state;
  return JSON.stringify([
    mode,
    shownText(project, state),
    state.overlays.map((o) => o.returnTo),
    pointer.over,
    pointer.pressed,
    pointer.heldIn,
    pointer.clicked?.chain,
    keyboard,
    state.reverts.map((r) => [
      r.at,
      r.rule,
      r.source,
      Object.entries(r.before).map(([key, was]) => [
        key,
        was.value,
        state.writers[`${r.at} ${key}`] === r.serial,
        state.reverts.findIndex((other) => other.serial === was.writer),
      ]),
    ]),
    waits,
    Object.keys(timers.settling),
    Object.keys(timers.stopped),
    Object.entries(state.clips).map(([p, c]) => [p, c.playing, Math.round(c.moment)]),
    forms.entries,
    Object.keys(forms.sending),
    scroll.inSight,
  ]);
};

/** What is shown in all situations, and how many there are once those are joined that may be. */
interface Found {
  readonly shown: ReadonlySet<string>;
  readonly situations: number;
}

/**
 * A focus that a press brought and nobody listens for is none until a key is pressed: that is how
 * situations are meant, not how they are told apart.
 */
const noticed = (state: State, grounds: Grounds): State =>
  state.keyboard.shown || grounds.hearsFocus ? state : changed(state, "keyboard", { focused: [] });

/** The states copies begin in: with any of the values that others give them. */
const beginnings = (project: Project, piece: Piece): readonly State[] => {
  const found = [start(project, piece.id)];
  const texts = new Set<string>();
  for (const state of found)
    for (const { trait, value } of givenValues(project, piece)) {
      const next = done(project, state, { do: "show", trait, value });
      const text = textOf(project, "rest", next);
      if (!texts.has(text)) found.push(next);
      texts.add(text);
    }
  return found;
};

/** Every situation there is, none joined on the way; null where there are too many. */
const bruteForce = (project: Project, piece: Piece): Found | null => {
  const grounds = new Grounds(null, project, piece);
  const queue: { mode: Mode; state: State }[] = [];
  const seen = new Set<string>();
  const shown = new Set<string>();
  const packing = new Packing(project);
  const packed = new Set<string>();
  const add = (mode: Mode, after: State): void => {
    const state = noticed(after, grounds);
    const now = modeOf(mode, state);
    const text = textOf(project, now, state);
    if (seen.has(text)) return;
    seen.add(text);
    shown.add(shownText(project, state));
    const joined = observable(state, grounds);
    const row = packing.pack(modeOf(now, joined), joined, grounds.of(joined).number);
    packed.add(row.join());
    queue.push({ mode: now, state });
  };
  for (const state of beginnings(project, piece)) add("rest", state);
  for (let i = 0; i < queue.length; i++) {
    const at = queue[i];
    if (!at || seen.size > MOST) return null;
    if (at.state.screen !== piece.id) continue;
    for (const { does, mode } of doings(project, at.mode, at.state, grounds.of(at.state)))
      add(mode, done(project, at.state, does));
  }
  return { shown, situations: packed.size };
};

const explored = (project: Project, piece: Piece): Explored => {
  const run = explore(null, project, piece, 50_000);
  for (;;) {
    const { done: isDone, value } = run.next();
    if (isDone) return value;
  }
};

describe("all situations of small components", () => {
  it("show what a search that joins none of them finds", () => {
    let compared = 0;
    let most = 0;
    for (let seed = 1; compared < COMPONENTS; seed++) {
      const { project } = machineProject(new Dice(seed));
      for (const piece of Object.values(project.pieces).filter((p) => p.kind === "component")) {
        const expected = bruteForce(project, piece);
        if (!expected) continue;
        const space = explored(project, piece);
        const shown = space.nodes.map(({ shown: n }) => {
          const ground = space.grounds.at(n);
          return ground ? shownText(project, ground.state) : "";
        });
        const about = `seed ${seed}, ${piece.name}`;
        expect(new Set(shown), about).toEqual(expected.shown);
        expect(space.nodes.length, about).toBe(expected.situations);
        most = Math.max(most, space.nodes.length);
        compared++;
      }
    }
    expect(most).toBeGreaterThan(100);
  }, 900_000);
});
