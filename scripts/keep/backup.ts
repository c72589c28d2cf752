import { QueryTypes } from "sequelize";
import type { Sequelize } from "sequelize";
import { FORMAT } from "../../core/project/index.ts";
import { openDatabase } from "../../server/index.ts";
import { writeArchive } from "./archive.ts";
import type { Manifest } from "./archive.ts";

/** How much a database holds. */
export const countsOf = async (
  db: Sequelize,
): Promise<Pick<Manifest, "projects" | "changes" | "files">> => {
  const [row] = await db.query<Record<"projects" | "changes" | "files", string>>(
    `select (select count(*) from projects) as projects, (select count(*) from changes) as changes,
       (select count(*) from assets) as files`,
    { type: QueryTypes.SELECT },
  );
  return {
    projects: Number(row?.projects),
    changes: Number(row?.changes),
    files: Number(row?.files),
  };
};

/** Backs up all that is kept into a file; people may go on working meanwhile. */
export const backUp = async (url: string, file: string): Promise<Manifest> => {
  const db = openDatabase(url);
  try {
    return await writeArchive(url, file, {
      nubble: "backup",
      version: 1,
      format: FORMAT,
      madeAt: new Date().toISOString(),
      ...(await countsOf(db)),
    });
  } finally {
    await db.close();
  }
};
