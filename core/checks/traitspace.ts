import { present } from "../basics";
import type { Id } from "../basics";
import { ruleText } from "../describe";
import { markUnused, removeRule } from "../edit";
import { isUnused, restOf, specificity, traitsOf, valuesOf } from "../looks";
import { claimOf, contest, rulesOf, targetValue } from "../machine";
import { ROOT } from "../project";
import type { Piece, Project, Rule, Trait } from "../project";
import { givenValues } from "./explore";
import { findingId } from "./types";
import type { Finding } from "./types";

/**
 * As many variants, and ways between them, as are kept in memory: 4 bytes for each, and twice that
 * for the ways.
 */
const MOST_VARIANTS = 1 << 20;
const MOST_WAYS = 1 << 23;

/**
 * A rule with its conditions and effects as numbers: for each trait, which digits it may have and
 * what they become.
 */
interface Plain {
  readonly rule: Rule;
  readonly allowed: readonly (readonly [trait: number, digits: Uint8Array])[];
  readonly becomes: readonly (readonly [trait: number, to: Int16Array])[];
  readonly undoes: readonly (readonly [trait: number, from: readonly number[]])[];
}

/** All variants that rules lead to from where a piece may begin, and the ways between them. */
export interface TraitSpace {
  readonly size: number;
  readonly reached: Uint8Array;
  readonly count: number;
  readonly fired: ReadonlySet<Id>;
  /** ways from each variant: those of variant i are to[start[i]] … to[start[i + 1] - 1] */
  readonly start: Int32Array;
  readonly to: Int32Array;
  readonly digit: (variant: number, trait: number) => number;
  readonly traits: readonly Trait[];
}

const plainRule = (piece: Piece, traits: readonly Trait[], rule: Rule): Plain => {
  const index = new Map(traits.map((t, i) => [t.id, i]));
  const values = traits.map((t) => valuesOf(t).map((v) => v.id));
  const allowed = Object.entries(rule.when).flatMap(([t, list]) => {
    const i = index.get(t);
    return i === undefined
      ? []
      : [[i, Uint8Array.from((values[i] ?? []).map((v) => (list.includes(v) ? 1 : 0)))] as const];
  });
  const changed = [...new Set(rule.effects.flatMap((e) => (e.type === "set" ? [e.trait] : [])))];
  const becomes = changed.flatMap((t) => {
    const i = index.get(t);
    if (i === undefined) return [];
    return [
      [
        i,
        Int16Array.from(
          (values[i] ?? []).map((from) => {
            let at: Id = from;
            for (const e of rule.effects)
              if (e.type === "set" && e.trait === t)
                at = targetValue(piece, { [t]: at }, t, e.to) ?? at;
            return (values[i] ?? []).indexOf(at);
          }),
        ),
      ] as const,
    ];
  });
  const undoes = rule.undo
    ? becomes.map(
        ([i]) =>
          [
            i,
            (values[i] ?? []).flatMap((v, d) => {
              const said = rule.when[traits[i]?.id ?? ""];
              return !said || said.includes(v) ? [d] : [];
            }),
          ] as const,
      )
    : [];
  return { rule, allowed, becomes, undoes };
};

/**
 * Everything rules can come to, by traits alone: what is pointed at, pressed or waited for is left
 * open, so that no variant that
 * can be reached is missed and nothing is called unreachable that is not. Null where there is too
 * much of it.
 */
export const traitSpace = (project: Project, piece: Piece): TraitSpace | null => {
  const traits = traitsOf(piece);
  const base = traits.map((t) => valuesOf(t).length);
  const weight: number[] = [];
  let size = 1;
  for (const b of base) {
    weight.push(size);
    size *= b;
    if (size > MOST_VARIANTS) return null;
  }
  const groups = new Map<string, Rule[]>();
  for (const r of rulesOf(project, piece)) {
    const key = JSON.stringify([
      r.trigger.type === "hover" ? "enter" : r.trigger.type,
      r.trigger.key,
      r.trigger.signal,
      r.trigger.direction,
      r.trigger.type === "delay" || r.trigger.type === "hold" ? r.trigger.ms : 0,
      r.source ?? ROOT,
    ]);
    const list = groups.get(key);
    if (list) list.push(r);
    else groups.set(key, [r]);
  }
  // ranked as they compete; with each the better ones that want something of the same
  const events = [...groups.values()].map((list) => {
    const ranked = [...list].sort(
      (a, b) => specificity(b.when) - specificity(a.when) || list.indexOf(a) - list.indexOf(b),
    );
    return ranked.map((rule, i) => ({
      ...plainRule(piece, traits, rule),
      rivals: ranked
        .slice(0, i)
        .flatMap((r, k) =>
          contest([r, rule]).losses.length > 0 &&
          r.effects.some((e) => rule.effects.some((f) => claimOf(e) === claimOf(f)))
            ? [k]
            : [],
        ),
    }));
  });
  const digit = (variant: number, trait: number): number =>
    Math.floor(variant / (weight[trait] ?? 1)) % (base[trait] ?? 1);
  const reached = new Uint8Array(size);
  const queue = new Int32Array(size);
  const fired = new Set<Id>();
  const start = new Int32Array(size + 1);
  const order = new Int32Array(size);
  let to = new Int32Array(1 << 16);
  let ways = 0;
  let count = 0;
  const note = (v: number) => {
    if (reached[v] === 0) {
      reached[v] = 1;
      queue[count++] = v;
    }
  };
  const add = (v: number): boolean => {
    if (ways === to.length) {
      if (ways >= MOST_WAYS) return false;
      const larger = new Int32Array(ways * 2);
      larger.set(to);
      to = larger;
    }
    to[ways++] = v;
    note(v);
    return true;
  };
  const rest = traits.reduce(
    (v, t, i) => v + valuesOf(t).findIndex((x) => x.id === restOf(t)) * (weight[i] ?? 1),
    0,
  );
  note(rest);
  // where others give a trait a value, every combination may be a beginning
  const given = givenValues(project, piece);
  for (let i = 0; i < count; i++)
    for (const g of given) {
      const t = traits.findIndex((x) => x.id === g.trait);
      const v = present(queue[i]);
      if (t >= 0)
        note(
          v +
            (valuesOf(present(traits[t])).findIndex((x) => x.id === g.value) - digit(v, t)) *
              (weight[t] ?? 1),
        );
    }
  const digits = new Int16Array(traits.length);
  const won: boolean[] = [];
  for (let at = 0; at < count; at++) {
    const v = present(queue[at]);
    order[at] = v;
    start[at] = ways;
    for (let t = 0; t < traits.length; t++) digits[t] = digit(v, t);
    for (const ranked of events) {
      let next = v;
      for (let i = 0; i < ranked.length; i++) {
        const r = present(ranked[i]);
        won[i] =
          r.allowed.every(([t, ok]) => ok[present(digits[t])] === 1) &&
          !r.rivals.some((k) => won[k]);
        if (!won[i]) continue;
        fired.add(r.rule.id);
        for (const [t, becomes] of r.becomes)
          next += (present(becomes[present(digits[t])]) - present(digits[t])) * present(weight[t]);
      }
      if (next !== v && !add(next)) return null;
      // what a contact did may go back whenever it ends, to what it may have been
      for (const r of ranked)
        for (const [t, from] of r.undoes)
          if (r.becomes.some(([b, becomes]) => b === t && becomes.includes(present(digits[t]))))
            for (const d of from)
              if (d !== digits[t] && !add(v + (d - present(digits[t])) * present(weight[t])))
                return null;
    }
  }
  start[count] = ways;
  // ways are kept by the variant they begin at
  const index = new Int32Array(size + 1);
  const sorted = new Int32Array(ways);
  const place = new Int32Array(size).fill(-1);
  for (let i = 0; i < count; i++) place[present(order[i])] = i;
  let fill = 0;
  for (let v = 0; v < size; v++) {
    index[v] = fill;
    const i = present(place[v]);
    if (i >= 0)
      for (let k = present(start[i]); k < present(start[i + 1]); k++)
        sorted[fill++] = present(to[k]);
  }
  index[size] = fill;
  return { size, reached, count, fired, start: index, to: sorted, digit, traits };
};

/** From which variants one of some others can be reached. */
const leadingTo = (space: TraitSpace, is: (v: number) => boolean): Uint8Array => {
  const { size, start, to } = space;
  const seen = new Uint8Array(size);
  const into = new Int32Array(size + 1);
  for (const v of to) into[v + 1] = present(into[v + 1]) + 1;
  for (let v = 0; v < size; v++) into[v + 1] = present(into[v + 1]) + present(into[v]);
  const from = new Int32Array(to.length);
  const next = into.slice(0, size);
  for (let v = 0; v < size; v++)
    for (let k = present(start[v]); k < present(start[v + 1]); k++) {
      const w = present(to[k]);
      from[present(next[w])] = v;
      next[w] = present(next[w]) + 1;
    }
  const queue = new Int32Array(size);
  let count = 0;
  for (let v = 0; v < size; v++)
    if (space.reached[v] && is(v)) {
      seen[v] = 1;
      queue[count++] = v;
    }
  for (let at = 0; at < count; at++) {
    const w = present(queue[at]);
    for (let k = present(into[w]); k < present(into[w + 1]); k++) {
      const v = present(from[k]);
      if (!seen[v]) {
        seen[v] = 1;
        queue[count++] = v;
      }
    }
  }
  return seen;
};

/**
 * What can be said of a piece with too many situations to look at each: values never reached, rules
 * that can never be, values without a way back.
 */
export const byTraits = (project: Project, piece: Piece, space: TraitSpace): Finding[] => {
  const out: Finding[] = [];
  const { traits, digit, size } = space;
  for (const rule of rulesOf(project, piece))
    if (!space.fired.has(rule.id))
      out.push({
        id: findingId("never-fires", rule.id),
        kind: "never-fires",
        severity: "warning",
        layers: rule.source ? [rule.source] : [],
        rules: [rule.id],
        text: `“${ruleText(project, piece, rule)}” can never happen: its condition never holds, or a better rule always wins.`,
        fix: { label: "Remove the rule", change: removeRule(piece, rule.id) },
      });
  traits.forEach((trait, t) => {
    const values = valuesOf(trait);
    const seen = new Uint8Array(values.length);
    const rest = values.findIndex((v) => v.id === restOf(trait));
    for (let v = 0; v < size; v++) if (space.reached[v]) seen[digit(v, t)] = 1;
    values.forEach((value, d) => {
      if (!seen[d] && !isUnused(piece, { [trait.id]: value.id }))
        out.push({
          id: findingId("unreachable", `${trait.name} ${value.name}`),
          kind: "unreachable",
          severity: "warning",
          layers: [],
          rules: [],
          text: `${trait.name} ${value.name} is never reached: no rule leads there.`,
          fix: { label: "Mark as not used", change: markUnused(piece, { [trait.id]: [value.id] }) },
        });
    });
    if (!seen[rest] || seen.every((s, d) => s === 0 || d === rest)) return;
    const back = leadingTo(space, (v) => digit(v, t) === rest);
    const stuck = new Uint8Array(values.length);
    for (let v = 0; v < size; v++) if (space.reached[v] && !back[v]) stuck[digit(v, t)] = 1;
    values.forEach((value, d) => {
      if (stuck[d])
        out.push({
          id: findingId("no-way-back", trait.id, value.id),
          kind: "no-way-back",
          severity: "note",
          layers: [],
          rules: [],
          text: `Once ${trait.name} is ${value.name}, there may be no way back to ${values[rest]?.name ?? ""}.`,
        });
    });
  });
  return out;
};
