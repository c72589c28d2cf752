import { entryOf } from "../../basics";
import type { Id } from "../../basics";
import { childrenOf } from "../../looks";
import { ROOT } from "../../project";
import type { Project, Rule } from "../../project";
import { ancestry, hiddenIn, liveCopies, rulesOf } from "../piece";
import type { State } from "../state";
import type { ActiveInstance, Path } from "../types";
import { layersWith } from "../saying";
import { frontPath } from "../surface";
import { triggerOf } from "../rules/triggers";

/** The layers of a shown copy that the Tab key stops at while they are shown. */
const stopsOf = (project: Project, state: State, live: ActiveInstance): ReadonlySet<Id> => {
  const front = live.path === frontPath(state);
  const bySource = rulesOf(project, live.piece)
    // a whole screen is no stop for its own keys
    .filter((r) => triggerOf(r).isStop && !(front && ofWhole(r) && r.trigger.type === "key"))
    .map((r) => r.source ?? ROOT);
  const fields = [
    ...layersWith(project, live, "entry"),
    ...layersWith(project, live, "sends"),
  ].filter(({ layer }) => takesFocus.has(layer.kind));
  return new Set([...bySource, ...fields.map((f) => f.layer.id)]);
};

const takesFocus: ReadonlySet<string> = new Set(["text", "box", "icon", "picture"]);

const ofWhole = (rule: Rule): boolean => (rule.source ?? ROOT) === ROOT;

/**
 * The stops of the Tab key in the order of the tree, as paths within the shown piece. A copy whose
 * component has stops of its own is passed through them.
 */
export const focusStops = (project: Project, state: State): Path[] => {
  const byPath = new Map(liveCopies(project, state).map((l) => [l.path, l]));
  const stops = new Map<Path, ReadonlySet<Id>>();
  const visit = (live: ActiveInstance, id: Id): Path[] => {
    const layer = live.piece.layers[id];
    if (!layer || hiddenIn(live.piece, live.variant, layer)) return [];
    const path = `${live.path}/${id}`;
    const nested = layer.kind === "instance" ? byPath.get(path) : undefined;
    const inside = [
      ...(nested ? visit(nested, ROOT) : []),
      ...(childrenOf(live.piece).get(id) ?? []).flatMap((c) => visit(live, c.id)),
    ];
    const own = entryOf(stops, live.path, () => stopsOf(project, state, live)).has(id);
    return own && !(nested && inside.length) ? [path, ...inside] : inside;
  };
  const whole = byPath.get(frontPath(state));
  return whole ? visit(whole, ROOT).map((p) => p.slice(state.screen.length + 1)) : [];
};

/** The stop after or before the focused one that can be seen; null past either end. */
export const nextStop = (
  project: Project,
  state: State,
  by: 1 | -1,
  isSeen: (stop: Path) => boolean = () => true,
): Path | null => {
  const stops = focusStops(project, state).filter(isSeen);
  const now = state.keyboard.focused[0]?.slice(state.screen.length + 1);
  const at = now === undefined ? -1 : stops.indexOf(now);
  if (at >= 0) return stops[at + by] ?? null;
  return (by > 0 ? stops[0] : stops.at(-1)) ?? null;
};

/** Whether there is any stop: asks only the layers that could be one, and those around them. */
const hasStops = (project: Project, state: State): boolean => {
  const front = frontPath(state);
  const live = liveCopies(project, state).filter((l) => `${l.path}/`.startsWith(`${front}/`));
  const byPath = new Map(live.map((l) => [l.path, l]));
  const isShown = (of: ActiveInstance, id: Id): boolean => {
    const shown = ancestry(of.piece, id).every((a) => {
      const layer = of.piece.layers[a];
      return layer && !hiddenIn(of.piece, of.variant, layer);
    });
    const at = of.path.lastIndexOf("/");
    const around = byPath.get(of.path.slice(0, at));
    return shown && (!around || isShown(around, of.path.slice(at + 1)));
  };
  return live.some((of) =>
    [...stopsOf(project, state, of)].some((id) => of.piece.layers[id] && isShown(of, id)),
  );
};

const known = new WeakMap<State["traits"], { project: Project; front: Path; usable: boolean }>();

/** Whether the keyboard has anything to do in the shown piece. */
export const usable = (project: Project, state: State): boolean => {
  const before = known.get(state.traits);
  if (before?.project === project && before.front === frontPath(state)) return before.usable;
  const piece = project.pieces[state.overlays.at(-1)?.screen ?? state.screen];
  const is =
    (piece !== undefined && rulesOf(project, piece).some((r) => r.trigger.type === "key")) ||
    hasStops(project, state);
  known.set(state.traits, { project, front: frontPath(state), usable: is });
  return is;
};
