import { createHash } from "node:crypto";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { projectEntries, readEntries } from "#core/formats/project";
import type { Entries, ProjectFile } from "#core/formats/project";
import { FORMAT, apply, remove, set } from "#core/project";
import type { Project } from "#core/project";
import { kelpwayKit } from "../../../demo/index";

const sha256 = (bytes: Uint8Array | string): string =>
  createHash("sha256").update(bytes).digest("hex");
const encoder = new TextEncoder();
const MADE_AT = "2026-12-02T08:00:00.000Z";

const kit = kelpwayKit();
const ids = Object.keys(kit.pieces);

const someKit = fc
  .tuple(fc.subarray(ids), fc.string({ unit: "grapheme", minLength: 1, maxLength: 40 }))
  .map(([left, name]): Project => {
    const ops = ids.filter((id) => left.includes(id)).map((id) => remove(["pieces", id]));
    return apply(kit, [
      ...ops,
      set(["name"], name.replaceAll(/[^\p{L}\p{N} ]/gu, "").trim() || "Kit"),
    ]).doc;
  });

const bytes = fc.uint8Array({ minLength: 1, maxLength: 300 });
const someFile: fc.Arbitrary<ProjectFile> = fc
  .record({
    project: someKit,
    moments: fc.array(
      fc.record({ name: fc.stringMatching(/^[A-Za-z ]{1,30}$/), project: someKit }),
      { maxLength: 4 },
    ),
    assets: fc.array(fc.record({ type: fc.constantFrom("image/png", "font"), bytes }), {
      maxLength: 4,
    }),
    editions: fc.array(fc.string(), { maxLength: 3 }),
  })
  .map(({ project, moments, assets, editions }) => ({
    project,
    moments,
    assets: new Map(assets.map((asset) => [sha256(asset.bytes), asset])),
    editions: new Map(
      editions.map((note) => {
        const text = JSON.stringify({ format: FORMAT, note });
        return [sha256(text), { format: FORMAT, text }];
      }),
    ),
  }));

const plain = (project: Project = kit): ProjectFile => ({
  project,
  moments: [],
  assets: new Map(),
  editions: new Map(),
});
const bare = (): Project => ({ ...kit, assets: {}, pieces: {} });
const withPart = (entries: Entries, path: string, value: unknown): Entries => ({
  ...entries,
  [path]: encoder.encode(JSON.stringify(value)),
});
const manifestOf = (entries: Entries): Record<string, unknown> =>
  JSON.parse(new TextDecoder().decode(entries["nubble.json"])) as Record<string, unknown>;
const reasonOf = (entries: Entries): string => {
  const read = readEntries(entries, sha256);
  return read.ok ? "" : read.reason;
};

describe("a project file", () => {
  it("comes back exactly, with all it holds", () => {
    fc.assert(
      fc.property(someFile, (file) => {
        const read = readEntries(projectEntries(file, MADE_AT), sha256);
        expect(read.ok && read.file).toEqual(file);
      }),
      { numRuns: 40 },
    );
  });

  it("names what the project uses and the file does not bring", () => {
    const read = readEntries(projectEntries(plain(), MADE_AT), sha256);
    const files = Object.values(kit.assets).filter(({ kind }) => kind !== "icon");
    expect(files.length).toBeGreaterThan(0);
    expect(read.ok && read.notes.filter((note) => note.includes("is missing"))).toHaveLength(
      files.length,
    );
  });

  it("brings an older format to today's", () => {
    const entries = projectEntries(plain(bare()), MADE_AT);
    const { adoptions: _, ...old } = bare();
    const older = withPart(
      withPart(entries, "project.json", { ...old, format: 3 }),
      "nubble.json",
      { ...manifestOf(entries), format: 3 },
    );
    const read = readEntries(older, sha256);
    expect(read.ok && read.file.project).toEqual(bare());
    expect(read.ok && read.notes).toEqual([`brought from format 3 to ${FORMAT}`]);
  });

  it("refuses what a newer Nubble wrote, and says so", () => {
    const entries = projectEntries(plain(bare()), MADE_AT);
    const newer = { ...manifestOf(entries), format: FORMAT + 3 };
    expect(reasonOf(withPart(entries, "nubble.json", newer))).toMatch(
      /written by a newer Nubble \(format \d+; this one reads up to \d+\)/,
    );
    const newerFile = { ...manifestOf(entries), version: 2 };
    expect(reasonOf(withPart(entries, "nubble.json", newerFile))).toContain("a newer Nubble");
  });

  it("refuses what is no project, with the reason", () => {
    const entries = projectEntries(plain(bare()), MADE_AT);
    expect(reasonOf({})).toBe("it is not a Nubble project file");
    expect(reasonOf({ "nubble.json": encoder.encode("[]") })).toBe(
      "it is not a Nubble project file",
    );
    const { "project.json": _, ...lacking } = entries;
    expect(reasonOf(lacking)).toBe("“project.json” is missing in it");
    expect(reasonOf({ ...entries, "project.json": encoder.encode("{") })).toContain("is damaged");
    expect(reasonOf({ ...entries, "project.json": new Uint8Array([0xff, 0xfe]) })).toContain(
      "is damaged",
    );
    expect(reasonOf(withPart(entries, "project.json", { ...bare(), name: 7 }))).toContain(
      "is not a project",
    );
    const elsewhere = { ...manifestOf(entries), project: "../secret.json" };
    expect(reasonOf(withPart(entries, "nubble.json", elsewhere))).toContain("is damaged");
  });

  it("leaves out parts that are not what was written, and names them", () => {
    const file: ProjectFile = {
      ...plain(bare()),
      moments: [
        { name: "Spring", project: bare() },
        { name: "Summer", project: bare() },
      ],
      assets: new Map([
        [sha256(encoder.encode("a")), { type: "font", bytes: encoder.encode("a") }],
      ]),
      editions: new Map([[sha256("{}"), { format: FORMAT, text: "{}" }]]),
    };
    const entries = projectEntries(file, MADE_AT);
    const hash = sha256(encoder.encode("a"));
    const read = readEntries(
      {
        ...entries,
        "moments/1.json": encoder.encode("{"),
        [`assets/${hash}`]: encoder.encode("b"),
      },
      sha256,
    );
    expect(read.ok && read.file.moments.map(({ name }) => name)).toEqual(["Summer"]);
    expect(read.ok && read.file.assets.size).toBe(0);
    expect(read.ok && read.notes).toEqual([
      "the moment “Spring” was left out: “moments/1.json” is damaged",
      `“assets/${hash}” is not what was written`,
      expect.stringContaining("is not what was written"),
    ]);
  });
});
