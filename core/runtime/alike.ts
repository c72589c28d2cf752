import type { LayoutBox } from "../layout";
import type { LayerValues } from "../properties";
import { isClear } from "./touchable";

type Values = Readonly<Record<string, unknown>>;

const sizeOf = (list: unknown): number => (Array.isArray(list) ? list.length : 0);

/** Whether a value of two layers makes no difference to a pointer: of a colour, whether it is one. */
const isAlike = (key: string, a: LayerValues, b: LayerValues): boolean => {
  if (key === "fill") return isClear(a.fill) === isClear(b.fill);
  if (key === "borderColour") return isClear(a.borderColour) === isClear(b.borderColour);
  const [mine, theirs]: [Values, Values] = [a, b];
  // of shadows it counts whether there are any
  if (key === "shadow") return sizeOf(mine[key]) === sizeOf(theirs[key]);
  return mine[key] === theirs[key] || JSON.stringify(mine[key]) === JSON.stringify(theirs[key]);
};

const sayAlike = (a: LayerValues, b: LayerValues): boolean => {
  if (a === b) return true;
  const keys = Object.keys(a);
  return keys.length === Object.keys(b).length && keys.every((key) => isAlike(key, a, b));
};

const lieAlike = (a: LayoutBox, b: LayoutBox): boolean =>
  a.layer === b.layer &&
  a.x === b.x &&
  a.y === b.y &&
  a.width === b.width &&
  a.height === b.height &&
  a.presence === b.presence;

/**
 * Whether a pointer finds the same in two scenes at rest: they differ in colours alone, and in no
 * layer that one can see in one of them only.
 */
export const touchedAlike = (a: LayoutBox, b: LayoutBox): boolean => {
  if (a === b) return true;
  if (!lieAlike(a, b) || !sayAlike(a.values, b.values)) return false;
  if (a.children.length !== b.children.length || !a.nested !== !b.nested) return false;
  if (a.nested && b.nested && !touchedAlike(a.nested, b.nested)) return false;
  return a.children.every((child, i) => {
    const other = b.children[i];
    return other !== undefined && touchedAlike(child, other);
  });
};
