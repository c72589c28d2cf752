import { describe, expect, it } from "vitest";
import { addDrafts, emptyProject, newPiece } from "#core/edit";
import { accept } from "#core/project";
import type { Draft } from "#core/formats/svg";
import { readSvg } from "#core/formats/svg";
import type { Picture } from "./draft";

const svg = (inside: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">${inside}</svg>`;
const read = (inside: string): Picture => {
  const result = readSvg(svg(inside));
  if (!result.ok) throw new Error(result.error);
  return result.picture;
};
const names = (drafts: readonly Draft[]): string[] =>
  drafts.flatMap((d) => [d.name, ...names(d.inside)]);
const box = `<rect id="good" width="10" height="10" fill="red"/>`;

/** Whatever a file says, what comes of it can be put into a piece. */
const fits = ({ layers }: Picture): boolean => {
  const piece = newPiece("component", "Buoy", "a0", "buoy");
  const project = { ...emptyProject("Harbour"), pieces: { buoy: piece } };
  const result = accept(project, addDrafts(piece, layers, "root", "Insert").change);
  if (!result.ok) throw new Error(result.error);
  return result.ok;
};

describe("SVG files that mean no good", () => {
  it("impossible character references are named, and the rest is taken", () => {
    for (const reference of ["&#0;", "&#x0;", "&#xD800;", "&#x110000;", "&#99999999999;", "&#8;"]) {
      const picture = read(`<text x="1" y="9">Gull${reference} Isle</text>${box}`);
      expect(picture.lost, reference).toContain(`the impossible character ${reference}`);
      expect(picture.layers.find((l) => l.kind === "text")?.values.text, reference).toBe(
        "Gull Isle",
      );
      expect(fits(picture)).toBe(true);
    }
    expect(read(`<text y="9">5 &lt; 6 &#x26; &#9973;</text>`).layers[0]?.values.text).toBe(
      "5 < 6 & ⛵",
    );
  });

  it("groups too deep are flattened, far too deep ones cut off, and it says where", () => {
    const nest = (n: number) => `${`<g id="deep">`.repeat(n)}${box}${"</g>".repeat(n)}`;
    const flat = read(nest(90));
    expect(flat.lost).toEqual([
      expect.stringMatching(/groups more than 60 deep \(the contents of “deep”/),
    ]);
    expect(names(flat.layers)).toContain("good");
    expect(fits(flat)).toBe(true);
    const cut = read(`${nest(20_000)}<circle id="rest" r="4"/>`);
    expect(cut.lost.join()).toContain("more than 400 groups deep");
    expect(names(cut.layers)).toContain("rest");
    expect(fits(cut)).toBe(true);
  });

  it("one path too long is named, and the rest is taken", () => {
    const d = `M0 0${Array.from({ length: 12_000 }, (_, i) => `L${(i * 7) % 100}.123 ${(i * 13) % 100}.456`).join("")}`;
    const picture = read(`<path id="Coastline" d="${d}"/>${box}`);
    expect(picture.lost).toEqual([
      expect.stringMatching(/^“Coastline” \(its path is too long: \d+ thousand characters\)$/),
    ]);
    expect(names(picture.layers)).toEqual(["good"]);
    expect(fits(picture)).toBe(true);
  });

  it("uses that lead back to themselves, sizes beyond all bounds, and names of nothing come to an end", () => {
    expect(read(`<g id="a"><use href="#a"/>${box}</g>`).lost.join()).toContain(
      "a reference to itself",
    );
    const huge = read(
      `<rect id="Huge" width="1e30" height="1e30"/><text y="4" font-size="1e9">x</text>${box}`,
    );
    expect(huge.lost.join()).toMatch(/“Huge” \(its .* is beyond what a layer can have\)/);
    expect(fits(huge)).toBe(true);
    const blank = read(
      `<g id="  &#8; ">${box}</g><rect id="${"🚢".repeat(80)}" width="2" height="2"/>`,
    );
    expect(fits(blank)).toBe(true);
    expect(names(blank.layers).every((n) => n.trim() !== "" && n.isWellFormed())).toBe(true);
  });

  it("thousands of layers are put in quickly, each with a name of its own", () => {
    const picture = read(`${`<rect id="wave" width="2" height="2"/>`.repeat(3900)}`);
    const { change } = addDrafts(
      newPiece("component", "Sea", "a0", "sea"),
      picture.layers,
      "root",
      "Insert",
    );
    const made = change.ops
      .filter((o) => o.path[2] === "layers")
      .map((o) => (o.op === "set" ? (o.value as { name: string }).name : ""));
    expect([made.length, new Set(made).size, made[3899]]).toEqual([3900, 3900, "wave 3900"]);
  });

  it("files that are no SVG are refused with the reason", () => {
    for (const text of [
      "",
      "<svg",
      "<html/>",
      "{}",
      "<svg></svg>",
      `<svg xmlns="http://www.w3.org/2000/svg"><g/></svg>`,
    ]) {
      const result = readSvg(text);
      expect(result.ok ? "" : result.error, text).toMatch(/well-formed|no <svg>|nothing/);
    }
  });
});
