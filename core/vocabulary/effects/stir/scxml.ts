import type { EffectContent } from "../../../formats/scxml/contents";

/** It changes no state. */
export const stir: EffectContent<"stir"> = () => null;
