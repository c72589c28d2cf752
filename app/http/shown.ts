import express from "express";
import type { Express, RequestHandler } from "express";
import { isShownKey, projectLog } from "#server";
import { answerFault, pages } from "./app";
import { logRequests, measureRequests } from "./requests";
import { guardAddress, guardOrigin } from "./hosts";
import { rateLimits } from "./limits";
import { liveRoute } from "./live";
import { httpWords } from "./words";

interface ShownOptions {
  /** hosts under which it is reached: `name:port` */
  readonly hosts: readonly string[];
  readonly mode: string;
  readonly headers: readonly RequestHandler[];
  readonly files: readonly (readonly [path: string, handler: RequestHandler])[];
}

const onlyReads: RequestHandler = (req, res, next) => {
  if (req.method === "GET" || req.method === "HEAD") {
    next();
    return;
  }
  res.status(405).set("Allow", "GET, HEAD").type("text/plain").send(httpWords.onlyShownHere);
};

/** Pages of a shown project, and files by their contents: nothing else is there. */
const SHOWN = [
  /^\/shown\/[^/]+\/[^/]+(\.data|\/[^/]+){0,2}\/?$/,
  /^\/assets\/[0-9a-f]{64}(\/face)?$/,
];
const onlyShown: RequestHandler = (req, res, next) => {
  if (SHOWN.some((pattern) => pattern.test(req.path))) {
    next();
    return;
  }
  res.status(404).type("text/plain").send(httpWords.onlyShownHere);
};

const onlyWithKey: RequestHandler = (req, res, next) => {
  const { projectId = "", key = "" } = req.params;
  if (isShownKey(projectId, key)) next();
  else res.status(404).type("text/plain").send(httpWords.onlyShownHere);
};

/**
 * What phones in the same room are shown: Play of projects whose address one has, read-only, and
 * the stream of changes to them. Nothing of the editor answers here.
 */
export const shownApp = ({ hosts, mode, headers, files }: ShownOptions): Express => {
  const app = express();
  app.disable("x-powered-by");
  app.set("query parser", "simple");
  app.use(logRequests, measureRequests);
  for (const header of headers) app.use(header);
  app.use(guardOrigin(new Set(hosts)));
  app.use(guardAddress, onlyReads, ...rateLimits);
  app.get(
    "/shown/:projectId/:key/live",
    onlyWithKey,
    liveRoute(projectLog(), (req) => [
      `${req.params.projectId ?? ""}:${typeof req.query.after === "string" ? req.query.after : ""}`,
    ]),
  );
  for (const [path, handler] of files) app.use(path, handler);
  app.use(onlyShown);
  app.all("*", pages(mode));
  app.use(answerFault);
  return app;
};
