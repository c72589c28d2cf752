import { afterEach, describe, expect, inject, it } from "vitest";
import { emptyProject } from "#core/edit";
import { set } from "#core/project";
import { listBin, listProjects, Projects } from "#server";
import { kelpwayKit } from "../../demo/index";
import { Person } from "../support/browser";
import { givenBrowser } from "../support/given";

const given = givenBrowser();
const home = (): string => `${inject("address")}/`;

const made: string[] = [];
const make = async (name: string, project = kelpwayKit()): Promise<string> => {
  const id = await given.projects.fresh({ ...project, name });
  made.push(id);
  return id;
};
afterEach(async () => {
  for (const id of made.splice(0)) await given.projects.log.destroy(id);
});

const tileOf = (id: string): string => `a[href="/projects/${id}"]`;

describe("the list of projects", () => {
  it("says how much each has, and carries no project", async () => {
    const before = (await (await fetch(home())).text()).length;
    const count = 120;
    for (let i = 0; i < count; i++) await make(`Quay ${i}`);
    const page = await (await fetch(home())).text();
    const { pieces } = kelpwayKit();
    const components = Object.values(pieces).filter((p) => p.kind === "component").length;
    for (let i = 0; i < count; i++) expect(page).toMatch(new RegExp(`[>"]Quay ${i}[<\\\\"]`));
    expect(page).toContain(`${components} components`);
    expect(page).not.toContain("alert-switch");
    // markup of a tile, and what the page's script begins with
    expect((page.length - before) / count).toBeLessThan(500);
  });

  it("shows a project once one comes near it", async () => {
    const far = await make("Far");
    for (let i = 0; i < 40; i++) await make(`Quay ${i}`, emptyProject(`Quay ${i}`));
    const near = await make("Near");
    const me = new Person(await given.browser.newPage());
    const asked: string[] = [];
    me.page.on("request", (request) => asked.push(new URL(request.url()).pathname));
    await me.page.goto(home(), { waitUntil: "load" });
    const isShown = (id: string) =>
      me.until(async () => {
        const image = await me.page.$eval(`${tileOf(id)} img`, (e) => [
          e.complete,
          e.naturalWidth > 60,
        ]);
        expect(image).toEqual([true, true]);
      });
    await isShown(near);
    expect(await me.text(tileOf(near))).toContain("Open Near");
    await me.page.waitForSelector(tileOf(far));
    expect(asked).not.toContain(`/projects/${far}/picture`);
    await me.page.$eval(tileOf(far), (tile) => tile.scrollIntoView());
    await isShown(far);
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });

  it("has a picture made once for what it shows, by whoever asks first", async () => {
    const id = await make("Fulmar");
    const address = `${home()}projects/${id}/picture`;
    const seen = await Promise.all([1, 2, 3].map(() => fetch(address)));
    const tags = seen.map(({ headers }) => headers.get("etag") ?? "");
    expect(new Set(tags).size).toBe(1);
    const svg = (await seen[0]?.text()) ?? "";
    expect(svg).toContain("Dock alerts");
    // its letters are in it, and nothing is asked for elsewhere
    expect(svg).toMatch(/@font-face\{[^}]*url\("data:font\/woff2;base64,/);
    expect(svg.match(/(href|src)="?(?!data:)/g)).toBeNull();
    const again = await fetch(address, { headers: { "if-none-match": tags[0] ?? "" } });
    expect([again.status, await again.text()]).toEqual([304, ""]);
    const kept = async () => {
      const [row] = await given.projects.rows(
        "select seq, source from pictures where project_id = :id",
        { id },
      );
      return row as { readonly seq: number; readonly source: string };
    };
    const { source } = await kept();
    await given.projects.change(id, {
      label: "Rename",
      ops: [set(["pieces", "welcome", "name"], "Board later")],
    });
    expect((await fetch(address)).headers.get("etag")).toBe(tags[0]);
    expect(await kept()).toEqual({ seq: 1, source });
    const text = ["pieces", "alert-switch", "looks", "base", "changes", "label", "text"];
    const change = { label: "Type", ops: [set(text, "Gale alerts")] };
    await given.projects.change(id, change, 1);
    expect(await (await fetch(address)).text()).toContain("Gale alerts");
    expect((await kept()).source).not.toBe(source);
  });

  it("counts a project that was kept before there were counts, and leaves its time as it was", async () => {
    const id = await make("Old");
    await given.projects.query(
      "update projects set components = null, screens = null where id = :id",
      { id },
    );
    const listed = async () => (await listProjects()).find((project) => project.id === id);
    const before = await listed();
    expect(before?.components).toBeNull();
    expect(await (await fetch(home())).text()).toContain("Old");
    await fetch(`${home()}projects/${id}/tile`);
    const after = await listed();
    expect(after?.components).toBeGreaterThan(0);
    expect(after?.changedAt).toEqual(before?.changedAt);
  });

  it("has an empty project, and says of a damaged one what is wrong", async () => {
    const empty = await make("Bare", emptyProject("Bare"));
    const damaged = await make("Sunk");
    await given.projects.query("update snapshots set body = '{}' where project_id = :id", {
      id: damaged,
    });
    const me = await Person.open(given.browser, home());
    await me.until(async () => expect(await me.text(tileOf(empty))).toContain("Empty"));
    expect(await me.text(`li:has(${tileOf(empty)})`)).toContain("no components, no screens");
    await me.until(async () => expect(await me.text(".tile.damaged")).toContain("Sunk"));
    expect(await me.text(".tile.damaged")).toContain("Damaged: none of its snapshots");
    expect(await me.page.$(tileOf(damaged))).toBeNull();
    await me.page.close();
  });

  it("keeps its names without a connection", async () => {
    const id = await make("Adrift");
    const me = new Person(await given.browser.newPage());
    await me.page.setRequestInterception(true);
    me.page.on("request", (request) =>
      request.url().includes("/picture") ? void request.abort() : void request.continue(),
    );
    await me.page.goto(home(), { waitUntil: "networkidle0" });
    expect(await me.text(tileOf(id))).toContain("Adrift");
    await me.page.close();
  });
});

describe("the page of projects", () => {
  const names = (me: Person) =>
    me.page.$$eval(".tiles .tile-name", (all) => all.map((e) => e.textContent ?? ""));
  const open = () => Person.open(given.browser, home());
  const act = async (me: Person, name: string, item: string) => {
    await me.click("button", `Actions for ${name}`);
    await me.click("button", item, ".dropdown-menu.show");
  };
  const heard = (me: Person, text: string, within = "body") =>
    me.until(async () => expect(await me.text(within)).toContain(text));

  it("finds by words of the name, and sorts", async () => {
    for (const name of ["Gull 1 pier", "Gull 3 pier", "Gull 2 quay"]) await make(name);
    const me = await open();
    const field = await me.find("searchbox", "Find a project");
    await field.click();
    await me.type("GULL pier");
    await me.until(async () =>
      expect((await names(me)).sort()).toEqual(["Gull 1 pier", "Gull 3 pier"]),
    );
    expect(await me.text("[role=status]")).toMatch(/^2 of \d+ projects$/);
    await field.click({ count: 3 });
    await me.type("gull");
    await me.until(async () =>
      expect(await names(me)).toEqual(["Gull 2 quay", "Gull 3 pier", "Gull 1 pier"]),
    );
    await me.pick("Sort by", "name");
    await me.until(async () =>
      expect(await names(me)).toEqual(["Gull 1 pier", "Gull 2 quay", "Gull 3 pier"]),
    );
    await me.type("");
    await field.click({ count: 3 });
    await me.type("no such gull");
    await heard(me, "No project is called “no such gull”.");
    await me.click("button", "Show all");
    await me.until(async () => expect((await names(me)).length).toBeGreaterThan(2));
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });

  it("renames as a change its windows hear of, and duplicates without the history", async () => {
    const id = await make("Tern");
    const window = await Person.open(given.browser, given.projects.address(id));
    const me = await open();
    await me.page.bringToFront();
    await act(me, "Tern", "Rename");
    await me.page.waitForSelector("[aria-label=Name]:focus");
    await me.type("Arctic tern");
    await me.press("Enter");
    await me.until(async () => expect(await names(me)).toContain("Arctic tern"));
    await window.page.bringToFront();
    await heard(window, "Arctic tern");
    await me.page.bringToFront();
    await act(me, "Arctic tern", "Duplicate");
    await me.until(async () => expect(await names(me)).toContain("Arctic tern (copy)"));
    const copy = (await listProjects()).find(({ name }) => name === "Arctic tern (copy)");
    if (copy) made.push(copy.id);
    const [kept, copied] = [
      await given.projects.kept(id),
      await given.projects.kept(copy?.id ?? ""),
    ];
    expect(copied).toEqual({ ...kept, name: "Arctic tern (copy)" });
    for (const one of [me, window]) await one.page.close();
  });

  it("moves to the bin and back; for good goes only what is in it, and is asked for", async () => {
    const id = await make("Skua");
    const me = await open();
    await act(me, "Skua", "Move to bin");
    await me.until(async () => expect(await names(me)).not.toContain("Skua"));
    await me.click("button", "Undo");
    await me.until(async () => expect(await names(me)).toContain("Skua"));
    await act(me, "Skua", "Move to bin");
    await me.until(async () => expect(await names(me)).not.toContain("Skua"));
    expect((await fetch(given.projects.address(id))).status).toBe(410);
    await me.click("link", "Bin · 1");
    await me.click("button", "Restore Skua");
    await heard(me, "The bin is empty.");
    await me.click("link", "All projects");
    await act(me, "Skua", "Move to bin");
    await me.click("link", "Bin · 1");
    await me.click("button", "Delete Skua for good");
    await me.click("button", "Cancel", ".modal");
    await me.page.waitForSelector(".modal", { hidden: true });
    expect((await listBin()).map((binned) => binned.id)).toEqual([id]);
    await me.click("button", "Delete Skua for good");
    await me.click("button", "Delete for good", ".modal");
    await heard(me, "The bin is empty.");
    expect(await given.projects.kept(id)).toBeUndefined();
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });

  it("refuses what cannot be, and says so", async () => {
    const id = await make("Auk");
    const ask = async (form: Record<string, string>) =>
      (await fetch(`${home()}?index`, { method: "POST", body: new URLSearchParams(form) })).status;
    // only what is in the bin
    expect(await ask({ intent: "destroy", id })).toBe(404);
    expect(await given.projects.kept(id)).toBeDefined();
    expect(await ask({ intent: "rename", id, name: "  " })).toBe(422);
    expect(await ask({ intent: "rename", id: "nowhere", name: "x" })).toBe(404);
    expect(await ask({ intent: "duplicate", id: "../x" })).toBe(422);
    expect(await ask({ intent: "sink", id })).toBe(422);
  });

  it("deletes what has been in the bin for thirty days", async () => {
    const all = new Projects(given.projects.log);
    const [old, recent] = [await make("Old"), await make("Recent")];
    for (const id of [old, recent]) await all.bin(id);
    const days = (n: number) => new Date(Date.now() + n * 86_400_000);
    expect(await all.empty(days(29))).toBe(0);
    await given.projects.query(
      "update projects set binned_at = now() - interval '2 days' where id = :old",
      { old },
    );
    expect(await all.empty(days(29))).toBe(1);
    expect(await given.projects.kept(old)).toBeUndefined();
    expect((await listBin()).map(({ id }) => id)).toContain(recent);
  });
});
