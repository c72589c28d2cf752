import { defined, takeOff } from "../rules/reverts";
import type { Emit } from "../events";
import type { Revert, State } from "../state";
import type { Path } from "../types";
import { isEmpty } from "./copies";
import { copyOf } from "../state";
import type { Program } from "./program";
import { writeSets } from "./write";

/** Traits and options of a copy are again what they were before a contact. */
const revertOne = (program: Program, state: State, revert: Revert, emit: Emit): State => {
  const { at: path, motion, ownTime } = revert;
  const { state: free, back } = takeOff(state, revert);
  const copy = program.scene(free).at(path);
  if (!copy || isEmpty(back.writers)) return free;
  const written = program.rowAt(free, copy).write(back.traits);
  const { state: set, sets } = writeSets(program, free, path, written, back.traits, 0);
  const next = copyOf(set);
  next.writers = { ...set.writers, ...back.writers };
  const hasOptions = !isEmpty(back.options);
  if (hasOptions) {
    const given = defined({ ...set.options[path], ...back.options });
    next.options = { ...set.options, [path]: given };
  }
  if (sets.length || hasOptions)
    emit({
      type: "undone",
      at: state.now,
      state: next,
      path,
      rule: revert.rule,
      sets,
      motion,
      ownTime,
    });
  return next;
};

/** Ends what contacts of a kind hold, of a layer or of all, the latest first. */
export const endHeld = (
  program: Program,
  state: State,
  cause: Revert["cause"],
  source: Path | null,
  emit: Emit,
): State => {
  if (state.reverts.length === 0) return state;
  let next = state;
  for (const ended of state.reverts.toReversed()) {
    if (ended.cause !== cause || (source !== null && ended.source !== source)) continue;
    const revert = next.reverts.find((r) => r.serial === ended.serial && r.at === ended.at);
    if (revert) next = revertOne(program, next, revert, emit);
  }
  return next;
};
