import type { Browser } from "puppeteer-core";
import type { Sequelize } from "sequelize";
import { addPiece, addRule, addTrait, emptyProject } from "../../core/edit/index.ts";
import { newId } from "../../core/project/index.ts";
import type { Piece, Project } from "../../core/project/index.ts";
import { ProjectLog } from "../../server/index.ts";
import { sleep } from "../../tests/support/browser.ts";
import { framesWhile } from "./browser.ts";
import { must } from "./support.ts";
import type { Line } from "./support.ts";

/** A harbour board of 486 variants, each trait turned on by a key of its own. */
const board = (): { project: Project; piece: string } => {
  const made = addPiece(emptyProject("Map"), "component", "Harbour board");
  let project = must(emptyProject("Map"), made.change);
  const piece = () => project.pieces[made.id] as Piece;
  for (const [i, n] of [3, 3, 3, 3, 6].entries()) {
    const trait = addTrait(
      piece(),
      `Pier ${i + 1}`,
      Array.from({ length: n }, (_, k) => `ship ${k + 1}`),
    );
    project = must(project, trait.change);
    project = must(
      project,
      addRule(piece(), {
        trigger: { type: "key", key: String(i + 1) },
        source: null,
        effects: [{ type: "set", trait: trait.id, to: { step: "next" } }],
      }).change,
    );
  }
  return { project, piece: made.id };
};

/**
 * The map of nearly 500 variants: from the press of its tab until it is drawn, and frames per
 * second while it is moved and zoomed.
 */
export const mapBench = async (
  browser: Browser,
  address: string,
  db: Sequelize,
  line: Line,
): Promise<void> => {
  const { project, piece } = board();
  const id = newId();
  await new ProjectLog(db).create(id, project);
  const page = await browser.newPage();
  await page.goto(`${address}/projects/${id}/pieces/${piece}`, { waitUntil: "load" });
  await page.waitForSelector("[role=tab]");
  await sleep(6000);
  await page.evaluate(() =>
    (
      [...document.querySelectorAll("[role=tab]")].find((t) =>
        t.textContent?.startsWith("Map"),
      ) as HTMLElement
    ).click(),
  );
  await page.waitForSelector(".map .react-flow__node");
  const began = Date.now();
  await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>(".map [role=radio]")]
      .find((b) => b.textContent === "By variant")
      ?.click(),
  );
  await page.waitForFunction(
    () => document.querySelectorAll(".map .react-flow__node").length > 200,
    { timeout: 60_000 },
  );
  const drawn = Date.now() - began;
  const nodes = await page.$$eval(".map .react-flow__node", (all) => all.length);
  const ways = await page.$$eval(".map .react-flow__edge", (all) => all.length);
  await sleep(1500);
  const pane = await (await page.$(".map .react-flow__pane"))?.boundingBox();
  if (!pane) throw new Error("no map");
  const [x, y] = [pane.x + pane.width / 2, pane.y + pane.height - 12];
  const moved = await framesWhile(page, async () => {
    await page.mouse.move(x, y);
    await page.mouse.down();
    for (let i = 0, end = Date.now() + 2500; Date.now() < end; i++)
      await page.mouse.move(x + 60 * Math.sin(i / 9), y - 20 * Math.abs(Math.cos(i / 7)));
    await page.mouse.up();
  });
  const zoomed = await framesWhile(page, async () => {
    for (let i = 0, end = Date.now() + 2500; Date.now() < end; i++)
      await page.mouse.wheel({ deltaY: i % 40 < 20 ? -40 : 40 });
  });
  line(
    `map: ${nodes} places and ${ways} ways in view, in the browser`,
    `drawn after ${drawn} ms, moved at ${moved.toFixed(0)} frames/s, zoomed at ${zoomed.toFixed(0)}`,
  );
  await page.close();
};
