import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { databaseFolder, Postgres } from "../run/postgres.ts";
import { root } from "../serve.ts";

/**
 * Does something with the database: the one in DATABASE_URL, or Nubble's own, which is started for
 * it where it does not run.
 */
export const withDatabase = async <T>(work: (url: string) => Promise<T>): Promise<T> => {
  if (process.env.DATABASE_URL) return work(process.env.DATABASE_URL);
  const data = process.env.NUBBLE_DATA ?? join(root, ".data");
  mkdirSync(data, { recursive: true, mode: 0o755 });
  const postgres = await Postgres.start(databaseFolder(join(data, "postgres")));
  try {
    return await work(postgres.url);
  } finally {
    if (!postgres.ranBefore) await postgres.stop();
  }
};

/** Runs a command; what it cannot do it says in a sentence. */
export const command = async (work: () => Promise<number>): Promise<void> => {
  try {
    process.exit(await work());
  } catch (error) {
    console.error(`nubble: ${(error as Error).message}`);
    process.exit(1);
  }
};
