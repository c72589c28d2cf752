import cluster from "node:cluster";
import type { Worker } from "node:cluster";
import { pino, stdTimeFunctions } from "pino";
import { AggregatorRegistry } from "prom-client";

/** Its own: what keeps the others going loads nothing of what they serve. */
const logger = pino({ base: { pid: process.pid }, timestamp: stdTimeFunctions.isoTime });

/** One that ends sooner than this after its start was not able to serve, ms. */
const TOO_SOON = 2000;
/** How long those that are asked to stop may take, ms. */
const STOP_PATIENCE = 2500;
/** How often workers say that they are alive, and how long one may be silent, ms. */
export const ALIVE_EVERY = 2000;
const MOST_SILENCE = 30_000;

/** The figures of all workers, as one of them asked for. */
interface Figures {
  readonly nubble: "figures";
  readonly id: string;
  readonly text: string;
}

const isAsking = (message: unknown): message is Omit<Figures, "text"> =>
  typeof message === "object" &&
  message !== null &&
  "nubble" in message &&
  message.nubble === "figures" &&
  "id" in message &&
  typeof message.id === "string";

export const isFigures = (message: unknown): message is Figures =>
  isAsking(message) && "text" in message && typeof message.text === "string";

interface Kept {
  readonly worker: Worker;
  readonly startedAt: number;
  heardAt: number;
}

/** Keeps a number of serving processes running: one that ended or is silent for long is replaced. */
class Workers {
  private readonly kept = new Map<number, Kept>();
  private stopping = false;
  private readonly figures = new AggregatorRegistry();

  start(): void {
    const worker = cluster.fork();
    const now = performance.now();
    const one: Kept = { worker, startedAt: now, heardAt: now };
    this.kept.set(worker.id, one);
    worker.on("message", (message: unknown) => {
      one.heardAt = performance.now();
      if (isAsking(message)) void this.tellFigures(worker, message.id);
    });
    worker.on("exit", (code, signal) => this.ended(one, signal ?? `code ${code}`));
  }

  /** Ends those that have not said for long that they are alive. */
  look(): void {
    const now = performance.now();
    for (const { worker, heardAt } of this.kept.values())
      if (now - heardAt > MOST_SILENCE) worker.process.kill("SIGKILL");
  }

  stop(): void {
    if (this.stopping) return;
    this.stopping = true;
    for (const { worker } of this.kept.values()) worker.process.kill("SIGTERM");
    setTimeout(() => {
      for (const { worker } of this.kept.values()) worker.process.kill("SIGKILL");
    }, STOP_PATIENCE).unref();
    if (this.kept.size === 0) process.exit(0);
  }

  private async tellFigures(worker: Worker, id: string): Promise<void> {
    // while one of them is starting or stopping not all may answer
    const text = await this.figures.clusterMetrics().catch(() => "");
    const answer: Figures = { nubble: "figures", id, text };
    if (worker.isConnected()) worker.send(answer);
  }

  private ended({ worker, startedAt }: Kept, how: string): void {
    this.kept.delete(worker.id);
    if (this.stopping) {
      if (this.kept.size === 0) process.exit(0);
      return;
    }
    logger.error({ how }, "a serving process stopped unexpectedly; another one is started");
    const lived = performance.now() - startedAt;
    setTimeout(() => this.start(), lived < TOO_SOON ? TOO_SOON : 0);
  }
}

/** Has a worker tell its figures when they are asked for. */
export const tellOwnFigures = (): void => void new AggregatorRegistry();

/** Starts serving processes, and keeps them running until this one is asked to stop. */
export const keepWorkers = (count: number): void => {
  const workers = new Workers();
  for (let i = 0; i < count; i++) workers.start();
  setInterval(() => workers.look(), ALIVE_EVERY).unref();
  const stop = () => workers.stop();
  process.once("SIGTERM", stop);
  process.once("SIGINT", stop);
  process.once("disconnect", stop);
};
