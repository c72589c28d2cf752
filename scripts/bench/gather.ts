import { buildGathered, pairDrawings, planFromNames } from "../../core/gather/index.ts";
import type { Drawing, DrawnLayer } from "../../core/gather/index.ts";
import { median } from "./support.ts";
import type { Line } from "./support.ts";

/** Drawings of one part whose layers have lost their names' numbers, moved and changed colour. */
const drawings = (count: number, layers: number): Drawing[] =>
  Array.from({ length: count }, (_, d): Drawing => {
    const root: DrawnLayer = {
      id: `${d}-root`,
      kind: "box",
      name: `Berth ${["a", "b", "c", "d", "e", "f"][d % 6]} ${["no", "half", "yes", "full"][Math.floor(d / 6) % 4]}`,
      parent: null,
      x: 0,
      y: 0,
      width: 400,
      height: 300,
      values: {},
    };
    const inside = Array.from({ length: layers - 1 }, (_, i): DrawnLayer => ({
      id: `${d}-${i}`,
      kind: (["text", "ellipse", "box", "box"] as const)[i % 4] ?? "box",
      name: `Part ${i % 9} ${d}`,
      parent: i % 10 === 5 ? `${d}-${i - 1}` : root.id,
      x: ((i * 37) % 380) + (d % 3) * 4,
      y: (i * 53) % 280,
      width: 20 + (i % 7) * 5,
      height: 14 + (i % 5) * 4,
      values: {
        fill: `#${((i * 654321 + (d % 4) * 2048) % 0xffffff).toString(16).padStart(6, "0")}`,
        ...(i % 4 === 0 ? { text: `Words ${i}` } : {}),
      },
    }));
    return { name: root.name, layers: [root, ...inside] };
  });

/** Gathering 24 groups of 40 layers: pairing, and building the component. */
export const gather = (line: Line): void => {
  const list = drawings(24, 40);
  const plan = planFromNames(list.map((d) => d.name));
  let tracks = pairDrawings(list);
  const pair = median(
    () => {
      tracks = pairDrawings(list);
    },
    10,
    2,
  );
  const make = median(
    () => {
      buildGathered(list, tracks, plan, "made", "a0", true);
    },
    10,
    2,
  );
  line("gather: 24 drawings of 40 layers, pairing", `${pair.toFixed(0)} ms`);
  line("gather: the same, building the component with fewest sayings", `${make.toFixed(0)} ms`);
};
