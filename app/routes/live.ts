import { z } from "zod";
import { projectLog } from "#server";
import type { Logged } from "#server";
import type { Route } from "./+types/live";

const query = z.coerce.number().int().min(0);

/**
 * A stream of accepted changes (server-sent events, WHATWG HTML §9.2): first those after the number the window has,
 * then each new one. `reload` tells the window that it missed too much.
 */
export const loader = async ({ request, params }: Route.LoaderArgs) => {
  const id = params.projectId;
  const asked = query.safeParse(request.headers.get("last-event-id") ?? new URL(request.url).searchParams.get("since") ?? "0");
  if (!asked.success) return new Response("since must be a number", { status: 400 });
  const log = projectLog();
  const encoder = new TextEncoder();
  let close = () => {};
  const stream = new ReadableStream<Uint8Array>({
    start: async (controller) => {
      const send = (text: string) => { try { controller.enqueue(encoder.encode(text)); } catch { close(); } };
      const waiting: Logged[] = [];
      let sent = asked.data, caughtUp = false;
      const pass = (change: Logged) => {
        if (change.seq <= sent) return;
        sent = change.seq;
        send(`id: ${change.seq}\ndata: ${JSON.stringify(change)}\n\n`);
      };
      const stop = log.listen(id, (change) => { if (caughtUp) pass(change); else waiting.push(change); });
      const beat = setInterval(() => send(": still here\n\n"), 20_000);
      close = () => {
        stop();
        clearInterval(beat);
        try { controller.close(); } catch { /* closed from the other side */ }
      };
      request.signal.addEventListener("abort", close);
      send("retry: 1500\n\n");
      try {
        const missed = await log.since(id, asked.data);
        if (missed === null) send("event: reload\ndata: {}\n\n");
        else missed.forEach(pass);
        caughtUp = true;
        waiting.forEach(pass);
      } catch {
        close();
      }
    },
    cancel: () => close(),
  });
  return new Response(stream, { headers: { "Content-Type": "text/event-stream", "Cache-Control": "no-cache, no-transform", "X-Accel-Buffering": "no" } });
};
