import { describe, expect, it } from "vitest";
import { emptyProject } from "#core/edit";
import { Resolver, SharedCopies, inTheme, otherThemes, variantsOf } from "#core/looks";
import type { ComputedLayer } from "#core/looks";
import { islandApp, kelpwayKit } from "../../demo/index";
import { Builder } from "../../tests/support/pieces";

const nestedIn = (tree: ComputedLayer | null): ComputedLayer[] =>
  tree
    ? [...(tree.nested ? [tree.nested] : []), ...[...tree.children, tree.nested].flatMap(nestedIn)]
    : [];

/** A chain of components, each of which places the next; the last one is plain. */
const chainOf = (length: number) => {
  const b = new Builder();
  b.project = emptyProject("Buoys");
  const ids: string[] = [];
  for (let i = 0; i < length; i++) {
    const id = b.new("component", `Buoy ${i}`);
    const [before] = ids.slice(-1);
    if (before) b.layer("instance", { component: before });
    ids.push(id);
  }
  return { project: b.project, ids };
};

describe("copies that several pieces place", () => {
  it("come to the same trees as each by itself, in every variant and theme", () => {
    const shared = new SharedCopies();
    for (const theme of [{}, ...otherThemes(kelpwayKit())]) {
      const project = inTheme(kelpwayKit(), theme);
      for (const piece of Object.values(project.pieces))
        for (const variant of variantsOf(piece))
          expect(new Resolver(shared).tree(project, piece.id, variant)).toEqual(
            new Resolver().tree(project, piece.id, variant),
          );
    }
  });

  it("are the same object wherever they are placed the same way", () => {
    const { project, ids } = chainOf(1);
    const b = new Builder();
    b.project = project;
    const screens = ["Today", "Piers"].map((name) => {
      const id = b.new("screen", name);
      b.layer("instance", { component: ids[0] ?? "" });
      return id;
    });
    const shared = new SharedCopies();
    const [today, piers] = screens.map((id) => new Resolver(shared).tree(b.project, id, {}));
    const [[first], [second]] = [nestedIn(today ?? null), nestedIn(piers ?? null)];
    expect(first).toBeDefined();
    expect(second).toBe(first);
  });

  it("are told apart by what is said of them, and by the project they are in", () => {
    const app = islandApp({ system: "kit", name: "Kit", number: "1.0.0", edition: "one" });
    const { pieces } = app;
    const shared = new SharedCopies();
    const noteIn = (project: typeof app) =>
      nestedIn(new Resolver(shared).tree(project, "today", {})).find(
        (t) => t.layer.name === "Quay note",
      );
    const look = pieces["quay-note"]?.looks["base"];
    const paler = { ...look?.changes, root: { ...look?.changes["root"], opacity: 0.5 } };
    const quay = { ...pieces["quay-note"], looks: { base: { ...look, changes: paler } } };
    const changed = { ...app, pieces: { ...pieces, "quay-note": quay } } as typeof app;
    expect(noteIn(app)?.values.opacity).toBe(1);
    expect(noteIn(changed)?.values.opacity).toBe(0.5);
  });

  it("that place one another in a circle are cut where each piece's own tree is", () => {
    const { project, ids } = chainOf(3);
    const b = new Builder();
    b.project = project;
    b.on(ids[0] ?? "").layer("instance", { component: ids[2] ?? "" });
    const shared = new SharedCopies();
    for (const id of [...ids, ...ids])
      expect(new Resolver(shared).tree(b.project, id, {})).toEqual(
        new Resolver().tree(b.project, id, {}),
      );
  });

  it("go no deeper than a piece's own tree does", () => {
    const { project, ids } = chainOf(60);
    const shared = new SharedCopies();
    for (const id of ids)
      expect(new Resolver(shared).tree(project, id, {})).toEqual(
        new Resolver().tree(project, id, {}),
      );
  });

  it("hold no more layers than a piece's own tree may", () => {
    const { project, ids } = chainOf(1);
    const b = new Builder();
    b.project = project;
    let last = ids[0] ?? "";
    for (let i = 0; i < 6; i++) {
      const id = b.new("component", `Fleet ${i}`);
      for (let k = 0; k < 8; k++) b.layer("instance", { component: last });
      last = id;
      ids.push(id);
    }
    const shared = new SharedCopies();
    const sizeOf = (tree: ComputedLayer | null): number =>
      tree ? 1 + [...tree.children, tree.nested].reduce((n, t) => n + sizeOf(t), 0) : 0;
    for (const id of ids)
      expect(sizeOf(new Resolver(shared).tree(b.project, id, {}))).toBe(
        sizeOf(new Resolver().tree(b.project, id, {})),
      );
  });
});
