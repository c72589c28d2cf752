import type { Id } from "../../basics";
import { areaOf, intersect } from "../../layout";
import type { Rect } from "../../layout";
import { childrenOf, restingVariant, valuesIn } from "../../looks";
import { ROOT, byOrder } from "../../project";
import type { Layer } from "../../project";
import type { Setting } from "./making";

/** From which share of a layer on something covers it. */
const COVERS = 0.15;

/** Whether a layer stops the pointer from what lies beneath: marks do not. */
const stops = ({ project, piece }: Setting, layer: Layer): boolean => {
  if (layer.kind === "instance") return true;
  const v = valuesIn(project, piece, restingVariant(piece), layer);
  const isShape = !["text", "icon", "line", "picture"].includes(layer.kind);
  return v.visible && v.opacity > 0 && isShape && v.fill !== "none";
};

/** Whether layers beside one lie over a good part of it and would take its clicks. */
const isCovered = (setting: Setting, layer: Layer): boolean => {
  const { project, piece } = setting;
  const at = (l: Layer): Rect => valuesIn(project, piece, restingVariant(piece), l);
  const own = at(layer);
  const beside = childrenOf(piece).get(layer.parent ?? ROOT) ?? [];
  return beside.some(
    (other) =>
      byOrder(layer, other) < 0 &&
      stops(setting, other) &&
      areaOf(intersect(own, at(other))) > COVERS * own.width * own.height,
  );
};

/**
 * What a click on the chosen layer is listened for on: on the group around it, or the whole piece
 * (null), where others lie over it and would take the click, as a knob does over its track.
 */
export const sourceOf = (setting: Setting): Id | null => {
  const [only] = setting.layers.length === 1 ? setting.layers : [];
  const layer = setting.piece.layers[only ?? ""];
  if (!layer) return null;
  if (!isCovered(setting, layer)) return layer.id;
  return layer.parent === ROOT ? null : layer.parent;
};
