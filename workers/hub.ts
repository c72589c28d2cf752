import type { LoggedChange } from "#core/project";

/** What a window tells the hub. */
export type ToHub =
  | {
      readonly kind: "watch";
      readonly project: string;
      readonly seq: number;
      readonly generation: string | null;
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
  /** the project of this generation is gone, or was made anew */
  | { readonly kind: "replaced"; readonly generation: string | null }
  /** a window of the same project was closed; what it could not save is there to be taken up */
  | { readonly kind: "left"; readonly lock: string };

/** A window, as the hub knows it. */
export interface Port {
  post(message: FromHub): void;
}

/** Up to which change of which generation of a project is known what became of it. */
export interface Watched {
  readonly project: string;
  readonly seq: number;
  readonly generation: string | null;
}

export interface StreamEvents {
  opened(): void;
  /** the server is still there, though nothing happened */
  beat(): void;
  changed(project: string, change: LoggedChange): void;
  fellBehind(project: string): void;
  replaced(project: string): void;
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
/** How long a stream may take to open, and may be silent before it counts as broken, ms. */
const OPEN_PATIENCE = 10_000;
const MOST_SILENCE = 60_000;
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
  private readonly heads = new Map<string, Watched>();
  private streamed: ReadonlySet<string> = new Set();
  private close: () => void = () => undefined;
  private cancel: () => void = () => undefined;
  private cancelPatience: () => void = () => undefined;
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

  private watch(port: Port, message: Extract<ToHub, { kind: "watch" }>): void {
    const { project, seq, generation, lock } = message;
    this.clients.set(port, { project, lock });
    const known = this.heads.get(project);
    // numbers of another generation are those of another project
    const head = known?.generation === generation ? known : undefined;
    if (this.streamed.has(project) && head) {
      port.post({ kind: "at", seq: head.seq });
      return;
    }
    // the oldest number counts: who is further ahead leaves out what it has
    this.heads.set(project, { project, generation, seq: Math.min(head?.seq ?? seq, seq) });
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
    this.expect(OPEN_PATIENCE);
    const close = this.outside.open(
      [...wanted].map(
        (project) => this.heads.get(project) ?? { project, seq: 0, generation: null },
      ),
      {
        opened: whileCurrent(() => this.opened()),
        beat: whileCurrent(() => this.expect(MOST_SILENCE)),
        changed: whileCurrent((project, change) => this.changed(project, change)),
        fellBehind: whileCurrent((project) => this.broadcast(project, { kind: "at", seq: null })),
        replaced: whileCurrent((project) => this.replaced(project)),
        failed: whileCurrent(() => this.failed()),
      },
    );
    this.close = () => {
      current = false;
      this.cancelPatience();
      close();
    };
  }

  /** Something is to be heard within `ms`: not every end of a connection is told. */
  private expect(ms: number): void {
    this.cancelPatience();
    this.cancelPatience = this.outside.later(ms, () => this.failed());
  }

  private opened(): void {
    this.failures = 0;
    this.expect(MOST_SILENCE);
    for (const project of this.streamed) this.broadcast(project, { kind: "connected" });
  }

  private changed(project: string, change: LoggedChange): void {
    const head = this.heads.get(project);
    if (head) this.heads.set(project, { ...head, seq: Math.max(change.seq, head.seq) });
    this.broadcast(project, { kind: "change", change });
  }

  private replaced(project: string): void {
    const generation = this.heads.get(project)?.generation ?? null;
    this.heads.delete(project);
    this.broadcast(project, { kind: "replaced", generation });
  }

  private failed(): void {
    this.cancelPatience();
    this.close();
    this.plan(Math.min(LONGEST_WAIT, FIRST_WAIT * 2 ** Math.min(6, this.failures++)));
  }

  private broadcast(project: string, message: FromHub): void {
    for (const [port, client] of this.clients) if (client.project === project) port.post(message);
  }
}
