import { beforeEach, describe, expect, it } from "vitest";
import { Hub } from "../../../workers/hub";
import type { FromHub, Port, StreamEvents, Watched } from "../../../workers/hub";
import { Clock } from "../../../tests/support/world";

/** A server's end of streams: which are open, and for what. */
class Wire {
  open: { watched: readonly Watched[]; events: StreamEvents }[] = [];
  opened = 0;
  away = false;

  connect = (watched: readonly Watched[], events: StreamEvents): (() => void) => {
    const stream = { watched, events };
    this.open.push(stream);
    this.opened++;
    if (this.away) events.failed();
    else events.opened();
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

const windowOf = (project: string, seq = 0): { port: Port; heard: FromHub[] } => {
  const heard: FromHub[] = [];
  const port: Port = { post: (message) => heard.push(message) };
  hub.take(port, { kind: "watch", project, seq, lock: `lock of ${project} ${heard.length}` });
  return { port, heard };
};
const kinds = (heard: readonly FromHub[]) => heard.map((m) => m.kind);

describe("one stream for all windows of a browser", () => {
  it("stays one for twenty windows on four projects", async () => {
    const windows = Array.from({ length: 20 }, (_, i) => windowOf(`p${i % 4}`, i));
    await clock.wait(100);
    expect([wire.open.length, wire.opened]).toEqual([1, 1]);
    expect(wire.open[0]?.watched).toEqual([0, 1, 2, 3].map((i) => ({ project: `p${i}`, seq: i })));
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
        { project: "p", seq: 6 },
        { project: "q", seq: 2 },
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
    expect(wire.open[0]?.watched).toEqual([{ project: "p", seq: 5 }]);
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
});
