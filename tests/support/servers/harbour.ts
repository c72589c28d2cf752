import { join } from "node:path";
import { LogFile } from "../../../scripts/run/logs";
import { prepareDatabase } from "../../../scripts/database";
import { databaseFolder, freePort, Postgres } from "../../../scripts/run/postgres";
import { serve } from "../../../scripts/serve";
import type { Served } from "../../../scripts/serve";

/** A whole Nubble of its own: database and server, in a folder that is thrown away. */
export interface Harbour {
  readonly postgres: Postgres;
  served: Served;
  readonly port: number;
  serveAgain(): Promise<void>;
  stop(): Promise<void>;
}

export const startHarbour = async (
  home: string,
  build: string,
  processes = 1,
): Promise<Harbour> => {
  const postgres = await Postgres.start(databaseFolder(join(home, "postgres")), undefined, true);
  await prepareDatabase(postgres.url);
  const port = await freePort(21_000 + Math.floor(Math.random() * 4000));
  const log = new LogFile(join(home, "server.log"));
  const harbour: Harbour = {
    postgres,
    port,
    served: await serve({ build, port, databaseUrl: postgres.url, log, processes }),
    serveAgain: async () => {
      harbour.served = await serve({ build, port, databaseUrl: postgres.url, log, processes });
    },
    stop: async () => {
      await harbour.served.stop();
      await postgres.stop();
    },
  };
  return harbour;
};
