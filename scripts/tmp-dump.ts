import "../core/combine/index.ts";
import { readFileSync } from "node:fs";
import { checked } from "../core/checks/index.ts";
import { kelpwayKit, islandApp } from "../demo/index.ts";
const env = { fonts: JSON.parse(readFileSync("generated/fonts.json", "utf8")) };
const out: unknown[] = [];
for (const kit of [kelpwayKit()]) for (const p of Object.values(kit.pieces)) { const c = checked(env, kit, p.id); out.push([p.name, c]); }
console.log(JSON.stringify(out, null, 1));
