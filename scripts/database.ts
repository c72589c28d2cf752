import { Umzug, SequelizeStorage } from "umzug";
import { decodeHere, migrate, openDatabase, ProjectLog, storeAsset } from "../server/index.ts";
import { kelpwayKit, pictureFiles } from "../demo/index.ts";

const DEMO = "kelpway-kit";

/**
 * Brings a database to the newest shape and puts the demo project in once (again after `reset`);
 * says what it did.
 */
export const prepareDatabase = async (url: string, reset = false): Promise<string[]> => {
  const db = openDatabase(url);
  try {
    const did = await migrate(db);
    const log = new ProjectLog(db);
    const seed = async () => {
      await log.destroy(DEMO);
      for (const { bytes } of pictureFiles()) await storeAsset(bytes, decodeHere);
      await log.create(DEMO, kelpwayKit());
    };
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
  } finally {
    await db.close();
  }
};
