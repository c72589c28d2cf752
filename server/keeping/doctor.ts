import { createHash } from "node:crypto";
import { QueryTypes } from "sequelize";
import type { Sequelize } from "sequelize";
import { apply, readProject, same, upgrade } from "#core/project";
import type { Project } from "#core/project";
import { AssetRow, EditionContentRow, ProjectRow, SnapshotRow } from "../database";
import { allOf } from "../log/changes";
import { readKept, writeSnapshot } from "../log/snapshots";

/** What is wrong with what is kept, and whether it can be mended without losing anything. */
export interface Ailment {
  /** the project; null where it is of all */
  readonly project: string | null;
  readonly kind: "gap" | "number" | "snapshot" | "invalid" | "unreadable" | "asset" | "edition";
  readonly text: string;
  /** how it is mended; null where nothing can be done but restoring a backup */
  readonly mend: (() => Promise<void>) | null;
}

const sha256 = (bytes: Buffer | string): string => createHash("sha256").update(bytes).digest("hex");

/** Where a log ends, or the first gap in it begins. */
interface End {
  readonly seq: number;
  readonly isWhole: boolean;
  readonly project: Project;
}

/** What is wrong with one project's log. */
class Examination {
  readonly found: Ailment[] = [];

  constructor(
    private readonly db: Sequelize,
    private readonly row: ProjectRow,
  ) {}

  private note(kind: Ailment["kind"], text: string, mend: Ailment["mend"] = null): void {
    this.found.push({ project: this.row.id, kind, text, mend });
  }

  /** Looks through log and snapshots; gives the files the project needs. */
  async run(): Promise<ReadonlySet<string>> {
    const { id } = this.row;
    const snapshots = await SnapshotRow.findAll({
      where: { projectId: id },
      attributes: ["seq"],
      order: [["seq", "ASC"]],
    });
    const start = await this.firstSound(snapshots.map(({ seq }) => seq));
    if (!start) {
      this.note("unreadable", "none of its snapshots is what was written");
      return new Set();
    }
    const files = new Set<string>();
    const end = await this.replay(
      start.project,
      start.seq,
      new Set(snapshots.map(({ seq }) => seq)),
      files,
    );
    this.compareNumber(end);
    const read = readProject(end.project);
    if (!read.ok) this.note("invalid", `its present state is not valid: ${read.error}`);
    return files;
  }

  private async firstSound(
    seqs: readonly number[],
  ): Promise<{ readonly seq: number; readonly project: Project } | null> {
    for (const seq of seqs) {
      const project = await readKept(this.row.id, seq);
      if (project) return { seq, project };
      // a later one is made again from the log; with the first one the beginning is lost
      if (seq === seqs[0])
        this.note("snapshot", "its first snapshot is damaged: its earliest history is lost");
    }
    return null;
  }

  /** A log that is longer than its project says is whole; of a shorter one the end is lost. */
  private compareNumber({ seq, isWhole }: End): void {
    const { row } = this;
    if (!isWhole || seq === row.seq) return;
    if (seq < row.seq) {
      this.note("gap", `changes ${seq + 1} to ${row.seq} are missing from its log`);
      return;
    }
    this.note("number", `it says ${row.seq} changes, and its log has ${seq}`, async () => {
      await row.update({ seq }, { silent: true });
    });
  }

  /** Goes through the log from its beginning, and compares every snapshot on the way. */
  private async replay(
    start: Project,
    from: number,
    snapshots: ReadonlySet<number>,
    files: Set<string>,
  ): Promise<End> {
    let isWhole = true;
    let project = start;
    let seq = from;
    noteFiles(project, files);
    const range = { projectId: this.row.id, after: from, upTo: 2_147_483_647 };
    for await (const { change } of allOf(this.db, range)) {
      if (change.seq !== seq + 1) {
        this.note("gap", `changes ${seq + 1} to ${change.seq - 1} are missing from its log`);
        isWhole = false;
        break;
      }
      project = apply(project, change.ops).doc;
      ({ seq } = change);
      if (!snapshots.has(seq)) continue;
      noteFiles(project, files);
      await this.compare(seq, upgrade(project));
    }
    noteFiles(project, files);
    return { seq, isWhole, project: upgrade(project) };
  }

  private async compare(seq: number, project: Project): Promise<void> {
    const kept = await readKept(this.row.id, seq);
    if (kept && same(kept, project)) return;
    const what = kept ? "is not what its log comes to" : "is damaged";
    this.note("snapshot", `its snapshot after change ${seq} ${what}`, () =>
      writeSnapshot(this.row.id, seq, project),
    );
  }
}

const noteFiles = ({ assets }: Project, files: Set<string>): void => {
  for (const asset of Object.values(assets)) if (asset.kind !== "icon") files.add(asset.hash);
};

/** Files that are missing, or not what they were kept as. */
const examineFiles = async (needed: ReadonlyMap<string, string>): Promise<Ailment[]> => {
  const found: Ailment[] = [];
  const rows = await AssetRow.findAll({ attributes: ["hash"] });
  const there = new Set(rows.map(({ hash }) => hash));
  for (const [hash, project] of needed)
    if (!there.has(hash))
      found.push({ project, kind: "asset", text: `the file ${hash} is missing`, mend: null });
  for (const hash of there) {
    const row = await AssetRow.findByPk(hash);
    if (row && sha256(row.bytes) !== hash)
      found.push({
        project: needed.get(hash) ?? null,
        kind: "asset",
        text: `the file ${hash} is not what it was kept as`,
        mend: null,
      });
  }
  return found;
};

const examineEditions = async (db: Sequelize): Promise<Ailment[]> => {
  const found: Ailment[] = [];
  const rows = await db.query<{ system: string; number: string; hash: string }>(
    "select system, number, hash from editions order by system, number",
    { type: QueryTypes.SELECT },
  );
  for (const { system, number, hash } of rows) {
    const content = await EditionContentRow.findByPk(hash);
    if (content && sha256(content.body) === hash) continue;
    const text = `what its edition ${number} holds is ${content ? "damaged" : "missing"}`;
    found.push({ project: system, kind: "edition", text, mend: null });
  }
  return found;
};

/**
 * Looks through all that is kept: that logs have no gaps, that snapshots are what logs come to, that
 * files and editions are there and are what their digests say. `tell` hears how far it is.
 */
export const examine = async (
  db: Sequelize,
  tell: (done: number, of: number) => void = () => undefined,
): Promise<readonly Ailment[]> => {
  const rows = await ProjectRow.findAll({ order: [["id", "ASC"]] });
  const found: Ailment[] = [];
  const files = new Map<string, string>();
  for (const [i, row] of rows.entries()) {
    tell(i, rows.length);
    const examination = new Examination(db, row);
    for (const hash of await examination.run()) files.set(hash, row.id);
    found.push(...examination.found);
  }
  tell(rows.length, rows.length);
  return [...found, ...(await examineFiles(files)), ...(await examineEditions(db))];
};
