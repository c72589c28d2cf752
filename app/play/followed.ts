import { z } from "zod";
import { apply, isNewer, upgradeChange } from "#core/project";
import type { LoggedChange, Project } from "#core/project";
import { missingEditions, worldOf } from "#core/world";
import type { Editions } from "#core/world";
import { Watched } from "../ui/watched";

/** What the stream of changes says; the steps themselves were judged by the server. */
const message = z.object({
  change: z.looseObject({ seq: z.int(), ops: z.array(z.unknown()) }),
});

/** A project as others edit it, for those who only look. */
export class Followed extends Watched {
  #project: Project;
  #seq: number;
  #editions: Editions;

  constructor(project: Project, seq: number, editions: Editions = new Map()) {
    super();
    this.#project = project;
    this.#seq = seq;
    this.#editions = editions;
  }

  readonly read = (): Project => worldOf(this.#project, this.#editions);

  /** Begins again with what has been read anew. */
  start(project: Project, seq: number, editions = this.#editions): void {
    if (seq < this.#seq || (seq === this.#seq && editions === this.#editions)) return;
    this.#seq = seq;
    this.#project = project;
    this.#editions = editions;
    this.changed();
  }

  /**
   * Takes changes from a stream until what it returns is called; `onBehind` is called when they
   * cannot be followed one by one.
   */
  listen(address: string, onBehind: () => void): () => void {
    const stream = new EventSource(`${address}?after=${this.#seq}`);
    stream.addEventListener("change", ({ data }: MessageEvent<string>) => {
      const read = message.safeParse(JSON.parse(data));
      // the server has judged its steps before it kept it
      if (!read.success || !this.take(read.data.change as unknown as LoggedChange)) onBehind();
    });
    stream.addEventListener("reload", onBehind);
    stream.addEventListener("replaced", () => {
      // its numbers begin anew
      this.#seq = -1;
      onBehind();
    });
    return () => stream.close();
  }

  /**
   * Takes the next change; false when some are missing before it, or the edition of a system that
   * it adopts.
   */
  take(written: LoggedChange): boolean {
    if (isNewer(written.format)) return false;
    const change = upgradeChange(written, written.format);
    if (change.seq <= this.#seq) return true;
    if (change.seq > this.#seq + 1) return false;
    this.#seq = change.seq;
    const lacking = new Set(missingEditions(this.#project, this.#editions));
    this.#project = apply(this.#project, change.ops).doc;
    this.changed();
    return missingEditions(this.#project, this.#editions).every((hash) => lacking.has(hash));
  }
}
