import type { Id } from "../../basics";
import type { Project } from "../../project";
import { OPTION } from "../../properties";
import type { SpecifiedValue } from "../../properties";
import { instanceIn, steeredInstances } from "../piece";
import type { TraitSet } from "../events";
import type { State } from "../state";
import type { ActiveInstance, Path } from "../types";

/** Sets options of a copy; the keys carry their "option:". */
export const writeOptions = (
  state: State,
  path: Path,
  options: Readonly<Record<Id, SpecifiedValue>>,
  writer: number,
): State => {
  const keys = Object.keys(options);
  if (keys.length === 0) return state;
  const writers = {
    ...state.writers,
    ...Object.fromEntries(keys.map((k) => [writerKey(path, k), writer])),
  };
  const own = Object.fromEntries(
    Object.entries(options).map(([k, v]) => [k.slice(OPTION.length), v]),
  );
  return {
    ...state,
    writers,
    options: { ...state.options, [path]: { ...state.options[path], ...own } },
  };
};

export const writerKey = (path: Path, trait: Id): string => `${path} ${trait}`;

/**
 * Sets traits of one copy; copies inside it whose instance says other traits in the new variant
 * follow. The writer's serial is noted for every trait, also for those set to the value they had.
 */
export const writeTraits = (
  project: Project,
  state: State,
  live: ActiveInstance,
  sets: Readonly<Record<Id, Id>>,
  writer: number,
): { state: State; sets: TraitSet[] } => {
  if (Object.keys(sets).length === 0) return { state, sets: [] };
  const before = state.traits[live.path] ?? live.variant;
  const after = { ...before, ...sets };
  const writers = { ...state.writers };
  for (const trait in sets) writers[writerKey(live.path, trait)] = writer;
  let next: State = { ...state, writers, traits: { ...state.traits, [live.path]: after } };
  for (const layer of steeredInstances(live.piece)) {
    const was = instanceIn(project, live.piece, before, layer);
    const is = instanceIn(project, live.piece, after, layer);
    if (!was || !is) continue;
    const changed = Object.fromEntries(
      Object.entries(is.said).filter(([t, v]) => was.said[t] !== v),
    );
    const path = `${live.path}/${layer.id}`;
    if (Object.keys(changed).length)
      next = writeTraits(
        project,
        next,
        { path, piece: is.component, variant: was.start },
        changed,
        writer,
      ).state;
  }
  const list = Object.entries(sets)
    .map(([trait, to]) => ({ trait, from: before[trait] ?? "", to }))
    .filter((s) => s.from !== s.to);
  return { state: next, sets: list };
};
