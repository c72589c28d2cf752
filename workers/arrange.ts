import "./zod";
import { Graph, layout } from "@dagrejs/dagre";
import type { PieceMap } from "../core/checks/index";

/** Size of a place on the map, px. */
export const PLACE = { width: 148, height: 44 } as const;
export type Arranged = Readonly<Record<string, { readonly x: number; readonly y: number }>>;

/** How many ways each place is from the first one; places that no way leads to are not named. */
const depths = (map: PieceMap): Map<string, number> => {
  const out = new Map<string, number>();
  const next = new Map<string, string[]>();
  for (const l of map.links) {
    const list = next.get(l.from);
    if (list) list.push(l.to);
    else next.set(l.from, [l.to]);
  }
  for (const first of map.nodes) {
    if (!first.reached || out.has(first.key)) continue;
    out.set(first.key, 0);
    for (
      let row = [first.key];
      row.length;
      row = row.flatMap((at) =>
        (next.get(at) ?? []).filter((to) => !out.has(to) && out.set(to, (out.get(at) ?? 0) + 1)),
      )
    )
      continue;
  }
  return out;
};

/**
 * Where each place of a map lies: as many columns from the first as ways lead there, so that the
 * shortest ways go to the right; in columns ordered for few crossings (layered drawing after
 * Gansner et al. 1993). px of their top left corners.
 */
export const arrangeMap = (map: PieceMap): Arranged => {
  const g = new Graph();
  g.setGraph({
    rankdir: "LR",
    nodesep: 18,
    ranksep: 104,
    marginx: 20,
    marginy: 20,
    ranker: "longest-path",
  });
  g.setDefaultEdgeLabel(() => ({}));
  for (const n of map.nodes) g.setNode(n.key, { ...PLACE });
  const depth = depths(map);
  for (const l of map.links)
    if (depth.get(l.to) === (depth.get(l.from) ?? NaN) + 1) g.setEdge(l.from, l.to);
  layout(g);
  return Object.fromEntries(
    map.nodes.map((n) => {
      const at = g.node(n.key) as { x: number; y: number };
      return [n.key, { x: at.x - PLACE.width / 2, y: at.y - PLACE.height / 2 }];
    }),
  );
};
