import { beforeAll, describe, expect, it } from "vitest";
import { emptyProject } from "#core/edit";
import type { LayoutEnv } from "#core/layout";
import { set } from "#core/project";
import type { Project } from "#core/project";
import {
  FIRST,
  byNumber,
  canonical,
  contentOf,
  numberAfter,
  numberEdition,
  obstaclesIn,
  weightBetween,
} from "#core/system";
import type { Drafting, Earlier, Numbered, Obstacle } from "#core/system";
import { testEnv } from "../../tests/support/env";
import { Builder, becomes } from "../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

interface Draft extends Numbered {
  readonly content: Project;
  readonly obstacles: readonly Obstacle[];
}
const ended = <T>(run: Generator<Drafting, T>, told: string[]): T => {
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
    told.push(step.value.at);
  }
};
const drafted = (project: Project, earlier: Earlier | null): { draft: Draft; told: string[] } => {
  const told: string[] = [];
  const content = contentOf(project);
  const obstacles = ended(obstaclesIn(env, content), told);
  const numbered = ended(numberEdition(env, new Map(), earlier, content), told);
  return { draft: { ...numbered, content, obstacles }, told };
};

/** A buoy that a click lights, and a screen it stands on. */
const harbour = () => {
  const b = new Builder();
  b.project = emptyProject("Harbour kit");
  const buoy = b.new("component", "Buoy");
  const body = b.layer("ellipse", { fill: "#e8723d", width: 30, height: 30 });
  const lit = b.trait("Lit", "no", "yes");
  b.look({ [lit.id]: [lit.v.yes ?? ""] }, body, { fill: "#f0c04e" });
  const click = b.rule({ source: body, effects: [becomes(lit.id, lit.v.yes ?? "")] });
  const screen = b.new("screen", "Pier");
  b.layer("instance", { component: buoy });
  return { b, buoy, body, lit, click, screen };
};

describe("numbers", () => {
  it("follow from what changed, as Semantic Versioning has it", () => {
    expect(numberAfter("1.4.2", "patch")).toBe("1.4.3");
    expect(numberAfter("1.4.2", "feature")).toBe("1.5.0");
    expect(numberAfter("1.4.2", "breaking")).toBe("2.0.0");
  });

  it("say what the way from one to another asks", () => {
    expect(weightBetween("1.4.2", "1.4.9")).toBe("patch");
    expect(weightBetween("1.4.2", "1.6.0")).toBe("feature");
    expect(weightBetween("1.4.2", "3.0.0")).toBe("breaking");
    expect([weightBetween("1.4.2", "1.4.2"), weightBetween("2.0.0", "1.9.9")]).toEqual([
      null,
      null,
    ]);
  });

  it("stand in order as numbers, not as words", () => {
    const list = ["1.9.0", "1.10.0", "1.2.0"].map((number) => ({ number }));
    expect(list.sort(byNumber).map((e) => e.number)).toEqual(["1.10.0", "1.9.0", "1.2.0"]);
  });
});

describe("what an edition holds", () => {
  it("is components and what they need, without screens and what only they show", () => {
    const { b, buoy, screen } = harbour();
    const picture = (id: string) => ({
      id,
      kind: "icon" as const,
      name: id,
      width: 10,
      height: 10,
      shapes: [],
    });
    b.do({
      label: "Icons",
      ops: [set(["assets", "flag"], picture("flag")), set(["assets", "only"], picture("only"))],
    });
    b.on(screen);
    b.layer("icon", { icon: "only" });
    const content = contentOf(b.project);
    expect(Object.keys(content.pieces)).toEqual([buoy]);
    expect(Object.keys(content.assets)).toEqual(["flag"]);
    expect(content.start).toBeNull();
  });

  it("is the same text for the same content, however it came about", () => {
    const { b } = harbour();
    const content = contentOf(b.project);
    const turned = JSON.parse(JSON.stringify(content)) as Project;
    const pieces = Object.fromEntries(Object.entries(turned.pieces).reverse());
    const again = contentOf({ ...turned, pieces, name: turned.name });
    expect(canonical(again)).toBe(canonical(content));
    expect(canonical({ ...again, name: "Other" })).not.toBe(canonical(content));
  });
});

describe("a draft", () => {
  it("of the first edition has nothing to compare with", () => {
    const { b } = harbour();
    const { draft, told } = drafted(b.project, null);
    expect(draft).toMatchObject({ number: FIRST, weight: null, differences: [], obstacles: [] });
    expect(new Set(told)).toEqual(new Set(["checking"]));
  });

  it("says what differs, and the number and notes that follow; the same each time", () => {
    const { b, body, buoy, lit } = harbour();
    const earlier = { number: "1.0.0", content: contentOf(b.project) };
    b.on(buoy);
    b.do({
      label: "Edit",
      ops: [set(["pieces", buoy, "traits", lit.id, "name"], "Burns [brightly]")],
    });
    b.look({}, body, { fill: "#bb4411" });
    const { draft } = drafted(b.project, earlier);
    expect(draft.differences.map((d) => d.kind).sort()).toEqual(["looks", "trait-renamed"]);
    expect(draft).toMatchObject({ weight: "feature", number: "1.1.0" });
    expect(draft.notes).toContain(
      "## New\n- **Buoy**\n  - Trait “Lit” is called “Burns \\[brightly\\]”.",
    );
    expect(JSON.stringify(drafted(b.project, earlier).draft)).toBe(JSON.stringify(draft));
  });

  it("of nothing new has no number of its own", () => {
    const { b } = harbour();
    const earlier = { number: "1.2.0", content: contentOf(b.project) };
    expect(drafted(b.project, earlier).draft).toMatchObject({ weight: null, number: "1.2.0" });
  });

  it("names what stands in the way, unless it was accepted with a reason", () => {
    const { b, buoy } = harbour();
    b.on(buoy);
    b.rule({ effects: [{ type: "go", screen: "nowhere" }] });
    const { draft } = drafted(b.project, null);
    expect(draft.obstacles.map((o) => [o.piece, o.finding.kind])).toEqual([[buoy, "broken"]]);
    const id = draft.obstacles[0]?.finding.id ?? "";
    b.do({
      label: "Accept",
      ops: [set(["pieces", buoy, "accepted", id], { id, reason: "The screen comes later." })],
    });
    expect(drafted(b.project, null).draft.obstacles).toEqual([]);
  });
});
