import { describe, expect, it } from "vitest";
import { searchComponents } from "#core/library";
import { set, accept } from "#core/project";
import type { Project } from "#core/project";
import { kelpwayKit } from "../../demo/index";

const found = (project: Project, query: string): string[] =>
  searchComponents(project, query).map((p) => p.name);

describe("a search in the library", () => {
  const kit = kelpwayKit();

  it("finds components by their name, its beginning first, and all for nothing", () => {
    expect(found(kit, "swi")[0]).toBe("Alert switch");
    expect(found(kit, "  ")).toHaveLength(17);
    expect(found(kit, "harbour dock")).toEqual(["Harbour dock bar", "Deck tabs"]);
    expect(found(kit, "zeppelin")).toEqual([]);
  });

  it("finds them by traits, values, tokens, icons and texts", () => {
    expect(found(kit, "season pass")).toEqual(["Fare panel"]);
    expect(found(kit, "tide dark")[0]).toBe("Follow crossing button");
    expect(found(kit, "starboard")).toContain("Seat side chooser");
  });

  it("finds them by what is written about them, and wants every word", () => {
    const result = accept(kit, {
      label: "x",
      ops: [set(["pieces", "route-bell", "about"], { description: "Reminds of a **departure**." })],
    });
    const project = result.ok ? result.project : kit;
    expect(found(project, "departure")).toEqual(["Route bell"]);
    expect(found(project, "bell departure reminds")).toEqual(["Route bell"]);
    expect(found(project, "bell starboard")).toEqual([]);
  });
});
