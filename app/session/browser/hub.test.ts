import { beforeEach, describe, expect, it } from "vitest";
import { Hub } from "../../../workers/hub";
import type { FromHub, Port, StreamEvents, Watched } from "../../../workers/hub";
import { Clock } from "../../../tests/support/world";

/** A server's end of streams: which are open, and for what. */
class Wire {
  open: { watched: readonly Watched[]; events: StreamEvents }[] = [];
  opened = 0;
  away = false;
  /** whether nothing is said to who connects */
  silent = false;

  connect = (watched: readonly Watched[], events: StreamEvents): (() => void) => {
    const stream = { watched, events };
    this.open.push(stream);
    this.opened++;
    if (this.away) events.failed();
    else if (!this.silent) events.opened();
    return () => {
      this.open = this.open.filter((s) => s !== stream);
    };
  };
}

const change = (seq: number) => ({
  seq,
  base: seq - 1,
  changeId: `change${seq}`,
  clientId: "other",
  label: "x",
  ops: [],
});

let clock: Clock;
let wire: Wire;
let hub: Hub;
beforeEach(() => {
  clock = new Clock();
  wire = new Wire();
  hub = new Hub({ open: wire.connect, later: clock.later });
});

const windowOf = (
  project: string,
  seq = 0,
  generation: string | null = "one",
): { port: Port; heard: FromHub[] } => {
  const heard: FromHub[] = [];
  const port: Port = { post: (message) => heard.push(message) };
  const lock = `lock of ${project} ${heard.length}`;
  hub.take(port, { kind: "watch", project, seq, generation, lock });
  return { port, heard };
};
const kinds = (heard: readonly FromHub[]) => heard.map((m) => m.kind);

describe("one stream for all windows of a browser", () => {
  it("stays one for twenty windows on four projects", async () => {
    const windows = Array.from({ length: 20 }, (_, i) => windowOf(`p${i % 4}`, i));
    await clock.wait(100);
    expect([wire.open.length, wire.opened]).toEqual([1, 1]);
    expect(wire.open[0]?.watched).toEqual(
      [0, 1, 2, 3].map((i) => ({ project: `p${i}`, seq: i, generation: "one" })),
    );
    wire.open[0]?.events.changed("p1", change(30));
    expect(windows.filter((w) => kinds(w.heard).includes("change")).length).toBe(5);
  });

  it("tells a window that comes later where the project stands", async () => {
    windowOf("p", 5);
    await clock.wait(100);
    wire.open[0]?.events.changed("p", change(6));
    const late = windowOf("p", 5);
    expect(late.heard).toEqual([{ kind: "at", seq: 6 }]);
    expect(wire.opened).toBe(1);
  });

  it("is opened anew for another project, from where each project was", async () => {
    windowOf("p", 5);
    await clock.wait(100);
    wire.open[0]?.events.changed("p", change(6));
    windowOf("q", 2);
    await clock.wait(100);
    expect(wire.open.map((s) => s.watched)).toEqual([
      [
        { project: "p", seq: 6, generation: "one" },
        { project: "q", seq: 2, generation: "one" },
      ],
    ]);
  });

  it("comes back after it broke, waiting longer each time, and what it says when it is closed is not heard", async () => {
    const { heard } = windowOf("p", 5);
    await clock.wait(100);
    const old = wire.open[0]?.events;
    old?.failed();
    old?.changed("p", change(6));
    expect(kinds(heard)).toEqual(["connected"]);
    await clock.wait(1000);
    expect([wire.open.length, wire.opened]).toEqual([1, 2]);
    expect(wire.open[0]?.watched).toEqual([{ project: "p", seq: 5, generation: "one" }]);
  });

  it("comes back at once when a window hears that the server answers again, and only then", async () => {
    const { port } = windowOf("p", 5);
    await clock.wait(100);
    hub.take(port, { kind: "wake" });
    await clock.wait(10);
    expect(wire.opened).toBe(1);
    wire.away = true;
    wire.open[0]?.events.failed();
    await clock.wait(60_000);
    const tries = wire.opened;
    wire.away = false;
    await clock.wait(10);
    expect(wire.opened).toBe(tries);
    hub.take(port, { kind: "wake" });
    await clock.wait(10);
    expect(wire.opened).toBe(tries + 1);
  });

  it("tells the others when a window is gone, and ends with the last one", async () => {
    const [a, b] = [windowOf("p"), windowOf("p")];
    await clock.wait(100);
    hub.leave(a.port);
    expect(kinds(b.heard)).toContain("left");
    expect(wire.open.length).toBe(1);
    hub.take(b.port, { kind: "leave" });
    await clock.wait(60_000);
    expect(wire.open.length).toBe(0);
  });

  it("is opened again where nothing is answered, and where nothing is heard for long", async () => {
    wire.silent = true;
    windowOf("p", 5);
    await clock.wait(9_000);
    expect(wire.opened).toBe(1);
    wire.silent = false;
    await clock.wait(3_000);
    expect([wire.opened, wire.open.length]).toEqual([2, 1]);
    for (let i = 0; i < 10; i++) {
      await clock.wait(20_000);
      wire.open[0]?.events.beat();
    }
    expect(wire.opened).toBe(2);
    await clock.wait(62_000);
    expect([wire.opened, wire.open.length]).toEqual([3, 1]);
  });

  it("tells windows of a project that was made anew, and begins at its new numbers", async () => {
    const { heard } = windowOf("p", 50, "one");
    await clock.wait(100);
    wire.open[0]?.events.replaced("p");
    expect(heard.at(-1)).toEqual({ kind: "replaced", generation: "one" });
    const fresh = windowOf("p", 2, "two");
    await clock.wait(100);
    expect(wire.open[0]?.watched).toEqual([{ project: "p", seq: 2, generation: "two" }]);
    expect(fresh.heard).toEqual([{ kind: "connected" }]);
  });
});
