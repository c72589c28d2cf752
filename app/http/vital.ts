import cluster from "node:cluster";
import { once } from "node:events";
import { Router } from "express";
import type { RequestHandler } from "express";
import { metrics, projectLog } from "#server";
import { isFigures } from "./workers";

/** How long all processes may take to tell their figures, ms. */
const FIGURES_PATIENCE = 5000;

let stopping = false;

/** Says from now on that this process is not to be asked any more. */
export const sayStopping = (): void => {
  stopping = true;
};

/**
 * `/health`: the process answers. `/ready`: it can also do what it is asked for, with its database.
 */
export const vitalSigns: RequestHandler = Router()
  .get("/health", (_req, res) => {
    res.set("Cache-Control", "no-store").type("text/plain").send("up");
  })
  .get("/ready", (_req, res, next) => {
    const answer = async () => {
      const isReady = !stopping && (await projectLog().isReachable());
      res
        .status(isReady ? 200 : 503)
        .set("Cache-Control", "no-store")
        .type("text/plain")
        .send(isReady ? "ready" : "not ready");
    };
    answer().catch(next);
  });

/** The figures of all processes: what keeps them going gathers them. */
const gathered = async (): Promise<string> => {
  const id = `${process.pid}.${performance.now()}`;
  process.send?.({ nubble: "figures", id });
  const signal = AbortSignal.timeout(FIGURES_PATIENCE);
  for (;;) {
    const [message] = (await once(process, "message", { signal })) as [unknown];
    if (isFigures(message) && message.id === id) return message.text;
  }
};

/** `/metrics`: figures for Prometheus, of all processes that serve here. */
export const figures: RequestHandler = (_req, res, next) => {
  const answer = async () => {
    const text = await (cluster.isWorker ? gathered() : metrics.metrics());
    res.set("Cache-Control", "no-store").type(metrics.contentType).send(text);
  };
  answer().catch(next);
};
