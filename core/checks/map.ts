import { entryOf } from "../basics";
import type { Id } from "../basics";
import { isUnused, traitsOf, valuesOf, variantKey, variantsOf } from "../looks";
import { rulesOf } from "../machine";
import type { Piece, Project, TriggerType, Variant } from "../project";
import type { Explored } from "./walk/explore";

/** A variant, or a trait's value, as a place on the map. */
interface MapNode {
  readonly key: string;
  readonly variant: Variant;
  readonly reached: boolean;
  /** nothing leads away from here */
  readonly ends: boolean;
}
/** A way between two places. "undone": what a contact did goes back as it ends. */
export interface MapLink {
  readonly from: string;
  readonly to: string;
  readonly rules: readonly Id[];
  readonly triggers: readonly (TriggerType | "undone")[];
}
export interface PieceMap {
  readonly nodes: readonly MapNode[];
  readonly links: readonly MapLink[];
  /** false: drawn from the rules alone, by trait, since there are too many variants */ readonly byVariant: boolean;
}

/** More variants than this are not drawn one by one. */
export const MOST_ON_MAP = 500;

class Links {
  private readonly table = new Map<
    string,
    { from: string; to: string; rules: Set<Id>; triggers: Set<TriggerType | "undone"> }
  >();
  add(from: string, to: string, rule: Id, trigger: TriggerType | "undone"): void {
    if (from === to) return;
    const key = `${from} ${to}`;
    const link = entryOf(this.table, key, () => ({
      from,
      to,
      rules: new Set(),
      triggers: new Set(),
    }));
    link.rules.add(rule);
    link.triggers.add(trigger);
  }
  get list(): MapLink[] {
    return [...this.table.values()].map((l) => ({
      from: l.from,
      to: l.to,
      rules: [...l.rules],
      triggers: [...l.triggers],
    }));
  }
}

const ending = (nodes: readonly Omit<MapNode, "ends">[], links: readonly MapLink[]): MapNode[] => {
  const leads = new Set(links.map((l) => l.from));
  return nodes.map((n) => ({ ...n, ends: n.reached && !leads.has(n.key) }));
};

/** Every variant that can be shown and what leads from one to another. */
export const variantMap = (piece: Piece, space: Explored): PieceMap => {
  const seen = new Map<string, Variant>();
  const links = new Links();
  // equal variants of situations are one object
  const keys = new Map<Variant, string>();
  const keyOf = (variant: Variant) => entryOf(keys, variant, () => variantKey(piece, variant));
  for (const n of space.nodes) seen.set(keyOf(n.variant), n.variant);
  for (const e of space.edges) {
    if (e.happened.length === 0) continue;
    let at = keyOf(e.from.variant);
    for (const event of e.happened) {
      if (event.type !== "fired" && event.type !== "undone" && event.type !== "shown") continue;
      const { variant } = event;
      const to = keyOf(variant);
      if (event.path === piece.id && event.type !== "shown")
        links.add(at, to, event.rule, event.type === "fired" ? event.trigger : "undone");
      seen.set(to, variant);
      at = to;
    }
  }
  const all = variantsOf(piece).filter(
    (v) => seen.has(variantKey(piece, v)) || !isUnused(piece, v),
  );
  return {
    byVariant: true,
    links: links.list,
    nodes: ending(
      all.map((variant) => ({
        key: variantKey(piece, variant),
        variant,
        reached: seen.has(variantKey(piece, variant)),
      })),
      links.list,
    ),
  };
};

/** A trait's value as a place on the map by trait. */
export const valueKey = (trait: Id, value: Id): string => `${trait} ${value}`;

/**
 * The values of each trait and the rules that lead from one to another, whatever the others are.
 */
export const traitMap = (project: Project, piece: Piece, space?: Explored): PieceMap => {
  const links = new Links();
  const traits = traitsOf(piece);
  for (const rule of rulesOf(project, piece))
    for (const effect of rule.effects) {
      if (effect.type !== "set") continue;
      const trait = piece.traits[effect.trait];
      const values = trait ? valuesOf(trait).map((v) => v.id) : [];
      const n = values.length;
      for (const [i, from] of values.entries()) {
        if (rule.when[effect.trait] && !rule.when[effect.trait]?.includes(from)) continue;
        const to =
          "value" in effect.to
            ? effect.to.value
            : values[
                { next: (i + 1) % n, previous: (i + n - 1) % n, opposite: n - 1 - i, first: 0 }[
                  effect.to.step
                ]
              ];
        if (to === undefined) continue;
        links.add(
          valueKey(effect.trait, from),
          valueKey(effect.trait, to),
          rule.id,
          rule.trigger.type,
        );
        if (rule.undo)
          links.add(valueKey(effect.trait, to), valueKey(effect.trait, from), rule.id, "undone");
      }
    }
  const seen = new Set(
    space?.nodes.flatMap((n) => Object.entries(n.variant).map(([t, v]) => valueKey(t, v))) ?? [],
  );
  const nodes = traits.flatMap((t) =>
    valuesOf(t).map((v) => ({
      key: valueKey(t.id, v.id),
      variant: { [t.id]: v.id },
      reached: !space || !space.whole || seen.has(valueKey(t.id, v.id)),
    })),
  );
  return { byVariant: false, links: links.list, nodes: ending(nodes, links.list) };
};
