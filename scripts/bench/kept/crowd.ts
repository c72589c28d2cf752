import { spawn } from "node:child_process";
import { readFileSync } from "node:fs";
import { setTimeout as sleep } from "node:timers/promises";
import { FORMAT, newId } from "../../../core/project/index.ts";
import { kelpwayKit } from "../../../demo/index.ts";
import type { ProjectLog } from "../../../server/index.ts";
import type { LoadResult } from "../../load/index.ts";
import { childrenOf } from "../../run/processes.ts";
import { root } from "../../serve.ts";
import type { Served } from "../../serve.ts";
import { withHarbour } from "./served.ts";
import type { Line } from "../support.ts";

/** Streams whose memory is measured. */
const STREAMS = 200;
const CROWDS = [1, 12, 50, 200];
const PROCESSES = [1, 2];
const WARM_MS = 2000;
const MEASURED_MS = 6000;

const load = (asked: object): Promise<LoadResult> =>
  new Promise((resolve, reject) => {
    const child = spawn("npx", ["tsx", "scripts/load/index.ts", JSON.stringify(asked)], {
      cwd: root,
      stdio: ["ignore", "pipe", "inherit"],
    });
    let said = "";
    child.stdout.on("data", (part: Buffer) => (said += part.toString()));
    child.on("error", reject);
    child.on("close", () => resolve(JSON.parse(said) as LoadResult));
  });

const percentile = (times: readonly number[], share: number): string =>
  (times[Math.floor(times.length * share)] ?? NaN).toFixed(0);

const tell = (line: Line, name: string, result: LoadResult): void => {
  const { saves, seconds, times, share, gaps, complete, failures } = result;
  const rate = (saves / seconds).toFixed(0);
  const [half, most] = [percentile(times, 0.5), percentile(times, 0.95)];
  line(
    name,
    `${rate} saves/s, median ${half} ms, 95 % under ${most} ms; client ${(share * 100).toFixed(0)} % of a processor; ${gaps} gaps, ${complete} streams complete, ${failures} failures`,
  );
};

/** Memory that processes hold, bytes. */
const residentOf = (pids: readonly number[]): number =>
  pids
    .map((pid) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))?.[1]))
    .reduce((sum, kb) => sum + kb * 1024, 0);

/** What a stream that nothing comes through costs in memory. */
const weigh = async (
  line: Line,
  log: ProjectLog,
  { address, child }: Served,
  processes: number,
): Promise<void> => {
  const pid = child.pid ?? 0;
  const memory = () => residentOf([pid, ...childrenOf(pid)]);
  const project = newId();
  await log.create(project, kelpwayKit());
  const before = memory();
  const gone = new AbortController();
  for (let i = 0; i < STREAMS; i++)
    await fetch(`${address}/live?watch=${project}:0`, { signal: gone.signal });
  await sleep(1000);
  const each = (memory() - before) / STREAMS;
  line(
    `streams: memory of one among ${STREAMS}, ${processes} processes`,
    `${(each / 1000).toFixed(0)} kB; ${(before / 1e6).toFixed(0)} MB without them`,
  );
  gone.abort();
};

/** How many changes of one project a second are saved, with more and more editors. */
export const crowd = (line: Line): Promise<void> =>
  withHarbour(async ({ log, serve }) => {
    for (const processes of PROCESSES) {
      const served = await serve(processes);
      for (const editors of CROWDS) {
        const project = newId();
        await log.create(project, kelpwayKit());
        const result = await load({
          address: served.address,
          project,
          format: FORMAT,
          path: ["pieces", "alert-switch", "looks", "base", "changes", "knob"],
          from: 0,
          editors,
          warm: WARM_MS,
          measured: MEASURED_MS,
        });
        tell(line, `saves: ${editors} editors, ${processes} processes`, result);
      }
      await weigh(line, log, served, processes);
      await served.stop();
    }
  });
