import { entryOf } from "../basics";
import type { Id } from "../basics";
import { looksOf, valuesIn } from "../looks";
import type { Overrides } from "../looks";
import type { Layer, LayerChanges, Look, Piece, Project } from "../project";
import type { LayerValues } from "../properties";
import type { State } from "./state";
import type { ActiveInstance, Path } from "./types";
import { hiddenIn } from "./piece";

const saying = new WeakMap<Look["changes"], Map<string, readonly Id[]>>();

const sayingIn = (changes: Look["changes"], key: string): readonly Id[] => {
  const known = entryOf(saying, changes, () => new Map<string, readonly Id[]>());
  return entryOf(known, key, () =>
    Object.keys(changes).filter((id) => changes[id]?.[key] !== undefined),
  );
};

/** The layers about which any look says a property: most pieces say nothing of clips and forms. */
const layersSaying = (piece: Piece, key: string): readonly Id[] => {
  const all = looksOf(piece).flatMap(({ changes }) => sayingIn(changes, key));
  return all.length > 1 ? [...new Set(all)] : all;
};

/** Visible layers of a copy that say something, with all their values. */
export const layersWith = (
  project: Project,
  live: ActiveInstance,
  key: "plays" | "entry" | "sends",
): { layer: Layer; values: LayerValues }[] =>
  layersSaying(live.piece, key).flatMap((id) => {
    const layer = live.piece.layers[id];
    if (!layer || hiddenIn(live.piece, live.variant, layer)) return [];
    const values = valuesIn(project, live.piece, live.variant, layer);
    const said = values[key];
    return said === undefined || said === 0 || said === false || said === "nobody"
      ? []
      : [{ layer, values }];
  });

const kept = new WeakMap<
  State["forms"]["entries"],
  { offsets: State["scroll"]["offsets"]; said: ReadonlyMap<Path, Overrides> }
>();

/**
 * What is filled in and how far layers are scrolled, by the copy they are in. Equal states give the
 * same object.
 */
export const saidIn = (state: State, copy: Path): Overrides | undefined => {
  const { entries } = state.forms;
  const { offsets } = state.scroll;
  let known = kept.get(entries);
  if (known?.offsets !== offsets) {
    const said = new Map<Path, Map<Id, LayerChanges>>();
    const say = (path: Path, changes: LayerChanges) => {
      const cut = path.lastIndexOf("/");
      const at = path.slice(0, cut);
      const id = path.slice(cut + 1);
      const layers = entryOf(said, at, () => new Map());
      layers.set(id, { ...layers.get(id), ...changes });
    };
    // an entry that was emptied shows again what stands there for nothing
    for (const [path, text] of Object.entries(entries)) if (text !== "") say(path, { text });
    for (const [path, scrolledBy] of Object.entries(offsets)) say(path, { scrolledBy });
    known = { offsets, said };
    kept.set(entries, known);
  }
  return known?.said.get(copy);
};
