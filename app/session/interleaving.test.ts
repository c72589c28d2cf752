import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { removePiece, setValues } from "#core/edit";
import { apply, newId, related, same, set } from "#core/project";
import type { Change, LoggedChange, Op, Project } from "#core/project";
import { Clock, Pane, Port } from "../../tests/support/world";
import type { Mode, Store } from "../../tests/support/world";

const runs = Number(process.env.PROOF_RUNS ?? 150);

const what = fc.constantFrom(
  "move",
  "raise",
  "name",
  "remove",
  "undo",
  "redo",
  "wait",
  "listen",
  "break",
  "lose",
  "mend",
  "close",
  "third",
  "full",
  "room",
);
const act = fc.record({ who: fc.nat({ max: 1 }), what, n: fc.integer({ min: 1, max: 200 }) });

/** One place at the screen of a browser: a window that may be closed and opened again. */
class Seat {
  pane: Pane;
  /** labels of what was only in memory when the window was closed, though it had said so */
  readonly lostByChoice = new Set<string>();
  readonly names: string[] = [];

  constructor(
    private readonly port: Port,
    private readonly key: string,
    private readonly store: Store,
  ) {
    this.pane = this.open();
  }

  private open(): Pane {
    const name = `${this.key}${newId()}`;
    this.names.push(name);
    return new Pane(this.port, name, this.port.clock, this.store);
  }

  /** Closes the window as people do, even when it asks them to stay, and opens it again later. */
  reopen(mode: Mode): void {
    const { pane } = this;
    if (pane.session.atRisk) {
      const kept = new Set(this.store.queue.keys());
      for (const item of pane.session.unsaved)
        if (!kept.has(item.changeId)) this.lostByChoice.add(item.change.label);
      for (const item of pane.session.aside)
        if (!this.store.aside.has(item.changeId)) this.lostByChoice.add(item.change.label);
    }
    pane.close();
    this.pane = this.open();
    this.pane.mode = mode;
    this.pane.takeOver(pane.name);
  }
}

const labelled = (change: Change, label: string): Change => ({ ...change, label });

const valuesOf = (
  project: Project,
  values: Record<string, number>,
  label: string,
): Change | null => {
  const piece = project.pieces["alert-switch"];
  return piece ? labelled(setValues(piece, {}, { knob: values }), label) : null;
};

/** Does one thing at a seat; returns the label of an edit that was made. */
const doAt = async (
  seat: Seat,
  port: Port,
  name: string,
  n: number,
  count: number,
): Promise<string | null> => {
  const { pane } = seat;
  const label = `Edit ${count}`;
  const edit = (change: Change | null): string | null => {
    if (!change) return null;
    const before = pane.session.project;
    return pane.session.edit(change) && pane.session.project !== before ? label : null;
  };
  switch (name) {
    case "move":
      return edit(valuesOf(pane.session.project, { x: n }, label));
    case "raise":
      return edit(valuesOf(pane.session.project, { y: n, opacity: n / 200 }, label));
    case "name":
      return edit({ label, ops: [set(["name"], `Kit ${n}`)] });
    case "remove":
      return edit(labelled(removePiece(pane.session.project, "alert-switch"), label));
    case "undo":
      pane.session.undo();
      return null;
    case "redo":
      pane.session.redo();
      return null;
    case "wait":
      await pane.wait(n * 100);
      return null;
    case "listen":
      await pane.listen();
      return null;
    case "close":
      seat.reopen(pane.mode);
      return null;
    case "third": {
      const change = valuesOf(port.project, { x: n, y: n }, "Third");
      if (change && change.ops.length > 0) port.other(change);
      return null;
    }
    case "full":
      pane.store.full = true;
      return null;
    case "room":
      pane.store.full = false;
      return null;
    case "break":
      pane.mode = "closed";
      return null;
    case "lose":
      pane.mode = "answer lost";
      return null;
    default:
      pane.mode = "open";
      return null;
  }
};

const clash = (a: Op, b: Op): boolean =>
  related(a.path, b.path) &&
  !(
    a.op === b.op &&
    a.path.length === b.path.length &&
    (a.op === "remove" || (b.op === "set" && same(a.value, b.value)))
  );

const collide = (a: LoggedChange, b: LoggedChange): boolean =>
  a.ops.some((x) => b.ops.some((y) => clash(x, y)));

/**
 * Late changes that went over what somebody else did since their maker last looked: there must be
 * none.
 */
const overwrittenByLate = (port: Port): string[] => {
  const found: string[] = [];
  let project = port.start;
  for (const entry of port.log) {
    const before = project;
    project = apply(before, entry.ops).doc;
    if (!entry.late) continue;
    const ops = entry.ops.filter((op) => apply(before, [op]).doc !== before);
    const others = port.log.filter(
      (o) => o.seq > entry.base && o.seq < entry.seq && o.clientId !== entry.clientId,
    );
    for (const o of others)
      if (collide(o, { ...entry, ops })) found.push(`${entry.label} over ${o.label}`);
  }
  return found;
};

describe("two windows of two browsers, and a third person", () => {
  it("end alike, and every edit is in the project or named to its maker, whatever breaks and whenever", async () => {
    let conflicts = 0;
    let told = 0;
    let kept = 0;
    await fc.assert(
      fc.asyncProperty(fc.array(act, { minLength: 5, maxLength: 45 }), async (acts) => {
        const port = new Port(new Clock());
        const first = new Pane(port, "unused1");
        const second = new Pane(port, "unused2");
        first.close();
        second.close();
        const seats = [new Seat(port, "a", first.store), new Seat(port, "b", second.store)];
        const made = new Map<string, Seat>();
        for (const [count, { who, what: name, n }] of acts.entries()) {
          const seat = seats[who] as Seat;
          const label = await doAt(seat, port, name, n, count);
          if (label) made.set(label, seat);
        }
        for (const seat of seats) {
          seat.pane.mode = "open";
          seat.pane.store.full = false;
        }
        for (let round = 0; round < 8; round++)
          for (const { pane } of seats) {
            await pane.wait(20_000);
            await pane.listen();
          }
        for (const { pane } of seats) {
          expect(pane.session.save.kind).toBe("saved");
          expect(pane.session.project).toEqual(port.project);
          expect([...pane.store.queue.keys()]).toEqual([]);
          told += pane.words.filter((w) => w.startsWith("Another window changed")).length;
        }
        expect(new Set(port.log.map((l) => l.changeId)).size).toBe(port.log.length);
        const logged = new Set(port.log.map((l) => l.label));
        for (const [label, seat] of made) {
          const aside = seat.pane.session.aside.some((a) => a.change.label === label);
          if (aside) conflicts++;
          else kept++;
          // edits of one gesture of saving are one change and carry the newest label: none here,
          // each edit is its own
          expect(logged.has(label) || aside || seat.lostByChoice.has(label), label).toBe(true);
        }
        // every late change that overwrote something is one too many
        expect(overwrittenByLate(port)).toEqual([]);
      }),
      { numRuns: runs },
    );
    expect(conflicts).toBeGreaterThan(0);
    expect(told).toBeGreaterThan(0);
    expect(kept).toBeGreaterThan(conflicts);
  }, 600_000);

  it("whoever is overwritten by somebody who had not seen it is told", async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.record({
            who: fc.nat({ max: 1 }),
            n: fc.integer({ min: 1, max: 50 }),
            ms: fc.constantFrom(0, 40, 200),
          }),
          { minLength: 2, maxLength: 14 },
        ),
        async (acts) => {
          const port = new Port(new Clock());
          const panes = [new Pane(port, "window1"), new Pane(port, "window2")];
          for (const { who, n, ms } of acts) {
            const pane = panes[who] as Pane;
            pane.move(n, null, `Set ${n}`);
            await pane.wait(ms);
            if (ms === 200) await pane.listen();
          }
          for (const pane of [...panes, ...panes]) {
            await pane.wait(1000);
            await pane.listen();
          }
          for (const pane of panes) {
            // all set one place: what one has changed oneself since is not there to be lost
            const isLastBefore = (mine: LoggedChange, o: LoggedChange): boolean =>
              !port.log.some(
                (later) =>
                  later.clientId === pane.name && later.seq > mine.seq && later.seq < o.seq,
              );
            const lost = port.log.some(
              (mine) =>
                mine.clientId === pane.name &&
                port.log.some(
                  (o) =>
                    o.clientId !== pane.name &&
                    o.seq > mine.seq &&
                    o.base < mine.seq &&
                    isLastBefore(mine, o) &&
                    collide(o, mine),
                ),
            );
            expect(pane.words.some((w) => w.startsWith("Another window changed"))).toBe(lost);
          }
        },
      ),
      { numRuns: runs },
    );
  }, 600_000);
});
