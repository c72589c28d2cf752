// Reads advances and kerning out of the shipped font files, so that text is measured from what the
// browser draws.
import { mkdirSync, readFileSync, writeFileSync, existsSync, statSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { readFont } from "../server/decoding/font.ts";
import { fileNameOf, homeOf, packageOf, subsets } from "../server/pictures/shipped.ts";
import type { Face } from "../core/layout/index.ts";
import { families } from "../core/properties/index.ts";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const out = join(root, "generated");

const rangesOf = (css: string, subset: string): (readonly [number, number])[] => {
  const block = css
    .split("@font-face")
    .find((b) => new RegExp(`url\\([^)]*-${subset}-\\d`).test(b));
  const list = /unicode-range:\s*([^;]+);/.exec(block ?? "")?.[1] ?? "U+0000-10FFFF";
  return list.split(",").map((part) => {
    const [from = "0", to = from] = part.trim().replace("U+", "").split("-");
    return [Number.parseInt(from, 16), Number.parseInt(to, 16)] as const;
  });
};

const book: Record<string, Face[]> = {};
const css: string[] = [];
const stamp = JSON.stringify({
  families,
  version: 5,
  packages: Object.keys(families).map((family) => {
    const file = join(homeOf(family), "package.json");
    return (JSON.parse(readFileSync(file, "utf8")) as { version: string }).version;
  }),
});
const target = join(out, "fonts.json");
const stampFile = join(out, "fonts.stamp");
if (existsSync(target) && existsSync(stampFile) && readFileSync(stampFile, "utf8") === stamp)
  process.exit(0);

mkdirSync(out, { recursive: true });
for (const [family, weights] of Object.entries(families)) {
  const home = homeOf(family);
  for (const weight of weights) {
    const sheet = readFileSync(join(home, `${weight}.css`), "utf8");
    const faces = await Promise.all(
      subsets.map(async (subset): Promise<Face[]> => {
        const name = fileNameOf(family, weight, subset);
        const file = join(home, "files", name);
        if (!existsSync(file)) return [];
        const ranges = rangesOf(sheet, subset);
        const range = ranges
          .map(([a, b]) => `U+${a.toString(16)}${b === a ? "" : `-${b.toString(16)}`}`)
          .join(",");
        css.push(
          `@font-face{font-family:"${family}";font-style:normal;font-weight:${weight};font-display:block;src:url("${packageOf(family)}/files/${name}") format("woff2");unicode-range:${range}}`,
        );
        return [(await readFont(readFileSync(file), ranges)).face];
      }),
    );
    book[`${family}/${weight}`] = faces.flat();
  }
}
writeFileSync(target, JSON.stringify(book));
writeFileSync(join(out, "fonts.css"), css.join("\n"));
writeFileSync(stampFile, stamp);
console.log(
  `fonts: ${Object.keys(book).length} weights measured, ${Math.round(statSync(target).size / 1024)} kB`,
);
