import { mkdirSync } from "node:fs";
import { join } from "node:path";
import express from "express";
import type { RequestHandler } from "express";
import { createServer } from "vite";
import { prepareDatabase } from "./database.ts";
import { databaseFolder, freePort, Postgres } from "./run/postgres.ts";
import { buildThreads } from "./run/threads.ts";
import { root } from "./serve.ts";

const data = process.env.NUBBLE_DATA ?? join(root, ".data");
const threads = join(root, ".cache/threads");

const isHandler = (value: unknown): value is RequestHandler => typeof value === "function";

const start = async (): Promise<{ address: string; stop: () => Promise<void> }> => {
  mkdirSync(data, { recursive: true, mode: 0o755 });
  const postgres = process.env.DATABASE_URL
    ? null
    : await Postgres.start(databaseFolder(join(data, "postgres")));
  const url = process.env.DATABASE_URL ?? postgres?.url ?? "";
  await prepareDatabase(url);
  await buildThreads(threads);
  const port = await freePort(4310);
  Object.assign(process.env, {
    NODE_ENV: "development",
    DATABASE_URL: url,
    PORT: String(port),
    NUBBLE_THREADS: threads,
  });
  const vite = await createServer({ root, server: { middlewareMode: true }, appType: "custom" });
  const app = express();
  app.use(vite.middlewares);
  // loaded for every request: what has changed is taken in at the next one
  app.use((req, res, next) => {
    vite
      .ssrLoadModule("/app/http/dev.ts")
      .then(({ app: nubble }) => {
        if (!isHandler(nubble)) throw new TypeError("app/http/dev.ts exports no app");
        void nubble(req, res, next);
      })
      .catch(next);
  });
  const server = app.listen(port, "127.0.0.1");
  const stop = async () => {
    server.close();
    server.closeAllConnections();
    await vite.close();
    await postgres?.stop();
  };
  return { address: `http://127.0.0.1:${port}`, stop };
};

const running = await start();
console.log(`\nNubble is ready, and takes in what you change:  ${running.address}`);
for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"] as const)
  process.once(signal, () => void running.stop().then(() => process.exit(0)));
