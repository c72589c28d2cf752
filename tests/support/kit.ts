import type { Browser } from "puppeteer-core";
import { inject } from "vitest";
import type { Sequelize } from "sequelize";
import { newId } from "#core/project";
import type { Project } from "#core/project";
import { openDatabase, ProjectLog } from "#server";
import { kelpwayKit } from "../../demo/index";
import { launch } from "./browser";
import { Designer } from "./designer";

/** A designer at a project of their own: the kit, or what is given. */
export interface Desk { readonly me: Designer; readonly browser: Browser; readonly db: Sequelize; readonly id: string; readonly address: string; /** opens a piece on the bench */ go(piece: string, who?: Designer): Promise<void>; close(): Promise<void> }

export const openDesk = async (project: Project = kelpwayKit()): Promise<Desk> => {
  const { browser, close } = await launch(), db = openDatabase(inject("databaseUrl")), id = newId();
  await new ProjectLog(db).create(id, project);
  const me = new Designer(await browser.newPage()), address = `${inject("address")}/projects/${id}`;
  return {
    me, browser, db, id, address,
    go: async (piece, who = me) => {
      await who.page.goto(`${address}/pieces/${piece}`, { waitUntil: "load" });
      await who.find("tree", "Layers");
    },
    close: async () => {
      await close();
      await db.close();
    },
  };
};
