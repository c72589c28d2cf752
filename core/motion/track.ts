import { present } from "../basics";
import type { Lane } from "../project";
import { property } from "../properties";
import type { Value } from "../properties";
import { curveOf } from "./curves/easing";
import type { Curve } from "./curves/easing";
import { mixOf } from "./mix";
import type { Mix } from "./mix";
import type { Span } from "./span";
import { goesOf, lengthOf } from "./timing";

/** How one property of one layer goes to its target. */
export interface Track {
  readonly span: Span;
  /** goes on for ever: nobody waits for it */
  readonly endless?: boolean;
  at(now: number): unknown;
  /** per ms, of values that are numbers; null of others */
  velocityAt(now: number): readonly number[] | null;
}

/** A value as the numbers it is made of; null when it is none. */
export const numbersIn = (value: unknown): readonly number[] | null => {
  if (typeof value === "number") {
    return [value];
  }
  return Array.isArray(value) && value.length > 0 && value.every((n) => typeof n === "number")
    ? value
    : null;
};

interface Limits {
  readonly min: number;
  readonly max: number;
}
const free: Limits = { min: -Infinity, max: Infinity };
const own: Readonly<Record<string, Limits>> = {
  width: { min: 0, max: Infinity },
  height: { min: 0, max: Infinity },
  presence: { min: 0, max: 1 },
};

/** What values a property can have: what overshoots stops there. */
const limitsOf = (key: string): Limits => {
  const type = property(key)?.type;
  return own[key] ?? (type?.is === "number" || type?.is === "pair" ? type : free);
};

/** Numbers that glide to their target and keep the velocity they had. */
export class NumberTrack implements Track {
  readonly #limits: Limits;
  readonly #rest: readonly number[];

  constructor(
    readonly span: Span,
    key: string,
    private readonly from: readonly number[],
    private readonly to: readonly number[],
    private readonly end: unknown,
    private readonly speed: readonly number[],
  ) {
    this.#limits = limitsOf(key);
    this.#rest = speed.map((v, i) =>
      v === 0 ? 0 : v - (span.springs ? 0 : span.setOut(v, present(to[i]) - present(from[i]))),
    );
    if (span.springs)
      speed.forEach((v, i) => {
        if (v !== 0)
          span.stretch((v * 1000) / Math.max(1, Math.abs(present(to[i]) - present(from[i]))));
      });
  }

  at(now: number): unknown {
    const t = this.span.progressAt(now);
    const carry = this.speed.length ? this.span.carryAt(now) : 0;
    if (t === 1 && carry === 0) return this.end;
    return typeof this.end === "number"
      ? this.#part(0, t, carry)
      : this.to.map((_, i) => this.#part(i, t, carry));
  }

  #part(i: number, t: number, carry: number): number {
    const { min, max } = this.#limits;
    const from = present(this.from[i]);
    const value =
      from + (present(this.to[i]) - from) * t + (carry === 0 ? 0 : present(this.#rest[i]) * carry);
    if (value < min) {
      return min;
    }
    return value > max ? max : value;
  }

  velocityAt(now: number): readonly number[] | null {
    return now <= this.span.begin && this.speed.length ? this.speed : slowest(this, now);
  }
}

const STEP = 0.5;
/** Per ms, looking back a moment. */
const slowest = (track: Track, now: number): readonly number[] | null => {
  const a = numbersIn(track.at(now - STEP));
  const b = numbersIn(track.at(now));
  return a && b && a.length === b.length ? b.map((n, i) => (n - present(a[i])) / STEP) : null;
};

/** Any values that can be mixed. */
export class MixTrack implements Track {
  constructor(
    readonly span: Span,
    private readonly mix: Mix<unknown>,
  ) {}
  at(now: number): unknown {
    return this.mix(this.span.progressAt(now));
  }
  velocityAt(): null {
    return null;
  }
}

interface Stage {
  readonly from: number;
  readonly to: number;
  readonly curve: Curve;
  readonly mix: Mix<unknown>;
}

const mixing = (key: string, a: unknown, b: unknown): Mix<unknown> => {
  const kind = property(key)?.mixing;
  const how = kind === undefined || kind === "layout" ? "number" : kind;
  // both are values of the property the key names
  return mixOf(how, a as Value, b as Value) ?? ((t) => (t < 1 ? a : b));
};

const stagesOf = (lane: Lane, key: string, from: unknown, to: unknown): Stage[] => {
  const stops = [...(lane.poses ?? []), { at: 1, value: to, easing: lane.easing }];
  let at = 0;
  let value = from;
  return stops.map((stop) => {
    const stage = {
      from: at,
      to: Math.max(at, stop.at),
      curve: curveOf(stop.easing),
      mix: mixing(key, value, stop.value),
    };
    at = stage.to;
    value = stop.value;
    return stage;
  });
};

/**
 * A lane that goes through poses, or is gone through more than once. Its span is even: each stretch
 * has a curve of its own.
 */
export class KeyframeTrack implements Track {
  readonly endless: boolean;
  readonly #first: readonly Stage[];
  readonly #later: readonly Stage[];
  readonly #length: number;
  readonly #goes: number;

  /**
   * `from` is what is on screen, `rest` what later goes begin with, `to` where all ends; `speed`
   * per ms is kept at first.
   */
  constructor(
    readonly span: Span,
    private readonly lane: Lane,
    key: string,
    from: unknown,
    rest: unknown,
    private readonly to: unknown,
    private readonly speed: number,
    /** it is as far as its span is, not as its own time says */ private readonly driven = false,
  ) {
    this.#length = Math.max(1, lengthOf(lane));
    this.#goes = goesOf(lane);
    this.endless = this.#goes === Infinity;
    this.#first = stagesOf(lane, key, from, to);
    this.#later = this.#goes > 1 ? stagesOf(lane, key, rest, to) : this.#first;
  }

  at(now: number): unknown {
    const gone = this.driven
      ? Math.min(1, Math.max(0, this.span.progressAt(now)))
      : Math.max(0, now - this.span.begin) / this.#length;
    const go = Math.floor(gone);
    if (gone >= this.#goes) return this.to;
    const back = this.lane.turns === true && go % 2 === 1;
    const u = back ? 1 - (gone - go) : gone - go;
    const stages = go === 0 ? this.#first : this.#later;
    const stage = stages.find((s) => u <= s.to) ?? stages.at(-1);
    if (!stage) return this.to;
    const value = stage.mix(
      stage.to > stage.from ? stage.curve((u - stage.from) / (stage.to - stage.from)) : 1,
    );
    return this.speed !== 0 && typeof value === "number"
      ? value + this.speed * this.span.carryAt(now)
      : value;
  }

  velocityAt(now: number): readonly number[] | null {
    return now <= this.span.begin && this.speed !== 0 ? [this.speed] : slowest(this, now);
  }
}
