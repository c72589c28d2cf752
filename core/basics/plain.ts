/** A text, number or flag as text; empty for everything that is none. */
export const plainText = (value: unknown): string => {
  if (typeof value === "string") return value;
  return typeof value === "number" || typeof value === "boolean" ? String(value) : "";
};
