import { openDB } from "idb";
import type { DBSchema, IDBPDatabase } from "idb";
import type { Batch, Shelf } from "../keeper";
import { asideSchema, unsavedSchema } from "../pending";
import type { Aside, Unsaved } from "../pending";

/** A change as this browser keeps it: of which project, and which window answers for it. */
interface Shelved {
  readonly projectId: string;
  readonly holder: string;
}

interface Layout extends DBSchema {
  queue: { key: string; value: Unsaved & Shelved; indexes: { project: string } };
  aside: { key: string; value: Aside & Shelved; indexes: { project: string } };
}

const NAME = "nubble";
const VERSION = 1;

const open = (onClosed: () => void): Promise<IDBPDatabase<Layout>> =>
  openDB<Layout>(NAME, VERSION, {
    upgrade: (db) => {
      for (const store of ["queue", "aside"] as const)
        db.createObjectStore(store, { keyPath: "changeId" }).createIndex("project", "projectId");
    },
    // a newer Nubble in another window wants to change the layout: it shall not have to wait for
    // this one
    blocking: (_current, _blocked, event) => (event.target as IDBDatabase).close(),
    terminated: onClosed,
  });

/**
 * Keeps unsaved changes of one project in IndexedDB. A write is one transaction of strict
 * durability: it resolves when the disk has it (Indexed Database API 3.0, §2.7.4), and begins
 * before `write` returns once the database is open.
 */
export class BrowserShelf implements Shelf {
  private db: IDBPDatabase<Layout> | null = null;
  private opening: Promise<IDBPDatabase<Layout>> | null = null;

  constructor(
    private readonly projectId: string,
    private readonly holder: string,
  ) {}

  /**
   * Opens the database, so that later writes begin at once; rejects when this browser keeps
   * nothing.
   */
  async ready(): Promise<void> {
    await this.database();
  }

  async write(batch: Batch): Promise<void> {
    const db = this.db ?? (await this.database());
    const transaction = db.transaction(["queue", "aside"], "readwrite", { durability: "strict" });
    const shelved = { projectId: this.projectId, holder: this.holder };
    const queue = transaction.objectStore("queue");
    const aside = transaction.objectStore("aside");
    const asked: Promise<unknown>[] = [transaction.done];
    for (const [id, item] of batch.queue)
      asked.push(item ? queue.put({ ...item, ...shelved }) : queue.delete(id));
    for (const [id, item] of batch.aside)
      asked.push(item ? aside.put({ ...item, ...shelved }) : aside.delete(id));
    await Promise.all(asked);
  }

  /** Windows that hold unsaved changes of this project, other than this one. */
  async holders(): Promise<string[]> {
    const db = await this.database();
    const all = await db.getAllFromIndex("queue", "project", this.projectId);
    return [...new Set(all.map((item) => item.holder))].filter((holder) => holder !== this.holder);
  }

  /**
   * Makes this window answer for what a closed one left behind, and gives it. What cannot be read
   * is left where it is.
   */
  async takeOver(holder: string): Promise<Unsaved[]> {
    const db = await this.database();
    const transaction = db.transaction("queue", "readwrite", { durability: "strict" });
    const all = await transaction.store.index("project").getAll(this.projectId);
    const left: Unsaved[] = [];
    for (const item of all.filter((i) => i.holder === holder)) {
      const parsed = unsavedSchema.safeParse(item);
      if (!parsed.success) continue;
      left.push(parsed.data);
      await transaction.store.put({ ...item, holder: this.holder });
    }
    await transaction.done;
    return left;
  }

  /** Takes in what an older Nubble kept elsewhere. */
  async bring(holder: string, items: readonly Unsaved[]): Promise<void> {
    const db = await this.database();
    const transaction = db.transaction("queue", "readwrite", { durability: "strict" });
    for (const item of items)
      void transaction.store.put({ ...item, projectId: this.projectId, holder });
    await transaction.done;
  }

  /** Changes of this project that were set aside, in any window. */
  async asides(): Promise<Aside[]> {
    const db = await this.database();
    const all = await db.getAllFromIndex("aside", "project", this.projectId);
    return all.flatMap((item) => {
      const parsed = asideSchema.safeParse(item);
      return parsed.success ? [parsed.data] : [];
    });
  }

  private async database(): Promise<IDBPDatabase<Layout>> {
    this.opening ??= open(() => this.forget());
    try {
      this.db = await this.opening;
      return this.db;
    } catch (error) {
      this.forget();
      throw error;
    }
  }

  private forget(): void {
    this.db = null;
    this.opening = null;
  }
}
