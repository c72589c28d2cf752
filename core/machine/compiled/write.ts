import type { Id } from "../../basics";
import type { TraitSet } from "../events";
import type { State } from "../state";
import type { Path } from "../types";
import { copyOf } from "../state";
import type { Draft } from "../state";
import type { Program } from "./program";
import type { Sets, VariantRow, Written } from "./variant-row";

type Writers = Record<string, number>;

const note = (
  program: Program,
  state: Draft<State>,
  writers: Writers,
  path: Path,
  written: Written,
  sets: Sets,
  writer: number,
): void => {
  for (const trait in sets) writers[program.keys.key(path, trait)] = writer;
  state.traits = program.traits.put(state.traits, path, written.variant);
  for (const steered of written.steered) {
    const inner = `${path}/${steered.layer}`;
    const table = program.table(steered.component);
    const row = table.row(state.traits[inner] ?? steered.start);
    note(program, state, writers, inner, row.write(steered.sets), steered.sets, writer);
  }
};

const noSets: readonly TraitSet[] = [];

/** Whether any trait is set. */
export const hasSets = (sets: Sets): boolean => {
  for (const _ in sets) return true;
  return false;
};

/**
 * Sets traits of one copy, as its row says what comes of that; copies inside it that follow are set, too. The
 * writer's serial is noted for every trait, also for those set to the value they had.
 */
export const writeSets = (
  program: Program,
  state: State,
  path: Path,
  written: Written,
  sets: Sets,
  writer: number,
): { readonly state: State; readonly sets: readonly TraitSet[] } => {
  if (!hasSets(sets)) return { state, sets: noSets };
  const writers: Writers = { ...state.writers };
  const next = copyOf(state);
  next.writers = writers;
  note(program, next, writers, path, written, sets, writer);
  return { state: next, sets: written.sets };
};

/** What the traits a copy is given were before, and who had set them. */
export const beforeSets = (
  program: Program,
  state: State,
  path: Path,
  row: VariantRow,
  sets: Sets,
): Readonly<Record<Id, { readonly value: Id; readonly writer: number }>> => {
  const before: Record<Id, { value: Id; writer: number }> = {};
  for (const trait in sets) {
    const writer = state.writers[program.keys.key(path, trait)] ?? 0;
    before[trait] = { value: row.variant[trait] ?? "", writer };
  }
  return before;
};
