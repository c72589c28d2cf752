import type { FromHub, ToHub, Watched } from "../../../workers/hub";

/** This window's end of what brings others' changes. */
export interface LiveLine {
  watch(from: Watched, lock: string): void;
  /** Says that the server answers again. */
  wake(): void;
  close(): void;
}

interface Line {
  post(message: ToHub): void;
  close(): void;
}

/** A hub of this window's own, where the browser has no shared workers. */
const ownLine = (hear: (message: FromHub) => void): Line => {
  const port = { post: hear };
  const hub = import("../../../workers/stream").then(({ browserHub }) => browserHub());
  return {
    post: (message) => void hub.then((h) => h.take(port, message)),
    close: () => undefined,
  };
};

const sharedLine = (hear: (message: FromHub) => void): Line => {
  const worker = new SharedWorker(new URL("../../../workers/live.ts", import.meta.url), {
    type: "module",
    name: "nubble-live",
  });
  worker.port.onmessage = ({ data }: MessageEvent<FromHub>) => hear(data);
  worker.port.start();
  return {
    post: (message) => worker.port.postMessage(message),
    close: () => worker.port.close(),
  };
};

/**
 * Opens the line over which changes of others arrive. All windows of this browser share one stream
 * from the server.
 */
export const openLive = (hear: (message: FromHub) => void): LiveLine => {
  const line = typeof SharedWorker === "undefined" ? ownLine(hear) : sharedLine(hear);
  return {
    watch: (from, lock) => line.post({ kind: "watch", ...from, lock }),
    wake: () => line.post({ kind: "wake" }),
    close: () => {
      line.post({ kind: "leave" });
      line.close();
    },
  };
};
