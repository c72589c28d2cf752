import { newId } from "#core/project";
import type { Editions } from "#core/world";
import type { FromHub } from "../../../workers/hub";
import { openLive } from "./live";
import type { LiveLine } from "./live";
import { olderLeftovers } from "./older";
import { Session } from "../session";
import type { Missed } from "../answer";
import type { EditionAnswer } from "../editions";
import type { Outside, Snapshot } from "../outside";
import { BrowserShelf } from "./shelf";
import { UndoKeeping } from "./undo";

/** A save that takes longer is tried again, ms. */
const SAVE_PATIENCE = 20_000;
const READ_PATIENCE = 30_000;

const readJson = async (address: string): Promise<unknown> => {
  const response = await fetch(address, {
    headers: { Accept: "application/json" },
    signal: AbortSignal.timeout(READ_PATIENCE),
  });
  if (response.status === 404) return null;
  if (!response.ok) throw new Error(`the server answered ${response.status}`);
  return response.json();
};

const readEdition = async (hash: string): Promise<EditionAnswer | null> =>
  (await readJson(`/editions/${hash}`)) as EditionAnswer | null;

/** Loading anew helps once: a server that is still newer then is one of several. */
const RELOAD_PATIENCE = 60_000;
const RELOADED = "nubble.reloaded";

const reloadOnce = (): void => {
  const before = Number(sessionStorage.getItem(RELOADED) ?? 0);
  if (Date.now() - before < RELOAD_PATIENCE) return;
  sessionStorage.setItem(RELOADED, String(Date.now()));
  location.reload();
};

const outsideOf = (projectId: string, shelf: BrowserShelf): Outside => ({
  shelf,
  send: async (body) => {
    const response = await fetch(`/projects/${projectId}/changes`, {
      method: "POST",
      headers: { "Content-Type": "application/json", Accept: "application/json" },
      body,
      signal: AbortSignal.timeout(SAVE_PATIENCE),
    });
    return { status: response.status, answer: await response.json().catch(() => null) };
  },
  since: async (seq) =>
    (await readJson(`/projects/${projectId}/changes?since=${seq}`)) as Missed | null,
  snapshot: async () => (await readJson(`/projects/${projectId}/snapshot`)) as Snapshot | null,
  edition: async (hash) => (await readEdition(hash)) ?? { kind: "unknown" },
  now: () => Date.now(),
  reload: reloadOnce,
  later: (ms, call) => {
    const timer = setTimeout(call, ms);
    return () => clearTimeout(timer);
  },
});

/**
 * Web Locks are there where a page is secure: under loopback names, or behind TLS. Without them
 * nothing is taken over from closed windows.
 */
const locks = (): LockManager | undefined => navigator.locks;

/** A page that is gone lets go of its lock within this, ms. */
const FREE_PATIENCE = 10_000;

/** A window holds a lock of this name as long as it is open. */
const lockOf = (projectId: string, clientId: string): string =>
  `nubble.window.${projectId}.${clientId}`;

/**
 * Takes up what closed windows left behind, each as soon as its lock is free: it may still be
 * closing.
 */
class Leftovers {
  private readonly waiting = new Set<string>();

  constructor(
    private readonly session: Session,
    private readonly shelf: BrowserShelf,
  ) {}

  async look(): Promise<void> {
    for (const holder of await this.shelf.holders()) {
      if (this.waiting.has(holder)) continue;
      this.waiting.add(holder);
      void locks()
        ?.request(lockOf(this.session.id, holder), async () => {
          this.session.adopt(await this.shelf.takeOver(holder));
        })
        .catch(() => undefined)
        .then(() => this.waiting.delete(holder));
    }
  }
}

/** Other windows of this browser hear what becomes of changes that were set aside. */
const shareAsides = (session: Session, shelf: BrowserShelf): (() => void) => {
  const channel = new BroadcastChannel(`nubble.aside.${session.id}`);
  let known = new Set(session.aside.map((a) => a.changeId));
  channel.onmessage = ({ data }: MessageEvent<{ gone?: string }>) => {
    if (typeof data.gone === "string") session.asideGone(data.gone);
    else void shelf.asides().then((all) => session.recall(all));
  };
  const stop = session.onChange(() => {
    const now = new Set(session.aside.map((a) => a.changeId));
    for (const id of known) if (!now.has(id)) channel.postMessage({ gone: id });
    if ([...now].some((id) => !known.has(id))) channel.postMessage({});
    known = now;
  });
  return () => {
    stop();
    channel.close();
  };
};

const hearFor =
  (session: Session, leftovers: Leftovers) =>
  (message: FromHub): void => {
    switch (message.kind) {
      case "change":
        if (!session.arrive(message.change)) void session.catchUp();
        break;
      case "at":
        if (message.seq === null || message.seq > session.seq) void session.catchUp();
        break;
      case "connected":
        session.retry();
        // what came while the server could not be asked for what was missing
        void session.catchUp();
        break;
      case "replaced":
        session.replaced(message.generation);
        break;
      case "left":
        void leftovers.look().catch(() => undefined);
        break;
    }
  };

/** Asks the browser not to clear away what is not saved when it runs out of room. */
const askForKeeping = (): void =>
  void (navigator.storage as StorageManager | undefined)?.persist().catch(() => false);

/** Gets ready to keep what cannot be saved, and takes up what earlier visits could not. */
const takeUpEarlier = async (
  session: Session,
  shelf: BrowserShelf,
  leftovers: Leftovers,
): Promise<void> => {
  await shelf.ready();
  askForKeeping();
  for (const { holder, items, forget } of await olderLeftovers(session.id)) {
    await shelf.bring(holder, items);
    forget();
  }
  session.recall(await shelf.asides());
  await leftovers.look();
};

/**
 * Holds a lock until what is returned is called; `whenHeld` is called once it is held, at once
 * where there are no locks.
 */
const holdLock = (name: string, whenHeld: () => void): (() => void) => {
  let release = () => {};
  const held = new Promise<void>((resolve) => {
    release = resolve;
  });
  const manager = locks();
  if (!manager) whenHeld();
  void manager?.request(name, () => {
    whenHeld();
    return held;
  });
  return release;
};

/** Calls back once nobody holds a lock any more; never where there are no locks. */
const holdFree = async (name: string, whenFree: () => void): Promise<void> => {
  await locks()?.request(name, { signal: AbortSignal.timeout(FREE_PATIENCE) }, whenFree);
};

/** Wakes what brings others' changes as soon as saving goes on; returns how to stop. */
const wakeWithSaving = (session: Session, live: LiveLine): (() => void) => {
  let waited = false;
  return session.onChange(() => {
    const waits = session.save.kind === "waiting";
    if (waited && !waits) live.wake();
    waited = waits;
  });
};

/** Listens to what happens to the window itself; returns how to stop. */
const watchWindow = (session: Session, live: LiveLine): (() => void) => {
  const retry = () => {
    live.wake();
    session.retry();
  };
  const stay = (event: BeforeUnloadEvent) => {
    if (session.atRisk) event.preventDefault();
  };
  // with locks the others notice by themselves that this window is gone
  const leave = () => {
    if (!locks()) live.close();
  };
  window.addEventListener("online", retry);
  window.addEventListener("beforeunload", stay);
  window.addEventListener("pagehide", leave);
  return () => {
    window.removeEventListener("online", retry);
    window.removeEventListener("beforeunload", stay);
    window.removeEventListener("pagehide", leave);
  };
};

/**
 * Opens a session in this window: saving, edits left from an earlier visit, and what other windows
 * do. Returns how to close it.
 */
export const openSession = (
  id: string,
  start: Snapshot,
  editions: Editions,
): { session: Session; close: () => void } => {
  const clientId = newId();
  const shelf = new BrowserShelf(id, clientId);
  const session = new Session(id, clientId, start, outsideOf(id, shelf), editions);
  const leftovers = new Leftovers(session, shelf);
  const live = openLive(hearFor(session, leftovers));
  const lock = lockOf(id, clientId);
  let closed = false;
  const release = holdLock(lock, () => {
    if (!closed)
      live.watch({ project: id, seq: session.seq, generation: session.generation }, lock);
  });
  const stopSharing = shareAsides(session, shelf);
  const stopWatching = watchWindow(session, live);
  const stopWaking = wakeWithSaving(session, live);
  const undo = new UndoKeeping(session);
  void undo.takeUp((of, taken) => holdFree(lockOf(id, of), taken));
  // a browser that keeps nothing is said to keep nothing: see Keeper
  void takeUpEarlier(session, shelf, leftovers).catch(() => undefined);

  const end = () => {
    session.end();
    stopSharing();
    stopWatching();
    stopWaking();
    release();
  };
  const close = () => {
    closed = true;
    live.close();
    undo.close();
    // what is on its way is still sent; what cannot be sent now is taken up by the next visit
    if (session.save.kind !== "saving") end();
    else
      session.onChange(() => {
        if (session.save.kind !== "saving") end();
      });
    session.retry();
  };
  return { session, close };
};
