import { chmodSync, existsSync } from "node:fs";
import { dirname, basename } from "node:path";
import type { Readable } from "node:stream";
import { createStream } from "rotating-file-stream";
import type { RotatingFileStream } from "rotating-file-stream";

const SIZE = "5M";
const KEPT = 5;
/** How long to wait before a file that could not be written is opened again, ms. */
const AGAIN = 5000;

/**
 * A log that never stops what it tells of: it is rotated by size, readable by its owner only, and
 * while it cannot be written (the disk is full) what it would have said is dropped.
 */
export class LogFile {
  private stream: RotatingFileStream | null = null;
  private brokenAt = -AGAIN;

  constructor(
    readonly path: string,
    private readonly onTrouble: (reason: string) => void = () => undefined,
  ) {}

  /** Writes down what a stream says, for as long as it says something. */
  follow(source: Readable | null): void {
    source?.on("data", (chunk: Buffer) => this.write(chunk));
  }

  write(chunk: Buffer | string): void {
    this.open()?.write(chunk);
  }

  close(): Promise<void> {
    const { stream } = this;
    this.stream = null;
    return new Promise((resolve) => {
      if (stream) stream.end(resolve);
      else resolve();
    });
  }

  private open(): RotatingFileStream | null {
    if (this.stream || performance.now() - this.brokenAt < AGAIN) return this.stream;
    if (existsSync(this.path)) chmodSync(this.path, 0o600);
    const stream = createStream(basename(this.path), {
      path: dirname(this.path),
      size: SIZE,
      rotate: KEPT,
      mode: 0o600,
    });
    stream.on("error", (error) => {
      this.brokenAt = performance.now();
      this.stream = null;
      this.onTrouble(error.message);
    });
    this.stream = stream;
    return stream;
  }
}
