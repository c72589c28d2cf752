import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { beforeAll, describe, expect, inject, it } from "vitest";
import { emptyProject } from "#core/edit";
import { set } from "#core/project";
import { Person } from "../support/browser";
import { givenBrowser } from "../support/given";
import { becomes, Builder } from "../support/pieces";

const given = givenBrowser();
const KIT = "/projects/kelpway-kit/system/editions";
let me: Person;
beforeAll(async () => {
  me = await Person.open(given.browser, inject("address") + KIT);
});
const go = (path: string) => me.page.goto(inject("address") + path, { waitUntil: "load" });
const count = (selector: string) => me.page.$$eval(selector, (all) => all.length);
const heard = (text: string, within = "main") =>
  me.until(async () => expect(await me.text(within)).toContain(text), 20_000);

describe("what the pages of editions offer", () => {
  it("beside each edition: notes, a look, a comparison, to be withdrawn and offered again", async () => {
    await me.click("button", "Notes on 2.0.0");
    await heard("“Bow” of “Deck” was removed.");
    await me.click("button", "Notes on 2.0.0");
    await me.click("button", "Actions for 2.0.0");
    await me.click("link", "Look at it");
    await heard("2.0.0 New piers");
    await go(KIT);
    await me.click("button", "Actions for 2.0.0");
    await me.click("link", "Compare with 1.1.0");
    await heard("Compare editions");
    await go(KIT);
    await me.click("button", "Actions for 1.0.0");
    await me.click("button", "Withdraw…");
    await me.page.type(".modal input", "Old piers");
    await me.click("button", "Withdraw", ".modal-footer");
    await heard("Withdrawn: Old piers");
    await me.click("button", "Actions for 1.0.0");
    await me.click("button", "Offer again");
    await me.until(async () => expect(await me.text("main")).not.toContain("Withdrawn: Old piers"));
    const folder = mkdtempSync(join(tmpdir(), "nubble-edition-"));
    const client = await me.page.createCDPSession();
    await client.send("Browser.setDownloadBehavior", { behavior: "allow", downloadPath: folder });
    await me.click("button", "Actions for 1.0.0");
    await me.click("button", "Download");
    const zips = () => readdirSync(folder).filter((name) => name.endsWith(".zip"));
    await me.until(() => Promise.resolve(expect(zips()).toHaveLength(1)));
    rmSync(folder, { recursive: true });
  });

  it("in a comparison: every filter, both ways to compare", async () => {
    await go(`${KIT}/compare?from=1.1.0&to=2.0.0`);
    await me.page.waitForSelector(".difference-row .before-stack");
    const rows = () => me.page.$$eval(".difference-row", (all) => all.length);
    const all = await rows();
    const counts: number[] = [];
    for (const filter of ["Breaking", "Features", "Patches"]) {
      const label = await me.page.$$eval(
        "main label",
        (labels, word) => labels.find((l) => l.textContent?.startsWith(word))?.textContent ?? "",
        filter,
      );
      await me.click("radio", label);
      counts.push(await rows());
    }
    expect(counts.reduce((sum, n) => sum + n, 0)).toBe(all);
    await me.page.waitForSelector(".difference-row .before-stack");
    const seen = () => me.page.$eval(".before-after", (e) => e.innerHTML);
    const before = await seen();
    await me.click("radio", "Pixels", ".before-after");
    await me.until(async () => expect(await seen()).not.toBe(before));
    await me.click("radio", "Slider", ".before-after");
    await me.page.waitForSelector(".before-after input[type=range]");
  });

  it("in a comparison: the sentences that are left out at first", async () => {
    await go(`${KIT}/compare?from=1.0.0&to=2.0.0`);
    await me.page.waitForSelector(".difference-row .before-stack");
    const button = ".difference-list button";
    const sentences = async () => (await count(".difference-list li")) - (await count(button));
    const before = await sentences();
    const offer = await me.text(button);
    const [, left] = /^Show (\d+) more$/.exec(offer) ?? [];
    await me.click("button", offer);
    await me.until(async () => expect(await sentences()).toBe(before + Number(left)));
  });

  it("when a comparison cannot be worked out: why, and to try again", async () => {
    const cut = new Person(await given.browser.newPage());
    let isCut = true;
    await cut.page.setRequestInterception(true);
    cut.page.on("request", (request) => {
      const isWorker = request.url().includes("/assets/editions-");
      void (isCut && isWorker ? request.abort() : request.continue());
    });
    await cut.page.goto(`${inject("address")}${KIT}/compare?from=1.1.0&to=2.0.0`);
    await cut.until(async () =>
      expect(await cut.text("main")).toContain("This did not work: the server cannot be reached"),
    );
    isCut = false;
    await cut.click("button", "Try again");
    await cut.page.waitForSelector(".difference-row .before-stack");
    await cut.page.close();
  });

  it("before publishing: a finding is accepted with a reason", async () => {
    const b = new Builder();
    const buoy = b.new("component", "Buoy");
    const lamp = b.layer("box", { x: 20, y: 20 });
    const lit = b.trait("Lit", "no", "yes");
    const rule = b.rule({ source: lamp, effects: [becomes(lit.id, lit.v.yes ?? "")] });
    b.do({ label: "Lost", ops: [set(["pieces", buoy, "rules", rule, "source"], "gone")] });
    const id = await given.projects.fresh(b.project);
    await go(`/projects/${id}/system/editions`);
    await me.click("button", "Publish 1.0.0…");
    await me.page.waitForSelector(".obstacles li");
    for (let left = await count(".obstacles li"); left > 0; left--) {
      await me.page.type(".obstacles input", "The lamp comes later");
      await me.click("button", "Accept", ".obstacles li:first-child");
      await me.until(async () => expect(await count(".obstacles li")).toBe(left - 1));
    }
    await heard("No broken rules", ".modal");
    await me.page.type(".publish-notes textarea", "## First **lamp**");
    await me.page.click(".modal summary");
    await me.until(async () => expect(await me.text(".modal details strong")).toBe("First lamp"));
    await me.click("button", "Publish 1.0.0…", ".modal-footer");
    await heard("1.0.0", ".editions-table");
  });

  it("of what is adopted: an end, once nothing of it is used", async () => {
    const id = await given.projects.fresh(emptyProject("Quay app"));
    await go(`/projects/${id}/system/adopted`);
    await me.click("button", "Adopt a system…");
    await me.page.waitForSelector(".adopt-edition");
    await me.click("button", "Cancel", ".modal-footer");
    await me.page.waitForSelector(".modal", { hidden: true });
    await me.click("button", "Adopt a system…");
    await me.click("radio", "Kelpway kit · 3 editions", ".adopt-list");
    await me.click("button", "Adopt 2.0.0", ".modal-footer");
    await heard("Kelpway kit 2.0.0 New piers");
    await me.click("button", "Stop using");
    await heard("This project uses no system yet.");
  });
});
