import { addLayer, addPiece, addTrait, emptyProject, setValues } from "../../core/edit/index.ts";
import { inOrder, orderAfter } from "../../core/project/index.ts";
import type { Piece, Project } from "../../core/project/index.ts";
import type { Value } from "../../core/properties/index.ts";
import { kindOf, must } from "./support.ts";

const rowAt = (y: number): Record<string, Value> => ({
  x: 0,
  y,
  width: 420,
  height: 22,
  arrange: "row",
  gap: 6,
  align: "centre",
});

const valuesOf = (kind: string, i: number): Record<string, Value> =>
  kind === "text"
    ? { text: `Berth ${i}`, size: 11 }
    : { width: 26, height: 14, fill: "#c9c3b4", radius: [3, 3, 3, 3] };

/**
 * A component of `layers` layers in rows, texts and shapes, whose traits make `variants` (2, 4, 8 …
 * or 24) of it.
 */
const timetable = (
  project: Project,
  name: string,
  layers: number,
  variants: number,
): { project: Project; piece: string; ids: string[] } => {
  const made = addPiece(project, "component", name);
  project = must(project, made.change);
  const piece = () => project.pieces[made.id] as Piece;
  project = must(
    project,
    setValues(piece(), {}, { root: { width: 420, height: Math.ceil(layers / 10) * 24 } }),
  );
  const traits: [string, string][] = [];
  const sizes =
    variants === 24 ? [2, 3, 4] : Array.from({ length: Math.round(Math.log2(variants)) }, () => 2);
  sizes.forEach((n, i) => {
    const trait = addTrait(
      piece(),
      ["Open", "Contact", "Deck", "Late", "Full"][i] ?? `T${i}`,
      Array.from({ length: n }, (_, k) => `v${k}`),
    );
    project = must(project, trait.change);
    traits.push([trait.id, inOrder(piece().traits[trait.id]?.values ?? {})[1]?.id ?? ""]);
  });
  const ids: string[] = [];
  let row = "root";
  for (let i = 0; ids.length < layers; i++) {
    const head = i % 10 === 0;
    const kind = head ? "box" : kindOf(i);
    const values = head ? rowAt((i / 10) * 24) : valuesOf(kind, i);
    const layer = addLayer(piece(), kind, head ? "root" : row, values);
    project = must(project, layer.change);
    if (head) row = layer.id;
    ids.push(layer.id);
  }
  traits.forEach(([trait, value], t) => {
    project = must(
      project,
      setValues(
        piece(),
        { [trait]: [value] },
        Object.fromEntries(
          ids
            .filter((_, i) => i % 4 === t)
            .map((id) => [id, { opacity: 0.6, ...(t === 0 ? { fill: "#1f6f5c" } : {}) }]),
        ),
      ),
    );
  });
  return { project, piece: made.id, ids };
};

/** A project of `pieces` components of which the first is large. */
export const largeProject = (
  pieces: number,
  layers: number,
  variants: number,
): { project: Project; piece: string; ids: string[] } => {
  const large = timetable(emptyProject("Bench"), "Timetable", layers, variants);
  const small = timetable(emptyProject("Bench"), "Berth", 12, 4).project;
  const [copy] = Object.values(small.pieces);
  const all: Record<string, Piece> = { ...large.project.pieces };
  for (let i = 1; i < pieces; i++)
    if (copy)
      all[`berth${i}`] = {
        ...copy,
        id: `berth${i}`,
        name: `Berth ${i}`,
        order: orderAfter(Object.values(all)),
      };
  return { ...large, project: { ...large.project, pieces: all } };
};
