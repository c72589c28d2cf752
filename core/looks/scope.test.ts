import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { addTrait, setValues } from "#core/edit";
import {
  conditionShort,
  conditionText,
  exactly,
  lookFor,
  meets,
  onlyScope,
  reached,
  reachesFor,
  restingVariant,
  sameCondition,
  scopesFor,
  suggestedScope,
  traitsOf,
  valuesIn,
  variantFrom,
  variantKey,
  variantsOf,
} from "#core/looks";
import { inOrder } from "#core/project";
import type { Condition, Piece, Variant } from "#core/project";
import { Builder } from "../../tests/support/pieces";
import { built, plan } from "../../tests/support/chance/random";
import { reachOf } from "./scope";

const keysOf = (piece: Piece, list: readonly Variant[]): string[] =>
  list.map((v) => variantKey(piece, v)).sort();
const some = <T>(list: readonly T[], picks: readonly number[]): T[] =>
  list.filter((_, i) => (picks[i % picks.length] ?? 0) % 3 === 0);

describe("the scopes of an edit", () => {
  it("all hold in the variant that is edited, from wide to narrow, with one suggested", () => {
    fc.assert(
      fc.property(plan, (p) => {
        const { piece } = built(p).b;
        for (const variant of variantsOf(piece)) {
          const scopes = scopesFor(piece, variant);
          expect(scopes.every((s) => meets(s.when, variant))).toBe(true);
          expect(scopes.map((s) => s.reach)).toEqual(
            scopes.map((s) => s.reach).sort((a, b) => b - a),
          );
          expect(scopes.filter((s) => s.suggested)).toHaveLength(1);
          for (const s of scopes) expect(s.reach).toBe(reachOf(piece, s.when).length);
          for (const [i, s] of scopes.entries())
            expect(scopes.findIndex((other) => sameCondition(other.when, s.when))).toBe(i);
        }
      }),
      { numRuns: 40 },
    );
  });

  it("reach everything from rest, and one variant alone at the narrowest", () => {
    fc.assert(
      fc.property(plan, (p) => {
        const { piece } = built(p).b;
        const all = variantsOf(piece);
        expect(suggestedScope(piece, restingVariant(piece))).toEqual({});
        for (const variant of all) {
          expect(keysOf(piece, reachOf(piece, onlyScope(piece, variant)))).toEqual(
            keysOf(piece, [variant]),
          );
          const scopes = scopesFor(piece, variant);
          expect([scopes[0]?.reach, scopes.at(-1)?.reach]).toEqual([all.length, 1]);
        }
      }),
      { numRuns: 40 },
    );
  });

  it("of several chosen variants reach them all, and exactly them at the narrowest", () => {
    fc.assert(
      fc.property(plan, (p) => {
        const { piece } = built(p).b;
        const chosen = some(variantsOf(piece), p.pick);
        fc.pre(chosen.length > 0);
        const reaches = reachesFor(piece, chosen);
        for (const r of reaches) {
          expect(chosen.every((v) => reached(r.whens, v))).toBe(true);
          expect(variantsOf(piece).filter((v) => reached(r.whens, v))).toHaveLength(r.reach);
        }
        expect(reaches.at(-1)?.reach).toBe(chosen.length);
        expect(reaches.filter((r) => r.suggested)).toHaveLength(1);
        const exact = exactly(piece, chosen);
        expect(
          keysOf(
            piece,
            variantsOf(piece).filter((v) => reached(exact, v)),
          ),
        ).toEqual(keysOf(piece, chosen));
      }),
      { numRuns: 60 },
    );
  });

  it("are offered for nothing where nothing is chosen", () => {
    const b = new Builder();
    b.new("component", "Buoy");
    expect(reachesFor(b.piece, [])).toEqual([]);
    expect(exactly(b.piece, [{}])).toEqual([{}]);
  });

  it("say what is edited in exactly the variants they reach that nothing narrower says", () => {
    fc.assert(
      fc.property(plan, fc.integer({ min: 100, max: 900 }), (p, y) => {
        const { b, ids } = built({ ...p, looks: [] });
        const layer = b.layerOf(ids[0] ?? "");
        const variant = variantsOf(b.piece).at(-1) ?? {};
        for (const scope of scopesFor(b.piece, variant)) {
          const next = new Builder();
          next.project = b.project;
          next.on(b.at).do(setValues(b.piece, scope.when, { [layer.id]: { y } }));
          for (const v of variantsOf(next.piece))
            expect(valuesIn(next.project, next.piece, v, layer).y === y).toBe(meets(scope.when, v));
          expect(lookFor(next.piece, scope.when)?.changes[layer.id]).toMatchObject({ y });
        }
      }),
      { numRuns: 30 },
    );
  });
});

describe("conditions", () => {
  it("are the same whatever the order of their parts, and no others are", () => {
    expect(sameCondition({ a: ["1", "2"], b: ["3"] }, { b: ["3"], a: ["2", "1"] })).toBe(true);
    const others: readonly Condition[] = [
      {},
      { a: ["1"] },
      { a: ["1", "2"] },
      { a: ["1", "2"], c: ["3"] },
    ];
    for (const other of others)
      expect(sameCondition({ a: ["1", "2"], b: ["3"] }, other)).toBe(false);
  });

  it("of traits or values that somebody removed are never met, and said to be", () => {
    const b = new Builder();
    b.new("component", "Buoy");
    const lit = b.trait("Lit", "no", "yes");
    const variant = restingVariant(b.piece);
    expect(meets({ gone: ["x"] }, variant)).toBe(false);
    expect(meets({ [lit.id]: ["gone"] }, variant)).toBe(false);
    expect(meets({ [lit.id]: [] }, variant)).toBe(false);
    expect(conditionText(b.piece, { gone: ["x"] })).toBe("a deleted trait");
    expect(conditionText(b.piece, { [lit.id]: ["gone"] })).toBe("Lit is a deleted value");
    expect(conditionShort(b.piece, { gone: ["x"], [lit.id]: ["gone"] })).toBe("? + ?");
  });

  it("are said in full, and in few words where there is little room", () => {
    const b = new Builder();
    b.new("component", "Buoy");
    const lit = b.trait("Lit", "no", "yes");
    const tide = b.trait("Tide", "low", "mid", "high");
    const when = {
      [lit.id]: [lit.v.yes as string],
      [tide.id]: [tide.v.low as string, tide.v.mid as string],
    };
    expect(conditionText(b.piece, when)).toBe("Lit is yes and Tide is low or mid");
    expect(conditionShort(b.piece, when)).toBe("lit + low/mid");
    expect(conditionShort(b.piece, { [lit.id]: [lit.v.no as string] })).toBe("not lit");
    expect(conditionShort(b.piece, {})).toBe("all");
  });
});

describe("variants", () => {
  it("are completed and corrected: what is unknown is dropped, what is missing rests", () => {
    fc.assert(
      fc.property(plan, fc.dictionary(fc.string(), fc.string()), (p, junk) => {
        const { piece } = built(p).b;
        const rest = restingVariant(piece);
        expect(variantFrom(piece, junk)).toEqual(rest);
        for (const v of variantsOf(piece)) {
          expect(variantFrom(piece, { ...junk, ...v })).toEqual(v);
          const [first] = traitsOf(piece);
          if (!first) continue;
          const { [first.id]: _left, ...others } = v;
          expect(variantFrom(piece, others)).toEqual({ ...v, [first.id]: rest[first.id] });
        }
      }),
      { numRuns: 40 },
    );
  });

  it("are as many as there are combinations, each with a key of its own", () => {
    fc.assert(
      fc.property(plan, (p) => {
        const { piece } = built(p).b;
        const all = variantsOf(piece);
        expect(all).toHaveLength(p.traits.reduce((n, values) => n * values, 1));
        expect(new Set(keysOf(piece, all)).size).toBe(all.length);
        expect(variantsOf(piece)).toBe(all);
      }),
      { numRuns: 40 },
    );
  });

  it("multiply with a new trait, which rests in all that were there", () => {
    const b = new Builder();
    b.new("component", "Buoy");
    b.trait("Tide", "low", "high");
    const before = variantsOf(b.piece).length;
    const made = addTrait(b.piece, "Lit", ["no", "yes"]);
    b.do(made.change);
    expect(variantsOf(b.piece)).toHaveLength(before * 2);
    const [no] = inOrder(b.piece.traits[made.id]?.values ?? {});
    expect(restingVariant(b.piece)[made.id]).toBe(no?.id);
  });
});
