import type { Request, RequestHandler, Response } from "express";
import { troubleOf, watchRequest } from "#server";
import type { ProjectLog } from "#server";
import type { LoggedChange } from "#core/project";

/**
 * What may wait to be sent to one stream, bytes; a reader so slow is told to read the project anew.
 */
const MOST_WAITING = 2_000_000;
const HEARTBEAT_MS = 20_000;
/** How long a stream that was told to read anew may take to read that, ms. */
const LAST_WORDS_MS = 10_000;
const MOST_STREAMS = 2000;
const MOST_STREAMS_PER_CLIENT = 300;

/**
 * One project on a stream: which change was sent last, and whether the log is being read for it.
 */
interface Watch {
  readonly projectId: string;
  sent: number;
  filling: Promise<void> | null;
  stop: () => void;
}

/**
 * A stream of accepted changes of several projects (server-sent events, WHATWG HTML §9.2). Each
 * project's changes are sent in order and without gaps: what is missing is read from the log.
 */
class LiveStream {
  private readonly watches: Watch[] = [];
  private readonly beat: NodeJS.Timeout;
  private ended = false;

  constructor(
    private readonly log: ProjectLog,
    private readonly res: Response,
  ) {
    res.status(200).set({
      "Content-Type": "text/event-stream",
      "Cache-Control": "no-cache, no-transform",
      "X-Accel-Buffering": "no",
    });
    res.flushHeaders();
    this.beat = setInterval(() => this.write(": still here\n\n"), HEARTBEAT_MS);
    res.on("close", () => this.close());
    res.on("error", () => this.close());
  }

  watch(projectId: string, seq: number): void {
    const watch: Watch = { projectId, sent: seq, filling: null, stop: () => undefined };
    watch.stop = this.log.listen(projectId, (change) => this.pass(watch, change));
    this.watches.push(watch);
    this.fill(watch);
  }

  say(event: string, data: object): void {
    this.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
  }

  private pass(watch: Watch, change: LoggedChange): void {
    if (change.seq <= watch.sent) return;
    if (watch.filling || change.seq > watch.sent + 1) {
      this.fill(watch);
      return;
    }
    this.send(watch, change);
  }

  private send(watch: Watch, change: LoggedChange): void {
    watch.sent = change.seq;
    this.say("change", { project: watch.projectId, change });
  }

  /** Reads what is missing from the log, once more if something came meanwhile. */
  private fill(watch: Watch): void {
    const before = watch.filling ?? Promise.resolve();
    const now = before
      .then(() => this.readOn(watch))
      .catch((error: unknown) => {
        if (!troubleOf(error)) console.error(error);
        this.end();
      })
      .then(() => {
        if (watch.filling === now) watch.filling = null;
      });
    watch.filling = now;
  }

  private async readOn(watch: Watch): Promise<void> {
    if (this.ended) return;
    const { changes, more } = await this.log.since(watch.projectId, watch.sent);
    if (more) {
      // far behind: the window reads the project itself, which is the shorter way
      watch.sent = (await this.log.read(watch.projectId))?.seq ?? watch.sent;
      this.say("reload", { project: watch.projectId });
      return;
    }
    for (const change of changes) if (change.seq > watch.sent) this.send(watch, change);
  }

  private write(text: string): void {
    if (this.ended) return;
    this.res.write(text);
    if (this.res.writableLength <= MOST_WAITING) return;
    for (const { projectId } of this.watches)
      this.res.write(`event: reload\ndata: ${JSON.stringify({ project: projectId })}\n\n`);
    this.end();
  }

  private end(): void {
    if (this.ended) return;
    this.close();
    this.res.end();
    setTimeout(() => this.res.destroy(), LAST_WORDS_MS).unref();
  }

  private close(): void {
    this.ended = true;
    clearInterval(this.beat);
    for (const watch of this.watches) watch.stop();
  }
}

/** Counts open streams, of all and of each client. */
class Streams {
  private readonly open = new Map<string, number>();
  private total = 0;

  /** Whether one more may be opened for a client; it counts until `res` closes. */
  enter(req: Request, res: Response): boolean {
    const client = req.ip ?? "";
    const own = this.open.get(client) ?? 0;
    if (this.total >= MOST_STREAMS || own >= MOST_STREAMS_PER_CLIENT) return false;
    this.total++;
    this.open.set(client, own + 1);
    res.on("close", () => {
      this.total--;
      const left = (this.open.get(client) ?? 1) - 1;
      if (left > 0) this.open.set(client, left);
      else this.open.delete(client);
    });
    return true;
  }
}

const watchesOf = (req: Request): unknown => {
  const { watch } = req.query;
  return Array.isArray(watch) ? watch : [watch];
};

/**
 * `GET /live?watch=PROJECT:NUMBER&watch=…`: the changes of these projects after those numbers, and
 * each new one. `wanted` says what a request asks for where that is said otherwise.
 */
export const liveRoute = (
  log: ProjectLog,
  wanted: (req: Request) => unknown = watchesOf,
): RequestHandler => {
  const streams = new Streams();
  return (req, res, next) => {
    const asked = watchRequest.safeParse(wanted(req));
    if (!asked.success) {
      res
        .status(400)
        .type("text/plain")
        .send("watch must name projects and numbers: PROJECT:NUMBER");
      return;
    }
    const open = async () => {
      const found = await Promise.all(
        asked.data.map(async (w) => ({ ...w, exists: await log.exists(w.projectId) })),
      );
      if (!found.some((w) => w.exists)) {
        res.status(404).type("text/plain").send("there is no such project");
        return;
      }
      if (!streams.enter(req, res)) {
        res
          .status(429)
          .set("Retry-After", "10")
          .type("text/plain")
          .send("too many streams are open");
        return;
      }
      const stream = new LiveStream(log, res);
      for (const { projectId, seq, exists } of found) {
        if (exists) stream.watch(projectId, seq);
        else stream.say("gone", { project: projectId });
      }
    };
    open().catch((error: unknown) => {
      const trouble = troubleOf(error);
      if (!trouble) next(error);
      else res.status(503).type("text/plain").send(trouble);
    });
  };
};
