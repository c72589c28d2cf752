import { execFileSync, spawnSync } from "node:child_process";
import { closeSync, mkdirSync, openSync, rmSync, writeSync } from "node:fs";
import { join } from "node:path";

/**
 * A small disk of its own for the data, which can be filled to the last byte. Only root can make
 * one.
 */
export class SmallDisk {
  private constructor(readonly folder: string) {}

  /** Null where this user may not mount anything. */
  static make(folder: string, megabytes: number): SmallDisk | null {
    mkdirSync(folder, { recursive: true });
    const made = spawnSync("mount", [
      "-t",
      "tmpfs",
      "-o",
      `size=${megabytes}m,mode=0755`,
      "tmpfs",
      folder,
    ]);
    return made.status === 0 ? new SmallDisk(folder) : null;
  }

  private get ballast(): string {
    return join(this.folder, "ballast");
  }

  fill(): void {
    const file = openSync(this.ballast, "w");
    const block = Buffer.alloc(1 << 20);
    try {
      for (;;) writeSync(file, block);
    } catch {
      /* it is full */
    } finally {
      closeSync(file);
    }
  }

  free(): void {
    rmSync(this.ballast, { force: true });
  }

  remove(): void {
    execFileSync("umount", ["-l", this.folder]);
  }
}
