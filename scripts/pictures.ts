// Draws the demo project's pictures, our own SVG drawings, as PNG files beside them. Run it after
// changing a drawing.
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { launch } from "../tests/support/browser.ts";
import { root } from "./serve.ts";

const folder = join(root, "demo/pictures");
const { browser, close } = await launch();
try {
  const page = await browser.newPage();
  for (const file of readdirSync(folder).filter((f) => f.endsWith(".svg"))) {
    const svg = readFileSync(join(folder, file), "utf8");
    const [, width = "480", height = "320"] = /width="(\d+)" height="(\d+)"/.exec(svg) ?? [];
    await page.setViewport({ width: Number(width), height: Number(height) });
    await page.setContent(`<style>body{margin:0}svg{display:block}</style>${svg}`);
    writeFileSync(
      join(folder, file.replace(".svg", ".png")),
      await page.screenshot({ type: "png" }),
    );
    console.log(file);
  }
} finally {
  await close();
}
