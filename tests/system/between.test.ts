import { mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { unzipSync } from "fflate";
import { beforeAll, describe, expect, it } from "vitest";
import { addOption, emptyProject } from "#core/edit";
import { FORMAT, newId, set } from "#core/project";
import type { Op, Project } from "#core/project";
import { Editions, ProjectLog } from "#server";
import { findings } from "../support/axe";
import type { Designer } from "../support/designer";
import { givenDesk } from "../support/kit";
import { Builder } from "../support/pieces";

/** A system with a lamp that places a bulb, and a screen with a lamp of its own words. */
const pierKit = () => {
  const b = new Builder();
  b.project = emptyProject("Pier kit");
  const bulb = b.new("component", "Bulb");
  b.layer("ellipse", { fill: "#f0c04e", width: 30, height: 30 });
  const lamp = b.new("component", "Lamp");
  b.layer("instance", { component: bulb });
  const word = b.layer("text", { text: "Pier", y: 50 });
  const option = addOption(b.piece, word, "text", "Words");
  b.do(option.change);
  const mole = b.new("screen", "Mole");
  const copy = b.layer("instance", { component: lamp, x: 30, y: 40 });
  b.look({}, copy, { [`option:${option.id}`]: "Outer light" });
  const name = b.piece.layers[copy]?.name ?? "";
  return { project: b.project, bulb, lamp, mole, name };
};
const kit = pierKit();
const desk = givenDesk(kit.project);
let me: Designer;
let log: ProjectLog;
beforeAll(() => {
  me = desk.me;
  log = new ProjectLog(desk.db);
});

const heard = (text: string, within = "main") =>
  me.until(async () => expect(await me.text(within)).toContain(text), 20_000);
const go = (path: string, id = desk.id) =>
  me.page.goto(desk.address.replace(desk.id, id) + path, { waitUntil: "load" });
const publish = async (number: string, name: string) => {
  const seq = (await log.read(desk.id))?.seq ?? 0;
  const asked = { seq, number, name, notes: `## ${name}`, reasons: [], lowered: null };
  expect((await new Editions(log).publish(desk.id, asked)).kind).toBe("published");
};
const savedOf = async (id: string): Promise<Project> => {
  await me.saved();
  const state = await log.read(id);
  if (!state) throw new Error("the project is gone");
  return state.project;
};
/** Somebody changes the system. */
const append = async (op: Op): Promise<void> => {
  const seq = (await log.read(desk.id))?.seq ?? 0;
  await log.append(desk.id, {
    format: FORMAT,
    changeId: newId(),
    clientId: "somebody",
    since: seq,
    base: seq,
    late: false,
    change: { label: "Edit", ops: [op] },
  });
};
/** Another project with an empty screen, opened on the bench. */
const atQuay = async (): Promise<string> => {
  const b = new Builder();
  b.project = emptyProject("Island app");
  const quay = b.new("screen", "Quay");
  const id = newId();
  await log.create(id, b.project);
  await go(`/pieces/${quay}`, id);
  await me.find("tree", "Layers");
  return id;
};
/** What is on the clipboard after the lamp on the mole was copied. */
const copied = async (): Promise<string> => {
  await desk.go(kit.mole);
  await me.click("treeitem", kit.name);
  return me.page.evaluate(() => {
    const data = new DataTransfer();
    window.dispatchEvent(
      new ClipboardEvent("copy", { clipboardData: data, bubbles: true, cancelable: true }),
    );
    return data.getData("text/plain");
  });
};
const layersOf = ({ pieces }: Project) =>
  Object.values(Object.values(pieces).find((p) => p.name === "Quay")?.layers ?? {});
const looksOf = ({ pieces }: Project) =>
  JSON.stringify(Object.values(pieces).find((p) => p.name === "Quay")?.looks);

describe("a copy pasted into another project", () => {
  let clip = "";

  it("brings its component along, with what that places, where nothing is published", async () => {
    clip = await copied();
    const app = await atQuay();
    await me.pasteText(clip);
    await heard("has not published an edition", ".modal");
    expect(await findings(me, ".modal")).toEqual([]);
    await me.click("button", "Bring along", ".modal");
    await me.find("treeitem", kit.name);
    const saved = await savedOf(app);
    const lamp = Object.values(saved.pieces).find((p) => p.name === "Lamp");
    const bulb = Object.values(saved.pieces).find((p) => p.name === "Bulb");
    expect(JSON.stringify(lamp?.looks)).toContain(`"component":"${bulb?.id}"`);
    expect(looksOf(saved)).toContain(`"component":"${lamp?.id}"`);
    expect(looksOf(saved)).toContain("Outer light");
    expect(saved.adoptions).toEqual({});
    await me.click("button", "Undo");
    await me.until(async () =>
      expect(Object.values((await savedOf(app)).pieces).map((p) => p.name)).toEqual(["Quay"]),
    );
  });

  it("changes nothing when that is not wanted after all", async () => {
    const app = await atQuay();
    const before = await savedOf(app);
    await me.pasteText(clip);
    await me.click("button", "Cancel", ".modal");
    await me.page.waitForSelector(".modal", { hidden: true });
    expect(await savedOf(app)).toEqual(before);
  });

  it("says so where the server cannot be asked, and changes nothing", async () => {
    const app = await atQuay();
    await me.page.setOfflineMode(true);
    await me.pasteText(clip);
    await heard("cannot be reached", ".modal").finally(() => me.page.setOfflineMode(false));
    await me.click("button", "Cancel", ".modal");
    expect(layersOf(await savedOf(app))).toHaveLength(1);
    me.complaints.length = 0;
  });

  it("adopts its system where that is published", async () => {
    await publish("1.0.0", "First light");
    const app = await atQuay();
    await me.pasteText(clip);
    await me.click("button", "Adopt Pier kit 1.0.0", ".modal");
    await me.find("treeitem", kit.name);
    const saved = await savedOf(app);
    const [adoption] = Object.values(saved.adoptions);
    expect(adoption).toMatchObject({ system: desk.id, number: "1.0.0" });
    expect(looksOf(saved)).toContain(`"component":"${adoption?.id}.${kit.lamp}"`);
    expect(looksOf(saved)).toContain("Outer light");
    // the next one is placed without a question
    await me.pasteText(clip);
    await me.until(async () => expect(layersOf(await savedOf(app))).toHaveLength(3));
    expect(await me.page.$(".modal")).toBeNull();
  });
});

describe("any edition", () => {
  it("is compared with another one, both chosen", async () => {
    const edit = (name: string) => append(set(["pieces", kit.bulb, "name"], name));
    await edit("Globe");
    await publish("1.1.0", "Second light");
    await edit("Flame");
    await publish("1.2.0", "Third light");
    await go("/system/editions");
    await me.click("link", "Compare two editions");
    await heard("Globe is called Flame.");
    await me.pick("from", "1.0.0 First light");
    await heard("Bulb is called Flame.");
    await me.pick("to", "1.1.0 Second light");
    await heard("Bulb is called Globe.");
    await me.pick("to", "1.0.0 First light");
    await heard("These two editions are the same.");
    expect(await findings(me)).toEqual([]);
  });

  it("is looked at, used, and opened component by component", async () => {
    await go("/system/editions");
    await me.click("link", "1.0.0");
    await heard("1.0.0 First light");
    await me.page.waitForSelector(".running svg [data-layer]");
    expect(await findings(me)).toEqual([]);
    await me.click("link", "Bulb", ".library-tiles");
    await heard("1.0.0 First light › Bulb");
    expect(await findings(me)).toEqual([]);
  });

  it("is downloaded with its notes and tokens", async () => {
    const folder = mkdtempSync(join(tmpdir(), "nubble-edition-"));
    const client = await me.page.createCDPSession();
    await client.send("Browser.setDownloadBehavior", { behavior: "allow", downloadPath: folder });
    await go("/system/editions/1.1.0");
    await me.click("button", "Download");
    const zip = await me.until(() => {
      const name = readdirSync(folder).find((n) => n.endsWith(".zip"));
      return Promise.resolve(unzipSync(readFileSync(join(folder, name ?? "none"))));
    });
    const text = (name: string) => Buffer.from(zip[name] ?? []).toString();
    expect(JSON.parse(text("edition.json"))).toMatchObject({
      pieces: { [kit.bulb]: { name: "Globe" } },
    });
    expect(text("notes.md")).toBe("## Second light");
    rmSync(folder, { recursive: true });
  });

  it("is neither published nor withdrawn without a connection, and nothing typed is lost", async () => {
    await append(set(["pieces", kit.bulb, "name"], "Wick"));
    await go("/system/editions");
    await me.click("button", "Publish 1.3.0…");
    await heard("No broken rules", ".modal");
    await me.page.type(".publish-name input", "Fourth light");
    await me.page.setOfflineMode(true);
    try {
      await me.click("button", "Publish 1.3.0…", ".modal-footer");
      await heard("The server cannot be reached.", ".modal");
      expect(await me.page.$eval(".publish-name input", (i) => i.value)).toBe("Fourth light");
      await me.click("button", "Cancel", ".modal");
      await me.page.waitForSelector(".modal", { hidden: true });
      await me.click("button", "Actions for 1.2.0");
      await me.click("button", "Withdraw…");
      await me.page.type(".modal input", "Too bright");
      await me.click("button", "Withdraw", ".modal-footer");
      await heard("The server cannot be reached.", "body");
    } finally {
      await me.page.setOfflineMode(false);
    }
    const editions = await new Editions(log).of(desk.id);
    expect(editions.map((e) => [e.number, e.withdrawn])[0]).toEqual(["1.2.0", null]);
    me.complaints.length = 0;
  });

  it("is adopted all or not at all: not without a connection", async () => {
    // nobody has loaded this edition here yet
    await publish("1.3.0", "Fourth light");
    const app = newId();
    await log.create(app, emptyProject("Island app"));
    await go("/system/adopted", app);
    await me.click("button", "Adopt a system…");
    await me.page.setOfflineMode(true);
    try {
      await me.click("radio", "Pier kit · 4 editions", ".adopt-list");
      await me.click("button", "Adopt 1.3.0", ".modal-footer");
      await heard("Your project was not changed.", ".modal");
    } finally {
      await me.page.setOfflineMode(false);
    }
    expect((await savedOf(app)).adoptions).toEqual({});
    await me.click("button", "Adopt 1.3.0", ".modal-footer");
    await heard("Pier kit 1.3.0 Fourth light");
    expect(Object.values((await savedOf(app)).adoptions)).toHaveLength(1);
    me.complaints.length = 0;
  });

  it("is missed with a way back where there is no such number", async () => {
    await go("/system/editions/9.9.9");
    await me.until(async () =>
      expect(await me.text("body")).toContain("There is no edition of this number."),
    );
  });
});

describe("what is worked out about editions", () => {
  it("can be cancelled, and begun anew", async () => {
    await me.page.evaluateOnNewDocument(() => {
      // a worker that never answers stands for one that takes long
      if (!location.search.includes("from=1.0.0")) return;
      const Real = window.Worker;
      let isFirst = true;
      window.Worker = class extends Real {
        override postMessage(message: unknown, given?: Transferable[] | object): void {
          const transfer = Array.isArray(given) ? (given as Transferable[]) : [];
          if (!isFirst) super.postMessage(message, transfer);
        }
        override terminate(): void {
          isFirst = false;
          super.terminate();
        }
      };
    });
    await go("/system/editions/compare?from=1.0.0&to=1.2.0");
    await me.click("button", "Cancel");
    await heard("Cancelled.");
    await me.click("button", "Try again");
    await heard("Bulb is called Flame.");
  });

  it("and the console had nothing to complain of", () => {
    const others = me.complaints.filter((complaint) => !complaint.includes("status of 404"));
    expect(others).toEqual([]);
  });
});
