import { request } from "node:http";
import type { ClientRequest } from "node:http";
import { setTimeout as sleep } from "node:timers/promises";
import { FORMAT, newId } from "../../core/project/index.ts";

/** The host the server knows itself under, whatever port the way to it has. */
const ask = (
  port: number,
  host: string,
  path: string,
  body?: string,
): Promise<{ status: number; text: string }> =>
  new Promise((resolve, reject) => {
    const sent = request(
      {
        host: "127.0.0.1",
        port,
        path,
        method: body === undefined ? "GET" : "POST",
        headers: { host, "content-type": "application/json" },
        agent: false,
        timeout: 15_000,
      },
      (response) => {
        let text = "";
        response.setEncoding("utf8");
        response.on("data", (chunk: string) => {
          text += chunk;
        });
        response.on("end", () => resolve({ status: response.statusCode ?? 0, text }));
        response.on("error", reject);
        response.on("close", () => reject(new Error("cut")));
      },
    );
    sent.on("timeout", () => sent.destroy(new Error("timeout")));
    sent.on("error", reject);
    sent.end(body);
  });

export interface Acknowledged {
  readonly changeId: string;
  readonly seq: number;
  readonly value: string;
}

/** Where a client keeps its own count in the project. */
export const placeOf = (client: string): string[] => ["tokens", `count${client}`, "name"];

interface Way {
  readonly port: number;
  readonly host: string;
  readonly projectId: string;
}

/**
 * A client that saves one change after the other, and sends each again until it is acknowledged.
 */
export class Writer {
  readonly acknowledged: Acknowledged[] = [];
  readonly refused: string[] = [];
  tries = 0;
  private over = false;
  private count = 0;
  private seen = 0;
  private readonly done: Promise<void>;

  constructor(
    readonly client: string,
    private readonly way: Way,
  ) {
    this.done = this.run();
  }

  private async run(): Promise<void> {
    while (!this.over) {
      const value = `${this.client} ${++this.count}`;
      const changeId = newId();
      const change = { label: "Count", ops: [{ op: "set", path: placeOf(this.client), value }] };
      await this.save(changeId, value, change);
      await sleep(5);
    }
  }

  /** Sends one change until somebody says what became of it. */
  private async save(changeId: string, value: string, change: object): Promise<void> {
    for (;;) {
      this.tries++;
      const body = JSON.stringify({
        format: FORMAT,
        changeId,
        clientId: `client${this.client}`,
        since: this.seen,
        base: this.seen,
        late: false,
        change,
      });
      const answer = await ask(
        this.way.port,
        this.way.host,
        `/projects/${this.way.projectId}/changes`,
        body,
      )
        .then(({ text }) => JSON.parse(text) as { kind: string; seq: number; reason?: string })
        .catch(() => null);
      if (answer?.kind === "kept") {
        this.acknowledged.push({ changeId, seq: answer.seq, value });
        this.seen = answer.seq;
        return;
      }
      if (answer && answer.kind !== "away") {
        this.refused.push(`${answer.kind}: ${answer.reason ?? ""}`);
        return;
      }
      await sleep(40);
    }
  }

  /** Ends after the change that is under way. */
  async end(): Promise<void> {
    this.over = true;
    await this.done;
  }
}

/** A client that listens to the stream of changes, and takes it up again wherever it broke off. */
export class Reader {
  /** numbers in the order in which they came */
  readonly heard: number[] = [];
  reloads = 0;
  private over = false;
  private stream: ClientRequest | null = null;
  private readonly done: Promise<void>;

  constructor(private readonly way: Way) {
    this.done = this.run();
  }

  get last(): number {
    return this.heard.at(-1) ?? 0;
  }

  private async run(): Promise<void> {
    while (!this.over) {
      await this.listen().catch(() => undefined);
      await sleep(60);
    }
  }

  private listen(): Promise<void> {
    return new Promise((resolve) => {
      const { port, host, projectId } = this.way;
      const sent = request(
        {
          host: "127.0.0.1",
          port,
          path: `/live?watch=${projectId}:${this.last}`,
          headers: { host },
          agent: false,
        },
        (response) => {
          let rest = "";
          response.setEncoding("utf8");
          response.on("data", (chunk: string) => {
            rest += chunk;
            const events = rest.split("\n\n");
            rest = events.pop() ?? "";
            for (const event of events) if (!this.take(event)) sent.destroy();
          });
          response.on("close", resolve);
          response.on("error", () => resolve());
        },
      );
      this.stream = sent;
      sent.on("error", () => resolve());
      sent.end();
    });
  }

  private take(event: string): boolean {
    const kind = /^event: (\w+)/m.exec(event)?.[1];
    const data = /^data: (.*)$/m.exec(event)?.[1];
    if (kind === "change" && data)
      this.heard.push((JSON.parse(data) as { change: { seq: number } }).change.seq);
    if (kind !== "reload") return true;
    // further behind than is sent: the missing are asked for page by page, as windows do
    this.reloads++;
    void this.pages();
    return true;
  }

  private async pages(): Promise<void> {
    const { port, host, projectId } = this.way;
    const { text } = await ask(port, host, `/projects/${projectId}/changes?since=${this.last}`);
    for (const { seq } of (JSON.parse(text) as { changes: { seq: number }[] }).changes)
      if (seq > this.last) this.heard.push(seq);
  }

  async end(upTo: number): Promise<void> {
    for (let i = 0; i < 400 && this.last < upTo; i++) await sleep(50);
    this.over = true;
    this.stream?.destroy();
    await Promise.race([this.done, sleep(25_000)]);
  }
}
