import type { Id } from "../../basics";
import { BASE, byOrder, cutText, newId, set } from "../../project";
import type { Change, Op, Piece } from "../../project";
import { TRAIT } from "../../properties";
import { removeLayers } from "./layers";
import { editWords } from "../words";

/** A drawing that became a variant, and the names of its values in the order of the traits. */
export interface Gathered {
  readonly layer: Id;
  readonly values: readonly string[];
}

/** Ops that put a copy of a component where a drawing was, in the variant the drawing became. */
const copyOps = (home: Piece, component: Piece, { layer, values }: Gathered): Op[] => {
  const old = home.layers[layer];
  if (!old) return [];
  const at = ["pieces", home.id];
  const base = home.looks[BASE]?.changes[layer];
  const starts = Object.values(component.traits)
    .sort(byOrder)
    .map((trait, i) => {
      const value = Object.values(trait.values).find((v) => v.name === values[i]);
      return [TRAIT + trait.id, value?.id ?? ""];
    });
  const id = newId();
  const { name, parent, order } = old;
  return [
    set([...at, "layers", id], { id, kind: "instance", name, parent, order }),
    set([...at, "looks", BASE, "changes", id], {
      component: component.id,
      x: base?.x ?? 0,
      y: base?.y ?? 0,
      ...Object.fromEntries(starts),
    }),
  ];
};

/**
 * Adds a component that was gathered of drawings; with `home` copies of it take the place of the
 * drawings there.
 */
export const addGathered = (
  component: Piece,
  drawings: readonly Gathered[],
  home: Piece | null,
): Change => ({
  label: cutText(editWords.gatherDrawingsInto(drawings.length, component.name), 200),
  ops: [
    set(["pieces", component.id], component),
    ...(home
      ? removeLayers(
          home,
          drawings.map((d) => d.layer),
        ).ops
      : []),
    ...(home ? drawings.flatMap((d) => copyOps(home, component, d)) : []),
  ],
});
