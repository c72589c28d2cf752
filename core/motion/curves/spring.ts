import { entryOf } from "../../basics";
import type { Spring } from "../../project";

/**
 * A spring's own numbers: how fast it would swing undamped (rad/s) and how damped it is (1: comes
 * to rest without swinging).
 */
const nature = ({ mass, stiffness, damping }: Spring): { omega: number; zeta: number } => {
  const omega = Math.sqrt(stiffness / mass);
  return { omega, zeta: damping / (2 * Math.sqrt(stiffness * mass)) };
};

/**
 * Nearer to critical damping than this the two general solutions lose their digits; the critical
 * one is as exact there.
 */
const CRITICAL = 1e-6;

/**
 * How far from rest a damped spring still is `ms` after it was let go at a distance of `x` with a
 * velocity of `v` (per s): the closed solution of m x″ + c x′ + k x = 0, and its derivative (per
 * s).
 */
export const springAt = (
  spring: Spring,
  ms: number,
  x = 1,
  v = 0,
): { readonly x: number; readonly v: number } => {
  const { omega, zeta } = nature(spring);
  const t = ms / 1000;
  if (Math.abs(zeta - 1) < CRITICAL) {
    const b = v + omega * x;
    const e = Math.exp(-omega * t);
    return { x: (x + b * t) * e, v: (b - omega * (x + b * t)) * e };
  }
  if (zeta < 1) {
    const d = omega * Math.sqrt(1 - zeta * zeta);
    const b = (v + zeta * omega * x) / d;
    const e = Math.exp(-zeta * omega * t);
    const cos = Math.cos(d * t);
    const sin = Math.sin(d * t);
    return {
      x: e * (x * cos + b * sin),
      v: e * ((b * d - zeta * omega * x) * cos - (x * d + zeta * omega * b) * sin),
    };
  }
  const root = Math.sqrt(zeta * zeta - 1);
  const slow = -omega * (zeta - root);
  const fast = -omega * (zeta + root);
  const a = (v - fast * x) / (slow - fast);
  const b = x - a;
  const es = Math.exp(slow * t);
  const ef = Math.exp(fast * t);
  return { x: a * es + b * ef, v: a * slow * es + b * fast * ef };
};

/** A spring counts as at rest when no more than this share of its way is left. */
export const REST = 0.001;
/** No spring is waited for longer than this, ms. */
const LONGEST_SPRING = 20_000;

const settled = new Map<string, number>();

/** When a spring let go at distance 1 has come within `REST` for good; whole ms. */
export const settlingTime = (spring: Spring, v = 0): number => {
  const key = `${spring.mass} ${spring.stiffness} ${spring.damping} ${v}`;
  return entryOf(settled, key, () => lastOutside(spring, v) + 1);
};

/** The last whole ms at which the spring is still out of `REST`. */
const lastOutside = (spring: Spring, v: number): number => {
  const { omega, zeta } = nature(spring);
  const rate = omega * (zeta < 1 ? zeta : zeta - Math.sqrt(Math.max(0, zeta * zeta - 1)));
  // nothing leaves this envelope, so there is nothing to find beyond it
  const beyond =
    rate > 0 ? (Math.log((4 + Math.abs(v) / omega) / REST) * 2 * 1000) / rate : LONGEST_SPRING;
  let ms = Math.min(LONGEST_SPRING, Math.ceil(beyond));
  while (ms > 0 && Math.abs(springAt(spring, ms, 1, v).x) <= REST) ms--;
  return ms;
};

/**
 * The other view of a spring: how long a swing takes (ms), and how bouncy it is (0: not at all,
 * towards 1: for ever; below 0: sluggish).
 */
export interface Swing {
  readonly swing: number;
  readonly bounciness: number;
}

/** 2π/ω₀ and 1 − ζ; beyond critical damping 1/ζ − 1. */
export const swingOf = (spring: Spring): Swing => {
  const { omega, zeta } = nature(spring);
  return { swing: (2 * Math.PI * 1000) / omega, bounciness: zeta <= 1 ? 1 - zeta : 1 / zeta - 1 };
};

/** The spring of a given mass with that swing. */
export const springFrom = ({ swing, bounciness }: Swing, mass = 1): Spring => {
  const omega = (2 * Math.PI * 1000) / swing;
  const zeta = bounciness >= 0 ? 1 - bounciness : 1 / (1 + bounciness);
  return {
    kind: "spring",
    mass,
    stiffness: omega * omega * mass,
    damping: 2 * zeta * omega * mass,
  };
};

/** How often a spring is made to last as long as wished: what is left then is less than a ms. */
const TRIES = 4;

/**
 * The spring of a given mass and bounciness that has come to rest, within a thousandth of its way
 * for good, after a time (ms). At one bounciness that time is in proportion to the swing.
 */
export const springLasting = (ms: number, bounciness: number, mass = 1): Spring => {
  let swing = Math.max(1, ms) / 2;
  for (let i = 0; i < TRIES; i++) {
    swing *= Math.max(1, ms) / Math.max(1, settlingTime(springFrom({ swing, bounciness })));
  }
  return springFrom({ swing, bounciness }, mass);
};

/** How far a spring goes past its end at most, as a share of its way; 0 when it does not swing. */
export const overshootOf = (spring: Spring): number => {
  const { zeta } = nature(spring);
  return zeta >= 1 ? 0 : Math.exp((-Math.PI * zeta) / Math.sqrt(1 - zeta * zeta));
};
