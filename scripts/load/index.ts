// Many editors of one project in one plain process: what the server is measured with.
import { setTimeout as sleep } from "node:timers/promises";
import { z } from "zod";
import { Editor, Reader } from "./editor.ts";

const asked = z.object({
  address: z.string(),
  project: z.string(),
  format: z.int(),
  path: z.array(z.string()),
  /** number of the newest change */
  from: z.int(),
  editors: z.int(),
  /** ms that are not counted, and ms that are */
  warm: z.int(),
  measured: z.int(),
});

/** What it tells, as JSON. */
export interface LoadResult {
  readonly saves: number;
  readonly seconds: number;
  /** times of saves, ms, the shortest first */
  readonly times: readonly number[];
  readonly failures: number;
  /** events that streams had, and places where one was missing or came twice */
  readonly heard: number;
  readonly gaps: number;
  /** streams that had everything in the end */
  readonly complete: number;
  /** share of one processor that this process took */
  readonly share: number;
}

const { address, project, format, path, from, editors, warm, measured } = asked.parse(
  JSON.parse(process.argv[2] ?? "{}"),
);
const readers = Array.from({ length: editors }, () => new Reader(address, project, from));
await Promise.all(readers.map((reader) => reader.open()));
const all = readers.map((reader) => new Editor({ address, project, format, path }, reader));
const working = all.map((editor) => editor.run());
await sleep(warm);
const before = all.map((editor) => editor.times.length);
const cpu = process.cpuUsage();
const began = performance.now();
await sleep(measured);
const seconds = (performance.now() - began) / 1000;
const times = all.flatMap((editor, i) => editor.times.slice(before[i]));
const used = process.cpuUsage(cpu);
for (const editor of all) editor.stop();
await Promise.all(working);
const last = Math.max(from, ...all.flatMap((editor) => editor.kept));
const end = performance.now() + 10_000;
while (readers.some((reader) => reader.seq < last) && performance.now() < end) await sleep(50);
for (const reader of readers) reader.close();
const sum = (of: (at: Reader) => number): number => readers.reduce((n, one) => n + of(one), 0);
const result: LoadResult = {
  saves: times.length,
  seconds,
  times: times.sort((a, b) => a - b),
  failures: all.reduce((n, editor) => n + editor.failures, 0),
  heard: sum((reader) => reader.heard),
  gaps: sum((reader) => reader.gaps),
  complete: readers.filter((reader) => reader.seq >= last).length,
  share: (used.user + used.system) / 1e6 / seconds,
};
console.log(JSON.stringify(result));
process.exit(0);
