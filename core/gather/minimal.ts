import { present } from "../basics";
import type { Id } from "../basics";
import { meets, sameCondition, specificity } from "../looks";
import type { Condition, Variant } from "../project";

/** A value in one variant. */
export interface Sample<T> {
  readonly variant: Variant;
  readonly value: T;
}
/** A value that holds under a condition. */
export interface Saying<T> {
  readonly when: Condition;
  readonly value: T;
}

type Same<T> = (a: T, b: T) => boolean;

/**
 * What the sayings come to in a variant: the most specific that hold. Undefined when equally
 * specific ones disagree: which of them won would hang on the order of looks, and these sayings may
 * be written into looks that have an order already.
 */
const told = <T>(sayings: readonly Saying<T>[], variant: Variant, same: Same<T>): T | undefined => {
  let best: Saying<T> | undefined;
  let agreed = true;
  for (const s of sayings) {
    if (!meets(s.when, variant)) continue;
    const more = best ? specificity(s.when) - specificity(best.when) : 1;
    if (more > 0) {
      best = s;
      agreed = true;
    } else if (more === 0 && best && !same(best.value, s.value)) agreed = false;
  }
  return agreed ? best?.value : undefined;
};

/** All ways to take `size` of some things. */
const choose = <T>(list: readonly T[], size: number): T[][] =>
  size === 0
    ? [[]]
    : list.flatMap((x, i) => choose(list.slice(i + 1), size - 1).map((rest) => [x, ...rest]));

/**
 * Joins sayings of the same value that differ in one trait's values alone, as in “hovered or
 * pressed”.
 */
const joined = <T>(sayings: readonly Saying<T>[], same: Same<T>): Saying<T>[] => {
  const out: Saying<T>[] = [];
  for (const s of sayings) {
    const keys = Object.keys(s.when).sort();
    const at = out.findIndex(
      (o) =>
        same(o.value, s.value) &&
        keys.length > 0 &&
        Object.keys(o.when).sort().join() === keys.join() &&
        keys.filter((k) => !sameCondition({ k: o.when[k] ?? [] }, { k: s.when[k] ?? [] }))
          .length === 1,
    );
    const o = out[at];
    if (!o) {
      out.push(s);
      continue;
    }
    out[at] = {
      ...o,
      when: Object.fromEntries(
        keys.map((k) => [k, [...new Set([...(o.when[k] ?? []), ...(s.when[k] ?? [])])]]),
      ),
    };
  }
  return out;
};

/**
 * The fewest sayings that give every sample its value: first for all, then for what a single trait
 * brings about, then pairs and so on; `traits` in the order in which they are tried. The resting
 * variant comes first among the samples.
 */
export const fewestDeclarations = <T>(
  traits: readonly Id[],
  samples: readonly Sample<T>[],
  same: Same<T> = (a, b) => JSON.stringify(a) === JSON.stringify(b),
): Saying<T>[] => {
  const [rest] = samples;
  if (!rest) return [];
  let sayings: Saying<T>[] = [{ when: {}, value: rest.value }];
  const right = (all: readonly Saying<T>[], s: Sample<T>) => {
    const v = told(all, s.variant, same);
    return v !== undefined && same(v, s.value);
  };
  for (let size = 1; size <= traits.length; size++) {
    for (const sample of samples) {
      if (right(sayings, sample)) continue;
      for (const keys of choose(traits, size)) {
        const when: Condition = Object.fromEntries(
          keys.map((k) => [k, [present(sample.variant[k])]]),
        );
        const held = samples.filter((s) => meets(when, s.variant));
        const differs = keys.every((k) => sample.variant[k] !== rest.variant[k]);
        // a part of the traits explains it when most that share them share the value; what is over
        // is said more narrowly
        const agreeing = held.filter((s) => same(s.value, sample.value)).length;
        const whole = agreeing === held.length;
        if (!whole && (size === traits.length ? false : !differs || agreeing * 2 <= held.length))
          continue;
        const next = [...sayings, { when, value: sample.value }];
        const before = samples.filter((s) => right(sayings, s)).length;
        const after = samples.filter((s) => right(next, s)).length;
        if (after > before) {
          sayings = next;
          break;
        }
      }
    }
  }
  return joined(sayings, same);
};
