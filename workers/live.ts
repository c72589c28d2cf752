import "./zod";
import type { Port, ToHub } from "./hub";
import { browserHub } from "./stream";

/** The shared worker that holds the one stream of this browser. */
const hub = browserHub();

/** Notices that a window is gone, however it went: it held a lock as long as it was there. */
const noticeEnd = (lock: string, port: Port): void =>
  void (navigator.locks as LockManager | undefined)?.request(lock, () => hub.leave(port));

self.addEventListener("connect", (event) => {
  const channel = (event as MessageEvent).ports[0];
  if (!channel) return;
  const port: Port = { post: (message) => channel.postMessage(message) };
  channel.onmessage = ({ data }: MessageEvent<ToHub>) => {
    hub.take(port, data);
    if (data.kind === "watch") noticeEnd(data.lock, port);
  };
  channel.start();
});
