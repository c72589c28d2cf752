import { entryOf, present } from "../basics";
import type { Id } from "../basics";
import { ruleText } from "../describe";
import { markUnused, removeRule } from "../edit";
import { isUnused, restOf, specificity, traitsOf, valuesOf } from "../looks";
import { claimOf, contest, rulesOf, targetValue } from "../machine";
import { ROOT } from "../project";
import type { Piece, Project, Rule, Trait } from "../project";
import { givenValues } from "./walk/given";
import { findingId } from "./types";
import type { Finding } from "./types";
import { checksWords } from "./words";

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

/** The digits of a trait that a condition allows; null where it says nothing of the trait. */
const allowedDigits = (rule: Rule, trait: Trait, values: readonly Id[]): Uint8Array | null => {
  const list = rule.when[trait.id];
  return list ? Uint8Array.from(values.map((v) => (list.includes(v) ? 1 : 0))) : null;
};

/** What a rule makes of each digit of a trait, all its effects one after the other. */
const becomesOf = (piece: Piece, rule: Rule, trait: Id, values: readonly Id[]): Int16Array =>
  Int16Array.from(
    values.map((from) => {
      const end = rule.effects.reduce(
        (at, e) =>
          e.type === "set" && e.trait === trait
            ? (targetValue(piece, { [trait]: at }, trait, e.to) ?? at)
            : at,
        from,
      );
      return values.indexOf(end);
    }),
  );

const plainRule = (piece: Piece, traits: readonly Trait[], rule: Rule): Plain => {
  const allowed: (readonly [number, Uint8Array])[] = [];
  const becomes: (readonly [number, Int16Array])[] = [];
  const undoes: (readonly [number, readonly number[]])[] = [];
  traits.forEach((trait, i) => {
    const values = valuesOf(trait).map((v) => v.id);
    const digits = allowedDigits(rule, trait, values);
    if (digits) allowed.push([i, digits]);
    if (!rule.effects.some((e) => e.type === "set" && e.trait === trait.id)) return;
    becomes.push([i, becomesOf(piece, rule, trait.id, values)]);
    if (rule.undo) undoes.push([i, [...values.keys()].filter((d) => digits?.[d] !== 0)]);
  });
  return { rule, allowed, becomes, undoes };
};

/** Variants as numbers: each trait's value is a digit with a weight of its own. */
class Digits {
  readonly size: number;
  private readonly base: readonly number[];
  private readonly weights: readonly number[];

  constructor(readonly traits: readonly Trait[]) {
    const weights: number[] = [];
    let size = 1;
    this.base = traits.map((t) => valuesOf(t).length);
    for (const values of this.base) {
      weights.push(size);
      size *= values;
    }
    this.weights = weights;
    this.size = size;
  }

  readonly digit = (variant: number, trait: number): number =>
    Math.floor(variant / this.weight(trait)) % (this.base[trait] ?? 1);

  weight(trait: number): number {
    return this.weights[trait] ?? 1;
  }

  /** The digit of a value; negative when there is no such value. */
  of(trait: number, value: Id): number {
    return valuesOf(present(this.traits[trait])).findIndex((v) => v.id === value);
  }

  /** A variant with another digit. */
  with(variant: number, trait: number, digit: number): number {
    return variant + (digit - this.digit(variant, trait)) * this.weight(trait);
  }

  /** The resting variant. */
  rest(): number {
    return this.traits.reduce((v, t, i) => v + this.of(i, restOf(t)) * this.weight(i), 0);
  }
}

/** What rules listen for together: those of one event compete. */
const eventKey = ({ trigger, source }: Rule): string =>
  JSON.stringify([
    trigger.type === "hover" ? "enter" : trigger.type,
    trigger.key,
    trigger.signal,
    trigger.direction,
    trigger.type === "delay" || trigger.type === "hold" ? trigger.ms : 0,
    source ?? ROOT,
  ]);

const rivalsOf = (a: Rule, b: Rule): boolean =>
  contest([a, b]).losses.length > 0 &&
  a.effects.some((e) => b.effects.some((f) => claimOf(e) === claimOf(f)));

/** A rule with those that go before it, by their number among the rules of the event. */
interface Ranked extends Plain {
  readonly rivals: readonly number[];
}

/** The rules of each event, ranked as they compete. */
const eventsOf = (
  project: Project,
  piece: Piece,
  traits: readonly Trait[],
): (readonly Ranked[])[] => {
  const groups = new Map<string, Rule[]>();
  for (const rule of rulesOf(project, piece))
    entryOf(groups, eventKey(rule), (): Rule[] => []).push(rule);
  return [...groups.values()].map((list) => {
    // sorting is stable: of equal ones the first goes before
    const ranked = [...list].sort((a, b) => specificity(b.when) - specificity(a.when));
    return ranked.map((rule, i) => ({
      ...plainRule(piece, traits, rule),
      rivals: [...Array(i).keys()].filter((k) => rivalsOf(present(ranked[k]), rule)),
    }));
  });
};

/** The ways from one variant to others, in the order they were found. */
class Ways {
  count = 0;
  private to = new Int32Array(1 << 16);

  at(i: number): number {
    return present(this.to[i]);
  }

  /** False: there is no room for more. */
  add(variant: number): boolean {
    if (this.count === this.to.length) {
      if (this.count >= MOST_WAYS) return false;
      const larger = new Int32Array(this.count * 2);
      larger.set(this.to);
      this.to = larger;
    }
    this.to[this.count++] = variant;
    return true;
  }
}

/** Walks from variant to variant, as rules and the ends of contacts lead. */
class Walk {
  readonly reached: Uint8Array;
  readonly fired = new Set<Id>();
  /** variants in the order they were reached, and where the ways of each begin */
  private readonly queue: Int32Array;
  private readonly start: Int32Array;
  private readonly ways = new Ways();
  private readonly now: Int16Array;
  count = 0;

  constructor(
    private readonly digits: Digits,
    private readonly events: readonly (readonly Ranked[])[],
  ) {
    this.reached = new Uint8Array(digits.size);
    this.queue = new Int32Array(digits.size);
    this.start = new Int32Array(digits.size + 1);
    this.now = new Int16Array(digits.traits.length);
  }

  private note(variant: number): void {
    if (this.reached[variant] !== 0) return;
    this.reached[variant] = 1;
    this.queue[this.count++] = variant;
  }

  /** Where a piece may begin: at rest, and wherever others give its traits values. */
  begin(given: readonly { readonly trait: number; readonly digit: number }[]): void {
    this.note(this.digits.rest());
    // every combination may be a beginning
    for (let i = 0; i < this.count; i++)
      for (const { trait, digit } of given)
        this.note(this.digits.with(present(this.queue[i]), trait, digit));
  }

  /** Follows all ways; false where there is too much of it. */
  go(): boolean {
    const { length } = this.digits.traits;
    for (let at = 0; at < this.count; at++) {
      const variant = present(this.queue[at]);
      this.start[at] = this.ways.count;
      for (let t = 0; t < length; t++) this.now[t] = this.digits.digit(variant, t);
      for (const ranked of this.events)
        if (!this.fire(variant, ranked) || !this.undo(variant, ranked)) return false;
    }
    this.start[this.count] = this.ways.count;
    return true;
  }

  private add(variant: number): boolean {
    this.note(variant);
    return this.ways.add(variant);
  }

  private readonly won: boolean[] = [];

  /** Where an event leads from a variant. */
  private fire(variant: number, ranked: readonly Ranked[]): boolean {
    const { now, won } = this;
    let next = variant;
    for (let i = 0; i < ranked.length; i++) {
      const r = present(ranked[i]);
      won[i] =
        r.allowed.every(([t, ok]) => ok[present(now[t])] === 1) && !r.rivals.some((k) => won[k]);
      if (!won[i]) continue;
      this.fired.add(r.rule.id);
      for (const [t, becomes] of r.becomes)
        next += (present(becomes[present(now[t])]) - present(now[t])) * this.digits.weight(t);
    }
    return next === variant || this.add(next);
  }

  /** What a contact did may go back whenever it ends, to what it may have been. */
  private undo(variant: number, ranked: readonly Ranked[]): boolean {
    for (const r of ranked)
      for (const [t, from] of r.undoes) {
        const digit = present(this.now[t]);
        if (!r.becomes.some(([b, becomes]) => b === t && becomes.includes(digit))) continue;
        for (const d of from)
          if (d !== digit && !this.add(variant + (d - digit) * this.digits.weight(t))) return false;
      }
    return true;
  }

  /** The ways by the variant they begin at. */
  sorted(): { start: Int32Array; to: Int32Array } {
    const { size } = this.digits;
    const start = new Int32Array(size + 1);
    const to = new Int32Array(this.ways.count);
    const place = new Int32Array(size).fill(-1);
    for (let i = 0; i < this.count; i++) place[present(this.queue[i])] = i;
    let fill = 0;
    for (let v = 0; v < size; v++) {
      start[v] = fill;
      const i = present(place[v]);
      if (i < 0) continue;
      const end = present(this.start[i + 1]);
      for (let k = present(this.start[i]); k < end; k++) to[fill++] = this.ways.at(k);
    }
    start[size] = fill;
    return { start, to };
  }
}

/** Whether there are more variants than are kept in memory. */
const isTooLarge = (traits: readonly Trait[]): boolean => {
  let size = 1;
  for (const t of traits) {
    size *= valuesOf(t).length;
    if (size > MOST_VARIANTS) return true;
  }
  return false;
};

/**
 * Everything rules can come to, by traits alone: what is pointed at, pressed or waited for is left
 * open, so that no variant that can be reached is missed and nothing is called unreachable that is
 * not. Null where there is too much of it.
 */
export const traitSpace = (project: Project, piece: Piece): TraitSpace | null => {
  const traits = traitsOf(piece);
  if (isTooLarge(traits)) return null;
  const digits = new Digits(traits);
  const walk = new Walk(digits, eventsOf(project, piece, traits));
  const given = givenValues(project, piece).flatMap(({ trait: id, value }) => {
    const trait = traits.findIndex((t) => t.id === id);
    return trait < 0 ? [] : [{ trait, digit: digits.of(trait, value) }];
  });
  walk.begin(given);
  if (!walk.go()) return null;
  const { reached, count, fired } = walk;
  return {
    size: digits.size,
    reached,
    count,
    fired,
    ...walk.sorted(),
    digit: digits.digit,
    traits,
  };
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
        text: checksWords.neverRunsConditionNever(ruleText(project, piece, rule)),
        fix: { label: checksWords.deleteRule, change: removeRule(piece, rule.id) },
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
          text: checksWords.noRuleLeads3(trait.name, value.name),
          fix: {
            label: checksWords.markAsUnused,
            change: markUnused(piece, { [trait.id]: [value.id] }),
          },
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
          text: checksWords.oncePossiblyNothingLeads(
            trait.name,
            value.name,
            values[rest]?.name ?? "",
          ),
        });
    });
  });
  return out;
};
