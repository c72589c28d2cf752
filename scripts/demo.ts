import "../core/combine/index.ts";
import { readFile } from "node:fs/promises";
import type { FontBook } from "../core/layout/index.ts";
import { FORMAT, newId } from "../core/project/index.ts";
import type { Project } from "../core/project/index.ts";
import { contentOf, numberEdition } from "../core/system/index.ts";
import type { Earlier, Numbered } from "../core/system/index.ts";
import { islandApp, kelpwayEditions, pictureFiles } from "../demo/index.ts";
import type { DemoEdition } from "../demo/index.ts";
import { Editions, decodeHere, storeAsset } from "../server/index.ts";
import type { EditionAbout, ProjectLog } from "../server/index.ts";

const KIT = "kelpway-kit";
const ISLAND = "island-app";
/** The edition that the app uses: one behind. */
const USED = "1.1.0";

const measures = async (): Promise<FontBook> => {
  const text = await readFile(new URL("../generated/fonts.json", import.meta.url), "utf8");
  return JSON.parse(text) as FontBook;
};

const numbered = (fonts: FontBook, earlier: Earlier | null, project: Project): Numbered => {
  const run = numberEdition({ fonts }, new Map(), earlier, contentOf(project));
  for (;;) {
    const { done, value } = run.next();
    if (done) return value;
  }
};

/** The steps from one state of a project to another one: what differs, table by table. */
const stepsTo = (before: Project, after: Project) =>
  (["pieces", "tokens", "themes", "assets"] as const).flatMap((table) => {
    const [was, is]: readonly Readonly<Record<string, unknown>>[] = [before[table], after[table]];
    const differs = Object.entries(is ?? {}).filter(
      ([id, record]) => JSON.stringify(record) !== JSON.stringify(was?.[id]),
    );
    return differs.map(([id, value]) => ({ op: "set" as const, path: [table, id], value }));
  });

/** Goes on with the kit's project to what it was at another edition. */
const goOn = async (log: ProjectLog, from: DemoEdition, to: DemoEdition, seq: number) => {
  const result = await log.append(KIT, {
    changeId: newId(),
    clientId: "kelpway-crew",
    since: seq,
    base: seq,
    late: false,
    format: FORMAT,
    change: { label: to.name, ops: stepsTo(from.project, to.project) },
  });
  if (result.kind !== "kept") throw new Error(`the demo could not be made: ${result.kind}`);
  return result.seq;
};

/** The kit with its editions, each as it would have been published; the newest last. */
const makeKit = async (log: ProjectLog): Promise<readonly EditionAbout[]> => {
  const fonts = await measures();
  const editions = new Editions(log);
  const published: EditionAbout[] = [];
  let before: DemoEdition | null = null;
  let seq = 0;
  for (const edition of kelpwayEditions()) {
    if (before) seq = await goOn(log, before, edition, seq);
    else await log.create(KIT, edition.project);
    const earlier = before && { number: before.number, content: contentOf(before.project) };
    const { number, notes, differences } = numbered(fonts, earlier, edition.project);
    const reasons = differences.map(({ kind, weight, subject, part, text }) => ({
      kind,
      weight,
      subject,
      part,
      text,
    }));
    const { name } = edition;
    const answer = await editions.publish(KIT, {
      seq,
      number,
      name,
      notes,
      reasons,
      lowered: null,
    });
    if (answer.kind !== "published") throw new Error(`the demo could not be made: ${answer.kind}`);
    published.push(answer.edition);
    before = edition;
  }
  return published;
};

/** Makes the demo's two projects anew: a design system and an app that uses it. */
export const makeDemo = async (log: ProjectLog): Promise<void> => {
  await log.destroy(ISLAND);
  await log.destroy(KIT);
  await new Editions(log).forget(KIT);
  for (const { bytes } of pictureFiles()) await storeAsset(bytes, decodeHere);
  const published = await makeKit(log);
  const used = published.find(({ number }) => number === USED);
  if (!used) throw new Error(`the demo has no edition ${USED}`);
  const { system, systemName: name, number, hash: edition } = used;
  await log.create(ISLAND, islandApp({ system, name, number, edition }));
};
