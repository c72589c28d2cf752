import { controls } from "../access";
import { present } from "../basics";
import type { Id } from "../basics";
import { ruleText } from "../describe";
import { setValues } from "../edit";
import { overlaps, spotAt, spotBounds } from "../layout";
import type { LayoutBox, LayoutEnv, Rect } from "../layout";
import { Resolver, childrenOf, meets, restingVariant, valuesIn, valuesOf } from "../looks";
import { ancestry, componentsAt, focusStops, isNavigation, rulesOf, step } from "../machine";
import { ROOT, orderAt, set } from "../project";
import type { Change, Piece, Rule, TriggerType } from "../project";
import type { Role } from "../properties";
import { Touchable, sceneOf } from "../runtime";
import { situated } from "./walk/explore";
import type { Node } from "./walk/types";
import { findingId } from "./types";
import type { Finding, Inspected } from "./types";
import { checksWords } from "./words";

const name = ({ piece }: Inspected, id: Id): string =>
  id === ROOT ? checksWords.wholePiece : (piece.layers[id]?.name ?? checksWords.deletedLayer);

/** Triggers by which something is done, not only shown. */
const doing: ReadonlySet<TriggerType> = new Set(["click", "double", "press", "release", "hold"]);

const roleOf = ({ project, piece }: Inspected, variant: Node["variant"], id: Id): Role => {
  const layer = piece.layers[id];
  if (!layer) return "none";
  const own = valuesIn(project, piece, variant, layer);
  if (own.role !== "none" || layer.kind !== "instance") return own.role;
  const component = project.pieces[own.component ?? ""] ?? componentsAt(project, piece, id)[0];
  const root = component?.layers[ROOT];
  return component && root
    ? valuesIn(project, component, restingVariant(component), root).role
    : "none";
};

/** The role that says best what a rule's layer is: by what it does to which trait. */
export const roleFor = (piece: Piece, rule: Rule): Role => {
  if (rule.effects.every(isNavigation)) return "link";
  const set = rule.effects.find((e) => e.type === "set");
  const trait = set && piece.traits[set.trait];
  const isOneOfMany = set !== undefined && "value" in set.to && trait && valuesOf(trait).length > 2;
  switch (trait?.aria?.state) {
    case "checked":
      return isOneOfMany ? "radio" : "checkbox";
    case "selected":
      return isOneOfMany ? "tab" : "button";
    case "pressed":
    case "expanded":
    case "disabled":
    case "current":
    case undefined:
      return "button";
  }
};

/** What can be clicked but is nothing to who does not see it (WCAG 2.2 §4.1.2). */
export const noRole = (subject: Inspected): Finding[] => {
  const { project, piece, space } = subject;
  const variant = present(space.nodes[0]).variant;
  const told = new Set<Id>();
  return rulesOf(project, piece).flatMap((rule): Finding[] => {
    const id = rule.source ?? ROOT;
    if (!doing.has(rule.trigger.type) || rule.undo || told.has(id)) return [];
    told.add(id);
    if (roleOf(subject, variant, id) !== "none") return [];
    // what is inside a control is part of it
    if (ancestry(piece, id).some((a) => controls.has(roleOf(subject, variant, a)))) return [];
    const role = roleFor(piece, rule);
    return [
      {
        id: findingId("no-role", id),
        kind: "no-role",
        severity: "warning",
        layers: id === ROOT ? [] : [id],
        rules: [rule.id],
        text: checksWords.canBeClickedBut(name(subject, id)),
        fix: {
          label: checksWords.setRole(role),
          change: setValues(piece, [{}], { [id]: { role } }),
        },
      },
    ];
  });
};

/** How far boxes may overlap and still lie beside one another, px. */
const NEAR = 4;

/** Whether a box comes before another when one reads: above it, or before it in the same line. */
const readsBefore = (a: Rect, b: Rect): boolean => {
  const isAbove = a.y + a.height <= b.y + NEAR && a.x < b.x + b.width;
  const shared = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y);
  const isInLine = shared > Math.min(a.height, b.height) / 2;
  return isAbove || (isInLine && a.x + a.width <= b.x + NEAR);
};

/**
 * Puts one layer before another in the tree where that changes nothing of what is seen: both lie
 * freely in one box, and neither over the other. Null where it would.
 */
const putBefore = ({ piece }: Inspected, scene: LayoutBox, first: Id, later: Id): Change | null => {
  const around = ancestry(piece, first);
  const laters = ancestry(piece, later);
  const common = around.find((id) => laters.includes(id));
  if (common === undefined) return null;
  const a = around[around.indexOf(common) - 1];
  const b = laters[laters.indexOf(common) - 1];
  const [spotA, spotB] = [a, b].map((id) => (id === undefined ? undefined : spotAt(scene, id)));
  if (a === undefined || b === undefined || !spotA || !spotB) return null;
  const said = Object.values(piece.looks).some((l) => {
    const arrange = l.changes[common]?.arrange;
    return arrange !== undefined && arrange !== "free";
  });
  if (said || overlaps(spotBounds(spotA), spotBounds(spotB))) return null;
  const others = (childrenOf(piece).get(common) ?? []).filter((l) => l.id !== a);
  const order = orderAt(
    others,
    Math.max(
      0,
      others.findIndex((l) => l.id === b),
    ),
  );
  return {
    label: checksWords.moveBeforeTree(piece.layers[a]?.name ?? "", piece.layers[b]?.name ?? ""),
    ops: [set(["pieces", piece.id, "layers", a, "order"], order)],
  };
};

/** The Tab key going another way than one reads (WCAG 2.2 §2.4.3), in the first situation. */
export const tabOrder = (env: LayoutEnv, subject: Inspected): Finding[] => {
  const { project, space } = subject;
  const { node, state } = situated(space, present(space.nodes[0]));
  const { variant } = node;
  const scene = sceneOf(env, project, new Resolver(), state);
  if (!scene) return [];
  const touch = new Touchable(project, state, scene);
  const stops = focusStops(project, state)
    .filter((path) => touch.isFocusable(path))
    .flatMap((path) => {
      const spot = spotAt(scene, path);
      return spot ? [{ id: path.split("/")[0] ?? path, bounds: spotBounds(spot) }] : [];
    });
  return stops.flatMap((later, i): Finding[] => {
    const first = stops[i + 1];
    if (!first || first.id === later.id || !readsBefore(first.bounds, later.bounds)) return [];
    const change = putBefore(subject, scene, first.id, later.id);
    const [a, b] = [name(subject, first.id), name(subject, later.id)];
    return [
      {
        id: findingId("tab-order", first.id, later.id),
        kind: "tab-order",
        severity: "warning",
        layers: [later.id, first.id],
        rules: [],
        variant,
        text: checksWords.tabReachesBeforeBut(b, a),
        ...(change ? { fix: { label: checksWords.moveBeforeTree(a, b), change } } : {}),
      },
    ];
  });
};

/** Whether pressing its key fires a rule while something in the piece has the focus. */
const isHeard = ({ project, piece, space }: Inspected, rule: Rule): boolean => {
  const key = rule.trigger.key ?? "";
  const source = rule.source ?? ROOT;
  const seen = new Set<number>();
  return space.nodes.some((node) => {
    const { shown, variant, isHere, isOpen } = node;
    if (!isHere || !isOpen || !meets(rule.when, variant) || seen.has(shown)) return false;
    seen.add(shown);
    const { state } = situated(space, node);
    const { isFocusable } = present(space.grounds.at(shown)).places;
    // placed, the whole piece is a stop for its own keys
    const stops = [...focusStops(project, state), ROOT].filter(isFocusable);
    return stops.some((stop) => {
      const isOver =
        stop === source || stop.includes("/") || ancestry(piece, stop).includes(source);
      if (!isOver) return false;
      const focused = step(project, state, { type: "focus", layer: stop });
      const { events } = step(project, focused.state, { type: "key", key, phase: "down" });
      return events.some((e) => e.type === "fired" && e.path === piece.id && e.rule === rule.id);
    });
  });
};

/** Keys that nothing in the piece can hear once it is placed and has the focus. */
export const keysUnheard = (subject: Inspected): Finding[] => {
  const { project, piece, space } = subject;
  if (!space.whole || piece.kind !== "component") return [];
  return rulesOf(project, piece).flatMap((rule): Finding[] => {
    if (rule.trigger.type !== "key") return [];
    const isTab = rule.trigger.key === "Tab";
    if (!isTab && isHeard(subject, rule)) return [];
    const text = ruleText(project, piece, rule);
    return [
      {
        id: findingId("keys-unheard", rule.id),
        kind: "keys-unheard",
        severity: "warning",
        layers: rule.source ? [rule.source] : [],
        rules: [rule.id],
        text: isTab
          ? checksWords.doesNothingTabMoves(text)
          : checksWords.doesNothingPlacedCopy(text),
      },
    ];
  });
};
