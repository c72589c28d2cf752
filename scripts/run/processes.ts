import { readdirSync, readFileSync, readlinkSync } from "node:fs";
import { setTimeout as sleep } from "node:timers/promises";

/** Whether a process with this number is there, whoever it is. */
export const isAlive = (pid: number): boolean => {
  // 0 and below stand for whole groups of processes, also one's own
  if (!(pid > 0)) return false;
  try {
    process.kill(pid, 0);
    // one that has ended and that nobody has asked for yet does nothing any more
    return stateOf(pid) !== "Z";
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === "EPERM";
  }
};

const read = (path: string): string => {
  try {
    return readFileSync(path, "utf8");
  } catch {
    return "";
  }
};

const stateOf = (pid: number): string => /\) (\S)/.exec(read(`/proc/${pid}/stat`))?.[1] ?? "";

/** The words a process was called with; empty when it is not there. */
export const commandOf = (pid: number): string[] =>
  read(`/proc/${pid}/cmdline`).split("\0").filter(Boolean);

/**
 * Whether a process was started with a variable of its environment set to a value: numbers are used
 * again, these are not.
 */
export const hasVariable = (pid: number, name: string, value: string): boolean =>
  read(`/proc/${pid}/environ`).split("\0").includes(`${name}=${value}`);

/** Processes that a process has started and that are there still. */
export const childrenOf = (pid: number): number[] =>
  read(`/proc/${pid}/task/${pid}/children`).split(" ").filter(Boolean).map(Number);

/** Processes that work in a folder. */
export const processesIn = (folder: string): number[] =>
  readdirSync("/proc")
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
    .filter((pid) => {
      try {
        return readlinkSync(`/proc/${pid}/cwd`) === folder;
      } catch {
        return false;
      }
    });

/** Waits until something is so; false when it is not after `ms`. */
export const waitUntil = async (
  holds: () => boolean | Promise<boolean>,
  ms: number,
  every = 50,
): Promise<boolean> => {
  const end = performance.now() + ms;
  for (;;) {
    if (await holds()) return true;
    if (performance.now() > end) return false;
    await sleep(every);
  }
};

/** Ends a process: kindly first, and for good when it has not gone after `patience` ms. */
export const endProcess = async (
  pid: number,
  signal: NodeJS.Signals,
  patience: number,
  last: NodeJS.Signals = "SIGKILL",
): Promise<void> => {
  if (!isAlive(pid)) return;
  process.kill(pid, signal);
  if (await waitUntil(() => !isAlive(pid), patience)) return;
  process.kill(pid, last);
  await waitUntil(() => !isAlive(pid), 10_000);
};
