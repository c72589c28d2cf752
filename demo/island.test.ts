import { beforeAll, describe, expect, it } from "vitest";
import type { LayoutEnv } from "#core/layout";
import { readProject } from "#core/project";
import type { Project } from "#core/project";
import { rehearse } from "#core/rehearse";
import { contentOf, numberEdition, reportOn } from "#core/system";
import type { Numbered, Report } from "#core/system";
import { worldOf } from "#core/world";
import { islandApp, kelpwayEditions } from "./index";
import { testEnv } from "../tests/support/env";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const published = kelpwayEditions();
const hash = (number: string): string => number.replaceAll(".", "").padEnd(64, "0");
const contents = new Map(published.map((e) => [hash(e.number), contentOf(e.project)]));
const adopting = (number: string): Project =>
  islandApp({ system: "kelpway-kit", name: "Kelpway kit", number, edition: hash(number) });

const ended = <T>(run: Generator<unknown, T>): T => {
  for (;;) {
    const { done, value } = run.next();
    if (done) return value;
  }
};

const numbered = (at: number): Numbered => {
  const [before, after] = [published[at - 1], published[at]];
  if (!before || !after) throw new Error("no such edition");
  const earlier = { number: before.number, content: contentOf(before.project) };
  return ended(numberEdition(env, contents, earlier, contentOf(after.project)));
};

describe("the editions of the kit", () => {
  it("are valid projects", () => {
    for (const { project } of published)
      expect(readProject(JSON.parse(JSON.stringify(project)))).toMatchObject({ ok: true });
  });

  it("have the numbers that follow from what changed", () => {
    expect(numbered(1)).toMatchObject({ number: "1.1.0", weight: "feature" });
    expect(numbered(2)).toMatchObject({ number: "2.0.0", weight: "breaking" });
  });

  it("break by a value that is gone, by another start, and by what people relied on", () => {
    const breaking = numbered(2).differences.filter((d) => d.weight === "breaking");
    expect(breaking.map((d) => d.kind).sort()).toEqual([
      "relied",
      "trait-starts",
      "trait-starts",
      "value-removed",
    ]);
    expect(numbered(2).differences.map((d) => d.kind)).toContain("option-renamed");
  });
});

describe("the island app", () => {
  const before = worldOf(adopting("1.1.0"), contents);
  const after = worldOf(adopting("2.0.0"), contents);

  it("is a valid project, and its rehearsals pass with the edition it uses", () => {
    const project = adopting("1.1.0");
    expect(readProject(JSON.parse(JSON.stringify(project)))).toMatchObject({ ok: true });
    for (const piece of Object.values(project.pieces))
      for (const { name, steps } of Object.values(piece.rehearsals))
        expect([name, rehearse(env, before, piece.id, steps)]).toEqual([name, null]);
  });

  it("has a report worth reading when the newest edition is taken over", () => {
    const report: Report = ended(reportOn(env, before, after, "kit"));
    const lost = report.copies.flatMap((c) => c.lost.map((l) => `${c.copy.layer} ${l.kind}`));
    expect(lost).toEqual(["decks value"]);
    expect(report.broken.map((b) => b.piece)).toEqual(["ship"]);
    const board = report.copies.find(({ copy }) => copy.layer === "board");
    expect(board?.size).toMatchObject({ before: { height: 108 }, after: { height: 96 } });
    expect(board?.pushed).toEqual(expect.arrayContaining(["delays", "hint"]));
    expect(report.pieces.map((p) => p.piece)).toContain("quay-note");
  });
});
