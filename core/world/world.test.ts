import { beforeAll, describe, expect, it } from "vitest";
import { emptyProject } from "#core/edit";
import { layout } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { Resolver, inTheme, restingVariant, themesOf, variantsOf } from "#core/looks";
import { paint } from "#core/paint";
import { accept, adoptionOf, innerId, newId, qualified, set } from "#core/project";
import type { Adoption, Piece, Project, Variant } from "#core/project";
import { countSeen, kindsOf, partsOf, Renaming, worldOf } from "#core/world";
import type { Editions } from "#core/world";
import { kelpwayKit } from "../../demo/index";
import { testEnv } from "../../tests/support/env";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const kit = (): Project => ({ ...kelpwayKit(), start: null });
const adopts = (project: Project, ...list: readonly Adoption[]): Project => ({
  ...project,
  adoptions: { ...project.adoptions, ...Object.fromEntries(list.map((a) => [a.id, a])) },
});
const adoption = (id: string, edition: string, system = "kelpway"): Adoption => ({
  id,
  order: "a0",
  system,
  name: "Kelpway kit",
  edition,
  number: "1.0.0",
});
const island = (...list: readonly Adoption[]): Project =>
  adopts(emptyProject("Island app"), ...list);

/** How a piece looks in a variant, as text. */
const seen = (project: Project, piece: string, variant: Variant): string => {
  const tree = new Resolver().tree(project, piece, variant);
  return JSON.stringify(tree && paint(layout(env, tree)));
};
const components = (project: Project): Piece[] =>
  Object.values(project.pieces).filter((p) => p.kind === "component");

describe("ids of what was adopted", () => {
  it("say by which adoption, however deep, and what it is called there", () => {
    expect(adoptionOf("knob")).toBeNull();
    const deep = qualified("kit", qualified("base", "knob"));
    expect([adoptionOf(deep), innerId(deep)]).toEqual(["kit", qualified("base", "knob")]);
  });
});

describe("a project that adopts a system", () => {
  const content = kit();
  const editions: Editions = new Map([["one", content]]);
  const world = worldOf(island(adoption("kit", "one")), editions);

  it("sees every component as it looks where it comes from, in all variants and themes", () => {
    const themes = variantsOf(themesOf(content));
    expect(themes.length).toBeGreaterThan(3);
    for (const theme of themes) {
      const there = inTheme(content, theme);
      const here = inTheme(
        world,
        Object.fromEntries(Object.entries(theme).map(([id, v]) => [qualified("kit", id), v])),
      );
      for (const piece of components(content))
        for (const variant of variantsOf(piece).slice(0, 6))
          expect(seen(here, qualified("kit", piece.id), variant)).toBe(
            seen(there, piece.id, variant),
          );
    }
  });

  it("is the same object for the same project, and shares what did not change", () => {
    const project = island(adoption("kit", "one"));
    const before = worldOf(project, editions);
    expect(worldOf(project, editions)).toBe(before);
    const after = worldOf({ ...project, name: "Island app 2" }, editions);
    expect(after.tokens).toBe(before.tokens);
    expect(after.pieces["kit.alert-switch"]).toBe(before.pieces["kit.alert-switch"]);
    expect(worldOf(emptyProject("Alone"), editions).pieces).toEqual({});
  });

  it("sees nothing of an edition that is not there, and itself goes on", () => {
    const lost = worldOf(island(adoption("kit", "lost")), editions);
    expect(lost.pieces).toEqual({});
    expect(lost.name).toBe("Island app");
  });

  it("cannot change what it has adopted", () => {
    const project = island(adoption("kit", "one"));
    const refused = accept(project, {
      label: "Rename",
      ops: [set(["pieces", "kit.alert-switch", "name"], "Mine")],
    });
    expect(refused).toMatchObject({ ok: false });
    expect(!refused.ok && refused.error).toContain("Make it independent");
  });

  it("places, binds and follows what it has adopted: that can be saved", () => {
    const project = island(adoption("kit", "one"));
    const made = accept(project, {
      label: "New token",
      ops: [
        set(["tokens", "mine"], {
          id: "mine",
          type: "colour",
          name: "Mine",
          group: "",
          order: "a0",
          value: { alias: "kit.kelp" },
          looks: {
            a: { id: "a", when: { "kit.theme": ["night"] }, order: "a0", value: "#101820" },
          },
        }),
      ],
    });
    expect(made).toMatchObject({ ok: true });
  });
});

describe("two editions of a system", () => {
  const first = kit();
  const second: Project = {
    ...first,
    name: "Kelpway kit",
    tokens: Object.fromEntries(
      Object.entries(first.tokens).map(([id, token]) => [
        id,
        token.type === "colour" ? { ...token, value: "#123456", looks: undefined } : token,
      ]),
    ),
  };
  const editions: Editions = new Map([
    ["one", first],
    ["two", second],
  ]);
  const world = worldOf(island(adoption("a", "one"), adoption("b", "two")), editions);

  it("stand side by side, each as it is", () => {
    const [piece] = components(first);
    const variant = variantsOf(piece as Piece)[0] as Variant;
    const id = piece?.id ?? "";
    expect(seen(world, qualified("a", id), variant)).toBe(seen(first, id, variant));
    expect(seen(world, qualified("b", id), variant)).toBe(seen(second, id, variant));
    expect(seen(first, id, variant)).not.toBe(seen(second, id, variant));
  });

  it("have the same themes: who looks chooses once", () => {
    expect(Object.keys(world.themes)).toEqual(Object.keys(first.themes).map((t) => `a.${t}`));
    const looks = Object.values(world.tokens["b.sea"]?.looks ?? {});
    for (const look of looks)
      expect(Object.keys(look.when).every((theme) => theme.startsWith("a."))).toBe(true);
  });
});

describe("a system that adopts a system", () => {
  it("brings it along; a theme of the same system is one", () => {
    const base = kit();
    const above = adopts(emptyProject("Harbour kit"), adoption("base", "base"));
    const editions: Editions = new Map([
      ["base", base],
      ["above", above],
    ]);
    const both = island(adoption("kit", "base"), adoption("up", "above", "harbour"));
    const world = worldOf(both, editions);
    const [piece] = components(base);
    const id = piece?.id ?? "";
    const variant = variantsOf(piece as Piece)[0] as Variant;
    expect(seen(world, `up.base.${id}`, variant)).toBe(seen(base, id, variant));
    expect(Object.keys(world.themes).every((theme) => theme.startsWith("kit."))).toBe(true);
  });
});

describe("calling all records otherwise", () => {
  const content = kit();
  const to = (id: string): string => `x${id}`;
  const back = (id: string): string => id.replace(/^x/, "");
  const names = (name: (id: string) => string) => ({
    piece: name,
    token: name,
    group: name,
    theme: name,
    asset: name,
  });
  const all = <T extends { readonly id: string }>(
    table: Readonly<Record<string, T>>,
    f: (r: T) => T,
  ) => Object.fromEntries(Object.values(table).map((record) => [f(record).id, f(record)]));
  const renamed = (project: Project, name: (id: string) => string): Project => {
    const renaming = new Renaming(names(name), kindsOf(project));
    return {
      ...project,
      pieces: all(project.pieces, renaming.piece),
      tokens: all(project.tokens, renaming.token),
      themes: all(project.themes, renaming.theme),
      assets: all(project.assets, renaming.asset),
    };
  };

  it("and back again leaves everything as it was", () => {
    expect(renamed(renamed(content, to), back)).toEqual(content);
  });

  it("leaves no token, theme or asset called as before", () => {
    const text = JSON.stringify(renamed(content, to));
    const ids = [content.tokens, content.assets].flatMap((table) => Object.keys(table));
    // some are called as something else is, too
    const telling = ids.filter((id) => id.includes("-"));
    expect(telling.length).toBeGreaterThan(40);
    expect(telling.filter((id) => text.includes(`"${id}"`))).toEqual([]);
  });

  it("does not touch what is only called alike", () => {
    const id = newId();
    const renaming = new Renaming(names(to), kindsOf(content));
    const said = renaming.changes({ text: id, "trait:seat": id, fill: "#101820" });
    expect(said).toEqual({ text: id, "trait:seat": id, fill: "#101820" });
  });
});

describe("systems that adopt one another many times over", () => {
  const editions = new Map<string, Project>([["0", kit()]]);
  for (let i = 1; i <= 60; i++) {
    const twice = [adoption("one", `${i - 1}`, `kit-${i - 1}`), adoption("two", `${i - 1}`, "x")];
    editions.set(`${i}`, island(...twice));
  }

  it("are counted without going every way, and seen as far as there is room", () => {
    const top = island(adoption("top", "60", "kit-60"));
    expect(countSeen(top, editions)).toBe(2 ** 61 - 1);
    expect(countSeen(island(adoption("top", "3")), editions)).toBe(15);
    expect(Object.keys(worldOf(top, editions).adoptions)).toEqual(["top"]);
    expect(Object.keys(worldOf(top, editions).pieces).length).toBeLessThan(100 * 40);
  });
});

describe("the parts of a piece", () => {
  it("paint any piece as the whole project does, and of screens have only the one asked for", () => {
    const project = kit();
    for (const { id, kind } of Object.values(project.pieces)) {
      const parts = partsOf(project, [id]);
      const piece = project.pieces[id] as Piece;
      const variant = restingVariant(piece);
      expect(seen(parts, id, variant)).toBe(seen(project, id, variant));
      const screens = Object.values(parts.pieces).filter((p) => p.kind === "screen");
      expect(screens.map((p) => p.id)).toEqual(kind === "screen" ? [id] : []);
    }
  });
});
