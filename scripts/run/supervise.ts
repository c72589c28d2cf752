import { setTimeout as sleep } from "node:timers/promises";

/** The first and the longest wait before something that ended is started again, ms. */
const FIRST_WAIT = 250;
const LONGEST_WAIT = 10_000;
/** What ran this long was not at fault from the beginning: the next wait is short again, ms. */
const STEADY = 1500;

export interface Supervised {
  /** Stops watching; what runs goes on. */
  release(): void;
}

interface Watch {
  readonly name: string;
  /** Resolves when it ended, or does not answer any more. */
  readonly ended: () => Promise<string>;
  readonly start: () => Promise<void>;
  readonly say: (text: string) => void;
}

/** Starts something again whenever it ends by itself, waiting longer each time it does not last. */
export const supervise = ({ name, ended, start, say }: Watch): Supervised => {
  let released = false;
  const watch = async () => {
    let wait = FIRST_WAIT;
    while (!released) {
      const began = performance.now();
      const reason = await ended();
      if (released) return;
      if (performance.now() - began > STEADY) wait = FIRST_WAIT;
      say(`${name} ${reason}; it is started again`);
      for (;;) {
        await sleep(wait);
        wait = Math.min(LONGEST_WAIT, wait * 2);
        if (released) return;
        try {
          await start();
          say(`${name} is back`);
          break;
        } catch (error) {
          say(
            `${name} could not be started: ${(error as Error).message}; it is tried again in ${Math.round(wait / 1000)} s`,
          );
        }
      }
    }
  };
  void watch();
  return {
    release: () => {
      released = true;
    },
  };
};
