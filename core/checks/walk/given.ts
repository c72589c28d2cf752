import { entryOf } from "../../basics";
import type { Id } from "../../basics";
import { restOf, traitsOf, valuesOf } from "../../looks";
import { componentsAt } from "../../machine";
import type { Piece, Project } from "../../project";
import { TRAIT } from "../../properties";

/**
 * Values a piece may start in: where no rule sets a trait, others give it; and how copies of it are
 * placed.
 */
export const givenValues = (project: Project, piece: Piece): { trait: Id; value: Id }[] => {
  const rules = Object.values(piece.rules).filter((r) => r.on);
  const out: { trait: Id; value: Id }[] = [];
  const add = (trait: Id, value: unknown) => {
    if (
      typeof value === "string" &&
      piece.traits[trait]?.values[value] &&
      !out.some((o) => o.trait === trait && o.value === value)
    )
      out.push({ trait, value });
  };
  for (const t of traitsOf(piece))
    if (!rules.some((r) => r.effects.some((e) => e.type === "set" && e.trait === t.id)))
      for (const v of valuesOf(t)) if (v.id !== restOf(t)) add(t.id, v.id);
  for (const other of Object.values(project.pieces)) {
    // a piece and its duplicate may know the same traits: what counts is what is said to copies of
    // this one
    const here = new Map<Id, boolean>();
    const isHere = (layer: Id) =>
      entryOf(here, layer, () => componentsAt(project, other, layer).includes(piece));
    for (const look of Object.values(other.looks))
      for (const [layer, changes] of Object.entries(look.changes))
        for (const [key, value] of Object.entries(changes))
          if (key.startsWith(TRAIT) && isHere(layer)) add(key.slice(TRAIT.length), value);
    for (const rule of Object.values(other.rules))
      for (const e of rule.effects) {
        if (e.type !== "nested" || !isHere(e.layer)) continue;
        if ("value" in e.to) add(e.trait, e.to.value);
        else for (const v of Object.keys(piece.traits[e.trait]?.values ?? {})) add(e.trait, v);
      }
  }
  return out;
};
