import { present } from "../../basics";
import { ROOT } from "../../project";
import type { Emit } from "../events";
import { isHeldFor } from "../input/pressing";
import { pointerOf, withPointer, withWaits } from "./copies";
import { copyOf } from "../state";
import type { State, Timer } from "../state";
import { runDue } from "../time/wait";
import type { Firing } from "../time/wait";
import { fireAnswer } from "./fire";
import { programOf } from "./program";
import type { Program } from "./program";
import { contested } from "./variant-row";

const isTogether = (t: Timer, first: Timer): boolean =>
  t.due === first.due &&
  t.at === first.at &&
  (t.source === undefined) === (first.source === undefined) &&
  t.clip === undefined;

/** How waits that are due are answered, by tables. */
const firing: Firing = {
  timers: (project, state, first, emit) => {
    const program = programOf(project);
    const { waits } = state.timers;
    const together = waits.filter((t) => isTogether(t, first));
    const next = withWaits(
      state,
      waits.filter((t) => !isTogether(t, first)),
    );
    const copy = program.scene(next).at(first.at);
    if (!copy) return next;
    const sources = new Map(together.map((t) => [t.rule, t.source ?? `${copy.path}/${ROOT}`]));
    const held = first.source !== undefined;
    const row = program.rowAt(next, copy);
    const rules = copy.table.rules.filter((r) => sources.has(r.rule.id) && (!held || row.isMet(r)));
    if (held && (!isHeldFor(next, first) || rules.length === 0)) return next;
    const sourceOf = (rule: string) => present(sources.get(rule));
    const begun = held ? heldIn(next, copy.path) : next;
    return fireAnswer(program, begun, copy, contested(rules), sourceOf, emit);
  },

  settled: (project, state, path, emit) => {
    const program = programOf(project);
    const { [path]: _due, ...settling } = state.timers.settling;
    const { waits, scheduled, stopped } = state.timers;
    const next = copyOf(state);
    next.timers = { waits, scheduled, settling, stopped };
    const copy = program.scene(next).at(path);
    if (!copy) return next;
    const row = program.rowAt(next, copy);
    const rules = copy.table.rules.filter(
      (r) =>
        r.rule.trigger.type === "settled" &&
        row.isMet(r) &&
        !stopped[program.keys.key(path, r.rule.id)],
    );
    return fireAnswer(program, next, copy, contested(rules), () => `${path}/${ROOT}`, emit);
  },
};

const heldIn = (state: State, path: string): State => {
  const pointer = pointerOf(state);
  pointer.heldIn = [...pointer.heldIn, path];
  return withPointer(state, pointer);
};

const isDue = ({ timers: { waits, settling }, forms }: State, until: number): boolean => {
  for (const wait of waits) if (wait.due <= until) return true;
  for (const path in settling) if ((settling[path] ?? Infinity) <= until) return true;
  for (const path in forms.sending)
    if ((forms.sending[path]?.due ?? Infinity) <= until) return true;
  return false;
};

/** Fires what is due until a moment, each at its own. */
export const fireDue = (program: Program, state: State, until: number, emit: Emit): State =>
  isDue(state, until) ? runDue(program.project, state, until, firing, emit) : state;
