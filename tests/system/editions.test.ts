import { beforeAll, describe, expect, it } from "vitest";
import { emptyProject } from "#core/edit";
import { newId, set } from "#core/project";
import type { Project } from "#core/project";
import { ProjectLog } from "#server";
import type { Designer } from "../support/designer";
import { givenDesk } from "../support/kit";
import { Builder, goes } from "../support/pieces";
import { savedProject } from "../support/saved";

/** A system with a lamp that a click lights, and a buoy. */
const pierKit = () => {
  const b = new Builder();
  b.project = emptyProject("Pier kit");
  const buoy = b.new("component", "Buoy");
  b.layer("ellipse", { fill: "#e8723d", width: 40, height: 40 });
  const lamp = b.new("component", "Lamp");
  const glow = b.layer("box", { fill: "#f0c04e", width: 80, height: 40 });
  const lit = b.trait("Lit", "no", "yes", "blinking");
  b.look({ [lit.id]: [lit.v.yes ?? ""] }, glow, { fill: "#ffffff" });
  b.rule({ source: glow, effects: [goes(lit.id, "next")] });
  return { project: b.project, buoy, lamp, glow, lit };
};
const kit = pierKit();
const desk = givenDesk(kit.project);
let me: Designer;
beforeAll(() => {
  me = desk.me;
});

const go = async (path: string, id = desk.id) => {
  const home = desk.address.replace(desk.id, id);
  await me.page.goto(home + path, { waitUntil: "load" });
};
const heard = (text: string, within = "main") =>
  me.until(async () => expect(await me.text(within)).toContain(text), 20_000);
const change = async (ops: Parameters<typeof set>[], id = desk.id) => {
  const log = new ProjectLog(desk.db);
  const state = await log.read(id);
  const seq = state?.seq ?? 0;
  const result = await log.append(id, {
    format: state?.project.format ?? 0,
    changeId: newId(),
    clientId: "somebody",
    since: seq,
    base: seq,
    late: false,
    change: { label: "Edit", ops: ops.map(([path, value]) => set(path, value)) },
  });
  expect(result.kind).toBe("kept");
};
const publish = async (number: string, name: string) => {
  await go("/system/editions");
  await me.click("button", `Publish ${number}…`);
  await heard("No broken rules, missing things, loops or unreachable variants.", ".modal");
  await me.page.type(".publish-name input", name);
  await me.click("button", `Publish ${number}…`, ".modal-footer");
  await heard(name, ".editions-table");
};

/** An app with a lamp that blinks, on a quay. */
const island = async (): Promise<string> => {
  const b = new Builder();
  b.project = emptyProject("Island app");
  const id = newId();
  await new ProjectLog(desk.db).create(id, b.project);
  return id;
};
const savedOf = async (id: string): Promise<Project> => {
  await me.saved();
  const state = await new ProjectLog(desk.db).read(id);
  if (!state) throw new Error("the project is gone");
  return state.project;
};

describe("a system and who adopts it", () => {
  let app = "";
  let kitId = "";
  const lampId = () => `${kitId}.${kit.lamp}`;

  it("publishes its first edition", async () => {
    await publish("1.0.0", "First light");
    await heard("Nothing changed since the newest edition.");
  });

  it("is adopted by another project, which finds its components in its library", async () => {
    app = await island();
    await go("/system/adopted", app);
    await me.click("button", "Adopt a system…");
    await me.page.waitForSelector(".adopt-edition");
    await me.click("radio", "Pier kit · 1 edition", ".adopt-list");
    await me.click("button", "Adopt 1.0.0", ".modal-footer");
    await heard("Pier kit 1.0.0 First light");
    const { adoptions } = await savedOf(app);
    kitId = Object.keys(adoptions)[0] ?? "";
    await me.click("link", "Show its components");
    await heard("Lamp", ".library-tiles");
  });

  it("has its components placed, and the screen looks as where they come from", async () => {
    const b = new Builder();
    b.project = await savedOf(app);
    const quay = b.new("screen", "Quay");
    const copy = b.layer("instance", { component: lampId(), x: 40, y: 60 });
    b.look({}, copy, { [`trait:${kit.lit.id}`]: kit.lit.v.blinking ?? "" });
    await change([[["pieces", quay], b.project.pieces[quay]]], app);
    await go(`/pieces/${quay}`, app);
    await me.page.waitForSelector(`[data-layer="${copy}"]`);
    await me.page.waitForSelector(`[data-layer="${copy}"] [fill="#f0c04e"]`);
  });

  it("says what changed, and what that asks of others", async () => {
    const looks = Object.values(kit.project.pieces[kit.lamp]?.looks ?? {});
    const base = looks.find((look) => Object.keys(look.when).length === 0);
    const changes = ["pieces", kit.lamp, "looks", base?.id ?? "", "changes"];
    const { [kit.lit.v.blinking ?? ""]: _gone, ...values } =
      kit.project.pieces[kit.lamp]?.traits[kit.lit.id]?.values ?? {};
    const trait = kit.project.pieces[kit.lamp]?.traits[kit.lit.id];
    await change([
      [[...changes, kit.glow, "fill"], "#b3402e"],
      [[...changes, "root", "height"], 120],
      [["pieces", kit.lamp, "traits", kit.lit.id], { ...trait, values }],
    ]);
    await go("/system/editions");
    await heard("“blinking” of “Lit” was removed.");
    await me.page.waitForSelector(".difference-row .before-stack");
    await heard("of pixels differ");
    await publish("2.0.0", "Red light");
  });

  it("asks for a reason when the number says less than what changed", async () => {
    await change([[["pieces", kit.buoy, "name"], "Sea buoy"]]);
    await go("/system/editions");
    await me.click("button", "Publish 2.1.0…");
    await me.pick("Number", "2.0.1 (patch)", ".modal");
    await heard("No broken rules", ".modal");
    expect(
      await me.page.$eval(".modal-footer .btn-primary", (b) => (b as HTMLButtonElement).disabled),
    ).toBe(true);
    await me.page.type(".publish-why input", "Nobody calls it by name");
    await me.click("button", "Publish 2.0.1…", ".modal-footer");
    await heard("Lower number: Nobody calls it by name", ".editions-table");
  });

  it("tells its adopter what a newer edition does, and is taken over with what is lost mapped", async () => {
    await go("/system/adopted", app);
    await me.click("link", "See what changes");
    await me.page.waitForSelector(".report-row");
    await heard("“Lit” can no longer be “blinking”.");
    await heard("240 × 96 becomes 240 × 120 px");
    await me.page.waitForSelector(".report-row .before-stack");
    const { pieces: before } = await savedOf(app);
    const quay = Object.values(before).find((p) => p.name === "Quay");
    const copy = Object.values(quay?.layers ?? {}).find((l) => l.kind === "instance");
    await me.pick(`Instead of blinking for ${copy?.name}`, "yes");
    await me.click("button", "Take over all");
    await heard("This is the newest edition.");
    const { adoptions, pieces } = await savedOf(app);
    expect(Object.values(adoptions).map((a) => a.number)).toEqual(["2.0.1"]);
    expect(JSON.stringify(pieces)).toContain(`"trait:${kit.lit.id}":"${kit.lit.v.yes}"`);
    await me.click("button", "Undo");
    await heard("2.0.1");
    expect(Object.values((await savedOf(app)).adoptions).map((a) => a.number)).toEqual(["1.0.0"]);
  });

  it("is taken over for one screen alone, beside the edition before", async () => {
    await me.click("link", "See what changes");
    await me.page.waitForSelector(".report-row");
    await me.click("radio", "By piece · 1");
    await me.click("button", "Take over here");
    await me.page.waitForSelector(".adopted-row");
    const { adoptions } = await savedOf(app);
    // nothing else is used of the edition before
    expect(Object.values(adoptions).map((a) => a.number)).toEqual(["2.0.1"]);
    await me.click("button", "Undo");
    await me.saved();
  });

  it("keeps a note why an edition is not taken over", async () => {
    await go("/system/adopted", app);
    await me.click("link", "See what changes");
    await me.page.waitForSelector(".report-row");
    await me.click("button", "Note why not…");
    await me.page.type(".modal input", "We wait for the summer");
    await me.click("button", "Save note");
    await heard("Not taken over: We wait for the summer");
  });

  it("lets a component go its own way", async () => {
    await go(`/system/components/${lampId()}`, app);
    await me.click("button", "Make independent");
    await heard("Made independent from Pier kit 1.0.0");
    const { pieces } = await savedOf(app);
    const lamp = Object.values(pieces).find((p) => p.name === "Lamp");
    expect(lamp?.origin?.piece).toBe(kit.lamp);
    const quay = Object.values(pieces).find((p) => p.name === "Quay");
    expect(JSON.stringify(quay?.looks)).toContain(`"component":"${lamp?.id}"`);
  });

  it("shows its owner who uses what, and nothing is lost when an edition is withdrawn", async () => {
    await go("/system/editions");
    await heard("Island app", "section[aria-labelledby=adopters]");
    await me.click("button", "Actions for 1.0.0");
    await me.click("button", "Withdraw…");
    await me.page.type(".modal input", "The light was too dim");
    await me.click("button", "Withdraw", ".modal-footer");
    await heard("Withdrawn: The light was too dim", ".editions-table");
    await go("/system/adopted", app);
    await heard("Withdrawn: The light was too dim");
    expect(Object.keys((await savedProject(desk)).pieces)).toHaveLength(2);
  });
});
