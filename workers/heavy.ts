import "./zod";
import { expose } from "comlink";
import { buildGathered } from "../core/gather/build";
import { pairDrawings } from "../core/gather/pair";
import { combine } from "../core/paths/combine";

/** What takes long enough to be felt, off the main thread. */
const heavy = { combine, pairDrawings, buildGathered };
export type Heavy = typeof heavy;
expose(heavy);
