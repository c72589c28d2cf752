import "./zod";
import { expose } from "comlink";
import { readTokens } from "../core/formats/tokens/index";

/** Reads token files off the main thread, whatever is in them. */
const tokenReader = { readTokens };
export type TokenReader = typeof tokenReader;
expose(tokenReader);
