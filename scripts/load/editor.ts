import { Agent, request } from "node:http";
import { randomBytes } from "node:crypto";

/** What an editor changes, over and over. */
export interface Work {
  readonly address: string;
  readonly project: string;
  /** the format its changes are written in */
  readonly format: number;
  /** where what it changes is, without the last key */
  readonly path: readonly string[];
}

/** How long a stream may take to open, ms. */
const OPEN_PATIENCE = 3000;

const newId = (): string => randomBytes(12).toString("base64url");
const seqOf = /"seq":(\d+)/;

/** A stream of a project as a window reads it: which change came last, and what was wrong. */
export class Reader {
  seq: number;
  heard = 0;
  gaps = 0;
  private rest = "";
  private stop: () => void = () => undefined;

  constructor(
    private readonly address: string,
    private readonly project: string,
    from: number,
  ) {
    this.seq = from;
  }

  /** Opens the stream, and opens it again where it breaks; resolves once it is open. */
  open(): Promise<void> {
    return new Promise((resolve) => {
      let isBroken = false;
      const again = () => {
        if (isBroken || this.isOver) return;
        isBroken = true;
        this.rest = "";
        setTimeout(() => void this.open().then(resolve), 100);
      };
      const query = `watch=${this.project}:${this.seq}`;
      const asked = request(`${this.address}/live?${query}`, { agent: false }, (res) => {
        res.setEncoding("utf8");
        res.on("data", (text: string) => this.take(text));
        res.on("close", again);
        res.on("error", again);
        asked.setTimeout(0);
        resolve();
      });
      // what was passed to a process that was killed is never answered
      asked.setTimeout(OPEN_PATIENCE, () => asked.destroy());
      asked.on("error", again);
      asked.on("close", again);
      this.stop = () => asked.destroy();
      asked.end();
    });
  }

  private isOver = false;

  close(): void {
    this.isOver = true;
    this.stop();
  }

  private take(text: string): void {
    const events = (this.rest + text).split("\n\n");
    this.rest = events.pop() ?? "";
    for (const event of events) {
      if (!event.startsWith("event: change")) continue;
      const seq = Number(seqOf.exec(event)?.[1]);
      if (seq !== this.seq + 1) this.gaps++;
      this.seq = seq;
      this.heard++;
    }
  }
}

/** Somebody who changes a value, waits until it is saved, and changes it again. */
export class Editor {
  readonly times: number[] = [];
  /** numbers of the changes that were acknowledged */
  readonly kept: number[] = [];
  failures = 0;
  private readonly agent = new Agent({ keepAlive: true, maxSockets: 1 });
  private readonly clientId = newId();
  private isOver = false;

  constructor(
    private readonly work: Work,
    private readonly reader: Reader,
  ) {}

  /** Works until it is told to stop; `pause` is what it waits between, ms. */
  async run(pause = 0): Promise<void> {
    for (let i = 0; !this.isOver; i++) {
      const began = performance.now();
      const seq = await this.save(i);
      if (seq === null) this.failures++;
      else {
        this.times.push(performance.now() - began);
        this.kept.push(seq);
      }
      if (pause > 0 || seq === null) await new Promise((go) => setTimeout(go, pause || 50));
    }
    this.agent.destroy();
  }

  stop(): void {
    this.isOver = true;
  }

  /** Saves a change until the server has it; null when it does not answer. */
  private async save(i: number): Promise<number | null> {
    const body = JSON.stringify({
      changeId: newId(),
      clientId: this.clientId,
      since: this.reader.seq,
      base: this.reader.seq,
      late: false,
      format: this.work.format,
      change: {
        label: "Move",
        ops: [{ op: "set", path: [...this.work.path, i % 2 ? "x" : "y"], value: i % 997 }],
      },
    });
    for (let round = 0; round < 100; round++) {
      const answer = await this.post(body).catch(() => null);
      const kept = answer && /"kind":"kept","seq":(\d+)/.exec(answer);
      if (kept) return Number(kept[1]);
      if (answer?.includes('"kind":"refused"')) throw new Error(answer.slice(0, 300));
      await new Promise((go) => setTimeout(go, 100));
    }
    return null;
  }

  private post(body: string): Promise<string> {
    return new Promise((resolve, reject) => {
      const asked = request(
        `${this.work.address}/projects/${this.work.project}/changes`,
        {
          method: "POST",
          agent: this.agent,
          timeout: 10_000,
          headers: {
            "Content-Type": "application/json",
            "Content-Length": Buffer.byteLength(body),
          },
        },
        (res) => {
          const parts: Buffer[] = [];
          res.on("data", (part: Buffer) => parts.push(part));
          res.on("error", reject);
          res.on("end", () => resolve(Buffer.concat(parts).toString()));
        },
      );
      asked.on("timeout", () => asked.destroy(new Error("no answer")));
      asked.on("error", reject);
      asked.end(body);
    });
  }
}
