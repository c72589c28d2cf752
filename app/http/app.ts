import { createRequestHandler } from "@react-router/express";
import express from "express";
import type { ErrorRequestHandler, Express, RequestHandler } from "express";
import morgan from "morgan";
import { projectLog } from "#server";
import { allowedHosts, guardAddress, guardOrigin } from "./hosts";
import { bodyLimit, rateLimits } from "./limits";
import { liveRoute } from "./live";

/** Where the app listens and what it serves beside its pages. */
interface AppOptions {
  readonly port: number;
  readonly allowHosts: readonly string[];
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
  if (status === 500) console.error(error);
  res
    .status(status)
    .type("text/plain")
    .send(status === 400 ? "This address cannot be read." : "Nubble hit an error.");
};

/** One line a request: when, who, what, and how it was answered. */
export const logRequests: RequestHandler = morgan(
  ":date[iso] :remote-addr :method :url :status :res[content-length] :response-time ms “:user-agent”",
);

/** The pages of the app. */
export const pages = (mode: string): RequestHandler => {
  const handle = createRequestHandler({
    build: () => import("virtual:react-router/server-build"),
    mode,
    getLoadContext: (_req, res) => ({ nonce: res.locals.nonce as string | undefined }),
  });
  // it hands its own errors to `next`
  return (req, res, next) => void handle(req, res, next);
};

/** Everything a request goes through, in its order. */
export const nubbleApp = ({ port, allowHosts, mode, headers, files }: AppOptions): Express => {
  const app = express();
  app.disable("x-powered-by");
  app.set("query parser", "simple");
  app.use(logRequests);
  for (const header of headers) app.use(header);
  app.use(guardOrigin(allowedHosts(port, allowHosts)));
  app.use(guardAddress, ...rateLimits, bodyLimit);
  app.get("/live", liveRoute(projectLog()));
  for (const [path, handler] of files) app.use(path, handler);
  app.all("*", pages(mode));
  app.use(answerFault);
  return app;
};
