import "./zod";
import { expose } from "comlink";
import {
  componentMotions,
  cssOf,
  readTokens,
  scssOf,
  writeTokens,
} from "../core/formats/tokens/index";
import type { Project } from "../core/project/index";

/** Reads and writes token files off the main thread, however many tokens there are. */
const tokenWorker = {
  readTokens,
  writeTokens: (project: Project) => writeTokens(project, componentMotions(project)),
  cssOf,
  scssOf,
};
export type TokenWorker = typeof tokenWorker;
expose(tokenWorker);
