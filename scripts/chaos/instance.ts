import { spawn } from "node:child_process";
import type { ChildProcess } from "node:child_process";
import { once } from "node:events";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { commandOf, isAlive, processesIn, waitUntil } from "../run/processes.ts";
import { readRunState } from "../run/state.ts";
import { answers, root } from "../serve.ts";

/** How long a start may take until everything answers, ms. */
const PATIENCE = 90_000;

export type Part = "server" | "postgres" | "backend" | "start";

/** One Nubble in a folder of its own, started as people start it, and killed as nobody should. */
export class Instance {
  private child: ChildProcess | null = null;
  said = "";

  constructor(
    readonly folder: string,
    readonly port: number,
  ) {}

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }
  private get clockFile(): string {
    return join(this.folder, "clock");
  }

  /** Runs the start command and waits until it answers; throws when it does not. */
  async start(): Promise<void> {
    const env = {
      ...process.env,
      NUBBLE_DATA: this.folder,
      NUBBLE_CHAOS_CLOCK: this.clockFile,
      NODE_OPTIONS: `--import ${join(root, "scripts/chaos/clock.mjs")}`,
    };
    const child = spawn(
      join(root, "nubble"),
      ["start", "--port", String(this.port), "--allow-host", "proxy.localhost"],
      { cwd: root, env, stdio: ["ignore", "pipe", "pipe"], detached: true },
    );
    this.child = child;
    for (const stream of [child.stdout, child.stderr])
      stream.on("data", (chunk: Buffer) => {
        this.said = (this.said + chunk.toString()).slice(-6000);
      });
    const closed = once(child, "close");
    const hasEnded = () => child.exitCode !== null || child.signalCode !== null;
    const came = await waitUntil(async () => hasEnded() || (await this.isUp()), PATIENCE, 100);
    if (came && !hasEnded()) return;
    // its last words may come after its end
    if (hasEnded()) await closed;
    const how = hasEnded() ? `ended with ${child.signalCode ?? child.exitCode}` : "still runs";
    throw new Error(`it did not come up and ${how}:\n${this.said}\n${this.serverLog()}`);
  }

  /** The last words of its server. */
  serverLog(): string {
    const file = join(this.folder, "server.log");
    return existsSync(file) ? readFileSync(file, "utf8").slice(-2000) : "";
  }

  isUp(): Promise<boolean> {
    return answers(this.address, 2000);
  }

  /** Sets the server's clock off by some ms. */
  setClock(offset: number): void {
    try {
      writeFileSync(this.clockFile, String(offset));
    } catch {
      /* the disk is full: the clock stays as it is */
    }
  }

  private postmaster(): number {
    const file = join(this.folder, "postgres/data/postmaster.pid");
    return existsSync(file) ? Number(readFileSync(file, "utf8").split("\n")[0]) : 0;
  }

  private pidOf(part: Part): number {
    switch (part) {
      case "server":
        return readRunState(join(this.folder, "running.json"))?.serverPid ?? 0;
      case "postgres":
        return this.postmaster();
      case "backend":
        return (
          processesIn(join(this.folder, "postgres/data")).find((pid) =>
            commandOf(pid).join(" ").includes("nubble 127.0.0.1"),
          ) ?? 0
        );
      case "start":
        return this.child?.pid ?? 0;
    }
  }

  /** Kills one process at once; whether there was one. */
  kill(part: Part): boolean {
    const pid = this.pidOf(part);
    if (pid <= 1 || !isAlive(pid)) return false;
    process.kill(pid, "SIGKILL");
    return true;
  }

  /** Kills everything at once, as when the power fails. */
  killAll(): void {
    const server = this.pidOf("server");
    const all = [
      this.pidOf("start"),
      server,
      this.postmaster(),
      ...processesIn(join(this.folder, "postgres/data")),
    ];
    for (const pid of all) if (pid > 1 && isAlive(pid)) process.kill(pid, "SIGKILL");
  }

  async stop(): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise<void>((resolve) => {
      child.once("exit", () => resolve());
    });
    child.kill("SIGTERM");
    await ended;
  }
}
