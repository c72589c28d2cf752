import { accessSync, chmodSync, constants, mkdtempSync, statfsSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const MEMORY = "/dev/shm";
/** Of memory so much must be free for folders that are thrown away, bytes. */
const ROOM = 3 * 2 ** 30;

const hasRoom = (folder: string): boolean => {
  try {
    accessSync(folder, constants.W_OK);
    const { bavail, bsize } = statfsSync(folder);
    return bavail * bsize >= ROOM;
  } catch {
    return false;
  }
};

/**
 * Makes a folder for what is thrown away again; everybody can look into it, as the user of
 * PostgreSQL must. It is in memory where there is room: a disk that many share can hold writers up
 * for minutes, which would be taken for a fault of what is tried.
 */
export const makeScratch = (name: string): string => {
  const folder = mkdtempSync(join(hasRoom(MEMORY) ? MEMORY : tmpdir(), `nubble-${name}-`));
  chmodSync(folder, 0o755);
  return folder;
};
