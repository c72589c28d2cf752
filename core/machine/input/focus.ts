import type { Id } from "../../basics";
import { childrenOf } from "../../looks";
import { ROOT } from "../../project";
import type { Project } from "../../project";
import { hiddenIn, liveCopies, rulesOf } from "../piece";
import type { State } from "../state";
import type { ActiveInstance, Path } from "../types";
import { layersWith } from "../saying";
import { frontPath } from "../surface";
import { triggerOf } from "../rules/triggers";

/**
 * The stops of the Tab key in the order of the tree, as paths within the shown piece. A copy whose
 * component has stops of its own is passed through them; a whole screen is no stop for its own
 * keys.
 */
export const focusStops = (project: Project, state: State): Path[] => {
  const byPath = new Map(liveCopies(project, state).map((l) => [l.path, l]));
  const known = new Map<Path, Set<Id>>();
  /** what of a copy is filled in or sends */
  const fields = (live: ActiveInstance): Set<Id> => {
    let set = known.get(live.path);
    if (!set)
      known.set(
        live.path,
        (set = new Set(
          [...layersWith(project, live, "entry"), ...layersWith(project, live, "sends")].map(
            (f) => f.layer.id,
          ),
        )),
      );
    return set;
  };
  const visit = (live: ActiveInstance, id: Id): Path[] => {
    const layer = live.piece.layers[id];
    const top = id === ROOT;
    if (!layer || hiddenIn(live.piece, live.variant, layer)) return [];
    const path = `${live.path}/${id}`;
    const nested = layer.kind === "instance" ? byPath.get(path) : undefined;
    const inside = [
      ...(nested ? visit(nested, ROOT) : []),
      ...(childrenOf(live.piece).get(id) ?? []).flatMap((c) => visit(live, c.id)),
    ];
    const used =
      layer.kind === "text" ||
      layer.kind === "box" ||
      layer.kind === "icon" ||
      layer.kind === "picture"
        ? fields(live).has(id)
        : false;
    const own =
      used ||
      rulesOf(project, live.piece).some(
        (r) =>
          triggerOf(r).isStop &&
          (r.source ?? ROOT) === id &&
          !(top && live.path === frontPath(state) && r.trigger.type === "key"),
      );
    return own && !(nested && inside.length) ? [path, ...inside] : inside;
  };
  const whole = byPath.get(frontPath(state));
  return whole ? visit(whole, ROOT).map((p) => p.slice(state.screen.length + 1)) : [];
};

/** The stop after or before the focused one; null past either end. */
export const nextStop = (project: Project, state: State, by: 1 | -1): Path | null => {
  const stops = focusStops(project, state);
  const now = state.keyboard.focused[0]?.slice(state.screen.length + 1);
  const at = now === undefined ? -1 : stops.indexOf(now);
  if (at >= 0) return stops[at + by] ?? null;
  return (by > 0 ? stops[0] : stops.at(-1)) ?? null;
};

const known = new WeakMap<State["traits"], { project: Project; front: Path; usable: boolean }>();

/** Whether the keyboard has anything to do in the shown piece. */
export const usable = (project: Project, state: State): boolean => {
  const before = known.get(state.traits);
  if (before?.project === project && before.front === frontPath(state)) return before.usable;
  const piece = project.pieces[state.overlays.at(-1)?.screen ?? state.screen];
  const is =
    focusStops(project, state).length > 0 ||
    (piece !== undefined && rulesOf(project, piece).some((r) => r.trigger.type === "key"));
  known.set(state.traits, { project, front: frontPath(state), usable: is });
  return is;
};
