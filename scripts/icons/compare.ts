// Compares every icon of the shipped catalogue, read as SVG and painted by Nubble, with the
// browser's own painting of the file.
import { readdirSync, readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { launch } from "../../tests/support/browser.ts";
import { testEnv } from "../../tests/support/env.ts";
import { differences, repainted } from "../../tests/support/pictures.ts";

// at small sizes the two ways the browser smooths arcs and curves differ more than the outlines do
const SIZE = 128;
const home = join(
  dirname(createRequire(import.meta.url).resolve("bootstrap-icons/package.json")),
  "icons",
);
const files = readdirSync(home)
  .filter((f) => f.endsWith(".svg"))
  .sort();
const env = await testEnv();
const { browser, close } = await launch();
try {
  const page = await browser.newPage();
  const off: number[] = [];
  for (let i = 0; i < files.length; i += 100) {
    off.push(
      ...(await differences(
        page,
        files.slice(i, i + 100).map((f) => {
          const source = readFileSync(join(home, f), "utf8");
          return [source, repainted(env, source)] as const;
        }),
        SIZE,
      )),
    );
  }
  const bad = files.filter((_, i) => !((off[i] as number) < 0.01));
  console.log(
    `${files.length} icons, mean difference ${((off.reduce((a, b) => a + b, 0) / off.length) * 100).toFixed(4)} %, worst ${(Math.max(...off) * 100).toFixed(3)} %`,
  );
  if (bad.length) {
    console.error(`over 1 %: ${bad.join(", ")}`);
    process.exitCode = 1;
  }
} finally {
  await close();
}
