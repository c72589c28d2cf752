import { mkdtempSync, readdirSync, rmSync, truncateSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { strToU8, unzipSync, zipSync } from "fflate";
import { afterAll, afterEach, beforeAll, describe, expect, inject, it } from "vitest";
import { FORMAT, set } from "#core/project";
import { listProjects, momentsOf, nameMoment } from "#server";
import type { Imported } from "#server";
import { Person } from "../support/browser";
import { givenBrowser } from "../support/given";

const given = givenBrowser();
const home = (): string => inject("address");
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), "nubble-files-"));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const made: string[] = [];
afterEach(async () => {
  for (const id of made.splice(0)) await given.projects.log.destroy(id);
});

const saved = async (id: string): Promise<Uint8Array> => {
  const answer = await fetch(`${home()}/projects/${id}/file`);
  expect(answer.headers.get("content-disposition")).toContain(".nubble");
  return new Uint8Array(await answer.arrayBuffer());
};
const sent = async (bytes: Uint8Array, type = "application/octet-stream"): Promise<Imported> => {
  const answer = await fetch(`${home()}/import.data`, {
    method: "POST",
    headers: { "Content-Type": type, Origin: home() },
    body: bytes as Uint8Array<ArrayBuffer>,
  });
  expect(answer.status).toBeLessThan(500);
  const text = await answer.text();
  const all = (await listProjects()).map(({ id }) => id);
  const id = all.find((one) => text.includes(one));
  if (id === undefined) return { kind: "refused", reason: text };
  made.push(id);
  return { kind: "imported", id, name: "", summary: text, notes: [] };
};
const idOf = (result: Imported): string => {
  if (result.kind === "refused") throw new Error(result.reason);
  return result.id;
};
const reasonOf = (result: Imported): string => (result.kind === "refused" ? result.reason : "");

/** The kit with a history of two named moments. */
const worked = async (): Promise<string> => {
  const id = await given.projects.fresh();
  made.push(id);
  const name = (text: string) => ({ label: "Rename", ops: [set(["name"], text)] });
  await given.projects.change(id, name("Spring kit"));
  await given.projects.change(id, name("Summer kit"), 1);
  await given.projects.change(id, name("Autumn kit"), 2);
  await nameMoment(given.projects.log, id, { seq: 1, name: "Spring" });
  await nameMoment(given.projects.log, id, { seq: 2, name: "Summer" });
  return id;
};

describe("project files", () => {
  it("bring a project back exactly, with its files and its named moments as history", async () => {
    const id = await worked();
    const copy = idOf(await sent(await saved(id)));
    expect(await given.projects.kept(copy)).toEqual(await given.projects.kept(id));
    const { log } = given.projects;
    const moments = await momentsOf(copy);
    expect(moments.map(({ name }) => name)).toEqual(["Summer", "Spring"]);
    for (const [i, original] of (await momentsOf(id)).entries())
      expect((await log.at(copy, moments[i]?.seq ?? -1))?.project).toEqual(
        (await log.at(id, original.seq))?.project,
      );
    // an imported project goes on as any other
    const head = await log.head(copy);
    await given.projects.change(
      copy,
      { label: "Rename", ops: [set(["name"], "Winter kit")] },
      head?.seq,
    );
    expect((await given.projects.kept(copy))?.name).toBe("Winter kit");
  });

  it("bring what was adopted along", async () => {
    const files = Object.keys(unzipSync(await saved("island-app")));
    expect(files.some((name) => name.startsWith("editions/"))).toBe(true);
    const copy = idOf(await sent(await saved("island-app")));
    expect(await given.projects.kept(copy)).toEqual(await given.projects.kept("island-app"));
  });

  it("are saved and imported from the page of projects, with a report", async () => {
    const id = await worked();
    const path = join(folder, "Autumn kit.nubble");
    const entries = unzipSync(await saved(id));
    const lost = Object.keys(entries).find((name) => name.startsWith("assets/")) ?? "";
    const { [lost]: _, ...rest } = entries;
    writeFileSync(path, zipSync(rest));
    const me = await Person.open(given.browser, home());
    await me.click("button", "Actions for Autumn kit");
    const link = await me.page.$eval(".dropdown-menu.show a", (a) => a.href);
    expect(link).toBe(`${home()}/projects/${id}/file`);
    await me.press("Escape");
    const field = await me.page.$("input[type=file]");
    await field?.uploadFile(path);
    await me.until(async () => expect(await me.text(".modal")).toContain("2 named moments"));
    expect(await me.text(".modal")).toContain("is missing. It is shown as missing");
    await me.click("button", "Close", ".modal-footer");
    await me.until(async () => expect(await me.page.$(".modal")).toBeNull());
    const called = (await listProjects()).filter(({ name }) => name === "Autumn kit");
    made.push(...called.flatMap((one) => (one.id === id ? [] : [one.id])));
    expect(called).toHaveLength(2);
    await (await me.page.$("input[type=file]"))?.uploadFile(path);
    await me.click("link", "Open project");
    await me.until(async () => expect(await me.text(".bar")).toContain("Autumn kit"));
    made.push(new URL(me.page.url()).pathname.split("/")[2] ?? "");
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });

  it("go from one list of projects to another", async () => {
    const id = await worked();
    const me = await Person.open(given.browser, home());
    const downloads = mkdtempSync(join(folder, "downloads-"));
    const client = await me.page.createCDPSession();
    await client.send("Browser.setDownloadBehavior", {
      behavior: "allow",
      downloadPath: downloads,
    });
    await me.click("button", "Actions for Autumn kit");
    await me.click("link", "Save as file");
    const saved = () => readdirSync(downloads);
    await me.until(() => Promise.resolve(expect(saved()).toEqual(["Autumn kit.nubble"])));
    await given.projects.log.destroy(id);
    const field = await me.page.$("input[type=file]");
    await field?.uploadFile(join(downloads, "Autumn kit.nubble"));
    await me.until(async () => expect(await me.text(".toast")).toContain("2 named moments"));
    await me.click("button", "Open", ".toast");
    await me.until(async () => expect(await me.text(".bar")).toContain("Autumn kit"));
    const copy = new URL(me.page.url()).pathname.split("/")[2] ?? "";
    made.push(copy);
    expect(copy).not.toBe(id);
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });

  it("are refused with the reason where they are none, newer, or too much", async () => {
    const before = (await listProjects()).length;
    const huge = zipSync({ "assets/x": new Uint8Array(410_000_000) }, { level: 1 });
    const me = await Person.open(given.browser, home());
    const path = join(folder, "notes.nubble");
    writeFileSync(path, "tide tables");
    await (await me.page.$("input[type=file]"))?.uploadFile(path);
    await me.until(async () =>
      expect(await me.text("body")).toContain(
        "“notes.nubble” was not imported: it is not a project file, or damaged.",
      ),
    );
    truncateSync(path, 101_000_000);
    await (await me.page.$("input[type=file]"))?.uploadFile(path);
    await me.until(async () =>
      expect(await me.text("body")).toContain("was not imported: it is larger than 100 MB."),
    );
    await me.page.close();
    const entries = unzipSync(await saved("island-app"));
    const manifest = JSON.parse(new TextDecoder().decode(entries["nubble.json"])) as object;
    const newer = strToU8(JSON.stringify({ ...manifest, format: FORMAT + 1 }));
    expect(reasonOf(await sent(zipSync({ ...entries, "nubble.json": newer })))).toContain(
      "newer Nubble",
    );
    expect(reasonOf(await sent(huge))).toContain("unpacks to more than 400 MB");
    expect(reasonOf(await sent(entries["project.json"] ?? new Uint8Array()))).toContain(
      "not a project file",
    );
    expect(reasonOf(await sent(new Uint8Array(100_000_001)))).toContain("larger than 100 MB");
    expect(reasonOf(await sent(zipSync(entries), "text/plain"))).toContain("octet-stream");
    expect((await listProjects()).length).toBe(before);
    expect((await fetch(`${home()}/projects/nowhere/file`)).status).toBe(404);
  });
});
