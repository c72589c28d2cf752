import { addLayer, addPiece, addTrait, emptyProject, setValues } from "../../core/edit/index.ts";
import { accept, inOrder } from "../../core/project/index.ts";
import type { Change, Piece, Project } from "../../core/project/index.ts";
import type { Value } from "../../core/properties/index.ts";

export type Line = (name: string, value: string) => void;

/** Median time of one call, ms, after a warm-up. */
export const median = (call: (i: number) => void, runs = 60, warm = 15): number => {
  const times: number[] = [];
  for (let i = 0; i < runs + warm; i++) {
    const begin = performance.now();
    call(i);
    if (i >= warm) times.push(performance.now() - begin);
  }
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)] as number;
};

export const must = (project: Project, change: Change): Project => {
  const result = accept(project, change);
  if (!result.ok) throw new Error(result.error);
  return result.project;
};

/** Texts, boxes and ellipses in turn. */
export const kindOf = (i: number): "text" | "box" | "ellipse" =>
  (["text", "box", "ellipse"] as const)[i % 3] ?? "box";

const rowAt = (y: number): Record<string, Value> => ({
  x: 0,
  y,
  width: 600,
  height: 36,
  arrange: "row",
  gap: 6,
});

const valuesOf = (kind: string, i: number): Record<string, Value> =>
  kind === "text" ? { text: `Berth ${i}` } : { width: 30, height: 20, fill: "#c9c3b4" };

/**
 * A component of `layers` layers (boxes in rows, texts, ellipses) that varies along three yes/no
 * traits: 8 variants.
 */
export const largePiece = (layers: number): { project: Project; piece: string; ids: string[] } => {
  const made = addPiece(emptyProject("Bench"), "component", "Timetable");
  let project = must(emptyProject("Bench"), made.change);
  const piece = () => project.pieces[made.id] as Piece;
  const ids: string[] = [];
  const traits: [string, string][] = [];
  for (const name of ["Open", "Pressed", "Late"]) {
    const trait = addTrait(piece(), name, ["no", "yes"]);
    project = must(project, trait.change);
    traits.push([trait.id, inOrder(piece().traits[trait.id]?.values ?? {})[1]?.id ?? ""]);
  }
  let row = "root";
  for (let i = 0; ids.length < layers; i++) {
    const kind = i % 10 === 0 ? "box" : kindOf(i);
    const values = i % 10 === 0 ? rowAt((i / 10) * 40) : valuesOf(kind, i);
    const layer = addLayer(piece(), kind, i % 10 === 0 ? "root" : row, values);
    project = must(project, layer.change);
    if (i % 10 === 0) row = layer.id;
    ids.push(layer.id);
  }
  traits.forEach(([trait, value], t) => {
    const edits = Object.fromEntries(
      ids.filter((_, i) => i % 4 === t).map((id) => [id, { opacity: 0.5, fill: "#1f6f5c" }]),
    );
    project = must(project, setValues(piece(), { [trait]: [value] }, edits));
  });
  return { project, piece: made.id, ids };
};
