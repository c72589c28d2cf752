import "./zod";
import { expose } from "comlink";
import { cssOf, readTokens, scssOf, writeTokens } from "../core/formats/tokens/index";

/** Reads and writes token files off the main thread, however many tokens there are. */
const tokenWorker = { readTokens, writeTokens, cssOf, scssOf };
export type TokenWorker = typeof tokenWorker;
expose(tokenWorker);
