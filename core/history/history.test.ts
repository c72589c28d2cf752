import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { addPiece, emptyProject, removePiece } from "#core/edit";
import { fatesBetween, opsBetween, restoreAll, restorePiece, sittingsOf } from "#core/history";
import type { Entry } from "#core/history";
import { accept, apply, set } from "#core/project";
import type { Change, Project } from "#core/project";
import { kelpwayKit } from "../../demo/index";

const after = (project: Project, change: Change | null): Project => {
  if (!change) return project;
  const result = accept(project, change);
  if (!result.ok) throw new Error(result.error);
  return result.project;
};

const kit = kelpwayKit();
const ids = Object.keys(kit.pieces);
const knobX = ["pieces", "alert-switch", "looks", "base", "changes", "knob", "x"];

/** Parts of the kit, as projects of any age would have them. */
const some = fc
  .tuple(fc.subarray(ids), fc.subarray(Object.keys(kit.tokens)), fc.integer({ min: 0, max: 40 }))
  .map(([pieces, tokens, x]): Project => {
    const kept = apply(kit, [
      ...ids
        .filter((id) => !pieces.includes(id))
        .map((id) => ({
          op: "remove" as const,
          path: ["pieces", id],
        })),
      ...Object.keys(kit.tokens)
        .filter((id) => !tokens.includes(id))
        .map((id) => ({ op: "remove" as const, path: ["tokens", id] })),
      set(knobX, x),
    ]);
    return kept.doc;
  });

describe("the steps between two projects", () => {
  it("make the one of the other, whatever they are", () => {
    fc.assert(
      fc.property(some, some, (from, to) => {
        expect(apply(from, opsBetween(from, to)).doc).toEqual(to);
      }),
      { numRuns: 60 },
    );
  });

  it("are none between equals, and one for one value", () => {
    expect(opsBetween(kit, kelpwayKit())).toEqual([]);
    const moved = apply(kit, [set(knobX, 9)]).doc;
    expect(opsBetween(kit, moved)).toEqual([set(knobX, 9)]);
  });

  it("set what a value holds as one", () => {
    const fill = ["pieces", "alert-switch", "looks", "base", "changes", "label", "fill"];
    const other = { token: "colour-kelp" };
    const painted = apply(kit, [set(fill, other)]).doc;
    expect(opsBetween(kit, painted)).toEqual([set(fill, other)]);
  });
});

describe("restoring", () => {
  const made = addPiece(kit, "component", "Tide table");
  const later = after(after(kit, made.change), { label: "Move", ops: [set(knobX, 30)] });

  it("all makes the project what it was, by an ordinary change", () => {
    expect(after(later, restoreAll(later, kit, "10:20"))).toEqual(kit);
    expect(restoreAll(kit, kit, "10:20")).toBeNull();
  });

  it("a piece leaves all others as they are", () => {
    const change = restorePiece(later, kit, "alert-switch", "10:20");
    expect(change?.label).toBe("Restore Alert switch of 10:20");
    const restored = after(later, change);
    expect(restored.pieces["alert-switch"]).toEqual(kit.pieces["alert-switch"]);
    expect(restored.pieces[made.id]).toEqual(later.pieces[made.id]);
  });

  it("a piece brings back what it was made of, and does not touch what is still there", () => {
    const ink = ["tokens", "colour-ink", "name"];
    const bare = after(after(kit, removePiece(kit, "sailing-card-deck")), {
      label: "Clear",
      ops: [{ op: "remove", path: ["pieces", "sailing-card"] }, set(ink, "Harbour ink")],
    });
    const restored = after(bare, restorePiece(bare, kit, "sailing-card-deck", "10:20"));
    expect(restored.pieces["sailing-card"]).toEqual(kit.pieces["sailing-card"]);
    expect(restored.tokens["colour-ink"]?.name).toBe("Harbour ink");
  });

  it("a piece that was not there then removes it", () => {
    expect(
      after(later, restorePiece(later, kit, made.id, "10:20")).pieces[made.id],
    ).toBeUndefined();
  });

  it("tells what became of pieces", () => {
    expect([...fatesBetween(kit, later)].sort()).toEqual(
      [
        ["alert-switch", "changed"],
        [made.id, "made"],
      ].sort(),
    );
    expect([...fatesBetween(later, kit)]).toContainEqual([made.id, "removed"]);
    expect(fatesBetween(emptyProject("A"), emptyProject("A")).size).toBe(0);
  });
});

describe("sittings", () => {
  const minutes = (n: number) => n * 60_000;
  const entry = (seq: number, clientId: string, at: number, label = "Move"): Entry => ({
    seq,
    clientId,
    at: minutes(at),
    label,
    pieces: ["alert-switch"],
  });

  it("end with a pause, and windows at work at once have one each", () => {
    const found = sittingsOf([
      entry(1, "a", 0),
      entry(2, "b", 1, "Rename"),
      entry(3, "a", 20),
      entry(4, "a", 60),
      entry(5, "b", 2),
    ]);
    expect(found.map((s) => [s.clientId, s.first, s.last, s.changes])).toEqual([
      ["b", 2, 5, 2],
      ["a", 4, 4, 1],
      ["a", 1, 3, 2],
    ]);
    expect(found[2]?.pieces).toEqual([{ of: "alert-switch", times: 2 }]);
  });

  it("say what was done most first", () => {
    const found = sittingsOf([
      entry(1, "a", 0, "Rename"),
      entry(2, "a", 0, "Move"),
      entry(3, "a", 0, "Move"),
    ]);
    expect(found[0]?.labels).toEqual([
      { of: "Move", times: 2 },
      { of: "Rename", times: 1 },
    ]);
  });

  it("have every change once, in whatever order windows worked", () => {
    const log = fc
      .array(fc.tuple(fc.constantFrom("a", "b", "c"), fc.integer({ min: 0, max: 45 })))
      .map((steps) => {
        let now = 0;
        return steps.map(([clientId, wait], i) => entry(i + 1, clientId, (now += wait)));
      });
    fc.assert(
      fc.property(log, (entries) => {
        const found = sittingsOf(entries);
        expect(found.reduce((sum, s) => sum + s.changes, 0)).toBe(entries.length);
        for (const s of found) {
          const own = entries.filter(
            (e) => e.clientId === s.clientId && e.seq >= s.first && e.seq <= s.last,
          );
          expect(own.length).toBe(s.changes);
        }
      }),
    );
  });
});
