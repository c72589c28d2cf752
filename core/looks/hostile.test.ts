import { describe, expect, it } from "vitest";
import { contains, emptyProject, newPiece } from "#core/edit";
import type { Layer, Piece, Project } from "#core/project";
import { Resolver } from "#core/looks";
import type { ComputedLayer } from "#core/looks";

/**
 * Pieces each of which places the next one several times: with depth 12 and 8 copies 8^12 layers,
 * were they all placed.
 */
const nested = (depth: number, copies: number): Project => {
  const pieces: Record<string, Piece> = {};
  for (let d = 0; d < depth; d++) {
    const piece = newPiece("component", `Hull ${d}`, "a0", `hull${d}`);
    const layers: Record<string, Layer> = { ...piece.layers };
    const changes: Record<string, Record<string, string>> = {};
    for (let c = 0; c < copies && d < depth - 1; c++) {
      layers[`copy${c}`] = {
        id: `copy${c}`,
        kind: "instance",
        name: `Copy ${c}`,
        parent: "root",
        order: "a1",
      };
      changes[`copy${c}`] = { component: `hull${d + 1}` };
    }
    const base = piece.looks.base;
    if (!base) continue;
    pieces[piece.id] = {
      ...piece,
      layers,
      looks: { base: { ...base, changes: { ...base.changes, ...changes } } },
    };
  }
  return { ...emptyProject("Shipyard"), pieces };
};

const count = (node: ComputedLayer | null): number =>
  node ? 1 + node.children.reduce((n, c) => n + count(c), 0) + count(node.nested) : 0;

describe("pieces that place one another many times over", () => {
  it("are resolved as far as a computer can hold them, the same each time", () => {
    const project = nested(12, 8);
    const resolver = new Resolver();
    const first = resolver.tree(project, "hull0", {});
    expect(count(first)).toBeGreaterThan(1000);
    expect(count(first)).toBeLessThan(300_000);
    expect(resolver.tree(project, "hull0", {})).toBe(first);
  });

  it("can be asked whether one contains another, each looked at once", () => {
    const project = nested(40, 12);
    expect(contains(project, "hull0", "hull39")).toBe(true);
    expect(contains(project, "hull39", "hull0")).toBe(false);
  });
});
