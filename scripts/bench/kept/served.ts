import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Sequelize } from "sequelize";
import { openDatabase, ProjectLog } from "../../../server/index.ts";
import { build } from "../../build.ts";
import { prepareDatabase } from "../../database.ts";
import { LogFile } from "../../run/logs.ts";
import { databaseFolder, freePort, Postgres } from "../../run/postgres.ts";
import { root, serve } from "../../serve.ts";
import type { Served } from "../../serve.ts";

/** A database of its own, and what serves it. */
export interface Harbour {
  readonly db: Sequelize;
  readonly log: ProjectLog;
  readonly serve: (processes: number) => Promise<Served>;
}

/** Measures with a database and built servers of its own; nothing of them is left. */
export const withHarbour = async (measure: (harbour: Harbour) => Promise<void>): Promise<void> => {
  const home = mkdtempSync(join(tmpdir(), "nubble-bench-"));
  const folder = process.env.NUBBLE_BUILD ?? join(root, "build");
  if (!process.env.NUBBLE_BUILD) build(folder);
  const postgres = await Postgres.start(databaseFolder(join(home, "postgres")));
  await prepareDatabase(postgres.url);
  const db = openDatabase(postgres.url);
  const log = new ProjectLog(db);
  const file = new LogFile(join(home, "server.log"));
  try {
    await measure({
      db,
      log,
      serve: async (processes) => {
        const port = await freePort(26_000);
        return serve({ build: folder, port, databaseUrl: postgres.url, log: file, processes });
      },
    });
  } finally {
    await log.close();
    await db.close();
    await postgres.stop();
    rmSync(home, { recursive: true, force: true });
  }
};
