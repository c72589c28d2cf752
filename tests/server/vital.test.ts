import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, inject, it, vi } from "vitest";
import { FORMAT, newId, set } from "#core/project";
import { startHarbour } from "../support/servers/harbour";
import type { Harbour } from "../support/servers/harbour";

let home: string;
let harbour: Harbour;
beforeAll(async () => {
  home = mkdtempSync(join(tmpdir(), "nubble-vital-"));
  harbour = await startHarbour(home, inject("build"), 2);
});
afterAll(async () => {
  await harbour.stop();
  rmSync(home, { recursive: true, force: true });
});

const address = (): string => harbour.served.address;
/** Each time over a connection of its own, so that it may be answered by any process. */
const ask = (path: string, more: RequestInit = {}): Promise<Response> =>
  fetch(`${address()}${path}`, { ...more, headers: { ...more.headers, Connection: "close" } });

const SECRET = "Smuggler's landing";
const save = (i: number): Promise<Response> =>
  ask("/projects/kelpway-kit/changes", {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify({
      format: FORMAT,
      changeId: newId(),
      clientId: "window",
      since: i,
      base: i,
      late: false,
      change: { label: SECRET, ops: [set(["name"], `${SECRET} ${i}`)] },
    }),
  });

/** The sum of a figure over all its labels that fit. */
const figure = (text: string, name: string): number =>
  text
    .split("\n")
    .filter((line) => line.startsWith(name))
    .reduce((sum, line) => sum + Number(line.split(" ").at(-1)), 0);

describe("a server", () => {
  it("tells the figures of all its processes, whichever is asked", async () => {
    const before = figure(await (await ask("/metrics")).text(), "nubble_saves_total");
    for (let i = 0; i < 10; i++) expect((await save(i)).status).toBe(200);
    // how long an answer took is counted once all of it is sent, which is after it was read here
    const durations = 'nubble_http_request_duration_seconds_count{method="POST",what="save"';
    await vi.waitFor(async () => {
      const text = await (await ask("/metrics")).text();
      expect(figure(text, durations)).toBeGreaterThanOrEqual(before + 10);
    });
    for (let i = 0; i < 4; i++) {
      const answer = await ask("/metrics");
      expect(answer.headers.get("content-type")).toContain("text/plain");
      const text = await answer.text();
      expect(figure(text, 'nubble_saves_total{result="kept"')).toBe(before + 10);
      expect(figure(text, "nubble_save_batch_changes_sum")).toBe(before + 10);
      expect(figure(text, durations)).toBeGreaterThanOrEqual(before + 10);
      expect(text).toContain("process_cpu_seconds_total");
    }
  });

  it("logs lines of JSON with what was asked and how it was answered, and nothing that people wrote", async () => {
    await ask("/shown/kelpway-kit/some-key-that-opens");
    await ask("/projects/kelpway-kit/changes", {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: `{"change": "${SECRET}"`,
    });
    // no page takes that: such are told to the log by the router
    const refused = await ask("/bin.data", { method: "POST", body: SECRET });
    expect(refused.status).toBe(405);
    const log = () => readFileSync(join(home, "server.log"), "utf8").trim().split("\n");
    const lines = await vi.waitFor(() => {
      expect(log().filter((line) => line.includes("/projects/kelpway-kit/changes"))).toHaveLength(
        11,
      );
      expect(log().some((line) => line.includes("/bin.data"))).toBe(true);
      return log();
    });
    const told = lines.map((line) => JSON.parse(line) as { level: number });
    expect(told.map(({ level }) => level).filter((level) => level >= 50)).toEqual([]);
    const all = lines.join();
    expect(all).not.toContain(SECRET);
    expect(all).not.toContain("some-key-that-opens");
  });

  it("is ready while its database answers, and healthy without it", async () => {
    for (const path of ["/health", "/ready"]) expect((await ask(path)).status).toBe(200);
    // asked by whatever keeps it running, under any name
    const strange = await ask("/ready", { headers: { Host: "balancer.example" } });
    expect(strange.status).toBe(200);
    await harbour.postgres.stop();
    expect((await ask("/ready")).status).toBe(503);
    expect((await ask("/health")).status).toBe(200);
    await harbour.postgres.restart();
    let status = 0;
    for (let i = 0; i < 100 && status !== 200; i++) ({ status } = await ask("/ready"));
    expect(status).toBe(200);
  });

  it("answers what it was asked before it stops", async () => {
    const answers = Array.from({ length: 8 }, () => ask("/projects/kelpway-kit"));
    // they are on their way
    await Promise.race(answers);
    const [, ...others] = await Promise.all([harbour.served.stop(), ...answers]);
    expect(others.map((answer) => answer.status)).toEqual(answers.map(() => 200));
    await harbour.serveAgain();
  });
});
