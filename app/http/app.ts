import { createRequestHandler } from "@react-router/express";
import express from "express";
import type { ServerBuild } from "react-router";
import type { ErrorRequestHandler, Express, RequestHandler } from "express";
import { logger, projectLog } from "#server";
import { allowedHosts, guardAddress, guardOrigin } from "./hosts";
import { bodyLimit, rateLimits } from "./limits";
import { liveRoute } from "./live";
import { logRequests, measureRequests } from "./requests";
import { figures, vitalSigns } from "./vital";

/** Where the app listens and what it serves beside its pages. */
interface AppOptions {
  readonly port: number;
  readonly allowHosts: readonly string[];
  /** how many reverse proxies stand before it */
  readonly proxies: number;
  readonly mode: string;
  /** headers of every answer */
  readonly headers: readonly RequestHandler[];
  /** what comes before the pages, as files */
  readonly files: readonly (readonly [path: string, handler: RequestHandler])[];
}

/** What went wrong before a route could say so: the address or the body could not be read. */
export const answerFault: ErrorRequestHandler = (error: unknown, _req, res, next) => {
  if (res.headersSent) {
    next(error);
    return;
  }
  const status = error instanceof URIError ? 400 : 500;
  if (status === 500) logger.error({ error }, "a request could not be answered");
  res
    .status(status)
    .type("text/plain")
    .send(status === 400 ? "This address cannot be read." : "Nubble hit an error.");
};

/** The pages of the app. */
export const pages = (mode: string): RequestHandler => {
  const load = () => import("virtual:react-router/server-build");
  const handlerOf = (build: ServerBuild | typeof load) =>
    createRequestHandler({
      build,
      mode,
      getLoadContext: (_req, res) => ({ nonce: res.locals.nonce as string | undefined }),
    });
  // a build that stays the same is made ready once, not for each request
  const ready = mode === "production" ? load().then(handlerOf) : Promise.resolve(handlerOf(load));
  // it hands its own errors to `next`
  return (req, res, next) => void ready.then((handle) => handle(req, res, next)).catch(next);
};

/** Everything a request goes through, in its order. */
export const nubbleApp = ({
  port,
  allowHosts,
  proxies,
  mode,
  headers,
  files,
}: AppOptions): Express => {
  const app = express();
  app.disable("x-powered-by");
  app.set("query parser", "simple");
  // otherwise all who come through them would be one client, who asks too much
  app.set("trust proxy", proxies);
  app.use(logRequests, measureRequests);
  for (const header of headers) app.use(header);
  // asked for by whatever keeps Nubble running, under any name
  app.use(vitalSigns);
  app.use(guardOrigin(allowedHosts(port, allowHosts)));
  app.use(guardAddress, ...rateLimits, bodyLimit);
  app.get("/metrics", figures);
  app.get("/live", liveRoute(projectLog()));
  for (const [path, handler] of files) app.use(path, handler);
  app.all("*", pages(mode));
  app.use(answerFault);
  return app;
};
