import { createHash } from "node:crypto";
import { existsSync, readFileSync } from "node:fs";
import { availableParallelism } from "node:os";
import { join } from "node:path";
import { Piscina } from "piscina";

/** Work that may wait for a thread. */
const MOST_WAITING = 200;

/** Where the build put the threads' own code: beside the server's, or where `dev` says. */
const fileOf = (name: string): string => {
  const file = `${name}.mjs`;
  const folders = process.env.NUBBLE_THREADS
    ? [process.env.NUBBLE_THREADS]
    : [".", "..", "../.."].map((up) => join(import.meta.dirname, up));
  const found = folders.map((folder) => join(folder, file)).find(existsSync);
  if (!found) throw new Error(`${file} is missing from the build`);
  return found;
};

const reasonOf = (error: unknown): string => {
  if (!(error instanceof Error)) return "it cannot be read";
  if (error.name === "AbortError" || error.name === "TimeoutError")
    return "it takes too long to read";
  if ((error as { code?: string }).code === "ERR_WORKER_OUT_OF_MEMORY")
    return "it takes too much memory to read";
  if (/queue/i.test(error.message)) return "too many files are being read; try again in a moment";
  return "it cannot be read";
};

export type Worked<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly reason: string; readonly error: unknown };

/**
 * Threads for work that is heavy, or that files of others make: with limits of time and memory, so
 * that nobody else waits and nothing can be brought down. They begin with the first work.
 */
export class Threads {
  private pool: Piscina | undefined;
  private known: string | undefined;

  constructor(
    /** of the file that the build has for them */
    private readonly name: string,
    /** memory of JavaScript in one thread, MB; what lies outside of it is bounded by the work */
    private readonly memory: number,
  ) {}

  /** Does one piece of work; a thread that takes longer than `patience`, ms, is ended. */
  async run<T>(task: unknown, patience: number): Promise<Worked<T>> {
    this.pool ??= this.open();
    try {
      const options = { signal: AbortSignal.timeout(patience) };
      return { ok: true, value: (await this.pool.run(task, options)) as T };
    } catch (error) {
      return { ok: false, reason: reasonOf(error), error };
    }
  }

  /** By what the code of these threads is told from that of another build. */
  get print(): string {
    this.known ??= createHash("sha256")
      .update(readFileSync(fileOf(this.name)))
      .digest("hex");
    return this.known;
  }

  private open(): Piscina {
    return new Piscina({
      filename: fileOf(this.name),
      minThreads: 1,
      maxThreads: Math.max(2, availableParallelism() - 1),
      maxQueue: MOST_WAITING,
      idleTimeout: 60_000,
      resourceLimits: {
        maxOldGenerationSizeMb: this.memory,
        maxYoungGenerationSizeMb: 64,
        stackSizeMb: 4,
      },
    });
  }
}
