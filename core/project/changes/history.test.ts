import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { addLayer, removeLayers, setValues } from "#core/edit";
import { ROOT, accept, apply, remove, set } from "#core/project";
import type { Change, Op, Piece, Project } from "#core/project";
import { kelpwayKit } from "../../../demo/index";
import { clashesOf, goneFrom, isInside, overwrittenBy, restoredValue, valueIn } from "./history";
import type { LoggedChange } from "./history";

const kit = kelpwayKit();
const pieceId = "alert-switch";
const piece = kit.pieces[pieceId] as Piece;
const [layer = ""] = Object.keys(piece.layers).filter((id) => id !== ROOT);
const at = ["pieces", pieceId];
const nameAt = [...at, "layers", layer, "name"];

const logged = (seq: number, ops: readonly Op[], base = seq - 1): LoggedChange => ({
  seq,
  base,
  changeId: `c${seq}`,
  clientId: "other",
  label: `Change ${seq}`,
  ops,
});
const must = (project: Project, change: Change): Project => {
  const result = accept(project, change);
  if (!result.ok) throw new Error(result.error);
  return result.project;
};

describe("what is at a place", () => {
  it("is found by its path, and nothing that every object has is", () => {
    expect(valueIn(kit, nameAt)).toBe(piece.layers[layer]?.name);
    expect(valueIn(kit, [])).toBe(kit);
    for (const path of [
      ["pieces", "gone"],
      ["pieces", pieceId, "name", "length"],
      ["constructor"],
      ["pieces", "__proto__"],
      ["pieces", pieceId, "toString"],
    ])
      expect([path, valueIn(kit, path)]).toEqual([path, undefined]);
  });

  it("lies inside what holds it, and not inside itself or beside it", () => {
    expect(isInside(nameAt, at)).toBe(true);
    expect(isInside(at, at)).toBe(false);
    expect(isInside(at, nameAt)).toBe(false);
    expect(isInside(["pieces", "other", "name"], at)).toBe(false);
  });
});

describe("a change that comes late", () => {
  const change = (...ops: Op[]): Change => ({ label: "Late", ops });

  it("is in nobody's way where others changed something else", () => {
    const others = [logged(4, [set([...at, "name"], "Bell")])];
    expect(clashesOf(kit, change(set(nameAt, "Knob")), others)).toEqual([]);
  });

  it("clashes with whoever changed the same, what holds it, or what it holds", () => {
    const whole = piece.layers[layer];
    const cases: readonly (readonly [Op, Op])[] = [
      [set(nameAt, "Knob"), set(nameAt, "Handle")],
      [set(nameAt, "Knob"), set([...at, "layers", layer], { ...whole, name: "Handle" })],
      [remove([...at, "layers", layer]), set(nameAt, "Handle")],
    ];
    for (const [mine, theirs] of cases)
      expect(clashesOf(kit, change(mine), [logged(4, [theirs])])).toEqual([
        { seq: 4, label: "Change 4", paths: [mine.path] },
      ]);
  });

  it("that would change nothing any more clashes with nobody", () => {
    const others = [logged(4, [set(nameAt, "Knob")])];
    const now = apply(kit, [set(nameAt, "Knob")]).doc;
    expect(clashesOf(now, change(set(nameAt, "Knob")), others)).toEqual([]);
    const gone = apply(kit, [remove(["pieces", pieceId])]).doc;
    expect(clashesOf(gone, change(remove(["pieces", pieceId])), others)).toEqual([]);
  });

  it("names the newest of those that changed a place, each change once with all its places", () => {
    const orderAt = [...at, "layers", layer, "order"];
    const others = [
      logged(4, [set(nameAt, "Handle")]),
      logged(5, [set(nameAt, "Grip"), set(orderAt, "a9")]),
    ];
    const clashes = clashesOf(kit, change(set(nameAt, "Knob"), set(orderAt, "a1")), others);
    expect(clashes.map((c) => [c.seq, c.paths])).toEqual([[5, [nameAt, orderAt]]]);
  });

  it("knows the records it would set something in that somebody removed, each once", () => {
    const without = must(kit, removeLayers(piece, [layer]));
    const ops = [set(nameAt, "Knob"), set([...at, "layers", layer, "order"], "a1")];
    expect(goneFrom(without, ops)).toEqual([[...at, "layers", layer]]);
    expect(goneFrom(kit, ops)).toEqual([]);
    const noPiece = apply(kit, [remove(at)]).doc;
    expect(goneFrom(noPiece, ops)).toEqual([at]);
  });
});

describe("a removed record", () => {
  const path = [...at, "layers", layer];
  const removal = removeLayers(piece, [layer]);
  const after = must(kit, removal);

  it("comes back as it was, with what was changed in it since", () => {
    const since = [logged(5, [set(nameAt, "Grip")]), logged(6, [set([...at, "name"], "Bell")])];
    expect(restoredValue(path, kit, removal, [], after)).toEqual(piece.layers[layer]);
    expect(restoredValue(path, kit, removal, since, after)).toEqual({
      ...piece.layers[layer],
      name: "Grip",
    });
  });

  it("leaves out what no longer fits it", () => {
    const since = [logged(5, [set([...path, "kind"], "sail")])];
    expect(restoredValue(path, kit, removal, since, after)).toEqual(piece.layers[layer]);
  });

  it("is nothing when that removal did not take it", () => {
    const other = { label: "Other", ops: [remove(["pieces", "welcome"])] };
    expect(restoredValue(path, kit, other, [], after)).toBeUndefined();
  });
});

describe("what others overwrote", () => {
  const mine = (...ops: Op[]) => logged(7, ops);

  it("is what their makers had not seen: what they had seen they may change", () => {
    const own = [mine(set(nameAt, "Knob"))];
    const before = apply(kit, [set(nameAt, "Knob")]).doc;
    const unseen = logged(8, [set(nameAt, "Grip")], 6);
    expect(overwrittenBy(unseen, own, before)).toEqual([set(nameAt, "Knob")]);
    expect(overwrittenBy(logged(8, [set(nameAt, "Grip")], 7), own, before)).toBeNull();
  });

  it("is nothing where they said the same, or something else", () => {
    const own = [mine(set(nameAt, "Knob"))];
    const before = apply(kit, [set(nameAt, "Knob")]).doc;
    expect(overwrittenBy(logged(8, [set(nameAt, "Knob")], 6), own, before)).toBeNull();
    expect(overwrittenBy(logged(8, [set([...at, "name"], "Bell")], 6), own, before)).toBeNull();
  });

  it("is nothing where one had come to say the same oneself, though not at once", () => {
    const own = [mine(set(nameAt, "Knob")), logged(8, [set(nameAt, "Grip")])];
    const before = apply(kit, [set(nameAt, "Grip")]).doc;
    expect(overwrittenBy(logged(9, [set(nameAt, "Grip")], 6), own, before)).toBeNull();
    expect(overwrittenBy(logged(9, [set(nameAt, "Bell")], 6), own, before)).toEqual([
      set(nameAt, "Grip"),
    ]);
  });

  it("is nothing of what one changed afterwards", () => {
    const own = [logged(9, [set(nameAt, "Knob")])];
    expect(overwrittenBy(logged(8, [set(nameAt, "Grip")], 6), own, kit)).toBeNull();
  });

  it("comes back whole where they removed what one had changed in", () => {
    const own = [mine(set(nameAt, "Knob"))];
    const before = apply(kit, [set(nameAt, "Knob")]).doc;
    const removed = logged(8, removeLayers(before.pieces[pieceId] as Piece, [layer]).ops, 6);
    const back = overwrittenBy(removed, own, before) ?? [];
    const again = apply(apply(before, removed.ops).doc, back).doc;
    expect(again.pieces[pieceId]?.layers[layer]).toEqual(before.pieces[pieceId]?.layers[layer]);
    expect(back[0]).toMatchObject({ restores: "c8" });
  });

  it("once taken back is what one had said, whoever changed what in between", () => {
    const names = fc.array(fc.constantFrom("Knob", "Grip", "Bell"), {
      minLength: 1,
      maxLength: 4,
    });
    fc.assert(
      fc.property(names, fc.constantFrom("Grip", "Buoy"), (list, theirs) => {
        const own = list.map((name, i) => logged(10 + i, [set(nameAt, name)]));
        const before = own.reduce((p, c) => apply(p, c.ops).doc, kit);
        const other = logged(20, [set(nameAt, theirs)], 9);
        const back = overwrittenBy(other, own, before);
        const last = list.at(-1);
        const end = apply(apply(before, other.ops).doc, back ?? []).doc;
        if (back) expect(valueIn(end, nameAt)).toBe(last);
        else expect(theirs).toBe(last);
      }),
    );
  });
});

describe("changes of the kit", () => {
  it("that were accepted change something at every place they name", () => {
    const made = addLayer(piece, "box", ROOT, { x: 1 });
    const change = setValues(piece, {}, { [layer]: { opacity: 0.5 } });
    for (const { ops } of [made.change, change])
      for (const op of ops) {
        const next = apply(kit, ops).doc;
        expect(valueIn(next, op.path)).not.toEqual(valueIn(kit, op.path));
      }
  });
});
