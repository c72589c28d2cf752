import type { Id } from "#core/basics";
import { scaleLayers, scaleLayersIn } from "#core/edit";
import type { Scaling } from "#core/edit";
import { findBox, unite } from "#core/layout";
import type { LayoutBox, Rect } from "#core/layout";
import { ROOT } from "#core/project";
import { shownLayers } from "../state/active";
import type { Workpiece } from "../state/workpiece";

/** Where every layer of a piece lies in what it lies in. */
export const boxesIn = (placed: LayoutBox, into = new Map<Id, Rect>()): Map<Id, Rect> => {
  const { x, y, width, height } = placed;
  into.set(placed.layer.id, { x, y, width, height });
  for (const child of placed.children) boxesIn(child, into);
  return into;
};

/** How wide what is chosen is in the card one looks at, px; null where nothing of it is shown. */
export const widthOfChosen = ({ scene, state }: Workpiece): number | null => {
  const boxes = shownLayers(state.chosen).flatMap((id) => {
    const found = scene && findBox(scene, id)?.placed;
    return found ? [found] : [];
  });
  return unite(boxes)?.width ?? null;
};

/**
 * Makes what is chosen so many times as large, about its upper left corner: in every variant, or
 * where the next edit reaches. False when nothing changes.
 */
export const scaleChosen = (workpiece: Workpiece, by: number, everywhere: boolean): boolean => {
  const { scene, state, active } = workpiece;
  const ids = shownLayers(state.chosen);
  if (!scene || !active) return false;
  const boxes = boxesIn(scene);
  const around = unite(ids.filter((id) => id !== ROOT).flatMap((id) => boxes.get(id) ?? []));
  const scaling: Scaling = { by, corner: { x: around?.x ?? 0, y: around?.y ?? 0 }, boxes };
  return workpiece.run((project, piece) =>
    everywhere
      ? scaleLayers(project, piece, ids, scaling)
      : scaleLayersIn(project, piece, ids, scaling, active),
  );
};
