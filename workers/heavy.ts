import "./zod";
import "#core/combine";
import { expose } from "comlink";
import { buildGathered, pairDrawings } from "../core/gather/index";
import { combine } from "../core/paths/index";

/** What takes long enough to be felt, off the main thread. */
const heavy = { combine, pairDrawings, buildGathered };
export type Heavy = typeof heavy;
expose(heavy);
