import "../core/combine/index.ts";
import { readFileSync } from "node:fs";
import { explore } from "../core/checks/walk/explore.ts";
import { checked } from "../core/checks/index.ts";
import { board } from "./bench/behaviour.ts";
import { kelpwayKit } from "../demo/index.ts";
const env = { fonts: JSON.parse(readFileSync("generated/fonts.json", "utf8")) };
const run = (most: number) => {
  const { project, piece } = board();
  globalThis.gc?.();
  const before = process.memoryUsage().heapUsed;
  const t = performance.now();
  const g = explore(env, project, piece, most);
  let r = g.next();
  while (!r.done) r = g.next();
  const s = r.value as any;
  const dt = performance.now() - t;
  globalThis.gc?.();
  console.log(most, s.nodes.length, s.edges.length, s.whole, Math.round(dt) + " ms", Math.round((process.memoryUsage().heapUsed - before) / 1e6) + " MB", Math.round(process.memoryUsage().rss/1e6)+" rss");
};
for (const m of process.argv.slice(2).map(Number)) run(m);
const kit = kelpwayKit();
const t = performance.now();
let n = 0;
for (const p of Object.values(kit.pieces)) { const t1 = performance.now(); const c = checked(env, { ...kit }, p.id); n += c.situations; const d = performance.now()-t1; if (d>150) console.log(p.name, c.situations, c.whole, Math.round(d)); }
console.log("kit", Math.round(performance.now() - t), n);
