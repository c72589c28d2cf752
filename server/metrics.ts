import { Counter, Gauge, Histogram, collectDefaultMetrics, register } from "prom-client";

/** Figures of this process in the text format of Prometheus (0.0.4). */
export const metrics = register;

/** Begins to note what the process itself takes: processor, memory, event loop. */
export const noteProcess = (): void => collectDefaultMetrics();

export const saves = new Counter({
  name: "nubble_saves_total",
  help: "Changes that were sent, by what became of them",
  labelNames: ["result"],
});

export const batches = new Histogram({
  name: "nubble_save_batch_changes",
  help: "Changes of one project that were judged and written together",
  buckets: [1, 2, 5, 10, 20, 50, 100],
});

export const overtaken = new Counter({
  name: "nubble_save_overtaken_total",
  help: "Batches that were judged again because another process was quicker",
});

export const openStreams = new Gauge({
  name: "nubble_streams_open",
  help: "Streams of changes that are open",
});

export const requests = new Histogram({
  name: "nubble_http_request_duration_seconds",
  help: "How long requests took to be answered, by what was asked for",
  labelNames: ["method", "what", "status"],
  buckets: [0.005, 0.02, 0.05, 0.1, 0.3, 1, 3, 10],
});
