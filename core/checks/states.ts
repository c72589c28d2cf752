import { attributeFor, proposedAria, stateNeededBy, statesOf } from "../access";
import { present } from "../basics";
import type { Id } from "../basics";
import { setTraitAria } from "../edit";
import { traitsOf, valuesIn } from "../looks";
import { rulesOf } from "../machine";
import { ROOT } from "../project";
import type { Piece, Trait } from "../project";
import type { Role } from "../properties";
import { findingId } from "./types";
import type { Finding, Inspected } from "./types";
import { checksWords } from "./words";

/** The traits that can speak of a layer: of the whole piece all, else those that it sets. */
const speakingOf = ({ project, piece }: Inspected, layer: Id): readonly Trait[] => {
  if (layer === ROOT) return traitsOf(piece);
  const set = new Set(
    rulesOf(project, piece)
      .filter((r) => r.source === layer)
      .flatMap((r) => r.effects)
      .flatMap((e) => (e.type === "set" ? [e.trait] : [])),
  );
  return traitsOf(piece).filter((t) => set.has(t.id));
};

const fixFor = (subject: Inspected, layer: Id, role: Role): Pick<Finding, "fix"> => {
  for (const trait of speakingOf(subject, layer)) {
    const aria = trait.aria ? null : proposedAria(trait, role);
    if (!aria) continue;
    const label = checksWords.setState(trait.name, aria.state);
    return { fix: { label, change: setTraitAria(subject.piece, trait.id, aria) } };
  }
  return {};
};

const nameOf = (piece: Piece, layer: Id): string =>
  layer === ROOT ? checksWords.wholePiece : (piece.layers[layer]?.name ?? "");

/**
 * What by its role is checked or not, selected or not, while nothing says which (WCAG 2.2 §4.1.2;
 * WAI-ARIA 1.2 §5.2.6).
 */
export const noState = (subject: Inspected): Finding[] => {
  const { project, piece, space } = subject;
  const { variant } = present(space.nodes[0]);
  const live = { path: piece.id, piece, variant };
  const root = piece.layers[ROOT];
  const rootRole = root ? valuesIn(project, piece, variant, root).role : "none";
  return Object.values(piece.layers).flatMap((layer): Finding[] => {
    // a copy's own component says it
    const { role } = valuesIn(project, piece, variant, layer);
    const state = layer.kind === "instance" ? undefined : stateNeededBy(role);
    const attribute = state && attributeFor(role, state);
    if (!state || !attribute) return [];
    if (attribute in statesOf(project, live, layer.id, role, rootRole)) return [];
    return [
      {
        id: findingId("no-state", layer.id),
        kind: "no-state",
        severity: "warning",
        layers: layer.id === ROOT ? [] : [layer.id],
        rules: [],
        text: checksWords.noTraitSays(nameOf(piece, layer.id), role, state),
        ...fixFor(subject, layer.id, role),
      },
    ];
  });
};
