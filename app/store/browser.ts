import { changeSchema, newId } from "#core/project";
import type { Change } from "#core/project";
import { Session } from "./session";
import type { Arrived, Outside } from "./session";

const prefix = "nubble.unsaved.";

const outsideOf = (projectId: string, clientId: string): Outside => ({
  send: async (body) => {
    const response = await fetch(`/projects/${projectId}/changes`, { method: "POST", headers: { "Content-Type": "application/json", Accept: "application/json" }, body, signal: AbortSignal.timeout(20_000) });
    return { status: response.status, answer: await response.json().catch(() => null) };
  },
  keep: (name, text) => {
    const key = `${prefix}${name}.${clientId}`;
    try {
      if (text === null) localStorage.removeItem(key); else localStorage.setItem(key, text);
    } catch { /* the browser's store is full or closed: the edits still live in this window */ }
  },
  now: () => Date.now(),
  later: (ms, call) => {
    const timer = setTimeout(call, ms);
    return () => clearTimeout(timer);
  },
});

/** Unsaved edits left by windows of this project that are closed by now; a window holds a lock while it is open. */
const leftBehind = async (projectId: string): Promise<{ changeId: string; change: Change }[]> => {
  const open = new Set((await navigator.locks.query()).held?.map((l) => l.name));
  const found: { changeId: string; change: Change }[] = [];
  for (const key of Object.keys(localStorage).filter((k) => k.startsWith(`${prefix}${projectId}.`))) {
    if (open.has(key)) continue;
    try {
      for (const item of JSON.parse(localStorage.getItem(key) ?? "[]") as { changeId: string; change: unknown }[]) {
        const change = changeSchema.safeParse(item.change);
        if (change.success) found.push({ changeId: item.changeId, change: change.data as Change });
      }
    } catch { /* not ours, or cut short: nothing to take up */ }
    localStorage.removeItem(key);
  }
  return found;
};

/** Opens a session in this window: saving, edits left from an earlier visit, and what other windows do. Returns how to close it. */
export const openSession = (id: string, start: { seq: number; project: Session["project"] }): { session: Session; close: () => void } => {
  const clientId = newId();
  const session = new Session(id, clientId, start, outsideOf(id, clientId));
  let release = () => {};
  void navigator.locks.request(`${prefix}${id}.${clientId}`, () => new Promise<void>((resolve) => { release = resolve; }));
  void leftBehind(id).then((list) => { if (list.length) session.adopt(list); });

  let source: EventSource | null = null;
  const refresh = async () => {
    const response = await fetch(`/projects/${id}.data`).catch(() => null);
    if (response?.ok) window.location.reload();
  };
  const connect = () => {
    source?.close();
    source = new EventSource(`/projects/${id}/live?since=${session.seq}`);
    source.onopen = () => session.retry();
    source.onmessage = (event: MessageEvent<string>) => { if (!session.arrive(JSON.parse(event.data) as Arrived)) connect(); };
    source.addEventListener("reload", () => void refresh());
  };
  connect();
  const online = () => session.retry();
  window.addEventListener("online", online);
  return {
    session,
    close: () => {
      source?.close();
      window.removeEventListener("online", online);
      const end = () => {
        session.end();
        release();
      };
      // what is on its way is still sent; what cannot be sent now is taken up by the next visit
      if (session.save.kind !== "saving") end();
      else session.subscribe(() => { if (session.save.kind !== "saving") end(); });
      session.retry();
    },
  };
};
