import { isBound } from "../../properties";

const inside = (value: unknown, name: (token: string) => string): unknown => {
  if (isBound(value)) return { token: name(value.token) };
  if (Array.isArray(value)) return value.map((item) => inside(item, name));
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, inside(v, name)]));
};

/** A value that is bound to the same tokens by other names: paths for ids, or ids for paths. */
export const renamed = <V>(value: V, name: (token: string) => string): V =>
  // the same but for the names
  inside(value, name) as V;
