import { FORMAT } from "../../core/project/index.ts";
import { alone, migrate, openDatabase } from "../../server/index.ts";
import { restoreDump, withArchive } from "./archive.ts";
import type { Manifest } from "./archive.ts";
import { backUp, countsOf } from "./backup.ts";

/** What is there, for somebody who is about to replace it. */
const holdingOf = async (url: string): Promise<number> => {
  const db = openDatabase(url);
  try {
    // a database nobody has used has no tables
    return (await countsOf(db).catch(() => ({ projects: 0 }))).projects;
  } finally {
    await db.close();
  }
};

/**
 * Puts what a backup holds in the place of all that is kept. What is there is backed up into
 * `before` first. Throws a sentence where it cannot be done; nothing was changed then.
 */
export const restore = (
  url: string,
  file: string,
  { replaces, before }: { readonly replaces: boolean; readonly before: string },
): Promise<Manifest> =>
  withArchive(file, async (manifest, dump) => {
    if (manifest.format > FORMAT)
      throw new Error(
        `${file} was made by a newer Nubble (format ${manifest.format}; this one reads up to ${FORMAT}). Update Nubble first`,
      );
    const holding = await holdingOf(url);
    if (holding > 0 && !replaces)
      throw new Error(
        `there are ${holding} projects here already. To replace them, add --replace; they are backed up before`,
      );
    if (holding > 0) await backUp(url, before);
    await restoreDump(url, dump);
    const db = openDatabase(url);
    try {
      await alone(db, () => migrate(db));
    } finally {
      await db.close();
    }
    return manifest;
  });
