import cluster from "node:cluster";
import type { Server } from "node:http";
import { join } from "node:path";
import compression from "compression";
import express from "express";
import type { Express } from "express";
import { logger, noteProcess, projectLog, projects } from "#server";
import { nubbleApp } from "./app";
import { securityHeaders } from "./headers";
import { endStreams } from "./live";
import { shownApp } from "./shown";
import { sayStopping } from "./vital";
import { ALIVE_EVERY, tellOwnFigures } from "./workers";

const {
  HOST = "127.0.0.1",
  PORT = "3000",
  NUBBLE_ALLOW_HOSTS = "",
  NUBBLE_PROXIES = "0",
  PLAY_HOST,
  NUBBLE_PLAY_ORIGIN,
} = process.env;
const port = Number(PORT);
const immutable = { immutable: true, maxAge: "1y" };

/** What is served, with the files for browsers in a folder. */
const servedWith = (client: string) =>
  ({
    mode: process.env.NODE_ENV ?? "production",
    headers: securityHeaders,
    files: [
      ["/", compression()],
      ["/assets", express.static(join(client, "assets"), immutable)],
      ["/", express.static(client, { maxAge: "1h" })],
    ],
  }) as const;

const listen = (app: Express, host: string, at: number): Server => {
  const server = app.listen(at, host, () => logger.info({ host, port: at }, "listening"));
  server.headersTimeout = 15_000;
  server.requestTimeout = 60_000;
  server.maxConnections = 4000;
  return server;
};

/** How long what is being answered may take once the server is to stop, ms. */
const LAST_ANSWERS_MS = 1500;

const startServers = (client: string): Server[] => {
  const served = servedWith(client);
  const allowHosts = NUBBLE_ALLOW_HOSTS.split(",").filter(Boolean);
  const proxies = Number(NUBBLE_PROXIES);
  const servers = [listen(nubbleApp({ ...served, port, allowHosts, proxies }), HOST, port)];
  if (PLAY_HOST && NUBBLE_PLAY_ORIGIN) {
    const { host, port: playPort } = new URL(NUBBLE_PLAY_ORIGIN);
    servers.push(listen(shownApp({ ...served, hosts: [host] }), PLAY_HOST, Number(playPort)));
  }
  return servers;
};

/** How often it is looked what has been in the bin for long, ms. */
const BIN_EVERY = 6 * 3_600_000;

const emptyBin = (): void => {
  projects()
    .empty()
    .then(
      (count) => count > 0 && logger.info({ count }, "projects were deleted from the bin"),
      (error: unknown) => logger.warn({ error }, "the bin could not be emptied"),
    );
};

const closed = (server: Server): Promise<void> =>
  new Promise((resolve) => {
    server.close(() => resolve());
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), LAST_ANSWERS_MS).unref();
  });

/**
 * Serves until the process is asked to stop; what is being answered then is answered still.
 * `client` is the folder with the files for browsers.
 */
export const startServing = (client: string): void => {
  noteProcess();
  emptyBin();
  setInterval(emptyBin, BIN_EVERY).unref();
  const servers = startServers(client);
  let isStopping = false;
  const stop = async () => {
    if (isStopping) return;
    isStopping = true;
    sayStopping();
    const all = servers.map(closed);
    // windows open their streams again elsewhere, or once it is back
    endStreams();
    await Promise.all(all);
    await projectLog().close();
    process.exit(0);
  };
  for (const signal of ["SIGTERM", "SIGINT"] as const) process.once(signal, () => void stop());
  // whoever started it holds the other end: without them nobody would ever stop this process
  process.once("disconnect", () => void stop());
  if (!cluster.isWorker) return;
  tellOwnFigures();
  setInterval(() => process.send?.("alive"), ALIVE_EVERY).unref();
};
