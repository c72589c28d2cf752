import type { LoggedChange } from "#core/project";

/** What a window tells the hub. */
export type ToHub =
  | {
      readonly kind: "watch";
      readonly project: string;
      readonly seq: number;
      readonly lock: string;
    }
  | { readonly kind: "leave" }
  /** the server answers again: there is no need to wait any longer */
  | { readonly kind: "wake" };

/** What the hub tells a window. */
export type FromHub =
  | { readonly kind: "change"; readonly change: LoggedChange }
  /** the newest change is `seq`, as far as the hub knows; null: newer ones than could be sent */
  | { readonly kind: "at"; readonly seq: number | null }
  | { readonly kind: "connected" }
  /** a window of the same project was closed; what it could not save is there to be taken up */
  | { readonly kind: "left"; readonly lock: string };

/** A window, as the hub knows it. */
export interface Port {
  post(message: FromHub): void;
}

export interface Watched {
  readonly project: string;
  readonly seq: number;
}

export interface StreamEvents {
  opened(): void;
  changed(project: string, change: LoggedChange): void;
  fellBehind(project: string): void;
  failed(): void;
}

/** What the hub needs from outside, so that it can be tested without a browser. */
export interface HubOutside {
  /** Opens one stream of the changes of several projects; returns how to close it. */
  open(watched: readonly Watched[], events: StreamEvents): () => void;
  later(ms: number, call: () => void): () => void;
}

/** The first and the longest wait before a broken stream is opened again, ms. */
const FIRST_WAIT = 800;
const LONGEST_WAIT = 15_000;
/** Windows that open together are given one new stream and not one each, ms. */
const GATHER = 30;

interface Client {
  readonly project: string;
  readonly lock: string;
}

/**
 * Shares one stream of changes among all windows of a browser: a browser allows six connections to
 * a host, and a stream for each window would leave none for saving.
 */
export class Hub {
  private readonly clients = new Map<Port, Client>();
  private readonly heads = new Map<string, number>();
  private streamed: ReadonlySet<string> = new Set();
  private close: () => void = () => undefined;
  private cancel: () => void = () => undefined;
  private failures = 0;

  constructor(private readonly outside: HubOutside) {}

  take(port: Port, message: ToHub): void {
    switch (message.kind) {
      case "watch":
        this.watch(port, message);
        break;
      case "leave":
        this.leave(port);
        break;
      case "wake":
        this.wake();
        break;
    }
  }

  /** Opens a broken stream again at once. */
  private wake(): void {
    if (this.failures === 0) return;
    this.failures = 0;
    this.plan(0);
  }

  private watch(port: Port, { project, seq, lock }: Extract<ToHub, { kind: "watch" }>): void {
    this.clients.set(port, { project, lock });
    const head = this.heads.get(project);
    if (this.streamed.has(project) && head !== undefined) {
      port.post({ kind: "at", seq: head });
      return;
    }
    // the oldest number counts: who is further ahead leaves out what it has
    this.heads.set(project, head === undefined ? seq : Math.min(head, seq));
    this.plan(GATHER);
  }

  /** Forgets a window, and tells the others of its project that it is closed. */
  leave(port: Port): void {
    const client = this.clients.get(port);
    if (!client) return;
    this.clients.delete(port);
    this.broadcast(client.project, { kind: "left", lock: client.lock });
    if (this.clients.size > 0) return;
    this.close();
    this.cancel();
    this.streamed = new Set();
    this.heads.clear();
  }

  private plan(ms: number): void {
    this.cancel();
    this.cancel = this.outside.later(ms, () => this.connect());
  }

  private connect(): void {
    const wanted = new Set([...this.clients.values()].map((c) => c.project));
    if (wanted.size === 0) return;
    this.close();
    for (const project of this.heads.keys()) if (!wanted.has(project)) this.heads.delete(project);
    this.streamed = wanted;
    let current = true;
    const whileCurrent =
      <A extends unknown[]>(call: (...args: A) => void) =>
      (...args: A) => {
        if (current) call(...args);
      };
    const close = this.outside.open(
      [...wanted].map((project) => ({ project, seq: this.heads.get(project) ?? 0 })),
      {
        opened: whileCurrent(() => this.opened()),
        changed: whileCurrent((project, change) => this.changed(project, change)),
        fellBehind: whileCurrent((project) => this.broadcast(project, { kind: "at", seq: null })),
        failed: whileCurrent(() => this.failed()),
      },
    );
    this.close = () => {
      current = false;
      close();
    };
  }

  private opened(): void {
    this.failures = 0;
    for (const project of this.streamed) this.broadcast(project, { kind: "connected" });
  }

  private changed(project: string, change: LoggedChange): void {
    this.heads.set(project, Math.max(change.seq, this.heads.get(project) ?? 0));
    this.broadcast(project, { kind: "change", change });
  }

  private failed(): void {
    this.close();
    this.plan(Math.min(LONGEST_WAIT, FIRST_WAIT * 2 ** Math.min(6, this.failures++)));
  }

  private broadcast(project: string, message: FromHub): void {
    for (const [port, client] of this.clients) if (client.project === project) port.post(message);
  }
}
