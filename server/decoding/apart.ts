import { existsSync } from "node:fs";
import { availableParallelism } from "node:os";
import { join } from "node:path";
import { Piscina } from "piscina";
import type { Decode, Decoded, Kind } from "./decode";

/** How long decoding one file may take, ms; a thread that takes longer is ended. */
const PATIENCE: Readonly<Record<Kind, number>> = { font: 15_000, picture: 20_000, change: 10_000 };
/**
 * Memory of JavaScript in one thread, MB. What lies outside of it is bounded by what files may
 * unpack to.
 */
const MEMORY = 400;
/** Files that may wait for a thread. */
const MOST_WAITING = 200;

/** Where the build put the threads' own code: beside the server's, or where `dev` says. */
const workerFile = (): string => {
  if (process.env.NUBBLE_DECODER) return process.env.NUBBLE_DECODER;
  const found = [".", "..", "../.."]
    .map((up) => join(import.meta.dirname, up, "decoder.mjs"))
    .find(existsSync);
  if (!found) throw new Error("decoder.mjs is missing from the build");
  return found;
};

let pool: Piscina | undefined;

const threads = (): Piscina =>
  (pool ??= new Piscina({
    filename: workerFile(),
    minThreads: 1,
    maxThreads: Math.max(2, availableParallelism() - 1),
    maxQueue: MOST_WAITING,
    idleTimeout: 60_000,
    resourceLimits: {
      maxOldGenerationSizeMb: MEMORY,
      maxYoungGenerationSizeMb: 64,
      stackSizeMb: 4,
    },
  }));

const reasonOf = (error: unknown): string => {
  if (!(error instanceof Error)) return "it cannot be read";
  if (error.name === "AbortError" || error.name === "TimeoutError")
    return "it takes too long to read";
  if ((error as { code?: string }).code === "ERR_WORKER_OUT_OF_MEMORY")
    return "it takes too much memory to read";
  if (/queue/i.test(error.message)) return "too many files are being read; try again in a moment";
  return "it cannot be read";
};

/**
 * Decodes in a thread of its own with limits of time and memory, so that nobody else waits and
 * nothing can be brought down.
 */
export const decodeApart: Decode = async <K extends Kind>(
  kind: K,
  bytes: Uint8Array,
): Promise<Decoded<K>> => {
  try {
    return (await threads().run(
      { kind, bytes },
      { signal: AbortSignal.timeout(PATIENCE[kind]) },
    )) as Decoded<K>;
  } catch (error) {
    console.error(`a ${kind} of ${bytes.byteLength} bytes could not be decoded:`, error);
    return { ok: false, reason: reasonOf(error) };
  }
};
