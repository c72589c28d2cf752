import { setTimeout as sleep } from "node:timers/promises";
import type { SmallDisk } from "./disk.ts";
import type { Instance, Part } from "./instance.ts";
import type { Proxy } from "./proxy.ts";
import type { Random } from "./random.ts";

/** As far as clocks jump, ms: ten years. */
const YEARS = 10 * 365.25 * 86_400_000;
/** How long it may take until saving goes on by itself, ms. */
const PATIENCE = 120_000;
const SLOW = 30_000;

/** How often each process is killed, in parts of the sum. */
const parts: readonly Part[] = [
  "server",
  "server",
  "server",
  "server",
  "postgres",
  "postgres",
  "postgres",
  "backend",
  "backend",
  "start",
];

export interface Harm {
  whole: number;
  server: number;
  postgres: number;
  backend: number;
  start: number;
  fullDisks: number;
  clockJumps: number;
}

/** What the storm is made over; the disk is null where it cannot be filled. */
export interface Sea {
  readonly nubble: Instance;
  readonly disk: SmallDisk | null;
  readonly proxy: Proxy;
  readonly random: Random;
  /** changes that were acknowledged so far */
  readonly acknowledged: () => number;
}

/**
 * Kills, fills, cuts and sets clocks wrong, and waits after each kill until saving goes on by
 * itself.
 */
export class Storm {
  readonly done: Harm = {
    whole: 0,
    server: 0,
    postgres: 0,
    backend: 0,
    start: 0,
    fullDisks: 0,
    clockJumps: 0,
  };
  /** how long it took after each kill, ms */
  readonly waits: number[] = [];

  constructor(private readonly sea: Sea) {}

  get singles(): number {
    const { server, postgres, backend, start } = this.done;
    return server + postgres + backend + start;
  }

  get slow(): number {
    return this.waits.filter((ms) => ms > SLOW).length;
  }

  /** Goes on until the whole was killed `whole` times and single processes `single` times. */
  async rage(whole: number, single: number): Promise<void> {
    const { random } = this.sea;
    const began = performance.now();
    while (this.done.whole < whole || this.singles < single) {
      await this.disturb();
      await sleep(random.between(20, 500));
      const takesWhole =
        this.done.whole < whole &&
        (this.singles >= single || random.next() < whole / (whole + single));
      const what = takesWhole ? await this.killWhole() : await this.killPart();
      this.waits.push(await this.recovered(what));
      if (this.waits.length % 50 === 0) this.report(performance.now() - began);
    }
  }

  private report(ms: number): void {
    const { proxy, acknowledged } = this.sea;
    console.log(
      `  ${Math.round(ms / 1000)} s: ${JSON.stringify(this.done)}, ${proxy.cuts} cuts, ${acknowledged()} acknowledged`,
    );
  }

  /** Waits until saving goes on by itself; how long it took, ms. */
  private async recovered(what: string): Promise<number> {
    const { nubble, acknowledged } = this.sea;
    const before = acknowledged();
    const began = performance.now();
    while (acknowledged() < before + 2) {
      if (performance.now() - began > PATIENCE)
        throw new Error(
          `saving did not go on after ${what}:\n${nubble.said}\n${nubble.serverLog()}`,
        );
      await sleep(20);
    }
    return Math.round(performance.now() - began);
  }

  /** Other things that go wrong meanwhile. */
  private async disturb(): Promise<void> {
    const { random, proxy, nubble, disk } = this.sea;
    const what = random.next();
    if (what < 0.25) proxy.cut();
    else if (what < 0.4) {
      nubble.setClock(random.one([-YEARS, 0, YEARS]));
      this.done.clockJumps++;
    } else if (what < 0.43 && disk) {
      this.fill(disk);
      await sleep(random.between(300, 2500));
      disk.free();
    }
  }

  private fill(disk: SmallDisk): void {
    disk.fill();
    this.done.fullDisks++;
  }

  /** Kills everything and starts it again; says what it did. */
  private async killWhole(): Promise<string> {
    const { random, nubble, disk } = this.sea;
    // the power also fails while the disk is full
    const full = random.next() < 0.04 ? disk : null;
    if (full) {
      this.fill(full);
      await sleep(random.between(50, 800));
    }
    nubble.killAll();
    full?.free();
    this.done.whole++;
    await sleep(random.between(0, 300));
    await nubble.start();
    return "a kill of the whole";
  }

  /** Kills one process, if it is there; says what it did. */
  private async killPart(): Promise<string> {
    const { random, nubble } = this.sea;
    const part = random.one(parts);
    if (!nubble.kill(part)) return `nothing: there was no ${part} to kill`;
    this.done[part]++;
    const did = `a kill of one process (${part})`;
    if (part !== "start") return did;
    // the server ends with it; PostgreSQL is taken over by the next start
    await sleep(random.between(0, 400));
    await nubble.start();
    return did;
  }
}
