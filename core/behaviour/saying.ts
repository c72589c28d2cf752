import { looksOf, valuesIn } from "../looks/cascade";
import type { Overrides } from "../looks/tree";
import type { Id, Layer, LayerChanges, Piece, Project } from "../project/types";
import type { Values } from "../properties/types";
import type { Live } from "./piece";
import { hiddenIn } from "./piece";
import type { Path, State } from "./types";

const saying = new WeakMap<Piece["looks"], Map<string, readonly Id[]>>();

/** The layers about which any look says a property: most pieces say nothing of clips and forms. */
const layersSaying = (piece: Piece, key: string): readonly Id[] => {
  let known = saying.get(piece.looks);
  if (!known) saying.set(piece.looks, known = new Map());
  let list = known.get(key);
  if (!list) known.set(key, list = [...new Set(looksOf(piece).flatMap((l) => Object.keys(l.changes).filter((id) => l.changes[id]?.[key] !== undefined)))]);
  return list;
};

/** Visible layers of a copy that say something, with all their values. */
export const layersWith = (project: Project, live: Live, key: "plays" | "entry" | "sends"): { layer: Layer; values: Values }[] => layersSaying(live.piece, key).flatMap((id) => {
  const layer = live.piece.layers[id];
  if (!layer || hiddenIn(live.piece, live.variant, layer)) return [];
  const values = valuesIn(project, live.piece, live.variant, layer), said = values[key];
  return said === undefined || said === 0 || said === false || said === "nobody" ? [] : [{ layer, values }];
});

const filled = new WeakMap<State["entries"], ReadonlyMap<Path, Overrides>>();

/** What has been filled in, as texts of layers, by the copy they are in. Equal states give the same object. */
export const filledIn = (entries: State["entries"], copy: Path): Overrides | undefined => {
  let known = filled.get(entries);
  if (!known) {
    const made = new Map<Path, Map<Id, LayerChanges>>();
    for (const [path, text] of Object.entries(entries)) {
      const cut = path.lastIndexOf("/"), at = path.slice(0, cut);
      let layers = made.get(at);
      if (!layers) made.set(at, layers = new Map());
      layers.set(path.slice(cut + 1), { text });
    }
    filled.set(entries, known = made);
  }
  return known.get(copy);
};
