import { FORMAT, newId, set } from "../../../core/project/index.ts";
import type { Proposal } from "../../../core/project/index.ts";
import { kelpwayKit } from "../../../demo/index.ts";
import type { ProjectLog } from "../../../server/index.ts";
import { fetched, middle } from "./fetched.ts";
import { withHarbour } from "./served.ts";
import type { Line } from "../support.ts";

const LENGTHS = [1000, 10_000, 50_000];
const TOGETHER = 100;
const MOMENTS = 25;

const proposal = (seq: number): Proposal => ({
  format: FORMAT,
  changeId: newId(),
  clientId: `window-${Math.floor(seq / 400) % 7}`,
  since: seq,
  base: seq,
  late: false,
  change: {
    label: "Move Knob",
    ops: [set(["pieces", "alert-switch", "looks", "base", "changes", "knob", "x"], seq % 400)],
  },
});

/** Lengthens the log of a project to a number of changes. */
const lengthen = async (log: ProjectLog, id: string, to: number): Promise<void> => {
  for (let seq = (await log.head(id))?.seq ?? 0; seq < to; seq += TOGETHER)
    await Promise.all(
      Array.from({ length: TOGETHER }, (_, i) => log.append(id, proposal(seq + i))),
    );
  await log.settled();
};

/** How long a project, its history and any moment of it take to open, with longer and longer logs. */
export const history = (line: Line): Promise<void> =>
  withHarbour(async ({ log, serve }) => {
    const id = newId();
    await log.create(id, kelpwayKit());
    for (const length of LENGTHS) {
      await lengthen(log, id, length);
      // what it keeps in memory was never asked for
      const served = await serve(1);
      const project = `${served.address}/projects/${id}`;
      const { ms } = await fetched(`${project}/snapshot`);
      line(`history: a project of ${length} changes opened, first`, `${ms.toFixed(0)} ms`);
      const strip = await fetched(`${project}/history/sittings?before=2147483647`);
      line(`history: its newest sittings`, `${strip.ms.toFixed(0)} ms`);
      const times: number[] = [];
      for (let i = 0; i < MOMENTS; i++) {
        const seq = Math.floor((length * (i * 37 + 11)) / (MOMENTS * 37 + 11)) % length;
        times.push((await fetched(`${project}/at/${seq}/project`)).ms);
      }
      line(
        `history: a moment of ${length} opened`,
        `median ${middle(times)} ms, longest ${Math.max(...times).toFixed(0)} ms`,
      );
      await served.stop();
    }
  });
