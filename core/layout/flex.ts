import type { Node as YogaNode, Yoga } from "yoga-layout/load";
import type { Resolved } from "../looks/tree";
import { ENDLESS } from "../properties/registry";
import type { Four, Values } from "../properties/types";

export type FlexEngine = Yoga;

const alignOf = (f: FlexEngine, word: unknown) =>
  word === "centre" ? f.ALIGN_CENTER : word === "end" ? f.ALIGN_FLEX_END : word === "stretch" ? f.ALIGN_STRETCH : f.ALIGN_FLEX_START;

const justifyOf = (f: FlexEngine, word: unknown) => {
  switch (word) {
    case "centre": return f.JUSTIFY_CENTER;
    case "end": return f.JUSTIFY_FLEX_END;
    case "between": return f.JUSTIFY_SPACE_BETWEEN;
    case "around": return f.JUSTIFY_SPACE_AROUND;
    case "evenly": return f.JUSTIFY_SPACE_EVENLY;
    default: return f.JUSTIFY_FLEX_START;
  }
};

/** Size of a layer that is not arranged by flexbox itself; px, undefined where the layer decides. */
export type Measure = (node: Resolved, width: number | undefined, height: number | undefined) => { width: number; height: number };

export interface FlexPlace {
  readonly node: Resolved;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** places of the children when the layer is itself arranged */
  readonly children: readonly FlexPlace[] | null;
}

/** Whether a layer lays its children out in a row or column. */
export const isArranged = (node: Resolved): boolean => node.layer.kind === "box" && node.values.arrange !== "free";

const limit = (yoga: YogaNode, v: Values): void => {
  if (v.minWidth) yoga.setMinWidth(v.minWidth as number);
  if (v.minHeight) yoga.setMinHeight(v.minHeight as number);
  if (v.maxWidth !== ENDLESS) yoga.setMaxWidth(v.maxWidth as number);
  if (v.maxHeight !== ENDLESS) yoga.setMaxHeight(v.maxHeight as number);
};

/** A layer with `stretch` fills the free room along its parent's direction and the whole room across it. */
const sizeChild = (f: FlexEngine, yoga: YogaNode, v: Values, parentRow: boolean): void => {
  const axes = [["widthMode", "width", parentRow], ["heightMode", "height", !parentRow]] as const;
  let shrink = 0;
  for (const [modeKey, sizeKey, main] of axes) {
    const mode = v[modeKey];
    const size = v[sizeKey] as number;
    if (mode === "fixed") { if (sizeKey === "width") yoga.setWidth(size); else yoga.setHeight(size); }
    if (mode === "stretch" && main) { yoga.setFlexBasis(0); shrink = 1; }
    if (mode === "stretch" && !main) yoga.setAlignSelf(f.ALIGN_STRETCH);
    if (main) yoga.setFlexGrow(mode === "stretch" ? Math.max(1, v.grow as number) : (v.grow as number));
  }
  yoga.setFlexShrink(shrink);
  limit(yoga, v);
  if (v.floats) {
    yoga.setPositionType(f.POSITION_TYPE_ABSOLUTE);
    yoga.setPosition(f.EDGE_LEFT, v.x as number);
    yoga.setPosition(f.EDGE_TOP, v.y as number);
  }
};

const sizeContainer = (f: FlexEngine, yoga: YogaNode, v: Values): void => {
  yoga.setFlexDirection(v.arrange === "row" ? f.FLEX_DIRECTION_ROW : f.FLEX_DIRECTION_COLUMN);
  yoga.setAlignItems(alignOf(f, v.align));
  yoga.setAlignContent(f.ALIGN_FLEX_START);
  yoga.setJustifyContent(justifyOf(f, v.justify));
  yoga.setFlexWrap(v.wrap ? f.WRAP_WRAP : f.WRAP_NO_WRAP);
  yoga.setGap(f.GUTTER_ALL, v.gap as number);
  const [top, right, bottom, left] = v.padding as Four;
  yoga.setPadding(f.EDGE_TOP, top);
  yoga.setPadding(f.EDGE_RIGHT, right);
  yoga.setPadding(f.EDGE_BOTTOM, bottom);
  yoga.setPadding(f.EDGE_LEFT, left);
};

/**
 * Lays out an arranged layer and the arranged layers inside it with CSS flexbox (CSS Flexible Box Layout 1, by Yoga).
 * `width` and `height` fix the outer size, undefined leaves it to the contents. Nothing is rounded to whole pixels.
 */
export const flexPlaces = (engine: FlexEngine, root: Resolved, width: number | undefined, height: number | undefined, measure: Measure): FlexPlace => {
  const config = engine.Config.create();
  config.setPointScaleFactor(0);
  config.setUseWebDefaults(false);
  const build = (node: Resolved): YogaNode => {
    const yoga = engine.Node.createWithConfig(config);
    if (isArranged(node)) {
      sizeContainer(engine, yoga, node.values);
      let index = 0;
      for (const child of node.children) {
        if (!child.values.visible) continue;
        const inner = build(child);
        sizeChild(engine, inner, child.values, node.values.arrange === "row");
        yoga.insertChild(inner, index++);
      }
    } else {
      yoga.setMeasureFunc((w, wMode, h, hMode) => measure(node, wMode === engine.MEASURE_MODE_EXACTLY ? w : undefined, hMode === engine.MEASURE_MODE_EXACTLY ? h : undefined));
    }
    return yoga;
  };
  const read = (node: Resolved, yoga: YogaNode): FlexPlace => {
    const shown = node.children.filter((c) => c.values.visible);
    return {
      node, x: yoga.getComputedLeft(), y: yoga.getComputedTop(), width: yoga.getComputedWidth(), height: yoga.getComputedHeight(),
      children: isArranged(node) ? shown.map((child, i) => read(child, yoga.getChild(i))) : null,
    };
  };
  const tree = build(root);
  limit(tree, root.values);
  if (width !== undefined) tree.setWidth(width);
  if (height !== undefined) tree.setHeight(height);
  try {
    tree.calculateLayout(undefined, undefined, engine.DIRECTION_LTR);
    return read(root, tree);
  } finally {
    tree.freeRecursive();
    config.free();
  }
};
