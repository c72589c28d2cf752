import { plainText } from "../../basics";
import { restingVariant, valuesIn } from "../../looks";
import { cutText, set } from "../../project";
import type { Layer, Op, Piece, Project } from "../../project";
import { freeName } from "../pieces";
import { kindNames } from "./layers";
import type { Edits } from "./looks";

/** Names are not longer than this. */
const LONGEST = 40;

/** What a layer shows, as a name for it; null where it shows nothing that has one. */
const shownName = (
  project: Project,
  layer: Layer,
  v: Readonly<Record<string, unknown>>,
): string | null => {
  switch (layer.kind) {
    case "text": {
      const text = plainText(v.text).trim().split("\n", 1)[0] ?? "";
      return text === "" ? null : cutText(text, LONGEST);
    }
    case "icon":
      return project.assets[plainText(v.icon)]?.name ?? null;
    case "instance":
      return project.pieces[plainText(v.component)]?.name ?? null;
    case "box":
    case "ellipse":
    case "line":
    case "polygon":
    case "path":
    case "compound":
    case "picture":
      return null;
  }
};

/** Whether nobody has named a layer: it is called as its kind is, or as what it shows. */
const isUnnamed = (layer: Layer, shown: string | null): boolean => {
  const base = layer.name.replace(/ \d+$/, "");
  return [kindNames[layer.kind], shown].some((n) => n === base || n === layer.name);
};

/**
 * Renames layers that nobody has named after what they will show, where edits that hold in every
 * variant change it.
 */
export const namesFollowing = (project: Project, piece: Piece, edits: Edits): Op[] => {
  const names = new Set(Object.values(piece.layers).map((l) => l.name));
  return Object.entries(edits).flatMap(([id, values]): Op[] => {
    const layer = piece.layers[id];
    if (!layer) return [];
    const before = valuesIn(project, piece, restingVariant(piece), layer);
    const next = shownName(project, layer, { ...before, ...values });
    const isKept = next === null || !isUnnamed(layer, shownName(project, layer, before));
    if (isKept || next === layer.name) return [];
    names.delete(layer.name);
    const name = freeName(next, [...names]);
    names.add(name);
    return name === layer.name ? [] : [set(["pieces", piece.id, "layers", id, "name"], name)];
  });
};
