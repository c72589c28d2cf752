import { entryOf } from "../basics";
import type { Id } from "../basics";
import {
  changesIn,
  childrenOf,
  looksIn,
  overridesFrom,
  restingVariant,
  startOf,
  traitsOf,
  withOptions,
} from "../looks";
import type { Overrides } from "../looks";
import { ROOT, inOrder } from "../project";
import type { Layer, Piece, Project, Rule, Variant } from "../project";
import { TRAIT, defaultsOf } from "../properties";
import type { LayerValues } from "../properties";
import { componentsAt } from "./components";
import { overlayPart } from "./surface";
import type { Trouble } from "./rules/trouble";
import { effectTrouble } from "./rules/troubles";
import type { State } from "./state";
import { resolveRule } from "./tokens";
import type { ActiveInstance, Path } from "./types";

/** Why a rule cannot work; null when it can. The machine ignores broken rules. */
export const brokenRule = (project: Project, piece: Piece, rule: Rule): Trouble | null => {
  if (rule.source !== null && !piece.layers[rule.source]) return ["source"];
  for (const [trait, values] of Object.entries(rule.when)) {
    const known = piece.traits[trait];
    if (!known) return ["conditionTrait"];
    if (!values.some((v) => known.values[v])) return ["conditionValue", known.name];
  }
  const listening = brokenTrigger(project, piece, rule);
  if (listening) return listening;
  if (rule.effects.length === 0) return ["effects"];
  for (const effect of rule.effects) {
    const reason = effectTrouble(project, piece, effect);
    if (reason) return reason;
  }
  return null;
};

const brokenTrigger = (
  project: Project,
  piece: Piece,
  { trigger, source }: Rule,
): Trouble | null => {
  if (trigger.type === "key" && !trigger.key) return ["key"];
  if (trigger.type !== "signal") return null;
  if (source === null || piece.layers[source]?.kind !== "instance") return ["sender"];
  return componentsAt(project, piece, source).some((c) => c.signals[trigger.signal ?? ""])
    ? null
    : ["received"];
};

const ruleCache = new WeakMap<object, { project: object; rules: readonly Rule[] }>();

/** A piece's working rules in order: switched on and not broken. */
export const rulesOf = (project: Project, piece: Piece): readonly Rule[] => {
  const known = ruleCache.get(piece);
  if (known && known.project === project) return known.rules;
  const rules = inOrder(piece.rules)
    .filter((r) => r.on && brokenRule(project, piece, r) === null)
    .map((r) => resolveRule(project, r));
  ruleCache.set(piece, { project, rules });
  return rules;
};

/** A layer and the layers around it within one piece, innermost first. */
export const ancestry = (piece: Piece, layer: Id): Id[] => {
  const out: Id[] = [];
  for (
    let at: Layer | undefined = piece.layers[layer];
    at && out.length < 1000;
    at = at.parent === null ? undefined : piece.layers[at.parent]
  )
    out.push(at.id);
  return out;
};

const instanceValues = (piece: Piece, variant: Variant, layer: Layer): LayerValues =>
  // looks say values of the properties they name; those of copies are not bound to tokens
  Object.assign(
    {},
    defaultsOf("instance"),
    ...changesIn(looksIn(piece, variant), layer.id),
  ) as LayerValues;

/**
 * The component an instance shows, that component's start, and the traits the instance itself gives
 * it.
 */
interface PlacedCopy {
  readonly component: Piece;
  readonly start: Variant;
  readonly said: Variant;
  /** all the instance says */ readonly values: LayerValues;
  /** what its options say inside it */ readonly sets: Overrides;
}

const placedCache = new WeakMap<
  Variant,
  { project: Project; piece: Piece; copies: Map<Id, PlacedCopy | null> }
>();

/**
 * What an instance layer says in its piece's variant; kept for as long as piece and variant are the
 * same.
 */
export const instanceIn = (
  project: Project,
  piece: Piece,
  variant: Variant,
  layer: Layer,
): PlacedCopy | null => {
  let known = placedCache.get(variant);
  if (!known || known.project !== project || known.piece !== piece) {
    known = { project, piece, copies: new Map() };
    placedCache.set(variant, known);
  }
  return entryOf(known.copies, layer.id, () => findCopy(project, piece, variant, layer));
};

const findCopy = (
  project: Project,
  piece: Piece,
  variant: Variant,
  layer: Layer,
  over?: Overrides,
): PlacedCopy | null => {
  if (hiddenIn(piece, variant, layer, over)) return null;
  const own = instanceValues(piece, variant, layer);
  // what the copy around says of it are values of the same properties
  const values = { ...own, ...over?.get(layer.id) } as LayerValues;
  const component = project.pieces[values.component ?? ""];
  if (!component) return null;
  const said = Object.fromEntries(
    traitsOf(component).flatMap((t) => {
      const v = values[TRAIT + t.id];
      return typeof v === "string" && t.values[v] ? [[t.id, v]] : [];
    }),
  );
  return {
    component,
    start: startOf(component, values),
    said,
    values,
    sets: overridesFrom(component, values),
  };
};

export const hiddenIn = (
  piece: Piece,
  variant: Variant,
  layer: Layer,
  over?: Overrides,
): boolean => {
  const looks = looksIn(piece, variant);
  return ancestry(piece, layer.id).some((id) => {
    const visible =
      over?.get(id)?.visible ??
      changesIn(looks, id).findLast((c) => c.visible !== undefined)?.visible;
    return visible === false;
  });
};

const instanceCache = new WeakMap<object, readonly Layer[]>();

const instancesOf = (piece: Piece): readonly Layer[] => {
  const known = instanceCache.get(piece.layers);
  if (known) return known;
  const out: Layer[] = [];
  const visit = (id: Id) => {
    for (const child of childrenOf(piece).get(id) ?? []) {
      if (child.kind === "instance") out.push(child);
      visit(child.id);
    }
  };
  visit(ROOT);
  instanceCache.set(piece.layers, out);
  return out;
};

/** The traits at a path, as far as they are known: set by something, else where the copy starts. */
const variantAt = (state: State, path: Path, start: Variant): Variant =>
  state.traits[path] ?? start;

const liveCache = new WeakMap<
  object,
  Pick<State, "screen" | "overlays" | "options"> & {
    project: Project;
    live: readonly ActiveInstance[];
  }
>();

/**
 * The shown piece and every visible placed copy in it, outermost first, then overlays with theirs.
 */
export const liveCopies = (project: Project, state: State): readonly ActiveInstance[] => {
  const known = liveCache.get(state.traits);
  const { screen, overlays, options } = state;
  if (
    known &&
    known.project === project &&
    known.screen === screen &&
    known.overlays === overlays &&
    known.options === options
  )
    return known.live;
  const live = findLive(project, state);
  liveCache.set(state.traits, { project, screen, overlays, options, live });
  return live;
};

const findLive = (project: Project, state: State): ActiveInstance[] => {
  const out: ActiveInstance[] = [];
  const visit = (
    path: Path,
    piece: Piece,
    start: Variant,
    inside: readonly Id[],
    over?: Overrides,
  ) => {
    const variant = variantAt(state, path, start);
    out.push({ path, piece, variant });
    for (const layer of instancesOf(piece)) {
      // what a copy's options say goes before what is kept for every copy
      const placed = over?.size
        ? findCopy(project, piece, variant, layer, over)
        : instanceIn(project, piece, variant, layer);
      if (!placed || inside.includes(placed.component.id)) continue;
      const at = `${path}/${layer.id}`;
      const given = state.options[at];
      visit(
        at,
        placed.component,
        placed.start,
        [...inside, placed.component.id],
        given ? overridesFrom(placed.component, withOptions(placed.values, given)) : placed.sets,
      );
    }
  };
  const screen = project.pieces[state.screen];
  if (!screen) return out;
  visit(screen.id, screen, restingVariant(screen), [screen.id]);
  for (const { screen: id } of state.overlays) {
    const piece = project.pieces[id];
    if (piece) visit(`${screen.id}/${overlayPart(id)}`, piece, restingVariant(piece), [id]);
  }
  return out;
};

const steeredCache = new WeakMap<Piece, readonly Layer[]>();

/** The instance layers of a piece that some look gives traits to. */
export const steeredInstances = (piece: Piece): readonly Layer[] =>
  entryOf(steeredCache, piece, () => findSteered(piece));

const findSteered = (piece: Piece): Layer[] =>
  instancesOf(piece).filter((l) =>
    Object.values(piece.looks).some((look) =>
      Object.keys(look.changes[l.id] ?? {}).some((k) => k.startsWith(TRAIT)),
    ),
  );
