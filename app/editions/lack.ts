import type { Lack } from "../session/editions";
import { editionsWords } from "./words";

/** Why an edition cannot be shown, in a sentence. */
export const lackText = (lack: Lack): string => editionsWords.lacks[lack];
