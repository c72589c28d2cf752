import { readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { readProject } from "#core/project";
import type { Piece, Project } from "#core/project";

/** What a Nubble of the first format kept, as text; never written again. */
export const keptText = (name: string): string =>
  readFileSync(fileURLToPath(new URL(`../kept/format-1/${name}.json`, import.meta.url)), "utf8");

/** The project that was kept, with a piece that has every kind of effect, trigger and step. */
export const keptProject = (name: "project" | "result" = "result"): Project => {
  const read = readProject(JSON.parse(keptText(name)));
  if (!read.ok) throw new Error(read.error);
  return read.project;
};

/** The piece with every kind of everything. */
export const sampler = (project: Project): Piece => {
  const piece = project.pieces.sampler;
  if (!piece) throw new Error("the kept project has no sampler");
  return piece;
};
