import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  accept,
  apply,
  changeSchema,
  cleanText,
  cutText,
  limits,
  merge,
  readProject,
  related,
  remove,
  set,
} from "#core/project";
import type { Op, Piece, Project } from "#core/project";
import { kelpwayKit } from "../../demo/index";

const project = kelpwayKit();
const at = ["pieces", "alert-switch"];
const refused = (ops: Op[], to: Project = project): string => {
  const result = accept(to, { label: "x", ops });
  if (result.ok) throw new Error("was accepted");
  return result.error;
};
const layer = (id: string, parent: string, order = "a1") => ({
  id,
  kind: "box",
  name: id,
  parent,
  order,
});

describe("what is too much", () => {
  it("layers too deep in one another are refused, as deep as allowed are not", () => {
    const nest = (depth: number): Op[] =>
      Array.from({ length: depth }, (_, i) =>
        set([...at, "layers", `deep${i}`], layer(`deep${i}`, i === 0 ? "root" : `deep${i - 1}`)),
      );
    expect(accept(project, { label: "x", ops: nest(limits.depth) }).ok).toBe(true);
    expect(refused(nest(limits.depth + 1))).toContain(`more than ${limits.depth} layers deep`);
    expect(refused(nest(2000))).toContain("layers deep");
  });

  it("counts are bounded, whether records come one by one or with their piece", () => {
    const many = (n: number) => Array.from({ length: n }, (_, i) => layer(`many${i}`, "root"));
    expect(refused(many(limits.layers).map((l) => set([...at, "layers", l.id], l)))).toContain(
      `layers are limited to ${limits.layers}`,
    );
    const base = project.pieces["alert-switch"] as Piece;
    const more = Object.fromEntries(many(limits.layers).map((l) => [l.id, l] as const));
    const piece = { ...base, layers: { ...base.layers, ...more } };
    expect(refused([set(at, piece)])).toContain(`layers are limited to ${limits.layers}`);
  });

  it("order keys must be such that others can be put before and after", () => {
    for (const order of ["!", "a", "A00000000000000000000000000", "a00", "zzz", ""]) {
      if (order === "a") continue;
      expect(
        refused([set([...at, "layers", "extra"], layer("extra", "root", order))]),
        order,
      ).toMatch(/order|expected/i);
    }
    expect(
      accept(project, {
        label: "x",
        ops: [set([...at, "layers", "extra"], layer("extra", "root", "a1V"))],
      }).ok,
    ).toBe(true);
  });

  it("ids are never words that is reserved", () => {
    for (const id of ["constructor", "toString", "valueOf", "hasOwnProperty", "__proto__"]) {
      expect(
        changeSchema.safeParse({ label: "x", ops: [set([...at, "layers", id], layer(id, "root"))] })
          .success,
        id,
      ).toBe(false);
      expect(refused([set(["start"], id)]), id).toContain("is reserved");
    }
    expect(
      accept(project, { label: "x", ops: [remove(["pieces", "constructor", "layers", "x"])] }).ok,
    ).toBe(true);
  });

  it("values too deep in one another are refused without going down by recursion", () => {
    let value: unknown = 1;
    for (let i = 0; i < 5000; i++) value = [value];
    const result = changeSchema.safeParse({
      label: "x",
      ops: [{ op: "set", path: ["name"], value }],
    });
    expect(result.success).toBe(false);
    expect(result.error?.issues[0]?.message).toMatch(/deep|Invalid/);
    expect(
      changeSchema.safeParse({
        label: "x",
        ops: [{ op: "set", path: ["name"], value: { a: [Infinity] } }],
      }).success,
    ).toBe(false);
  });

  it("a change too large to be sent is refused before anything is made of it, in words", () => {
    const text = "x".repeat(4900);
    const ops = Array.from({ length: 1300 }, () =>
      set([...at, "looks", "base", "changes", "label", "text"], text),
    );
    expect(refused(ops)).toMatch(/too large: 6\.\d MB; the limit is 6\.0 MB/);
  });
});

describe("texts", () => {
  it("are kept without what no file and no database can hold", () => {
    const result = accept(project, {
      label: "Name\u0000 it",
      ops: [set(["name"], "Kel\u0000p\u001b \udfffway\ud83d")],
    });
    expect(result.ok && [result.project.name, result.change.label]).toEqual([
      "Kelp \ufffdway",
      "Name it",
    ]);
    expect(refused([set(["name"], "   ")])).toContain("empty");
    expect(refused([set(["name"], "\u0000\u0001")])).toContain("empty");
  });

  it("are the same when nothing is wrong with them, and clean for ever", () => {
    fc.assert(
      fc.property(
        fc.string({ unit: "binary" }),
        fc.array(fc.constantFrom("\u0000", "\ud800", "\udc00", "\u000b", "\uffff", "x")),
        (text, bad) => {
          const clean = cleanText(text + bad.join(""));
          expect(cleanText(clean)).toBe(clean);
          expect(clean.isWellFormed()).toBe(true);
          expect(cutText("🚢🚢", 3)).toBe("🚢");
        },
      ),
    );
  });
});

describe("speed that does not depend on how much there is", () => {
  const table = (n: number) =>
    Object.fromEntries(Array.from({ length: n }, (_, i) => [`r${i}`, { v: i }]));

  it("a table is copied once for a run of steps, not once a step", () => {
    let copies = 0;
    const counted = new Proxy(table(500), {
      ownKeys: (t) => {
        copies++;
        return Reflect.ownKeys(t);
      },
    });
    const ops = Array.from({ length: 300 }, (_, i) => set(["t", `r${i}`, "v"], -1));
    const { doc, inverse } = apply({ t: counted }, ops);
    expect(copies).toBe(1);
    expect([doc.t.r0?.v, doc.t.r299?.v, doc.t.r300?.v, inverse.length]).toEqual([-1, -1, 300, 300]);
  });

  it("merging looks each place up instead of going through all", () => {
    let looked = 0;
    const watched = (i: number): Op => ({
      op: "set",
      value: i,
      get path() {
        looked++;
        return ["t", `r${i}`];
      },
    });
    const first = Array.from({ length: 400 }, (_, i) => watched(i));
    expect(
      merge(
        first,
        Array.from({ length: 400 }, (_, i) => watched(399 - i)),
      ),
    ).toHaveLength(400);
    expect(looked).toBeLessThan(400 * 2 * 8);
  });

  it("what was made by steps is shared with nobody: what went in stays as it was", () => {
    const inner = { a: { b: 1 } };
    const { doc, inverse } = apply({}, [
      set(["x"], inner),
      set(["x", "a", "b"], 2),
      remove(["x", "a"]),
      set(["x", "a"], { b: 3 }),
    ]);
    expect(inner).toEqual({ a: { b: 1 } });
    expect(doc).toEqual({ x: { a: { b: 3 } } });
    expect(apply(doc, inverse).doc).toEqual({});
  });

  it("places are related when one is the other or holds it", () => {
    expect([
      related(["a"], ["a", "b"]),
      related(["a", "b"], ["a", "b"]),
      related(["a", "c"], ["a", "b"]),
    ]).toEqual([true, true, false]);
  });
});

describe("projects of before", () => {
  it("the kit and everything it holds is within the limits", () => {
    const read = readProject(JSON.parse(JSON.stringify(project)));
    expect(read.ok && read.project).toEqual(project);
    for (const piece of Object.values(project.pieces))
      expect(
        accept(
          { ...project, pieces: {} },
          { label: "x", ops: [set(["pieces", piece.id], piece satisfies Piece)] },
        ).ok,
      ).toBe(true);
  });
});
