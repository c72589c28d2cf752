import { rmSync } from "node:fs";
import { join } from "node:path";
import type { Page } from "puppeteer-core";
import { checkSystem, searchComponents } from "../../core/library/index.ts";
import { newId, orderAfter } from "../../core/project/index.ts";
import type { Piece, Project } from "../../core/project/index.ts";
import { kelpwayKit } from "../../demo/index.ts";
import { openDatabase, ProjectLog } from "../../server/index.ts";
import { launch } from "../../tests/support/browser.ts";
import { startHarbour } from "../../tests/support/servers/harbour.ts";
import { build } from "../build.ts";
import { makeScratch } from "../run/scratch.ts";
import { root } from "../serve.ts";
import { median } from "./support.ts";
import type { Line } from "./support.ts";

const COMPONENTS = 1000;
const OPENINGS = 5;
const queries = ["swi", "tide", "starboard", "deck card", "zeppelin"];

/** The components of the kit over and over, each with a name of its own. */
const manyComponents = (): Project => {
  const kit = kelpwayKit();
  const components = Object.values(kit.pieces).filter((p) => p.kind === "component");
  const pieces: Piece[] = Object.values(kit.pieces);
  for (let i = pieces.length; i < COMPONENTS; i++) {
    const of = components[i % components.length] as Piece;
    const order = orderAfter(pieces.slice(-1));
    pieces.push({ ...of, id: `${of.id}-${i}`, name: `${of.name} ${i}`, order });
  }
  return { ...kit, pieces: Object.fromEntries(pieces.map((p) => [p.id, p])) };
};

/** From a press on the way to the library until the first component runs in it, ms. */
const openingTime = (page: Page): Promise<number> =>
  page.evaluate(async () => {
    const begin = performance.now();
    document.querySelector<HTMLElement>('a[href$="/system"]')?.click();
    while (!document.querySelector(".running svg [data-layer]"))
      await new Promise((r) => requestAnimationFrame(r));
    await new Promise((r) => requestAnimationFrame(() => requestAnimationFrame(r)));
    return performance.now() - begin;
  });

/** How large a library may be, and how quickly it opens and is searched. */
export const library = async (line: Line): Promise<void> => {
  const project = manyComponents();
  const fresh = () => ({ ...project, pieces: { ...project.pieces } });
  searchComponents(project, "pier");
  const search = median((i) => void searchComponents(project, queries[i % queries.length] ?? ""));
  line(`${COMPONENTS} components: a search`, `${search.toFixed(2)} ms`);
  const check = median(() => void checkSystem(fresh()), 3, 1);
  line(`${COMPONENTS} components: checked together`, `${check.toFixed(0)} ms`);
  const home = makeScratch("bench");
  const folder = join(root, "build");
  build(folder);
  const harbour = await startHarbour(home, folder);
  const db = openDatabase(harbour.postgres.url);
  const { browser, close } = await launch();
  try {
    const id = newId();
    await new ProjectLog(db).create(id, project);
    const times: number[] = [];
    for (let i = 0; i < OPENINGS; i++) {
      const page = await browser.newPage();
      await page.goto(`${harbour.served.address}/projects/${id}`, { waitUntil: "networkidle0" });
      times.push(await openingTime(page));
      await page.close();
    }
    times.sort((a, b) => a - b);
    const [middle = NaN] = times.slice(OPENINGS >> 1);
    const spread = `${(times[0] ?? NaN).toFixed(0)}–${(times.at(-1) ?? NaN).toFixed(0)}`;
    line(`${COMPONENTS} components: the library opens`, `${middle.toFixed(0)} ms (${spread})`);
  } finally {
    await close();
    await db.close();
    await harbour.stop();
    rmSync(home, { recursive: true, force: true });
  }
};
