import { beforeAll, describe, expect, it } from "vitest";
import {
  bringAlong,
  clipHere,
  copyLayers,
  emptyProject,
  pasteClip,
  readClip,
  strangersIn,
} from "#core/edit";
import type { Clip } from "#core/edit";
import { layout } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { Resolver, restingVariant } from "#core/looks";
import { paint } from "#core/paint";
import { ROOT, accept, qualified } from "#core/project";
import type { Op, Project } from "#core/project";
import { contentOf } from "#core/system";
import { worldOf } from "#core/world";
import { kelpwayKit } from "../../../demo/index";
import { testEnv } from "../../../tests/support/env";
import { Builder } from "../../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const KIT = "kelpway-kit";
const kit = kelpwayKit();
const edition = "a".repeat(64);
const editions = new Map([[edition, contentOf(kit)]]);

/** What is copied of a screen of the kit. */
const copied = (layer: string, piece = "trip-settings"): Clip => {
  const from = kit.pieces[piece];
  if (!from) throw new Error("no such screen");
  const clip = copyLayers(KIT, kit, from, restingVariant(from), [layer]);
  const read = readClip(JSON.stringify(clip));
  if (!read) throw new Error("the clip cannot be read");
  return read;
};

/** Another project with an empty screen. */
const other = (): { project: Project; screen: string } => {
  const b = new Builder();
  b.project = emptyProject("Mole app");
  const screen = b.new("screen", "Mole");
  return { project: b.project, screen };
};

const put = (project: Project, screen: string, clip: Clip, before: readonly Op[] = []): Project => {
  const piece = project.pieces[screen];
  if (!piece) throw new Error("no screen");
  const { change } = pasteClip("mole", project, piece, clip, ROOT, 0);
  const result = accept(project, { ...change, ops: [...before, ...change.ops] });
  if (!result.ok) throw new Error(result.error);
  return result.project;
};

const seen = (project: Project, piece: string): string => {
  const record = project.pieces[piece];
  const tree = record && new Resolver().tree(project, piece, restingVariant(record));
  return JSON.stringify(tree && paint(layout(env, tree)));
};

describe("layers copied into another project", () => {
  const clip = copied("bicycle");

  it("name the components that nothing there brings", () => {
    const { project } = other();
    expect(strangersIn("mole", project, clip)).toEqual([
      {
        id: "bicycle-tick-box",
        name: "Bicycle tick box",
        system: KIT,
        inner: "bicycle-tick-box",
      },
    ]);
    expect(strangersIn(KIT, kit, clip)).toEqual([]);
  });

  it("follow the system where it is adopted", () => {
    const { project, screen } = other();
    const adoption = {
      id: "kit",
      order: "a0",
      system: KIT,
      name: "Kelpway kit",
      edition,
      number: "1.0.0",
    };
    const adopting = { ...project, adoptions: { kit: adoption } };
    const world = worldOf(adopting, editions);
    expect(strangersIn("mole", world, clip)).toEqual([]);
    const after = put(adopting, screen, clipHere("mole", world, clip));
    const text = JSON.stringify(after.pieces[screen]);
    expect(text).toContain(qualified("kit", "bicycle-tick-box"));
    expect(seen(worldOf(after, editions), screen)).toContain("Bring a bicycle");
  });

  it("bring their components along, with all they are made of, and look the same", () => {
    const { project, screen } = other();
    const brought = bringAlong(project, clip);
    const after = put(project, screen, brought.clip, brought.ops);
    const components = Object.values(after.pieces).filter((p) => p.kind === "component");
    expect(components.map((p) => p.name)).toEqual(["Bicycle tick box"]);
    expect(Object.keys(after.tokens).length).toBeGreaterThan(2);
    const [component] = components;
    expect(seen(after, component?.id ?? "")).toBe(seen(kit, "bicycle-tick-box"));
  });

  it("use what was brought before: tokens, themes and files come once", () => {
    const { project, screen } = other();
    const first = bringAlong(project, clip);
    const once = put(project, screen, first.clip, first.ops);
    const second = bringAlong(once, copied("dock"));
    const twice = put(once, screen, second.clip, second.ops);
    const names = Object.values(twice.tokens).map((t) => `${t.group}/${t.name}`);
    expect(new Set(names).size).toBe(names.length);
    const themes = Object.values(twice.themes).map((t) => t.name);
    expect(new Set(themes).size).toBe(themes.length);
  });

  it("come home as what they always were", () => {
    const adopting = {
      ...other().project,
      adoptions: {
        kit: { id: "kit", order: "a0", system: KIT, name: "Kelpway kit", edition, number: "1.0.0" },
      },
    };
    const world = worldOf(adopting, editions);
    const piece = world.pieces[Object.keys(adopting.pieces)[0] ?? ""];
    if (!piece) throw new Error("no screen");
    const placed = put(adopting, piece.id, clipHere("mole", world, clip));
    const there = worldOf(placed, editions);
    const screen = there.pieces[piece.id];
    const layer = Object.values(screen?.layers ?? {}).find((l) => l.kind === "instance");
    if (!screen || !layer) throw new Error("nothing was pasted");
    const back = copyLayers("mole", there, screen, restingVariant(screen), [layer.id]);
    const read = readClip(JSON.stringify(back));
    if (!read) throw new Error("the clip cannot be read");
    expect(strangersIn(KIT, kit, read)).toEqual([]);
    const home = clipHere(KIT, kit, read);
    expect(Object.values(home.flat)[0]?.["component"]).toBe("bicycle-tick-box");
  });

  it("are refused when what they carry is not what a project says", () => {
    const text = JSON.stringify(clip);
    const bad = JSON.parse(text) as { parts: { pieces: Record<string, unknown> } };
    bad.parts.pieces["bicycle-tick-box"] = { id: "bicycle-tick-box", looks: 7 };
    expect(readClip(JSON.stringify(bad))).toBeNull();
    bad.parts.pieces = [] as never;
    expect(readClip(JSON.stringify({ ...bad, parts: "all" }))).toBeNull();
  });
});
