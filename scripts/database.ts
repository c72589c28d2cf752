import { Umzug, SequelizeStorage } from "umzug";
import type { Sequelize } from "sequelize";
import { alone, migrate, openDatabase, ProjectLog } from "../server/index.ts";
import { makeDemo } from "./demo.ts";

/**
 * Brings a database to the newest shape and puts the demo projects in once (again after `reset`);
 * says what it did.
 */
export const prepareDatabase = async (url: string, reset = false): Promise<string[]> => {
  const db = openDatabase(url);
  try {
    return await alone(db, () => prepare(db, reset));
  } finally {
    await db.close();
  }
};

const prepare = async (db: Sequelize, reset: boolean): Promise<string[]> => {
  const did = await migrate(db);
  const log = new ProjectLog(db);
  const seed = () => makeDemo(log);
  // noted where the migrations are, so that a demo project somebody removed stays removed
  const once = new Umzug({
    migrations: [{ name: "demo-kelpway-kit", up: seed }],
    storage: new SequelizeStorage({ sequelize: db }),
    logger: undefined,
  });
  const seeded = (await once.up()).map((m) => m.name);
  if (reset && seeded.length === 0) {
    await seed();
    seeded.push("demo-kelpway-kit");
  }
  return [...did, ...seeded];
};
