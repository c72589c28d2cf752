import { isList, isObject } from "./json";

/** Whether two JSON values say the same, whatever the order of their keys. */
export const sameJson = (a: unknown, b: unknown): boolean => {
  if (a === b) return true;
  if (isList(a))
    return isList(b) && a.length === b.length && a.every((item, i) => sameJson(item, b[i]));
  if (!isObject(a) || !isObject(b)) return false;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((key) => Object.hasOwn(b, key) && sameJson(a[key], b[key]))
  );
};
