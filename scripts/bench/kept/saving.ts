import { FORMAT, newId, set } from "../../../core/project/index.ts";
import { kelpwayKit } from "../../../demo/index.ts";
import { openDatabase, ProjectLog } from "../../../server/index.ts";
import { prepareDatabase } from "../../database.ts";
import { databaseFolder, Postgres } from "../../run/postgres.ts";
import { chmodSync } from "node:fs";
import { join } from "node:path";
import type { Line } from "../support.ts";

/** How long it takes until a change is in the database for good. */
export const saving = async (home: string, line: Line): Promise<void> => {
  chmodSync(home, 0o755);
  const postgres = await Postgres.start(databaseFolder(join(home, "postgres")));
  try {
    await prepareDatabase(postgres.url);
    const db = openDatabase(postgres.url);
    const log = new ProjectLog(db);
    const id = newId();
    await log.create(id, kelpwayKit());
    const times: number[] = [];
    for (let i = 0; i < 400; i++) {
      const begin = performance.now();
      const change = {
        label: "Move",
        ops: [set(["pieces", "alert-switch", "looks", "base", "changes", "knob", "x"], i)],
      };
      await log.append(id, {
        format: FORMAT,
        changeId: newId(),
        clientId: "bench",
        since: i,
        base: i,
        late: false,
        change,
      });
      if (i >= 100) times.push(performance.now() - begin);
    }
    times.sort((a, b) => a - b);
    const at = (part: number) => (times[Math.floor(times.length * part)] as number).toFixed(1);
    line(
      "saving: one change appended to PostgreSQL",
      `median ${at(0.5)} ms, 95 % under ${at(0.95)} ms`,
    );
    await db.close();
  } finally {
    await postgres.stop();
  }
};
