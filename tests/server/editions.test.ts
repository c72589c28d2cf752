import type { Sequelize } from "sequelize";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { emptyProject } from "#core/edit";
import { FORMAT, newId, remove, set } from "#core/project";
import type { Adoption, Change, Project } from "#core/project";
import { editionContent, editionsSeenBy, Editions, openDatabase, ProjectLog } from "#server";
import type { AppendResult, EditionAbout, PublishAnswer } from "#server";
import { EditionContentRow } from "../../server/database";
import { kelpwayKit } from "../../demo/index";

let db: Sequelize;
beforeAll(() => {
  db = openDatabase(inject("databaseUrl"));
});
afterAll(() => db.close());

/** A project of somebody, and what they do with it. */
class Crew {
  readonly log = new ProjectLog(db);
  readonly editions = new Editions(this.log);
  seq = 0;

  constructor(readonly id = newId()) {}

  static async of(project: Project): Promise<Crew> {
    const crew = new Crew();
    await crew.log.create(crew.id, project);
    return crew;
  }

  async change(change: Change): Promise<AppendResult> {
    const result = await this.log.append(this.id, {
      format: FORMAT,
      changeId: newId(),
      clientId: "crew-window",
      since: this.seq,
      base: this.seq,
      late: false,
      change,
    });
    if (result.kind === "kept") this.seq = result.seq;
    return result;
  }

  publish(number: string, lowered: string | null = null): Promise<PublishAnswer> {
    const { seq } = this;
    return this.editions.publish(this.id, {
      seq,
      number,
      name: "",
      notes: "",
      reasons: [],
      lowered,
    });
  }

  async published(number: string): Promise<EditionAbout> {
    const answer = await this.publish(number);
    if (answer.kind !== "published") throw new Error(JSON.stringify(answer));
    return answer.edition;
  }

  adopt({ system, systemName, number, hash }: EditionAbout, id = "kit"): Promise<AppendResult> {
    const adoption: Adoption = {
      id,
      order: "a0",
      system,
      name: systemName,
      number,
      edition: hash,
    };
    return this.change({ label: "Adopt", ops: [set(["adoptions", id], adoption)] });
  }
}

const rename = (name: string): Change => ({
  label: "Rename",
  ops: [set(["pieces", "alert-switch", "name"], name)],
});
const without: Change = { label: "Delete", ops: [remove(["pieces", "route-bell"])] };

describe("publishing", () => {
  it("keeps what the project holds, the same content once", async () => {
    const crew = await Crew.of(kelpwayKit());
    const other = await Crew.of(kelpwayKit());
    const [first, second] = [await crew.published("1.0.0"), await other.published("1.0.0")];
    expect(first.hash).toBe(second.hash);
    const answer = await editionContent(first.hash);
    expect(answer.kind === "content" && Object.keys(answer.content.pieces)).toContain(
      "alert-switch",
    );
    expect(answer.kind === "content" && Object.keys(answer.content.pieces)).not.toContain("ticket");
  });

  it("begins with 1.0.0, and goes on with a number that says enough", async () => {
    const crew = await Crew.of(kelpwayKit());
    expect(await crew.publish("2.0.0")).toMatchObject({ kind: "refused" });
    await crew.published("1.0.0");
    expect(await crew.publish("1.0.1")).toMatchObject({ kind: "refused" });
    await crew.change(without);
    expect(await crew.publish("1.0.0")).toMatchObject({ kind: "refused" });
    expect(await crew.publish("1.0.1")).toEqual({
      kind: "refused",
      reason: "Give a reason for the lower number.",
    });
    expect(await crew.publish("1.0.1", "Nobody used the bell")).toMatchObject({
      kind: "published",
      edition: { number: "1.0.1", lowered: "Nobody used the bell" },
    });
    expect((await crew.editions.of(crew.id)).map((e) => e.number)).toEqual(["1.0.1", "1.0.0"]);
  });

  it("is refused when somebody changed the project since it was looked at", async () => {
    const crew = await Crew.of(kelpwayKit());
    await crew.published("1.0.0");
    await crew.change(rename("Alert"));
    crew.seq = 0;
    expect(await crew.publish("1.1.0")).toEqual({ kind: "changed" });
    expect(await new Crew().publish("1.0.0")).toEqual({ kind: "unknown" });
  });

  it("is refused while a file of it is missing", async () => {
    const kit = kelpwayKit();
    const picture = Object.values(kit.assets).find((a) => a.kind === "picture");
    if (!picture) throw new Error("the kit has no picture");
    const lost = { ...picture, hash: "f".repeat(64), name: "Lost photo" };
    const crew = await Crew.of({ ...kit, assets: { ...kit.assets, [lost.id]: lost } });
    expect(await crew.publish("1.0.0")).toEqual({
      kind: "refused",
      reason: "The file “Lost photo” is missing.",
    });
  });
});

describe("adopting", () => {
  it("shows a project what it adopts, and the publisher who adopts it", async () => {
    const kit = await Crew.of(kelpwayKit());
    const edition = await kit.published("1.0.0");
    const island = await Crew.of(emptyProject("Island"));
    expect(await island.adopt(edition)).toMatchObject({ kind: "kept" });
    const { project } = (await island.log.read(island.id)) ?? {};
    const seen = await editionsSeenBy(project ?? { adoptions: {} });
    expect(Object.keys(seen)).toEqual([edition.hash]);
    expect(await kit.editions.adopters(kit.id)).toEqual([
      { projectId: island.id, adoption: "kit", number: "1.0.0" },
    ]);
    await island.change({ label: "End", ops: [remove(["adoptions", "kit"])] });
    expect(await kit.editions.adopters(kit.id)).toEqual([]);
  });

  it("is refused for what nobody has published, and for oneself", async () => {
    const kit = await Crew.of(kelpwayKit());
    const edition = await kit.published("1.0.0");
    const island = await Crew.of(emptyProject("Island"));
    const refused = { kind: "refused" };
    expect(await island.adopt({ ...edition, hash: "0".repeat(64) })).toMatchObject(refused);
    expect(await island.adopt({ ...edition, number: "9.0.0" })).toMatchObject(refused);
    expect(await kit.adopt(edition)).toMatchObject({
      kind: "refused",
      reason: "a system cannot adopt itself",
    });
  });

  it("is refused in a circle, with the way named", async () => {
    const base = await Crew.of({ ...kelpwayKit(), name: "Base kit" });
    const first = await base.published("1.0.0");
    const above = await Crew.of(emptyProject("Harbour kit"));
    await above.adopt(first, "base");
    const harbour = await above.published("1.0.0");
    expect(await base.adopt(harbour, "up")).toEqual({
      kind: "refused",
      reason: "“Harbour kit” uses this project itself: Harbour kit → Base kit",
    });
    const island = await Crew.of(emptyProject("Island"));
    await island.adopt(harbour, "harbour");
    const { project } = (await island.log.read(island.id)) ?? {};
    const seen = await editionsSeenBy(project ?? { adoptions: {} });
    expect(Object.keys(seen).sort()).toEqual([first.hash, harbour.hash].sort());
  });

  it("is refused where systems use systems more often than anybody can hold", async () => {
    let below = await (await Crew.of({ ...kelpwayKit(), name: "Base kit" })).published("1.0.0");
    const twice = async (name: string) => {
      const crew = await Crew.of(emptyProject(name));
      const answers = [await crew.adopt(below, "one"), await crew.adopt(below, "two")];
      return { crew, answer: answers.find(({ kind }) => kind !== "kept") ?? null };
    };
    for (let i = 0; i < 5; i++) {
      const { crew, answer } = await twice(`Kit ${i}`);
      expect(answer).toBeNull();
      below = await crew.published("1.0.0");
    }
    expect((await twice("Too much")).answer).toEqual({
      kind: "refused",
      reason:
        "it would bring 126 editions, with those that systems use themselves; 100 are possible",
    });
  });

  it("of a withdrawn edition is for those who use its system alone", async () => {
    const kit = await Crew.of(kelpwayKit());
    const first = await kit.published("1.0.0");
    await kit.change(rename("Alert"));
    const second = await kit.published("1.1.0");
    const island = await Crew.of(emptyProject("Island"));
    await island.adopt(first);
    expect(await kit.editions.withdraw(kit.id, "1.0.0", "The bell is too loud")).toBe(true);
    expect(await kit.editions.withdraw(kit.id, "7.0.0", "Never there")).toBe(false);
    expect((await kit.editions.of(kit.id)).map((e) => e.withdrawn)).toEqual([
      null,
      "The bell is too loud",
    ]);
    const late = await Crew.of(emptyProject("Late"));
    expect(await late.adopt(first)).toMatchObject({ kind: "refused" });
    expect(await island.adopt(second)).toMatchObject({ kind: "kept" });
    expect(await island.adopt(first)).toMatchObject({ kind: "kept" });
  });

  it("goes on when the project that published is gone", async () => {
    const kit = await Crew.of(kelpwayKit());
    const edition = await kit.published("1.0.0");
    const island = await Crew.of(emptyProject("Island"));
    await island.adopt(edition);
    await kit.log.destroy(kit.id);
    expect(await editionContent(edition.hash)).toMatchObject({ kind: "content" });
    expect(await island.change({ label: "Name", ops: [set(["name"], "Isle")] })).toMatchObject({
      kind: "kept",
    });
  });
});

describe("what an edition holds", () => {
  it("is not read when it is of a newer Nubble, damaged, or none", async () => {
    const body = "{}";
    const newer = "1".repeat(64);
    const damaged = "2".repeat(64);
    await EditionContentRow.create({ hash: newer, format: FORMAT + 1, body });
    await EditionContentRow.create({ hash: damaged, format: FORMAT, body });
    expect(await editionContent(newer)).toEqual({ kind: "newer" });
    expect(await editionContent(damaged)).toEqual({ kind: "unknown" });
    expect(await editionContent("3".repeat(64))).toEqual({ kind: "unknown" });
    expect(await editionContent("'; drop table editions; --")).toEqual({ kind: "unknown" });
  });
});
