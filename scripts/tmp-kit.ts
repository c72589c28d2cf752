import "../core/combine/index.ts";
import { readFileSync } from "node:fs";
import { checked } from "../core/checks/index.ts";
import { kelpwayKit } from "../demo/index.ts";
const env = { fonts: JSON.parse(readFileSync("generated/fonts.json", "utf8")) };
const kit = kelpwayKit();
for (let i = 0; i < 14; i++) { const t = performance.now(); for (const p of Object.values(kit.pieces)) checked(env, { ...kit }, p.id); console.log(Math.round(performance.now() - t)); }
