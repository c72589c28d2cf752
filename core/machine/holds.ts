import type { Id } from "../basics";
import type { Project } from "../project";
import { OPTION } from "../properties";
import type { SpecifiedValue } from "../properties";
import { writerKey, writeTraits } from "./writing";
import { liveCopies } from "./piece";
import type { MachineEvent, Revert, State } from "./types";

/** A hold further up the pile that rests on the ended one now rests on what was before it. */
const relay = (holds: readonly Revert[], ended: Revert, trait: Id): readonly Revert[] =>
  holds.map((h) => {
    const mine = h.before[trait];
    const before = ended.before[trait];
    return h.at === ended.at && mine && before && mine.writer === ended.serial
      ? { ...h, before: { ...h.before, [trait]: before } }
      : h;
  });

const defined = (
  table: Readonly<Record<Id, SpecifiedValue | undefined>>,
): Readonly<Record<Id, SpecifiedValue>> =>
  Object.fromEntries(Object.entries(table).flatMap(([k, v]) => (v === undefined ? [] : [[k, v]])));

/** Ends one hold: its traits go back, unless another rule has set them since. */
const endHold = (
  project: Project,
  state: State,
  hold: Revert,
  emit: (h: MachineEvent) => void,
): State => {
  let next: State = { ...state, holds: state.holds.filter((h) => h !== hold) };
  const back: Record<Id, Id> = {};
  const options: Record<Id, SpecifiedValue | undefined> = {};
  const writers: Record<string, number> = {};
  for (const [trait, was] of Object.entries(hold.before)) {
    const key = writerKey(hold.at, trait);
    if (next.writers[key] === hold.serial) {
      if (trait.startsWith(OPTION)) options[trait.slice(OPTION.length)] = was.value;
      // of traits it is the id of a value
      else back[trait] = was.value as Id;
      writers[key] = was.writer;
    } else next = { ...next, holds: relay(next.holds, hold, trait) };
  }
  const live = liveCopies(project, next).find((l) => l.path === hold.at);
  if (!live || Object.keys(writers).length === 0) return next;
  const written = writeTraits(project, next, live, back, 0);
  next = { ...written.state, writers: { ...written.state.writers, ...writers } };
  const given = Object.keys(options).length > 0;
  if (given)
    next = {
      ...next,
      options: { ...next.options, [hold.at]: defined({ ...next.options[hold.at], ...options }) },
    };
  if (written.sets.length || given)
    emit({
      type: "undone",
      at: state.now,
      state: next,
      path: hold.at,
      rule: hold.rule,
      sets: written.sets,
      motion: hold.motion,
    });
  return next;
};

/** Ends all holds that match, the latest first. */
export const endHolds = (
  project: Project,
  state: State,
  match: (h: Revert) => boolean,
  emit: (h: MachineEvent) => void,
): State =>
  state.holds
    .filter(match)
    .reverse()
    .reduce((s, hold) => {
      const present = s.holds.find((h) => h.serial === hold.serial && h.at === hold.at);
      return present ? endHold(project, s, present, emit) : s;
    }, state);
