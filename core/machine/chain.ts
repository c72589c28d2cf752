import { present } from "../basics";
import type { Id } from "../basics";
import type { Piece, Project } from "../project";
import { ancestry, liveCopies } from "./piece";
import type { State } from "./state";
import type { ActiveInstance, Path } from "./types";
import { frontPath } from "./surface";

/** The copy at a path, while it is part of the scene. */
export const liveAt = (project: Project, state: State, path: Path): ActiveInstance | undefined =>
  liveCopies(project, state).find((l) => l.path === path);

/** A path of a layer as the copy it is in, and the layer. */
export const split = (path: Path): { copy: Path; layer: Id } => {
  const cut = path.lastIndexOf("/");
  return { copy: path.slice(0, cut), layer: path.slice(cut + 1) };
};

/** A path without the shown screen it begins with: "" for that itself. */
export const withinScreen = (path: Path): Path => path.slice(path.indexOf("/") + 1 || path.length);

/**
 * All layers an event at a layer concerns, innermost first, through the copies around it. What lies
 * beneath an overlay gets none.
 */
export const chainOf = (project: Project, state: State, layer: Path | null): Path[] => {
  if (
    layer === null ||
    (state.overlays.length && !`${state.screen}/${layer}`.startsWith(`${frontPath(state)}/`))
  )
    return [];
  const parts = layer.split("/");
  const pieces: (Piece | undefined)[] = [project.pieces[state.screen]];
  const paths = [state.screen];
  const live = new Map(liveCopies(project, state).map((l) => [l.path, l.piece]));
  for (const part of parts.slice(0, -1)) {
    const path = `${paths.at(-1)}/${part}`;
    paths.push(path);
    pieces.push(live.get(path));
  }
  const out: Path[] = [];
  for (let i = parts.length - 1; i >= 0; i--) {
    const piece = pieces[i];
    if (!piece) continue;
    out.push(...ancestry(piece, present(parts[i])).map((id) => `${paths[i]}/${id}`));
  }
  return out;
};

/**
 * The pieces an event passes through, from the innermost copy outwards, each with the layers it may
 * land on, innermost first.
 */
export const propagationPath = (
  project: Project,
  state: State,
  chain: readonly Path[],
): { live: ActiveInstance; layers: Id[] }[] => {
  const byPath = new Map(liveCopies(project, state).map((l) => [l.path, l]));
  const out: { live: ActiveInstance; layers: Id[] }[] = [];
  for (const path of chain) {
    const { copy, layer } = split(path);
    const live = byPath.get(copy);
    if (!live) continue;
    const last = out.at(-1);
    if (last && last.live.path === live.path) last.layers.push(layer);
    else out.push({ live, layers: [layer] });
  }
  return out;
};
