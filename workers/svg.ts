import "./zod";
import { expose } from "comlink";
import { readSvg } from "../core/formats/svg/index";

/** Reads files of others; a worker of its own, so that one that takes too long can be ended. */
const reader = { readSvg };
export type SvgReader = typeof reader;
expose(reader);
