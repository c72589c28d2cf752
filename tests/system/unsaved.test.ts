import { expect, inject, it } from "vitest";
import { Person } from "../support/browser";
import { givenBrowser } from "../support/given";

const given = givenBrowser();

it("tokens that cannot be written out are said to be not saved, each way they are asked for", async () => {
  const me = new Person(await given.browser.newPage());
  let isCut = false;
  await me.page.setRequestInterception(true);
  me.page.on("request", (request) => void (isCut ? request.abort() : request.continue()));
  await me.page.goto(`${inject("address")}/projects/kelpway-kit/system/tokens`);
  await me.find("combobox", "Density");
  isCut = true;
  const words = "The tokens were not saved: the server cannot be reached.";
  await me.click("button", "Export");
  const items = await me.page.$$eval(".dropdown-menu.show .dropdown-item", (all) =>
    all.map((item) => item.textContent ?? ""),
  );
  expect(items.length).toBe(3);
  for (const [i, item] of items.entries()) {
    if (i > 0) await me.click("button", "Export");
    await me.click("button", item, ".dropdown-menu.show");
    await me.until(async () => expect(await me.text("body")).toContain(words));
    await me.click("button", "Close", ".notice");
    await me.until(async () => expect(await me.text("body")).not.toContain(words));
  }
  await me.page.close();
});
