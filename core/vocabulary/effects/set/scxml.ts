import type { EffectContent } from "../../../formats/scxml/contents";

/** The trait's own region says it. */
export const set: EffectContent<"set"> = () => null;
