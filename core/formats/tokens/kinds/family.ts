import { isList } from "../json";
import type { Json } from "../json";
import type { Kind } from "./kind";

const MOST = 80;

/** The first of the families (§8.3): what stands in for it is kept as it was written. */
export const readFamily = (plain: Json): string | undefined => {
  const first = isList(plain) ? plain[0] : plain;
  if (typeof first !== "string") return undefined;
  // older files say a list as CSS does
  const family = (first.split(",")[0] ?? "").trim().replace(/^["']|["']$/g, "");
  return family === "" || family.length > MOST ? undefined : family;
};

export const familyKind: Kind<string> = {
  name: "fontFamily",
  type: "family",
  read: (json, { plain }) => plain(json, readFamily),
  write: (value) => value,
};
