import { join } from "node:path";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express from "express";
import type { ErrorRequestHandler } from "express";
import morgan from "morgan";
import { projectLog } from "#server";
import { allowedHosts, guardAddress, guardOrigin } from "./hosts";
import { securityHeaders } from "./headers";
import { bodyLimit, rateLimits } from "./limits";
import { liveRoute } from "./live";

const { HOST = "127.0.0.1", PORT = "3000", NUBBLE_ALLOW_HOSTS = "" } = process.env;
const port = Number(PORT);
const client = join(import.meta.dirname, "../client");
const immutable = { immutable: true, maxAge: "1y" };

/** What went wrong before a route could say so: the address or the body could not be read. */
const answerFault: ErrorRequestHandler = (error: unknown, _req, res, next) => {
  if (res.headersSent) {
    next(error);
    return;
  }
  const status = error instanceof URIError ? 400 : 500;
  if (status === 500) console.error(error);
  res
    .status(status)
    .type("text/plain")
    .send(status === 400 ? "This address cannot be read." : "Nubble ran into a fault of its own.");
};

const app = express();
app.disable("x-powered-by");
app.set("query parser", "simple");
app.use(
  morgan(
    ":date[iso] :remote-addr :method :url :status :res[content-length] :response-time ms “:user-agent”",
  ),
);
app.use(...securityHeaders);
app.use(guardOrigin(allowedHosts(port, NUBBLE_ALLOW_HOSTS.split(",").filter(Boolean))));
app.use(guardAddress, ...rateLimits, bodyLimit);
app.get("/live", liveRoute(projectLog()));
app.use(compression());
app.use("/assets", express.static(join(client, "assets"), immutable));
app.use(express.static(client, { maxAge: "1h" }));
const pages = createRequestHandler({
  build: () => import("virtual:react-router/server-build"),
  mode: process.env.NODE_ENV ?? "production",
  getLoadContext: (_req, res) => ({ nonce: res.locals.nonce as string }),
});
// it hands its own errors to `next`
app.all("*", (req, res, next) => void pages(req, res, next));
app.use(answerFault);

const server = app.listen(port, HOST, () => console.log(`listening on ${HOST}:${port}`));
server.headersTimeout = 15_000;
server.requestTimeout = 60_000;
server.maxConnections = 4000;

const stop = () => {
  server.close(() => process.exit(0));
  server.closeAllConnections();
};
process.once("SIGTERM", stop);
process.once("SIGINT", stop);
// the start command holds the other end: without it nobody would ever stop this process
process.once("disconnect", stop);
