// Reads the shipped icon package into one catalogue of names and outlines, so that projects can
// take icons over.
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { readIcon } from "../core/formats/svg/index.ts";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const home = dirname(createRequire(import.meta.url).resolve("bootstrap-icons/package.json"));
const target = join(root, "generated/icons.json");
const stampFile = join(root, "generated/icons.stamp");
const stamp = `3 ${(JSON.parse(readFileSync(join(home, "package.json"), "utf8")) as { version: string }).version}`;
if (existsSync(target) && existsSync(stampFile) && readFileSync(stampFile, "utf8") === stamp)
  process.exit(0);

const icons: unknown[] = [];
const refused: string[] = [];
for (const file of readdirSync(join(home, "icons")).sort()) {
  if (!file.endsWith(".svg")) continue;
  const read = readIcon(readFileSync(join(home, "icons", file), "utf8"));
  if (read.ok) icons.push({ name: file.slice(0, -4), ...read.icon });
  else refused.push(`${file}: ${read.error}`);
}
mkdirSync(join(root, "generated"), { recursive: true });
writeFileSync(target, JSON.stringify(icons));
writeFileSync(stampFile, stamp);
console.log(
  `icons: ${icons.length} in the catalogue, ${Math.round(statSync(target).size / 1024)} kB${refused.length ? `, ${refused.length} left out: ${refused.join("; ")}` : ""}`,
);
