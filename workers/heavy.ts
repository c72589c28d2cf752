import { expose } from "comlink";
import { combine } from "../core/paths/combine";

/** What takes long enough to be felt, off the main thread. */
const heavy = { combine };
export type Heavy = typeof heavy;
expose(heavy);
