import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { byOrder, newId, orderAfter, orderAt } from "#core/project";

describe("order keys", () => {
  it("put a record exactly where it is wanted, whatever came before", () => {
    fc.assert(
      fc.property(fc.array(fc.nat({ max: 20 }), { maxLength: 40 }), (places) => {
        const list: { id: string; order: string }[] = [];
        const want: string[] = [];
        for (const [i, place] of places.entries()) {
          const at = Math.min(place, list.length);
          list.push({ id: `r${i}`, order: orderAt(list, at) });
          want.splice(at, 0, `r${i}`);
        }
        expect([...list].sort(byOrder).map((r) => r.id)).toEqual(want);
      }),
    );
  });

  it("step over equal keys made in two windows at once", () => {
    const list = [
      { id: "a", order: "a0" },
      { id: "b", order: "a0" },
      { id: "c", order: "a1" },
    ];
    const order = orderAt(list, 1);
    expect(order > "a0" && order < "a1").toBe(true);
    expect(orderAfter(list) > "a1").toBe(true);
  });

  it("ids are safe in paths and do not repeat", () => {
    const ids = Array.from({ length: 2000 }, newId);
    expect(new Set(ids).size).toBe(2000);
    expect(ids.every((id) => /^[A-Za-z0-9]{12}$/.test(id))).toBe(true);
  });
});
