import { join } from "node:path";
import compression from "compression";
import express from "express";
import { nubbleApp } from "./app";
import { securityHeaders } from "./headers";

const { HOST = "127.0.0.1", PORT = "3000", NUBBLE_ALLOW_HOSTS = "" } = process.env;
const port = Number(PORT);
const client = join(import.meta.dirname, "../client");
const immutable = { immutable: true, maxAge: "1y" };

const app = nubbleApp({
  port,
  allowHosts: NUBBLE_ALLOW_HOSTS.split(",").filter(Boolean),
  mode: process.env.NODE_ENV ?? "production",
  headers: securityHeaders,
  files: [
    ["/", compression()],
    ["/assets", express.static(join(client, "assets"), immutable)],
    ["/", express.static(client, { maxAge: "1h" })],
  ],
});

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
