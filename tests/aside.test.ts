import { mkdtempSync, readFileSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { orderAfter, set } from "#core/project";
import type { Layer, Project } from "#core/project";
import { kelpwayKit } from "../demo/index";
import { findings } from "./support/axe";
import type { Person } from "./support/browser";
import { Designer } from "./support/designer";
import { givenBrowser } from "./support/given";

const given = givenBrowser();

const bench = async (id: string): Promise<Designer> => {
  const me = await Designer.at(given.browser, given.projects.address(id, "cabin-climate"));
  await me.find("treeitem", "Porthole");
  return me;
};

const portholePlace = ["pieces", "cabin-climate", "looks", "base", "changes", "porthole", "x"];
const align = (x: number) => ({ label: "Align", ops: [set(portholePlace, x)] });
const portholeX = async (id: string) =>
  (await given.projects.kept(id))?.pieces["cabin-climate"]?.looks.base?.changes.porthole?.x;

const waits = (me: Person) =>
  me.until(async () => expect(await me.text(".save")).toContain("Not saved"), 20_000);

const openAside = async (me: Person) => {
  await me.until(async () => expect(await me.text(".aside-mark")).toBe("1 edit set aside"));
  await me.page.click(".aside-mark");
  await me.page.waitForSelector("[role=dialog]");
};

/** Whether the mark of edits set aside is gone, now and after the page is read anew. */
const isSettled = async (me: Person) => {
  await me.press("Escape");
  await me.page.waitForSelector("[role=dialog]", { hidden: true });
  await me.saved();
  expect(await me.page.$(".aside-mark")).toBeNull();
  await me.page.reload();
  await me.find("treeitem", "Porthole");
  expect(await me.page.$(".aside-mark")).toBeNull();
};

describe("what was made offline and others changed meanwhile", () => {
  it("is shown, with what it would change, and used when that is chosen", async () => {
    const id = await given.projects.fresh();
    const me = await bench(id);
    const other = await bench(id);
    const before = (await portholeX(id)) as number;
    await me.page.bringToFront();
    await me.page.setOfflineMode(true);
    await me.nudge("Porthole", 3);
    await me.until(
      async () => expect(await me.text(".save")).toMatch(/Not saved: .*kept in this browser/),
      20_000,
    );
    await other.page.bringToFront();
    await other.nudge("Porthole");
    await other.saved();
    await me.page.bringToFront();
    await me.page.setOfflineMode(false);
    await openAside(me);
    expect(await findings(me, ".modal.show")).toEqual([]);
    const dialog = await me.text("[role=dialog]");
    expect(dialog).toMatch(/Others changed it since: “Set x of Porthole”/);
    expect(dialog).toMatch(
      new RegExp(`x of “Porthole” in “Cabin climate”\\s+${before + 10}\\s+${before + 30}`),
    );
    expect(await portholeX(id)).toBe(before + 10);
    await me.click("button", "Use mine: Set x of Porthole");
    await me.until(async () => expect(await portholeX(id)).toBe(before + 30));
    await isSettled(me);
    await other.page.bringToFront();
    await other.until(async () =>
      expect((await other.cell("x", "only variant"))?.text).toBe(String(before + 30)),
    );
    await me.page.close();
    await other.page.close();
  });

  it("is left as others have it when that is chosen, and not asked about again", async () => {
    const id = await given.projects.fresh();
    const me = await bench(id);
    await me.page.setOfflineMode(true);
    await me.nudge("Porthole");
    await waits(me);
    await given.projects.change(id, align(7));
    await me.page.setOfflineMode(false);
    await openAside(me);
    await me.click("button", "Keep current: Set x of Porthole");
    await me.until(async () =>
      expect(await me.text("[role=dialog]")).toContain("No edits are set aside."),
    );
    await isSettled(me);
    expect(await portholeX(id)).toBe(7);
    await me.page.close();
  });
});

describe("where both work at the same moment", () => {
  it("whoever is overwritten is told, and can take their own value back", async () => {
    const id = await given.projects.fresh();
    const me = await bench(id);
    await me.nudge("Porthole");
    await me.saved();
    const mine = await portholeX(id);
    // somebody who has not heard of it yet
    await given.projects.change(id, align(8));
    const words =
      "Another window changed x of “Porthole” in “Cabin climate” at the same time as you (“Align”)";
    await me.until(async () => expect(await me.text(".notice")).toContain(words));
    expect(await portholeX(id)).toBe(8);
    await me.click("button", "Use mine");
    await me.until(async () => expect(await portholeX(id)).toBe(mine));
    expect(await me.page.$(".notice")).toBeNull();
    await me.page.close();
  });
});

describe("an edit that cannot be made to what others made of the project", () => {
  const crate = (id: string, order: string): Layer => ({
    id,
    kind: "box",
    name: id,
    parent: "root",
    order,
  });

  /** The kit with two boxes that can be put into one another. */
  const withCrates = (): Project => {
    const kit = kelpwayKit();
    const piece = kit.pieces["cabin-climate"];
    if (!piece) throw new Error("the kit has no such piece");
    const top = Object.values(piece.layers);
    const first = crate("Crate", orderAfter(top));
    const second = crate("Barrel", orderAfter([...top, first]));
    const layers = { ...piece.layers, Crate: first, Barrel: second };
    return { ...kit, pieces: { ...kit.pieces, [piece.id]: { ...piece, layers } } };
  };
  const put = (layer: string, into: string) => ({
    label: `Put ${layer} away`,
    ops: [set(["pieces", "cabin-climate", "layers", layer, "parent"], into)],
  });
  const parentOf = async (id: string, layer: string) =>
    (await given.projects.kept(id))?.pieces["cabin-climate"]?.layers[layer]?.parent;

  /** I put the crate into the barrel, while somebody else puts the barrel into the crate. */
  const refused = async (): Promise<{ id: string; me: Designer; label: string }> => {
    const id = await given.projects.fresh(withCrates());
    const me = await bench(id);
    await me.page.setOfflineMode(true);
    await me.dragLine("Crate", "Barrel", "into");
    await waits(me);
    await given.projects.change(id, put("Barrel", "Crate"));
    await me.page.setOfflineMode(false);
    await openAside(me);
    const label = await me.text("[role=dialog] h3");
    expect(await me.text("[role=dialog]")).toMatch(/Rejected: .*inside itself/);
    return { id, me, label };
  };

  it("does not hold up later ones, says why, and can be tried again until it fits", async () => {
    const { id, me, label } = await refused();
    await me.click("button", `Try again: ${label}`);
    await me.until(async () =>
      expect(await me.text(".notices")).toMatch(/still cannot be saved: .*inside itself/),
    );
    expect(await parentOf(id, "Crate")).toBe("root");
    await me.press("Escape");
    await me.nudge("Porthole");
    await me.saved();
    await given.projects.change(id, put("Barrel", "root"), 2);
    const levelOf = (name: string) =>
      me.find("treeitem", name).then((line) => line.evaluate((e) => e.getAttribute("aria-level")));
    await me.until(async () => expect(await levelOf("Barrel")).toBe("2"), 20_000);
    await openAside(me);
    await me.click("button", `Try again: ${label}`);
    await me.until(async () => expect(await parentOf(id, "Crate")).toBe("Barrel"));
    await isSettled(me);
    await me.page.close();
  });

  it("can be discarded", async () => {
    const { id, me, label } = await refused();
    await me.click("button", `Discard: ${label}`);
    await isSettled(me);
    expect([await parentOf(id, "Crate"), await parentOf(id, "Barrel")]).toEqual(["root", "Crate"]);
    await me.page.close();
  });

  it("can be downloaded with what it would have done, and stays", async () => {
    const { me, label } = await refused();
    const folder = mkdtempSync(join(tmpdir(), "nubble-aside-"));
    const client = await me.page.createCDPSession();
    await client.send("Browser.setDownloadBehavior", { behavior: "allow", downloadPath: folder });
    await me.click("button", `Download: ${label}`);
    const file = await me.until(() => {
      const [name = ""] = readdirSync(folder);
      expect(name).toMatch(/\.json$/);
      return Promise.resolve(JSON.parse(readFileSync(join(folder, name), "utf8")) as unknown);
    });
    expect(file).toMatchObject({
      change: {
        label,
        ops: expect.arrayContaining([expect.objectContaining({ op: "set" })]) as unknown,
      },
      why: { kind: "refused" },
    });
    expect(await me.text(".aside-mark")).toBe("1 edit set aside");
    rmSync(folder, { recursive: true });
    await me.page.close();
  });
});
