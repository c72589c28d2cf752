import type { Server } from "node:http";
import { join } from "node:path";
import compression from "compression";
import express from "express";
import type { Express } from "express";
import { nubbleApp } from "./app";
import { securityHeaders } from "./headers";
import { shownApp } from "./shown";

const {
  HOST = "127.0.0.1",
  PORT = "3000",
  NUBBLE_ALLOW_HOSTS = "",
  PLAY_HOST,
  NUBBLE_PLAY_ORIGIN,
} = process.env;
const port = Number(PORT);
const client = join(import.meta.dirname, "../client");
const immutable = { immutable: true, maxAge: "1y" };

const served = {
  mode: process.env.NODE_ENV ?? "production",
  headers: securityHeaders,
  files: [
    ["/", compression()],
    ["/assets", express.static(join(client, "assets"), immutable)],
    ["/", express.static(client, { maxAge: "1h" })],
  ],
} as const;

const listen = (app: Express, host: string, at: number): Server => {
  const server = app.listen(at, host, () => console.log(`listening on ${host}:${at}`));
  server.headersTimeout = 15_000;
  server.requestTimeout = 60_000;
  server.maxConnections = 4000;
  return server;
};

const allowHosts = NUBBLE_ALLOW_HOSTS.split(",").filter(Boolean);
const servers = [listen(nubbleApp({ ...served, port, allowHosts }), HOST, port)];
if (PLAY_HOST && NUBBLE_PLAY_ORIGIN) {
  const { host, port: playPort } = new URL(NUBBLE_PLAY_ORIGIN);
  servers.push(listen(shownApp({ ...served, hosts: [host] }), PLAY_HOST, Number(playPort)));
}

const stop = () => {
  let left = servers.length;
  for (const server of servers) {
    server.close(() => {
      left--;
      if (left === 0) process.exit(0);
    });
    server.closeAllConnections();
  }
};
process.once("SIGTERM", stop);
process.once("SIGINT", stop);
// the start command holds the other end: without it nobody would ever stop this process
process.once("disconnect", stop);
