import type { Id } from "../basics";
import type { LayoutBox } from "../layout";
import type { LayerChanges } from "../project";
import type { Drawing, DrawnLayer } from "./types";

/**
 * A laid out group as a drawing: its layers with their places in px of the group. `said` is what
 * looks say about each layer, tokens unresolved, so that what is bound stays bound. What lies
 * inside copies stays theirs.
 */
export const drawingOf = (
  name: string,
  group: LayoutBox,
  said: (id: Id) => LayerChanges,
): Drawing => {
  const layers: DrawnLayer[] = [];
  const visit = (p: LayoutBox, parent: Id | null, x: number, y: number) => {
    const values = said(p.layer.id);
    layers.push({
      id: p.layer.id,
      kind: p.layer.kind,
      name: p.layer.name,
      parent,
      x,
      y,
      width: p.width,
      height: p.height,
      values,
    });
    for (const child of p.children) visit(child, p.layer.id, x + child.x, y + child.y);
  };
  visit(group, null, 0, 0);
  return { name, layers };
};
