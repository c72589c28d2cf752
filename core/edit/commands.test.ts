import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import {
  carryVariant,
  clearValue,
  detach,
  duplicateLayers,
  extract,
  lock,
  mergeTokens,
  moveSaying,
  moveTrait,
  moveTraitValue,
  removeLayers,
  removeTrait,
  removeTraitValue,
  repeatedValues,
  resetVariant,
  restackTo,
  setRest,
  setValues,
  tokenFrom,
  wrap,
} from "#core/edit";
import type { Id } from "#core/basics";
import { boundsIn, layout } from "#core/layout";
import type { LayoutBox, LayoutEnv, Rect } from "#core/layout";
import {
  Resolver,
  childrenOf,
  looksIn,
  onlyScope,
  traitsOf,
  valuesIn,
  valuesOf,
  variantsOf,
} from "#core/looks";
import { ROOT, accept, apply, inOrder } from "#core/project";
import type { Change, Piece, Project, Variant } from "#core/project";
import { testEnv } from "../../tests/support/env";
import type { Builder } from "../../tests/support/pieces";
import { built, plan } from "../../tests/support/chance/random";
import type { Plan } from "../../tests/support/chance/random";
import { ownLooks } from "./drawing/looks";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const scene = (b: Builder, variant: Variant): LayoutBox =>
  layout(env, new Resolver().tree(b.project, b.at, variant) as never);
/**
 * What one sees of every layer in every variant: where its leaves lie on the card and how they are
 * filled.
 */
const leaves = (p: LayoutBox, x = 0, y = 0, faint = 1): string[] => {
  const px = x + p.x;
  const py = y + p.y;
  const opacity = faint * p.values.opacity;
  const inside = [...p.children, ...(p.nested ? [p.nested] : [])];
  const own =
    p.layer.kind === "instance" || p.layer.id === ROOT || p.values.fill === "none"
      ? []
      : [
          JSON.stringify([
            Math.round(px * 10),
            Math.round(py * 10),
            Math.round(p.width),
            p.values.fill,
            Math.round(opacity * 1000),
          ]),
        ];
  return [...own, ...inside.flatMap((c) => leaves(c, px, py, opacity))];
};
const seen = (b: Builder): string[][] => variantsOf(b.piece).map((v) => leaves(scene(b, v)).sort());
const values = (project: Project, piece: Piece, variant: Variant) =>
  Object.fromEntries(
    inOrder(piece.layers).map((l) => [l.id, valuesIn(project, piece, variant, l)]),
  );
const at = <T>(list: readonly T[], n: number): T => list[n % list.length] as T;
const each = (
  run: (made: { b: Builder; ids: Id[]; pick: (n: number) => number; plan: Plan }) => void,
  runs = 150,
): void => {
  fc.assert(
    fc.property(plan, (p) => {
      run({ ...built(p), pick: (n) => p.pick[n] as number, plan: p });
    }),
    { numRuns: runs },
  );
};
const boxes = (b: Builder, ids: readonly Id[], variant: Variant): Map<Id, Rect> => {
  const all = boundsIn(scene(b, variant));
  return new Map(
    ids.flatMap((id) => {
      const r = all.get(id);
      return r ? [[id, r] as const] : [];
    }),
  );
};

describe("commands on whatever pieces", () => {
  it("make changes that are accepted and can be taken back to exactly what was", () => {
    each(({ b, ids, pick }) => {
      const variants = variantsOf(b.piece);
      const v = at(variants, pick(0));
      const w = at(variants, pick(1));
      const id = at(ids, pick(2));
      const trait = at(traitsOf(b.piece), pick(3));
      const value = at(valuesOf(trait), pick(4));
      const look = at(Object.values(b.piece.looks), pick(5));
      const siblings = (childrenOf(b.piece).get(b.layerOf(id).parent ?? ROOT) ?? []).map(
        (l) => l.id,
      );
      const changes: (Change | null | undefined)[] = [
        setValues(b.piece, [onlyScope(b.piece, v), onlyScope(b.piece, w)], {
          [id]: { x: 3, opacity: 0.4 },
        }),
        clearValue(b.piece, look.id, id, "x"),
        carryVariant(b.project, b.piece, v, w),
        resetVariant(b.piece, v),
        moveSaying(b.piece, look.id, ids, ["x", "fill"], {}),
        removeTrait(b.piece, trait),
        removeTraitValue(b.piece, trait, value.id),
        moveTrait(b.piece, trait.id, 0),
        moveTraitValue(b.piece, trait, value.id, 1),
        setRest(b.piece, trait.id, value.id),
        wrap(b.piece, siblings, "group", boxes(b, siblings, v))?.change,
        extract(b.project, b.piece, [id], "Part", boxes(b, [id], v))?.change,
        removeLayers(b.piece, [id]),
        duplicateLayers(b.piece, [id], { dx: 4, dy: 4 }).change,
        lock(b.piece, ids, true),
        restackTo(b.piece, [id], "back"),
      ];
      for (const change of changes) {
        if (!change) continue;
        const done = accept(b.project, change);
        if (!done.ok) throw new Error(`${change.label}: ${done.error}`);
        expect(apply(done.project, done.inverse).doc).toEqual(b.project);
      }
    });
  });

  it("taking over a look makes the variants equal and leaves the one it comes from as it was", () => {
    each(({ b, pick }) => {
      const variants = variantsOf(b.piece);
      const from = at(variants, pick(0));
      const to = at(variants, pick(1));
      const before = values(b.project, b.piece, from);
      const change = carryVariant(b.project, b.piece, from, to);
      if (change) b.do(change);
      expect(values(b.project, b.piece, to)).toEqual(before);
      expect(values(b.project, b.piece, from)).toEqual(before);
      expect(carryVariant(b.project, b.piece, from, to)).toBeNull();
    });
  });

  it("a reset variant says nothing for itself, and the resting one stays as it is", () => {
    each(({ b, pick }) => {
      const v = at(variantsOf(b.piece), pick(0));
      const rest = variantsOf(b.piece)[0] as Variant;
      const before = values(b.project, b.piece, rest);
      const change = resetVariant(b.piece, v);
      if (change) b.do(change);
      expect(ownLooks(b.piece, v)).toEqual([]);
      if (v !== rest) expect(values(b.project, b.piece, rest)).toEqual(before);
    });
  });

  it("said for one variant only, what a look says shows there as before", () => {
    each(({ b, ids, pick }) => {
      const v = at(variantsOf(b.piece), pick(0));
      const id = at(ids, pick(1));
      const strongest = looksIn(b.piece, v).findLast((l) => l.changes[id]);
      const key = strongest && Object.keys(strongest.changes[id] ?? {})[0];
      if (!strongest || key === undefined) return;
      const before = valuesIn(b.project, b.piece, v, b.layerOf(id))[key];
      const change = moveSaying(b.piece, strongest.id, [id], [key], onlyScope(b.piece, v));
      if (change) b.do(change);
      expect(valuesIn(b.project, b.piece, v, b.layerOf(id))[key]).toEqual(before);
    });
  });

  it("removing a value leaves the other variants as they looked; reordering changes none", () => {
    each(({ b, pick }) => {
      const trait = at(traitsOf(b.piece), pick(0));
      const gone = at(valuesOf(trait), pick(1));
      const all = new Map(
        variantsOf(b.piece).map((v) => [
          JSON.stringify(Object.entries(v).sort()),
          values(b.project, b.piece, v),
        ]),
      );
      const check = () => {
        for (const v of variantsOf(b.piece))
          expect(values(b.project, b.piece, v)).toEqual(
            all.get(JSON.stringify(Object.entries(v).sort())),
          );
      };
      b.do(moveTrait(b.piece, trait.id, 0)).do(
        moveTraitValue(b.piece, b.piece.traits[trait.id] as never, gone.id, pick(2) % 3),
      );
      check();
      const change = removeTraitValue(b.piece, b.piece.traits[trait.id] as never, gone.id);
      if (!change) return;
      const before = variantsOf(b.piece).length;
      b.do(change);
      expect(variantsOf(b.piece).length).toBeLessThan(before);
      check();
    });
  });

  it("grouping, and making a component and layers of it again, change no variant's look", () => {
    each(({ b, ids, pick }) => {
      const id = at(ids, pick(0));
      const parent = b.layerOf(id).parent ?? ROOT;
      const several = (childrenOf(b.piece).get(parent) ?? [])
        .map((l) => l.id)
        .filter((other, i) => other === id || pick(i % 8) % 2 === 0);
      const v = variantsOf(b.piece)[0] as Variant;
      const before = seen(b);
      const group = wrap(b.piece, several, "group", boxes(b, several, v));
      if (group) {
        b.do(group.change);
        expect(seen(b)).toEqual(before);
      }
      const made = extract(
        b.project,
        b.piece,
        [group?.id ?? id],
        "Part",
        boxes(b, [group?.id ?? id], v),
      );
      if (!made) return;
      b.do(made.change);
      expect(seen(b)).toEqual(before);
      const back = detach(b.project, b.piece, made.copy);
      if (back) b.do(back.change);
      expect(seen(b)).toEqual(before);
    }, 120);
  });

  it("equal values made a token, and equal tokens made one, look as before", () => {
    each(({ b }) => {
      const before = seen(b);
      for (const [i, repeated] of repeatedValues(b.project).entries())
        b.do(tokenFrom(b.project, repeated, `Sea ${i}`).change);
      expect(seen(b)).toEqual(before);
      expect(repeatedValues(b.project)).toEqual([]);
      const tokens = Object.values(b.project.tokens);
      const [first] = tokens;
      if (!first) return;
      const twin = { ...first, id: "twin", name: "Twin" };
      b.do({ label: "x", ops: [{ op: "set", path: ["tokens", "twin"], value: twin }] });
      b.do(mergeTokens(b.project, [first, twin]));
      expect(Object.keys(b.project.tokens)).toHaveLength(tokens.length);
      expect(seen(b)).toEqual(before);
    });
  });
});
