import { QueryTypes } from "sequelize";
import { openDatabase, ProjectLog } from "../../server/index.ts";
import type { Op, Project } from "../../core/project/index.ts";
import type { Reader, Writer } from "./clients.ts";
import { placeOf } from "./clients.ts";

interface Row {
  readonly seq: number;
  readonly change_id: string;
  readonly ops: Op[];
}

export interface Audit {
  readonly acknowledged: number;
  readonly logged: number;
  readonly lost: readonly string[];
  readonly doubled: readonly string[];
  readonly gaps: readonly string[];
  readonly wrong: readonly string[];
}

/** Everything that is not as it should be, in words. */
export const faultsOf = ({ lost, doubled, gaps, wrong }: Audit): string[] => [
  ...lost,
  ...doubled,
  ...gaps,
  ...wrong,
];

/** Changes that were acknowledged and are not in the log as they were sent. */
const lostOf = (writers: readonly Writer[], rows: readonly Row[]): string[] => {
  const bySeq = new Map(rows.map((row) => [row.seq, row]));
  return writers
    .flatMap((writer) => writer.acknowledged)
    .flatMap(({ seq, changeId, value }) => {
      const row = bySeq.get(seq);
      const op = row?.ops[0];
      const isThere = row?.change_id === changeId && op?.op === "set" && op.value === value;
      return isThere ? [] : [`change ${seq} (${value})`];
    });
};

/** Changes that are in the log twice, or were heard twice. */
const doubledOf = (readers: readonly Reader[], rows: readonly Row[]): string[] => {
  const values = rows.map((row) => JSON.stringify(row.ops));
  const inLog = values.length - new Set(values).size;
  const heard = readers.flatMap((reader, i) =>
    reader.heard.flatMap((seq, n) =>
      n > 0 && seq <= (reader.heard[n - 1] ?? 0) ? [`reader ${i} at ${n + 1}: ${seq}`] : [],
    ),
  );
  return [...(inLog > 0 ? [`${inLog} in the log`] : []), ...heard];
};

/** Numbers that are missing in the log, or were not heard. */
const gapsOf = (readers: readonly Reader[], rows: readonly Row[]): string[] => {
  const inLog = rows.flatMap((row, i) =>
    row.seq === i + 1 ? [] : [`log at ${i + 1}: ${row.seq}`],
  );
  const heard = readers.flatMap(({ heard }, i) => [
    ...heard.flatMap((seq, n) =>
      seq > n + 1 && heard[n - 1] !== seq - 1 ? [`reader ${i} at ${n + 1}: ${seq}`] : [],
    ),
    ...(heard.length === rows.length
      ? []
      : [`reader ${i} heard ${heard.length} of ${rows.length}`]),
  ]);
  return [...inLog, ...heard].slice(0, 20);
};

/** Clients whose place in the project does not hold what they saved last, and what was refused. */
const wrongOf = (writers: readonly Writer[], project: Project | undefined): string[] =>
  writers.flatMap((writer) => {
    const [, id = ""] = placeOf(writer.client);
    const last = writer.acknowledged.at(-1)?.value;
    const now = project?.tokens[id]?.name;
    const isOther = last !== undefined && now !== last;
    return [...(isOther ? [`${writer.client} is ${now}, not ${last}`] : []), ...writer.refused];
  });

/** Compares what was acknowledged and heard with what the database has in the end. */
export const audit = async (
  url: string,
  projectId: string,
  writers: readonly Writer[],
  readers: readonly Reader[],
): Promise<Audit> => {
  const db = openDatabase(url);
  try {
    const rows = await db.query<Row>(
      "select seq, change_id, ops from changes where project_id = :projectId order by seq",
      { replacements: { projectId }, type: QueryTypes.SELECT },
    );
    const state = await new ProjectLog(db).read(projectId);
    return {
      acknowledged: writers.reduce((sum, writer) => sum + writer.acknowledged.length, 0),
      logged: rows.length,
      lost: lostOf(writers, rows),
      doubled: doubledOf(readers, rows),
      gaps: gapsOf(readers, rows),
      wrong: wrongOf(writers, state?.project),
    };
  } finally {
    await db.close();
  }
};
