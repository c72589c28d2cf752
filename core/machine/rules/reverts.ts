import type { Id } from "../../basics";
import type { Project } from "../../project";
import { OPTION } from "../../properties";
import type { SpecifiedValue } from "../../properties";
import { writerKey, writeTraits } from "./writing";
import { liveCopies } from "../piece";
import type { Emit } from "../events";
import type { Revert, State } from "../state";

/** What rests on an ended revert now rests on what was before it. */
const relay = (reverts: readonly Revert[], ended: Revert, trait: Id): readonly Revert[] =>
  reverts.map((revert) => {
    const mine = revert.before[trait];
    const before = ended.before[trait];
    return revert.at === ended.at && mine && before && mine.writer === ended.serial
      ? { ...revert, before: { ...revert.before, [trait]: before } }
      : revert;
  });

export const defined = (
  table: Readonly<Record<Id, SpecifiedValue | undefined>>,
): Readonly<Record<Id, SpecifiedValue>> =>
  Object.fromEntries(Object.entries(table).flatMap(([k, v]) => (v === undefined ? [] : [[k, v]])));

/** What goes back when a contact ends: all that no other rule has set since. */
interface GoingBack {
  readonly traits: Readonly<Record<Id, Id>>;
  readonly options: Readonly<Record<Id, SpecifiedValue | undefined>>;
  readonly writers: Readonly<Record<string, number>>;
}

/** Takes a revert off the pile. */
export const takeOff = (state: State, revert: Revert): { state: State; back: GoingBack } => {
  let reverts: readonly Revert[] = state.reverts.filter((r) => r !== revert);
  const traits: Record<Id, Id> = {};
  const options: Record<Id, SpecifiedValue | undefined> = {};
  const writers: Record<string, number> = {};
  for (const [key, was] of Object.entries(revert.before)) {
    const writer = writerKey(revert.at, key);
    if (state.writers[writer] !== revert.serial) {
      reverts = relay(reverts, revert, key);
      continue;
    }
    if (key.startsWith(OPTION)) options[key.slice(OPTION.length)] = was.value;
    // of traits it is the id of a value
    else traits[key] = was.value as Id;
    writers[writer] = was.writer;
  }
  return { state: { ...state, reverts }, back: { traits, options, writers } };
};

/** Traits and options of a copy are again what they were before a contact. */
const revertOne = (project: Project, state: State, revert: Revert, emit: Emit): State => {
  const { state: free, back } = takeOff(state, revert);
  const live = liveCopies(project, free).find((l) => l.path === revert.at);
  if (!live || Object.keys(back.writers).length === 0) return free;
  const { state: written, sets } = writeTraits(project, free, live, back.traits, 0);
  const claimed = { ...written, writers: { ...written.writers, ...back.writers } };
  const hasOptions = Object.keys(back.options).length > 0;
  const given = defined({ ...claimed.options[revert.at], ...back.options });
  const next = hasOptions
    ? { ...claimed, options: { ...claimed.options, [revert.at]: given } }
    : claimed;
  if (sets.length || hasOptions)
    emit({
      type: "undone",
      at: state.now,
      state: next,
      path: revert.at,
      rule: revert.rule,
      sets,
      motion: revert.motion,
      ownTime: revert.ownTime,
    });
  return next;
};

/** Ends what contacts hold, of those that match, the latest first. */
export const endReverts = (
  project: Project,
  state: State,
  match: (revert: Revert) => boolean,
  emit: Emit,
): State =>
  state.reverts
    .filter(match)
    .reverse()
    .reduce((s, ended) => {
      const revert = s.reverts.find((r) => r.serial === ended.serial && r.at === ended.at);
      return revert ? revertOne(project, s, revert, emit) : s;
    }, state);
