import { spawnSync } from "node:child_process";

/** How often each workload is measured, in turn with those it is compared with. */
const ROUNDS = 5;
/** For how long a workload runs before it is measured, and while it is; ms. */
const WARM = 300;
const MEASURED = 1000;

const runFor = (ms: number, feed: (i: number) => void): number => {
  const end = performance.now() + ms;
  let n = 0;
  while (performance.now() < end) for (let k = 0; k < 300; k++, n++) feed(n);
  return n;
};

/** Calls a second of the processor's own time. */
export const rateOf = (feed: (i: number) => void): number => {
  runFor(WARM, feed);
  const begin = process.cpuUsage();
  const n = runFor(MEASURED, feed);
  const { user, system } = process.cpuUsage(begin);
  return n / ((user + system) / 1e6);
};

/** The middle of several readings, with the lowest and the highest. */
export interface Reading {
  readonly median: number;
  readonly low: number;
  readonly high: number;
}

const readingOf = (values: readonly number[]): Reading => {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (i: number) => sorted[i] ?? NaN;
  return { median: at(Math.floor(sorted.length / 2)), low: at(0), high: at(sorted.length - 1) };
};

const measured = (name: string): number => {
  const [, script = ""] = process.argv;
  const run = spawnSync(process.execPath, ["--expose-gc", script, "--rate", name], {
    encoding: "utf8",
  });
  const rate = Number(run.stdout);
  if (run.status !== 0 || !(rate > 0)) throw new Error(`${name}: ${run.stderr}`);
  return rate;
};

/**
 * Rates of workloads, each in processes of its own, in turn: what runs before shapes how an engine
 * compiles what comes after. With how many times as many calls the first makes as each other, taken
 * round by round.
 */
export const compared = (
  first: string,
  ...others: readonly string[]
): { readonly rates: readonly Reading[]; readonly ratios: readonly Reading[] } => {
  const names = [first, ...others];
  const rounds = Array.from({ length: ROUNDS }, () => names.map(measured));
  const column = (i: number) => rounds.map((r) => r[i] ?? NaN);
  return {
    rates: names.map((_, i) => readingOf(column(i))),
    ratios: others.map((_, i) => readingOf(rounds.map((r) => (r[0] ?? NaN) / (r[i + 1] ?? NaN)))),
  };
};

/** A reading as text, with its spread. */
export const said = ({ median, low, high }: Reading, digits = 0): string => {
  const text = (n: number) =>
    n.toLocaleString("en", { maximumFractionDigits: digits, minimumFractionDigits: digits });
  return `${text(median)} (${text(low)}–${text(high)})`;
};
