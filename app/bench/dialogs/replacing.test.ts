import { describe, expect, it } from "vitest";
import { addToken } from "#core/edit";
import { accept } from "#core/project";
import type { Project } from "#core/project";
import { Builder } from "../../../tests/support/pieces";
import { found, replacements, replacing, saidText } from "./replacing";

const world = () => {
  const b = new Builder();
  const ferry = b.new("component", "Ferry button");
  const hull = b.layer("box", { fill: "#c9c3b4", radius: [16, 16, 16, 16] });
  const name = b.layer("text", { text: "Board the Kittiwake, board now" });
  const buoy = b.new("component", "Buoy");
  const float = b.layer("ellipse", { fill: "#c9c3b4" });
  return { b, ferry, hull, name, buoy, float };
};
const everywhere = { key: "any", piece: null, layers: null } as const;

const after = (project: Project, find: string, next: string): Project => {
  const places = found(project, { ...everywhere, find });
  const result = accept(project, replacing("Replace", replacements(project, places, find, next)));
  if (!result.ok) throw new Error(result.error);
  return result.project;
};

describe("finding what is said", () => {
  it("finds a value wherever it is said, and however it is written", () => {
    const { b, hull, float } = world();
    const layers = (find: string) => found(b.project, { ...everywhere, find }).map((p) => p.layer);
    expect(layers("#C9C3B4").sort()).toEqual([hull, float].sort());
    expect(layers("16")).toEqual([hull]);
    expect(layers("  ")).toEqual([]);
    expect(layers("#123456")).toEqual([]);
  });

  it("keeps to the piece, the layers and the property that were asked for", () => {
    const { b, ferry, hull, float } = world();
    const find = "#c9c3b4";
    const layers = (more: object) =>
      found(b.project, { ...everywhere, find, ...more }).map((p) => p.layer);
    expect(layers({ piece: ferry })).toEqual([hull]);
    expect(layers({ layers: [float] })).toEqual([float]);
    expect(layers({ key: "radius" })).toEqual([]);
  });

  it("finds a part of a text", () => {
    const { b, name } = world();
    const [place] = found(b.project, { ...everywhere, find: "kittiwake" });
    expect(place).toMatchObject({ layer: name, key: "text" });
  });
});

describe("saying another thing instead", () => {
  it("replaces values everywhere in one change", () => {
    const { b, ferry, hull, buoy, float } = world();
    const project = after(b.project, "#c9c3b4", "#1f6f5c");
    const fills = (piece: string, layer: string) =>
      Object.values(project.pieces[piece]?.looks ?? {}).map((l) => l.changes[layer]?.fill);
    expect(fills(ferry, hull)).toContain("#1f6f5c");
    expect(fills(buoy, float)).toContain("#1f6f5c");
  });

  it("replaces every occurrence in a text, and takes signs as they are", () => {
    const { b } = world();
    const project = after(b.project, "board", "$& (ramp)");
    expect(found(project, { ...everywhere, find: "$& (ramp)" }).map((p) => p.said)).toEqual([
      "$& (ramp) the Kittiwake, $& (ramp) now",
    ]);
  });

  it("binds to a token by its name", () => {
    const { b } = world();
    const token = addToken(b.project, "colour", "Kelp", "#1f6f5c");
    b.do(token.change);
    const places = found(b.project, { ...everywhere, find: "#c9c3b4" });
    const made = replacements(b.project, places, "#c9c3b4", "kelp");
    expect(made.map((r) => r.said)).toEqual([{ token: token.id }, { token: token.id }]);
    const project = after(b.project, "#c9c3b4", "kelp");
    const [bound] = found(project, { ...everywhere, find: "kelp" });
    expect(bound && saidText(project, bound)).toMatch(/kelp/i);
  });

  it("leaves places alone that cannot say it", () => {
    const { b } = world();
    const places = found(b.project, { ...everywhere, find: "#c9c3b4" });
    expect(replacements(b.project, places, "#c9c3b4", "ninety")).toEqual([]);
    expect(replacements(b.project, places, "#c9c3b4", " ")).toEqual([]);
  });
});
