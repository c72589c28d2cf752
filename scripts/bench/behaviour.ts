import { checked, traitSpace } from "../../core/checks/index.ts";
import type { PieceMap } from "../../core/checks/index.ts";
import { addLayer, addPiece, addRule, addTrait, emptyProject } from "../../core/edit/index.ts";
import type { LayoutEnv } from "../../core/layout/index.ts";
import { inOrder } from "../../core/project/index.ts";
import type { Effect, Piece, Project } from "../../core/project/index.ts";
import { rehearse } from "../../core/rehearse/index.ts";
import { kelpwayKit } from "../../demo/index.ts";
import { arrangeMap } from "../../workers/arrange.ts";
import { median, must } from "./support.ts";
import type { Line } from "./support.ts";

/** Median time of one call, s. */
const seconds = (call: () => void, runs = 7): string => (median(call, runs, 1) / 1000).toFixed(3);

/**
 * A board of 16 lamps, off and on, with 40 rules: switches, lamps that light others, and one that
 * puts all out.
 */
const board = (): { project: Project; piece: Piece } => {
  const made = addPiece(emptyProject("Bench"), "component", "Berth board");
  let project = must(emptyProject("Bench"), made.change);
  const piece = () => project.pieces[made.id] as Piece;
  const cut = { kind: "cut", duration: 0, delay: 0, easing: "linear" } as const;
  const lamps = Array.from({ length: 16 }, (_, i) => {
    const layer = addLayer(piece(), "box", "root", {
      x: (i % 4) * 50,
      y: Math.floor(i / 4) * 50,
      width: 40,
      height: 40,
    });
    project = must(project, layer.change);
    const trait = addTrait(piece(), `Lamp ${i}`, ["off", "on"]);
    project = must(project, trait.change);
    const [off, on] = inOrder(piece().traits[trait.id]?.values ?? {});
    return { layer: layer.id, trait: trait.id, off: off?.id ?? "", on: on?.id ?? "" };
  });
  const rule = (given: Parameters<typeof addRule>[1]) => {
    project = must(project, addRule(piece(), { motion: cut, ...given }).change);
  };
  const sets = (lamp: (typeof lamps)[number], value: "on" | "off"): Effect => ({
    type: "set",
    trait: lamp.trait,
    to: { value: lamp[value] },
  });
  lamps.forEach((l, i) => {
    const next = lamps[(i + 1) % 16] as typeof l;
    rule({ source: l.layer, when: { [l.trait]: [l.off] }, effects: [sets(l, "on")] });
    rule({
      source: l.layer,
      when: { [l.trait]: [l.on], [next.trait]: [next.on] },
      effects: [sets(l, "off"), sets(next, "off")],
    });
    if (i < 8)
      rule({
        trigger: { type: "delay", ms: 200 + i },
        when: { [l.trait]: [l.on], [next.trait]: [next.off] },
        effects: [sets(l, "off")],
      });
  });
  return { project, piece: piece() };
};

/** A map of so many places, three ways from each. */
const mapOf = (n: number): PieceMap => ({
  byVariant: true,
  nodes: Array.from({ length: n }, (_, i) => ({
    key: `n${i}`,
    variant: {},
    reached: true,
    ends: false,
  })),
  links: Array.from({ length: n * 3 }, (_, i) => ({
    from: `n${Math.floor(i / 3)}`,
    to: `n${(Math.floor(i / 3) * 2 + i * 7 + 1) % n}`,
    rules: [],
    triggers: ["click" as const],
  })),
});

/** Exhaustive checks, rehearsals, and the drawing of maps. */
export const behaviour = (env: LayoutEnv, line: Line): void => {
  const kit = kelpwayKit();

  const { project, piece } = board();
  const rules = Object.keys(piece.rules).length;
  const heap = process.memoryUsage();
  const space = traitSpace(project, piece);
  const kept = process.memoryUsage().arrayBuffers - heap.arrayBuffers;
  line(
    `checks: every variant of 2^16, ${rules} rules, by traits`,
    `${seconds(() => traitSpace(project, piece))} s, ${space?.count.toLocaleString("en")} variants, ${space?.to.length.toLocaleString("en")} ways, ${Math.round(kept / 1e6)} MB`,
  );
  for (const most of [6000, 20_000, 100_000]) {
    const begin = performance.now();
    const all = checked(env, { ...project }, piece.id, most);
    const time = (performance.now() - begin) / 1000;
    const { heapUsed } = process.memoryUsage();
    line(
      `checks: the first ${most.toLocaleString("en")} situations of it one by one, all findings`,
      `${time.toFixed(1)} s, ${all.situations.toLocaleString("en")} situations, heap then ${Math.round(heapUsed / 1e6)} MB`,
    );
  }
  const lookAtAll = () => Object.values(kit.pieces).map((p) => checked(env, { ...kit }, p.id));
  const looked = lookAtAll();
  line(
    "checks: the whole kit, all situations",
    `${seconds(lookAtAll)} s, ${looked.reduce((n, c) => n + c.situations, 0).toLocaleString("en")} situations in ${looked.length} pieces`,
  );

  const begin = performance.now();
  let steps = 0;
  for (let i = 0; i < 20; i++)
    for (const p of Object.values(kit.pieces))
      for (const r of Object.values(p.rehearsals)) {
        rehearse(env, kit, p.id, r.steps);
        steps += r.steps.length;
      }
  line(
    "rehearsals of the kit",
    `${Math.round(steps / ((performance.now() - begin) / 1000)).toLocaleString("en")} steps/s`,
  );

  for (const n of [100, 500]) {
    const map = mapOf(n);
    const time = median(() => arrangeMap(map), 7, 2);
    line(`map: ${n} places, ${map.links.length} ways`, `${Math.round(time)} ms`);
  }
};
