import { told } from "../../../formats/scxml/contents";
import type { EffectContent } from "../../../formats/scxml/contents";

export const open: EffectContent<"open"> = told;
