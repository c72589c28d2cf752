import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  FORMAT,
  accept,
  apply,
  changeSchema,
  merge,
  readProject,
  remove,
  set,
} from "#core/project";
import type { Op, Project } from "#core/project";
import { kelpwayKit } from "../../../demo/index";

const key = fc.constantFrom("a", "b", "c");
const doc = fc.letrec((tie) => ({
  node: fc.dictionary(key, fc.oneof({ maxDepth: 3 }, fc.integer({ min: 0, max: 3 }), tie("node"))),
})).node as fc.Arbitrary<object>;
const op: fc.Arbitrary<Op> = fc.oneof(
  fc.record({
    op: fc.constant("set" as const),
    path: fc.array(key, { minLength: 1, maxLength: 3 }),
    value: fc.oneof(fc.integer({ min: 0, max: 3 }), fc.constant({ a: 1 })),
  }),
  fc.record({
    op: fc.constant("remove" as const),
    path: fc.array(key, { minLength: 1, maxLength: 3 }),
  }),
);

describe("changes", () => {
  it("apply then invert gives back the document", () => {
    fc.assert(
      fc.property(doc, fc.array(op, { maxLength: 12 }), (before, ops) => {
        const { doc: after, inverse } = apply(before, ops);
        expect(apply(after, inverse).doc).toEqual(before);
      }),
      { numRuns: 500 },
    );
  });

  it("merging two runs of steps is the same as taking them one after the other", () => {
    fc.assert(
      fc.property(
        doc,
        fc.array(op, { maxLength: 6 }),
        fc.array(op, { maxLength: 6 }),
        (before, one, two) => {
          expect(apply(before, merge(one, two)).doc).toEqual(
            apply(apply(before, one).doc, two).doc,
          );
        },
      ),
      { numRuns: 500 },
    );
  });

  it("merging a drag keeps one step per place", () => {
    const steps = Array.from({ length: 50 }, (_, i) => [set(["layers", "knob", "x"], i)]);
    expect(steps.reduce<readonly Op[]>((all, s) => merge(all, s), [])).toEqual([
      set(["layers", "knob", "x"], 49),
    ]);
  });

  it("shares what it does not touch, and is the same document when nothing changes", () => {
    const before = { a: { b: 1 }, c: { d: 2 } };
    const { doc: after } = apply(before, [set(["a", "b"], 5)]);
    expect(after.c).toBe(before.c);
    expect(apply(before, [set(["a", "b"], 1), remove(["x"]), set(["gone", "deep"], 1)]).doc).toBe(
      before,
    );
  });

  it("has a JSON form that refuses paths into an object's own workings", () => {
    expect(
      changeSchema.safeParse({ label: "x", ops: [set(["pieces", "a"], { id: "a" })] }).success,
    ).toBe(true);
    for (const path of [["__proto__", "x"], ["constructor"], [], [""]])
      expect(
        changeSchema.safeParse({ label: "x", ops: [{ op: "set", path, value: 1 }] }).success,
      ).toBe(false);
    expect(({} as Record<string, unknown>).x).toBeUndefined();
  });
});

describe("accepting a change", () => {
  const project = kelpwayKit();
  const at = ["pieces", "alert-switch"];
  const refused = (ops: Op[]): string => {
    const result = accept(project, { label: "x", ops });
    if (result.ok) throw new Error("was accepted");
    return result.error;
  };

  it("takes an edit of a property and inverts it", () => {
    const result = accept(project, {
      label: "x",
      ops: [set([...at, "looks", "base", "changes", "knob", "x"], 9)],
    });
    expect(result.ok && result.project.pieces["alert-switch"]?.looks.base?.changes.knob?.x).toBe(9);
    expect(result.ok && apply(result.project, result.inverse).doc).toEqual(project);
  });

  it("refuses wrong values, unknown properties and unknown tables, saying where", () => {
    expect(refused([set([...at, "looks", "base", "changes", "knob", "x"], "wide")])).toMatch(/x/);
    expect(refused([set([...at, "looks", "base", "changes", "knob", "wobble"], 1)])).toContain(
      "wobble",
    );
    expect(
      refused([set([...at, "looks", "base", "changes", "knob", "fill"], "url(javascript:1)")]),
    ).toContain("colour");
    expect(refused([set([...at, "gadgets", "g"], {})])).toContain("gadgets");
    expect(refused([set(["pieces"], {})])).toContain("at once");
    expect(refused([set(["format"], 1)])).toContain(String(FORMAT));
    expect(refused([set([...at, "layers", "knob", "id"], "other")])).toContain("id");
  });

  it("refuses a tree without a root and a layer inside itself", () => {
    expect(refused([remove([...at, "layers", "root"])])).toContain("root");
    expect(refused([set([...at, "layers", "toggle", "parent"], "knob")])).toContain(
      "inside itself",
    );
    expect(refused([set([...at, "layers", "knob", "parent"], null)])).toContain("no place");
  });

  it("is all or nothing", () => {
    const result = accept(project, {
      label: "x",
      ops: [set(["name"], "Other"), set([...at, "kind"], "banana")],
    });
    expect(result.ok).toBe(false);
    expect(project.name).toBe("Kelpway kit");
  });

  it("ignores edits of records that somebody removed meanwhile", () => {
    const result = accept(project, {
      label: "x",
      ops: [set([...at, "layers", "gone", "name"], "x")],
    });
    expect(result.ok && result.project).toBe(project);
  });
});

describe("reading a project", () => {
  it("reads its own JSON and names what is wrong in others", () => {
    const json = JSON.parse(JSON.stringify(kelpwayKit())) as Project;
    expect(readProject(json)).toEqual({ ok: true, project: kelpwayKit() });
    expect(readProject({ ...json, format: 7 })).toMatchObject({ ok: false });
    expect(readProject("nonsense")).toMatchObject({ ok: false });
    expect(
      readProject({ ...json, pieces: { x: { ...json.pieces["alert-switch"], id: "y" } } }),
    ).toMatchObject({ ok: false });
  });
});
