import type { Project } from "#core/project";
import { logger } from "../logger";
import { writeSnapshot } from "./snapshots";

/** A snapshot is written after this many changes. */
const SNAPSHOT_EVERY = 50;

interface Point {
  readonly seq: number;
  readonly project: Project;
}

/** Writes snapshots behind what is saved: a log is sound without them, only longer to read. */
export class Snapshots {
  private readonly waiting = new Map<string, Point>();
  private writing: Promise<void> | null = null;

  /** A project went on from change `from`; every so often it is kept as it is then. */
  passed(id: string, from: number, point: Point): void {
    if (Math.floor(from / SNAPSHOT_EVERY) === Math.floor(point.seq / SNAPSHOT_EVERY)) return;
    this.waiting.set(id, point);
    this.writing ??= this.writeAll().finally(() => {
      this.writing = null;
    });
  }

  /** Resolves once all is written. */
  async settled(): Promise<void> {
    await this.writing;
  }

  private async writeAll(): Promise<void> {
    for (let next = this.take(); next; next = this.take()) {
      const [id, { seq, project }] = next;
      await writeSnapshot(id, seq, project).catch((error: unknown) =>
        logger.error({ project: id, seq, error }, "a snapshot could not be written"),
      );
    }
  }

  private take(): [string, Point] | undefined {
    const next = this.waiting.entries().next().value;
    if (next) this.waiting.delete(next[0]);
    return next;
  }
}
