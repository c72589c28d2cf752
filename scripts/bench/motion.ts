import { createTimeline, engine } from "animejs";
import { layout } from "../../core/layout/index.ts";
import type { LayoutEnv } from "../../core/layout/index.ts";
import { Resolver } from "../../core/looks/index.ts";
import { Mover } from "../../core/motion/index.ts";
import { paint } from "../../core/paint/index.ts";
import type { Motion } from "../../core/project/index.ts";
import { Run } from "../../core/runtime/index.ts";
import { buoys, cast, fleet } from "./fleet.ts";
import type { Fleet } from "./fleet.ts";
import { median } from "./support.ts";
import type { Line } from "./support.ts";

const LAYERS = 500;
const still: Motion = { kind: "cut", duration: 0, delay: 0, easing: "linear" };
const long = (easing: Motion["easing"]): Motion => ({
  kind: "tween",
  duration: 1e6,
  delay: 0,
  easing,
});

/** A fleet's two scenes, and a mover on its way from the one to the other. */
const under = (env: LayoutEnv, made: Fleet, how: Motion) => {
  const resolver = new Resolver();
  const placed = (value: string) => {
    const tree = resolver.tree(made.project, made.piece, { [made.trait]: value });
    if (!tree) throw new Error("nothing to move");
    return layout(env, tree);
  };
  const mover = new Mover();
  mover.retarget(placed(made.no), still, 0, "s");
  mover.retarget(placed(made.yes), how, 0, "s");
  return { mover, placed };
};

/** A fleet whose layers move and change colour, shadow and corners at once. */
const changing = () =>
  fleet(
    LAYERS,
    { shadow: cast(1) },
    (i) => ({
      x: 400 - i,
      width: 40,
      fill: "#1f6f5c",
      radius: [8, 8, 8, 8],
      opacity: 0.6,
      shadow: cast(6),
    }),
    still,
  );

/** Median time of one sample, ms. */
const samples = (sample: (i: number) => void): string =>
  median((i) => sample(i), 200, 50).toFixed(3);

/** Sampling, painting and turning round a change of 500 layers, evenly. */
const evenly = (env: LayoutEnv, line: Line, made: Fleet): void => {
  const { mover, placed } = under(env, made, long("ease-in-out"));
  const sample = median(
    (i) => {
      mover.sample(1000 + i * 100);
    },
    200,
    50,
  );
  line(
    `motion: one sample of ${LAYERS} moving layers (6 properties each)`,
    `${sample.toFixed(3)} ms, ${((LAYERS * 6) / sample / 1000).toFixed(1)} million values/s`,
  );
  const painted = samples((i) => {
    const scene = mover.sample(30_000 + i * 100);
    if (scene) paint(scene);
  });
  line("motion: one sample and its paint", `${painted} ms`);
  const turned = median(
    (i) => {
      mover.retarget(placed(i % 2 ? made.yes : made.no), long("ease"), 1e5 + i * 16, "s");
    },
    60,
    10,
  );
  line(
    `motion: turning ${LAYERS} moving layers round, with their velocities`,
    `${turned.toFixed(3)} ms`,
  );
};

/** The same change with a spring of its own for each layer, one after the other. */
const cascading = (env: LayoutEnv, line: Line, made: Fleet): void => {
  const slow: Motion["easing"] = { kind: "spring", mass: 100, stiffness: 20, damping: 20 };
  const lanes = made.ids.map((layer, i) => ({
    layer,
    key: null,
    delay: i,
    duration: 0,
    easing: slow,
  }));
  const how: Motion = { kind: "tween", duration: 0, delay: 0, easing: slow, lanes };
  const { mover } = under(env, made, how);
  const sample = samples((i) => mover.sample(600 + i * 10));
  line(`motion: the same, a cascade of ${LAYERS} lanes with springs`, `${sample} ms a sample`);
};

/** Sampling of changes in which 500 layers take part, and memory over time. */
export const motion = (env: LayoutEnv, line: Line): void => {
  const made = changing();
  evenly(env, line, made);
  cascading(env, line, made);
  against(env, line);
  steady(env, line);
};

/**
 * The same work by a general animation library: six values of each of 500 plain objects, with one
 * curve, at the same moments.
 */
const against = (env: LayoutEnv, line: Line): void => {
  const to = (i: number) => ({
    x: 400 - i,
    y: i / 2,
    width: 40,
    height: 30,
    rotation: 90,
    opacity: 0.6,
    fill: "#1f6f5c",
  });
  const keys = Object.keys(to(0)).length;
  const { mover } = under(env, fleet(LAYERS, {}, to, still), long("ease-in-out"));
  engine.useDefaultMainLoop = false;
  const objects = Array.from({ length: LAYERS }, (_, i) => ({
    x: 10 + (i % 25) * 30,
    y: 10 + Math.floor(i / 25) * 28,
    width: 20,
    height: 20,
    rotation: 0,
    opacity: 1,
    fill: "#c9c3b4",
  }));
  const line_ = createTimeline({ autoplay: false, defaults: { duration: 1e6, ease: "inOut(2)" } });
  for (const [i, o] of objects.entries()) line_.add(o, to(i), 0);
  // in turn, so that what else the machine does hits both
  const times = Array.from(
    { length: 5 },
    (_, go) =>
      [
        median(
          (i) => {
            mover.sample(1000 + go * 50_000 + i * 100);
          },
          100,
          30,
        ),
        median(
          (i) => {
            line_.seek(1000 + go * 50_000 + i * 100);
          },
          100,
          30,
        ),
      ] as const,
  );
  const [ours, theirs] = [0, 1].map(
    (who) => times.map((t) => t[who] as number).sort((a, b) => a - b)[2],
  ) as [number, number];
  if (Math.abs(objects[0]?.rotation ?? 0) < 1e-3)
    throw new Error("the library has not moved anything");
  line(
    `motion: ${LAYERS} × ${keys} values, against a general animation library`,
    `${(theirs / ours).toFixed(2)} times as many a second (${((LAYERS * keys) / ours / 1000).toFixed(1)} against ${((LAYERS * keys) / theirs / 1000).toFixed(1)} million)`,
  );
};

/** Ten minutes of loops on a virtual clock: whether memory grows. */
const steady = (env: LayoutEnv, line: Line): void => {
  const { project, piece } = buoys(20);
  const run = new Run(env, project, piece);
  const held = (): number => {
    (globalThis as { gc?: () => void }).gc?.();
    return process.memoryUsage().heapUsed / 1e6;
  };
  let at = 0;
  const go = (ms: number): void => {
    for (const end = at + ms; at < end; at += 50) {
      run.advanceTo(at);
      const s = run.scene();
      if (s) paint(s);
    }
  };
  go(60_000);
  const before = held();
  go(600_000);
  line(
    "motion: memory of 20 looping copies, after 1 and 11 minutes of virtual time",
    `${before.toFixed(2)} and ${held().toFixed(2)} MB`,
  );
};
