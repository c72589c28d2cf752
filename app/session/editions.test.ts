import { describe, expect, it } from "vitest";
import { emptyProject } from "#core/edit";
import type { Project } from "#core/project";
import { AdoptedEditions } from "./editions";
import type { EditionAnswer } from "./editions";

const adopting = (...editions: readonly string[]): Project => ({
  ...emptyProject("Island"),
  adoptions: Object.fromEntries(
    editions.map((edition) => [
      edition,
      { id: edition, order: "a0", system: edition, name: edition, number: "1.0.0", edition },
    ]),
  ),
});
const content = (project: Project): EditionAnswer => ({ kind: "content", content: project });

/** A server with some editions, which counts what it is asked. */
const shelf = (there: Readonly<Record<string, EditionAnswer>>) => {
  const asked: string[] = [];
  const state = { isAway: false, told: 0 };
  const editions = new AdoptedEditions(
    new Map(),
    (hash) => {
      asked.push(hash);
      if (state.isAway) return Promise.reject(new Error("away"));
      return Promise.resolve(there[hash] ?? { kind: "unknown" });
    },
    () => state.told++,
  );
  return { editions, asked, state };
};
const settled = () => new Promise((done) => setTimeout(done, 0));

describe("the editions a window knows", () => {
  it("are fetched once, with those that they adopt themselves", async () => {
    const { editions, asked, state } = shelf({
      above: content(adopting("base")),
      base: content(emptyProject("Base")),
    });
    const project = adopting("above");
    editions.want(project);
    editions.want(project);
    await settled();
    editions.want(project);
    await settled();
    editions.want(project);
    expect(asked).toEqual(["above", "base"]);
    expect([...editions.known.keys()]).toEqual(["above", "base"]);
    expect(state.told).toBe(2);
  });

  it("are all there before something is adopted, or nothing is", async () => {
    const { editions } = shelf({ above: content(adopting("base")) });
    expect(await editions.learn("above")).toBe("unknown");
    expect(await editions.learn("nowhere")).toBe("unknown");
    expect(editions.lackOf("base")).toBe("unknown");
  });

  it("say when they are of a newer Nubble", async () => {
    const { editions } = shelf({ newer: { kind: "newer" } });
    expect(await editions.learn("newer")).toBe("newer");
    expect(editions.lackOf("newer")).toBe("newer");
  });

  it("are asked for again once the server is back", async () => {
    const { editions, asked, state } = shelf({ base: content(emptyProject("Base")) });
    state.isAway = true;
    const project = adopting("base");
    editions.want(project);
    await settled();
    expect(editions.lackOf("base")).toBe("away");
    editions.want(project);
    expect(asked).toHaveLength(1);
    state.isAway = false;
    editions.retry(project);
    await settled();
    expect(editions.lackOf("base")).toBeNull();
    expect(editions.known.has("base")).toBe(true);
  });
});
