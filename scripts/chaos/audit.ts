import { QueryTypes } from "sequelize";
import { openDatabase, ProjectLog } from "../../server/index.ts";
import type { Op } from "../../core/project/index.ts";
import type { Reader, Writer } from "./clients.ts";
import { placeOf } from "./clients.ts";

interface Row { readonly seq: number; readonly change_id: string; readonly ops: Op[] }

export interface Audit {
  readonly acknowledged: number;
  readonly logged: number;
  readonly lost: string[];
  readonly doubled: string[];
  readonly gaps: string[];
  readonly wrong: string[];
}

/** Compares what was acknowledged and heard with what the database has in the end. */
export const audit = async (url: string, projectId: string, writers: readonly Writer[], readers: readonly Reader[]): Promise<Audit> => {
  const db = openDatabase(url);
  try {
    const rows = await db.query<Row>("select seq, change_id, ops from changes where project_id = :projectId order by seq", { replacements: { projectId }, type: QueryTypes.SELECT });
    const bySeq = new Map(rows.map((row) => [row.seq, row]));
    const lost: string[] = [];
    const doubled: string[] = [];
    const gaps: string[] = [];
    const wrong: string[] = [];
    for (const { acknowledged } of writers) for (const { seq, changeId, value } of acknowledged) {
      const row = bySeq.get(seq);
      const op = row?.ops[0];
      if (row?.change_id !== changeId || op?.op !== "set" || op.value !== value) lost.push(`change ${seq} (${value})`);
    }
    rows.forEach((row, i) => { if (row.seq !== i + 1) gaps.push(`log at ${i + 1}: ${row.seq}`); });
    const values = rows.map((row) => JSON.stringify(row.ops));
    if (new Set(values).size !== values.length) doubled.push(`${values.length - new Set(values).size} in the log`);
    for (const [i, { heard }] of readers.entries()) {
      heard.forEach((seq, n) => {
        if (seq > n + 1 && heard[n - 1] !== seq - 1) gaps.push(`reader ${i} at ${n + 1}: ${seq}`);
        if (n > 0 && seq <= (heard[n - 1] ?? 0)) doubled.push(`reader ${i} at ${n + 1}: ${seq}`);
      });
      if (heard.length !== rows.length) gaps.push(`reader ${i} heard ${heard.length} of ${rows.length}`);
    }
    const state = await new ProjectLog(db).read(projectId);
    for (const writer of writers) {
      const [, id = ""] = placeOf(writer.client);
      const last = writer.acknowledged.at(-1)?.value;
      if (last !== undefined && state?.project.tokens[id]?.name !== last) wrong.push(`${writer.client} is ${state?.project.tokens[id]?.name}, not ${last}`);
      for (const reason of writer.refused) wrong.push(reason);
    }
    return { acknowledged: writers.reduce((n, w) => n + w.acknowledged.length, 0), logged: rows.length, lost, doubled, gaps: gaps.slice(0, 20), wrong };
  } finally {
    await db.close();
  }
};
