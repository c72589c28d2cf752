import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { set } from "#core/project";
import { Person, sleep } from "../support/browser";
import { givenBrowser } from "../support/given";

const given = givenBrowser();
let id: string;
let me: Person;
beforeAll(async () => {
  id = await given.projects.fresh();
  me = await Person.open(given.browser, given.projects.address(id));
});
afterAll(async () => {
  await me.page.close();
  await given.projects.log.destroy(id);
});

const rename = async (who: Person, name: string) => {
  await who.page.waitForSelector(".bar-name button");
  await who.page.click(".bar-name button");
  await who.page.waitForSelector(".bar-name input:focus");
  await who.page.$eval(".bar-name input", (e) => e.select());
  await who.type(name);
  await who.press("Enter");
  await who.saved();
};
const keptName = async () => (await given.projects.kept(id))?.name;
const canUndo = (who: Person) => who.page.$eval("button[aria-label=Undo]", (e) => !e.disabled);

describe("undo over reloads", () => {
  it("goes on, back and forth", async () => {
    await rename(me, "Ferry kit");
    await rename(me, "Harbour kit");
    await me.page.reload({ waitUntil: "load" });
    await me.until(async () => expect(await canUndo(me)).toBe(true));
    await me.click("button", "Undo");
    await me.until(async () => expect(await keptName()).toBe("Ferry kit"));
    await me.saved();
    await me.page.reload({ waitUntil: "load" });
    await me.until(async () => expect(await canUndo(me)).toBe(true));
    await me.click("button", "Redo");
    await me.until(async () => expect(await keptName()).toBe("Harbour kit"));
    await me.click("button", "Undo");
    await me.click("button", "Undo");
    await me.until(async () => expect(await keptName()).toBe("Kelpway kit"));
    await me.saved();
    expect(me.complaints).toEqual([]);
  });

  it("is nothing that a copy of the tab can do", async () => {
    await rename(me, "Ferry kit");
    const opened = new Promise<Person>((resolve) =>
      me.page.once("popup", (page) => page && resolve(new Person(page))),
    );
    // it gets what this tab keeps
    await me.page.evaluate(() => void window.open(location.href));
    const copy = await opened;
    await copy.page.waitForSelector("button[aria-label=Undo]");
    await me.page.bringToFront();
    await me.page.reload({ waitUntil: "load" });
    await me.until(async () => expect(await canUndo(me)).toBe(true));
    await copy.page.bringToFront();
    await copy.page.reload({ waitUntil: "load" });
    await copy.page.waitForSelector("button[aria-label=Undo]");
    await sleep(600);
    expect(await canUndo(copy)).toBe(false);
    await copy.page.close();
    await me.page.bringToFront();
  });

  it("does not take back what another window has changed since", async () => {
    await rename(me, "Pier kit");
    const { seq } = (await given.projects.log.head(id)) ?? { seq: 0 };
    await given.projects.change(id, { label: "Rename", ops: [set(["name"], "Their kit")] }, seq);
    await me.page.reload({ waitUntil: "load" });
    await me.until(async () => expect(await canUndo(me)).toBe(true));
    await me.click("button", "Undo");
    await me.until(async () =>
      expect(await me.text("body")).toContain("was changed in another window since"),
    );
    expect(await keptName()).toBe("Their kit");
  });
});
