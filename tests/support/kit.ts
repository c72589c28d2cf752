import type { Browser } from "puppeteer-core";
import { afterAll, beforeAll, inject } from "vitest";
import type { Sequelize } from "sequelize";
import { newId } from "#core/project";
import type { Piece, Project } from "#core/project";
import { openDatabase, ProjectLog } from "#server";
import { kelpwayKit } from "../../demo/index";
import { bellOfVariants } from "./bell";
import { launch, sleep } from "./browser";
import { Designer } from "./designer";

/** A designer at a project of their own: the kit, or what is given. */
export interface Desk {
  readonly me: Designer;
  readonly browser: Browser;
  readonly db: Sequelize;
  readonly id: string;
  readonly address: string;
  /** opens a piece on the bench */ readonly go: (piece: string, who?: Designer) => Promise<void>;
  /** opens it with the timing of a rule */ timing(piece: string, rule: string): Promise<void>;
  close(): Promise<void>;
}

/** The kit with some parts as they look, without their behaviour. */
export const kitWithout = (...ids: readonly string[]): Project => {
  const kit = kelpwayKit();
  return {
    ...kit,
    pieces: {
      ...kit.pieces,
      ...Object.fromEntries(
        ids.map((id) => [id, { ...(kit.pieces[id] as Piece), rules: {}, rehearsals: {} }]),
      ),
    },
  };
};

/**
 * The kit with a Route bell whose wiggle and swell are variants, as it looks, without its
 * behaviour.
 */
export const kitWithBellOfVariants = (): Project => {
  const kit = kitWithout("route-bell");
  const bell = kit.pieces["route-bell"] as Piece;
  return {
    ...kit,
    pieces: { ...kit.pieces, "route-bell": { ...bellOfVariants(bell.order), rules: {} } },
  };
};

/** The kit with a Route bell without behaviour: four variants of three layers to draw on. */
export const kitWithPlainBell = (): Project => kitWithout("route-bell");

const openDesk = async (project: Project = kelpwayKit()): Promise<Desk> => {
  const { browser, close } = await launch();
  const db = openDatabase(inject("databaseUrl"));
  const id = newId();
  await new ProjectLog(db).create(id, project);
  const me = new Designer(await browser.newPage());
  const address = `${inject("address")}/projects/${id}`;
  const go = async (piece: string, who = me) => {
    await who.page.goto(`${address}/pieces/${piece}`, { waitUntil: "load" });
    await who.find("tree", "Layers");
  };
  return {
    me,
    browser,
    db,
    id,
    address,
    go,
    timing: async (piece, rule) => {
      await go(piece);
      await me.click("tab", "Timing");
      await me.find("slider", "Playhead");
      await me.page.select("select[aria-label=Rule]", rule);
      await sleep(200);
    },
    close: async () => {
      await close();
      await db.close();
    },
  };
};

/** A desk that is there before the first test of the file, and closed after the last. */
export const givenDesk = (project?: Project): Desk => {
  const desk = {} as Desk;
  beforeAll(async () => {
    Object.assign(desk, await openDesk(project));
  });
  afterAll(() => desk.close());
  return desk;
};
