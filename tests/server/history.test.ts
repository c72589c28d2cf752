import { afterEach, describe, expect, inject, it } from "vitest";
import { FORMAT, newId, set } from "#core/project";
import type { Change } from "#core/project";
import { nameMoment } from "#server";
import { Person } from "../support/browser";
import { givenBrowser } from "../support/given";

const given = givenBrowser();
const FIREFOX = "Mozilla/5.0 (Windows NT 10.0; Win64; x64; rv:131.0) Gecko/20100101 Firefox/131.0";
const base = ["pieces", "alert-switch", "looks", "base", "changes"];
const moved = (x: number): Change => ({
  label: "Move Knob",
  ops: [set([...base, "knob", "x"], x)],
});
const said = (text: string): Change => ({
  label: "Set text of Label",
  ops: [set([...base, "label", "text"], text)],
});
const gone: Change = {
  label: "Delete Pier pin",
  ops: [{ op: "remove", path: ["pieces", "pier-pin"] }],
};

/** More changes than are told at once. */
const MANY = 5050;
const TOGETHER = 100;

const made: string[] = [];
/** A project with changes of one window. */
const worked = async (changes: readonly Change[], agent = FIREFOX): Promise<string> => {
  const id = await given.projects.fresh();
  made.push(id);
  const clientId = newId();
  for (const [seen, change] of changes.entries()) {
    const answer = await fetch(`${given.projects.address(id)}/changes`, {
      method: "POST",
      headers: { "Content-Type": "application/json", "User-Agent": agent },
      body: JSON.stringify({
        format: FORMAT,
        changeId: newId(),
        clientId,
        since: seen,
        base: seen,
        late: false,
        change,
      }),
    });
    expect(answer.status).toBe(200);
  }
  return id;
};
afterEach(async () => {
  for (const id of made.splice(0)) await given.projects.log.destroy(id);
});

const open = (id: string, query = "") =>
  Person.open(given.browser, `${given.projects.address(id)}/history${query}`);
const heard = (me: Person, text: string, within = "body") =>
  me.until(async () => expect(await me.text(within)).toContain(text));
const at = (id: string, seq: number, rest: string) =>
  `${given.projects.address(id)}/at/${seq}${rest}`;

describe("the history of a project", () => {
  it("tells sittings: which browser, how much, what in words, with a picture", async () => {
    const id = await worked([moved(5), moved(6), said("Gale alerts")]);
    const me = await open(id);
    await heard(me, "Firefox on Windows · 3 changes", ".strip");
    expect(await me.text(".strip")).toContain("Alert switch");
    expect(await me.text(".strip")).toContain("Move Knob ×2 · Set text of Label");
    await me.until(async () => {
      const width = await me.page.$eval(".sitting-picture img", (e) =>
        e instanceof HTMLImageElement ? e.naturalWidth : 0,
      );
      expect(width).toBeGreaterThan(60);
    });
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });

  it("opens any moment on the bench and in Play, and lets nothing of it be changed", async () => {
    const id = await worked([moved(5), said("Gale alerts"), moved(9)]);
    const me = await open(id, "?at=3");
    await me.page.waitForSelector(".change-list");
    const entries = await me.page.$$(".change-list button");
    // the newest first: the second is the change of the text, the third what came before it
    await entries[2]?.click();
    await me.page.waitForFunction(() => location.search === "?at=1");
    await heard(me, "1 piece is different now", ".history-moment");
    await me.click("link", "Open Alert switch of this moment");
    await heard(me, "As it was on", ".bar");
    await heard(me, "Dock alerts", ".try-host");
    expect(await me.text(".scope-bar")).toContain("Nothing in it can be changed");
    expect(await me.page.$(".lands")).toBeNull();
    const before = await given.projects.kept(id);
    await me.click("button", "Alert switch", ".bar");
    await me.page.waitForSelector(".bar input:focus");
    await me.type("Fog horn");
    await me.press("Enter");
    await heard(me, "This is an earlier moment, and nothing in it can be changed.");
    expect(await given.projects.kept(id)).toEqual(before);
    await me.click("link", "Play");
    await heard(me, "Dock alerts", ".play-host");
    expect(new URL(me.page.url()).pathname).toContain(`/projects/${id}/at/1/play/alert-switch`);
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });

  it("opens the whole project of a moment, and plays it", async () => {
    const id = await worked([moved(5), said("Gale alerts")]);
    const me = await open(id, "?at=1");
    await me.click("link", "Open this moment");
    await heard(me, "As it was on", ".bar");
    await heard(me, "Alert switch", "main");
    expect(me.page.url()).toBe(at(id, 1, ""));
    await me.page.goto(`${given.projects.address(id)}/history?at=1`);
    await me.click("link", "Play", ".history-moment");
    await me.page.waitForSelector(".play-host svg");
    expect(me.page.url()).toContain(at(id, 1, "/play"));
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });

  it("restores a piece, and says before what that takes back; the rest stays", async () => {
    const id = await worked([moved(5), moved(6), said("Gale alerts"), gone]);
    const me = await open(id, "?at=1");
    await me.click("button", "Restore Alert switch…");
    await me.click("button", "Cancel", ".modal-footer");
    await me.until(async () => expect(await me.page.$(".modal")).toBeNull());
    await me.click("button", "Restore Alert switch…");
    await heard(me, "This takes back 2 changes:", ".modal");
    expect(await me.text(".modal")).toContain("Set text of Label");
    expect(await me.text(".modal")).not.toContain("Delete Pier pin");
    await me.click("button", "Restore", ".modal-footer");
    await heard(me, "Alert switch is restored.");
    await me.saved();
    const now = await given.projects.kept(id);
    expect(now?.pieces["alert-switch"]?.looks.base?.changes).toMatchObject({
      knob: { x: 5 },
      label: { text: "Dock alerts" },
    });
    expect(now?.pieces["pier-pin"]).toBeUndefined();
    await me.click("button", "Undo", ".toast");
    await me.saved();
    const undone = await given.projects.kept(id);
    expect(undone?.pieces["alert-switch"]?.looks.base?.changes).toMatchObject({ knob: { x: 6 } });
    await me.page.close();
  });

  it("restores all as one change, which brings back what was deleted", async () => {
    const id = await worked([moved(5), said("Gale alerts"), gone]);
    const then = (await given.projects.log.at(id, 1))?.project;
    const me = await open(id, "?at=1");
    await me.click("button", "Restore all…");
    await heard(me, "Pier pin comes back.", ".modal");
    await heard(me, "This takes back 2 changes:", ".modal");
    await me.click("button", "Restore", ".modal-footer");
    await heard(me, "is restored.");
    await me.saved();
    expect(await given.projects.kept(id)).toEqual(then);
    expect((await given.projects.log.head(id))?.seq).toBe(4);
    await heard(me, "The project is the same now.", ".history-moment");
    await me.page.close();
  });

  it("compares two moments in values and pictures, screens as well", async () => {
    const id = await worked([
      said("Gale alerts"),
      { label: "Rename", ops: [set(["pieces", "welcome", "name"], "Welcome aboard")] },
    ]);
    const me = await Person.open(
      given.browser,
      `${given.projects.address(id)}/history/compare?from=0&to=now`,
    );
    await me.until(async () => {
      const text = await me.text("main");
      expect(text).toContain("Alert switch (4 variants) shows other words.");
      expect(text).toContain("Welcome is called Welcome aboard.");
    });
    expect(await me.page.$(".weight")).toBeNull();
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });

  it("compares any two of the named moments, and the present", async () => {
    const id = await worked([moved(5), said("Gale alerts"), moved(9)]);
    await nameMoment(given.projects.log, id, { seq: 1, name: "Low tide" });
    await nameMoment(given.projects.log, id, { seq: 2, name: "High tide" });
    const me = await open(id, "?at=1");
    await me.click("link", "Compare with now");
    await heard(me, "What changed", "main");
    await me.pick("to", "Low tide");
    await heard(me, "The two moments are the same.", "main");
    await me.pick("to", "High tide");
    await heard(me, "Alert switch (4 variants) shows other words.", "main");
    await me.pick("From", "High tide");
    await heard(me, "The two moments are the same.", "main");
    await me.pick("to", "now");
    await me.until(async () => {
      const text = await me.text("main");
      expect(text).toContain("What changed");
      expect(text).not.toContain("shows other words");
    });
    await me.click("link", "Back to History");
    await heard(me, "High tide", ".strip");
    expect(new URL(me.page.url()).search).toBe("?at=2");
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });

  it("shows older sittings when it is asked to, back to the beginning", async () => {
    const id = await given.projects.fresh();
    made.push(id);
    await given.projects.change(id, said("The oldest"));
    for (let done = 1; done < MANY; done += TOGETHER)
      await Promise.all(
        Array.from({ length: TOGETHER }, (_, i) =>
          given.projects.log.append(id, {
            format: FORMAT,
            changeId: newId(),
            clientId: "harbour-office",
            since: done,
            base: done,
            late: false,
            change: moved(i),
          }),
        ),
      );
    const me = await open(id);
    await heard(me, "Show older", "main");
    expect(await me.text(".strip")).not.toContain("Project made");
    await me.click("button", "Show older");
    await heard(me, "Project made", ".strip");
    expect(await me.text(".strip")).toContain("Set text of Label");
    expect(await me.text("main")).not.toContain("Show older");
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });

  it("names moments, for all to see", async () => {
    const id = await worked([moved(5), moved(6)]);
    const me = await open(id, "?at=2");
    await me.click("button", "Name this moment");
    await me.page.waitForSelector("[aria-label='Name of this moment']:focus");
    await me.type("Before the gale");
    await me.press("Enter");
    await heard(me, "Before the gale", ".strip");
    const other = await open(id);
    await heard(other, "Before the gale", ".strip");
    await other.page.close();
    await me.page.bringToFront();
    await me.click("button", "Rename", ".moment-name");
    await me.type("Before the storm");
    await me.press("Enter");
    await heard(me, "Before the storm", ".strip");
    await me.click("button", "Remove name");
    await me.until(async () => expect(await me.text(".strip")).not.toContain("Before the storm"));
    await me.page.close();
  });

  it("refuses what cannot be", async () => {
    const id = await worked([moved(5)]);
    const home = given.projects.address(id);
    for (const seq of ["2", "-1", "x", "1e3", "99999999999"])
      expect((await fetch(`${home}/at/${seq}/project`)).status).toBe(404);
    expect((await fetch(at(id, 1, "/picture/nothing"))).status).toBe(204);
    expect((await fetch(`${home}/history/sittings?before=x`)).status).toBe(400);
    expect((await fetch(`${home}/history/changes?after=0`)).status).toBe(400);
    const name = async (body: unknown, type = "application/json") =>
      (
        await fetch(`${home}/history.data`, {
          method: "POST",
          headers: { "Content-Type": type, Origin: inject("address") },
          body: JSON.stringify(body),
        })
      ).status;
    expect(await name({ seq: 7, name: "x" })).toBe(422);
    expect(await name({ seq: 1, name: "x".repeat(200) })).toBe(422);
    expect(await name({ seq: 1, name: "x" }, "text/plain")).toBe(422);
    expect(await name({ seq: 1, name: "x" })).toBe(200);
  });
});
