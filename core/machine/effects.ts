import type { Id } from "../basics";
import { specificity, traitsOf, valuesOf } from "../looks";
import type { Effect, Piece, Project, Rule, TraitTarget, Variant } from "../project";
import { OPTION } from "../properties";
import type { SpecifiedValue } from "../properties";
import { instanceIn, steeredInstances } from "./piece";
import type { ActiveInstance } from "./piece";
import type { Path, State, TraitSet } from "./types";

/**
 * What a rule's effect takes hold of: rules of one event that take hold of the same thing compete.
 */
export const claimOf = (effect: Effect): string => {
  switch (effect.type) {
    case "set":
      return effect.trait;
    case "nested":
      return `${effect.layer}/${effect.trait}`;
    case "raise":
      return `signal ${effect.signal}`;
    case "address":
      return "address";
    case "clip":
    case "seek":
      return `clip ${effect.layer}`;
    case "scroll":
      return "scroll";
    case "empty":
      return "form";
    case "stir":
      return "stir";
    case "option":
      return `${effect.layer}/option ${effect.option}`;
    default:
      return "screen";
  }
};

/**
 * Of rules answering one event, those that fire and those that lose, to which: the more specific
 * condition wins, then the earlier rule.
 */
export const contest = (
  rules: readonly Rule[],
): { wins: Rule[]; losses: { rule: Rule; to: Rule }[] } => {
  const ranked = rules
    .map((rule, i) => ({ rule, i }))
    .sort((a, b) => specificity(b.rule.when) - specificity(a.rule.when) || a.i - b.i);
  const taken = new Map<string, Rule>();
  const wins = new Set<Rule>();
  const losses: { rule: Rule; to: Rule }[] = [];
  for (const { rule } of ranked) {
    // any number may stir: their lanes are of different layers, or the last one has it
    const holding = rule.effects.filter((e) => e.type !== "stir");
    const rival = holding.map((e) => taken.get(claimOf(e))).find((r) => r !== undefined);
    if (rival) {
      losses.push({ rule, to: rival });
      continue;
    }
    for (const e of holding) taken.set(claimOf(e), rule);
    wins.add(rule);
  }
  return { wins: rules.filter((r) => wins.has(r)), losses };
};

/**
 * The value an effect gives a trait; next and previous go round, opposite mirrors the order of
 * values, first is where a list begins.
 */
export const targetValue = (
  piece: Piece,
  variant: Variant,
  id: Id,
  target: TraitTarget,
): Id | null => {
  const trait = traitsOf(piece).find((t) => t.id === id);
  if (!trait) return null;
  if ("value" in target) return trait.values[target.value] ? target.value : null;
  const values = valuesOf(trait);
  const at = values.findIndex((v) => v.id === variant[trait.id]);
  const n = values.length;
  const to = { next: (at + 1) % n, previous: (at - 1 + n) % n, opposite: n - 1 - at, first: 0 }[
    target.step
  ];
  return values[to]?.id ?? null;
};

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
 * follow.
 * The writer's serial is noted for every trait, also for those set to the value they had.
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
