import type { Request, RequestHandler, Response } from "express";
import { logger, openStreams, troubleOf, watchRequest } from "#server";
import type { Head, News, ProjectLog } from "#server";
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

const eventText = (event: string, data: object): string =>
  `event: ${event}\ndata: ${JSON.stringify(data)}\n\n`;

/** The text of a change as streams have it, made once for all of them. */
const texts = new WeakMap<LoggedChange, string>();
const textOf = (project: string, change: LoggedChange): string => {
  const known = texts.get(change);
  if (known !== undefined) return known;
  const text = eventText("change", { project, change });
  texts.set(change, text);
  return text;
};

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
    streams.add(this);
    openStreams.set(streams.size);
    this.beat = setInterval(() => this.say("beat", {}), HEARTBEAT_MS);
    res.on("close", () => this.close());
    res.on("error", () => this.close());
  }

  /** Sends what comes after change `seq` of a project that has a state. */
  watch(head: Head, seq: number): void {
    const { id: projectId } = head;
    const watch: Watch = { projectId, sent: seq, filling: null, stop: () => undefined };
    watch.stop = this.log.listen(head, (news) => this.pass(watch, news));
    this.watches.push(watch);
    this.fill(watch);
  }

  say(event: string, data: object): void {
    this.write(eventText(event, data));
  }

  private pass(watch: Watch, news: News): void {
    if (news.kind === "replaced") {
      this.say("replaced", { project: watch.projectId });
      return;
    }
    const fresh = news.changes.filter(({ seq }) => seq > watch.sent);
    const [first] = fresh;
    if (!first) return;
    if (watch.filling || first.seq > watch.sent + 1) this.fill(watch);
    else this.send(watch, fresh);
  }

  private send(watch: Watch, changes: readonly LoggedChange[]): void {
    watch.sent = changes.at(-1)?.seq ?? watch.sent;
    this.write(changes.map((change) => textOf(watch.projectId, change)).join(""));
  }

  /** Reads what is missing from the log, once more if something came meanwhile. */
  private fill(watch: Watch): void {
    const before = watch.filling ?? Promise.resolve();
    const now = before
      .then(() => this.readOn(watch))
      .catch((error: unknown) => {
        if (!troubleOf(error)) logger.error({ error }, "a stream could not go on");
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
    const fresh = changes.filter(({ seq }) => seq > watch.sent);
    if (fresh.length > 0) this.send(watch, fresh);
  }

  private write(text: string): void {
    if (this.ended) return;
    this.res.write(text);
    if (this.res.writableLength <= MOST_WAITING) return;
    for (const { projectId } of this.watches)
      this.res.write(eventText("reload", { project: projectId }));
    this.end();
  }

  end(): void {
    if (this.ended) return;
    this.close();
    this.res.end();
    setTimeout(() => this.res.destroy(), LAST_WORDS_MS).unref();
  }

  private close(): void {
    this.ended = true;
    streams.delete(this);
    openStreams.set(streams.size);
    clearInterval(this.beat);
    for (const watch of this.watches) watch.stop();
  }
}

const streams = new Set<LiveStream>();

/** Ends every stream, since the server is to stop. */
export const endStreams = (): void => {
  for (const stream of streams) stream.end();
};

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
 * `GET /live?watch=PROJECT:NUMBER:GENERATION&watch=…`: the changes of these projects after those numbers, and
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
        asked.data.map(async (watched) => ({ watched, head: await log.head(watched.id) })),
      );
      if (!found.some(({ head }) => head)) {
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
      for (const { watched, head } of found) {
        const { id, seq, generation } = watched;
        if (head && (generation ?? head.generation) === head.generation) stream.watch(head, seq);
        else stream.say("replaced", { project: id });
      }
    };
    open().catch((error: unknown) => {
      const trouble = troubleOf(error);
      if (!trouble) next(error);
      else res.status(503).type("text/plain").send(trouble);
    });
  };
};
