import { wrap } from "comlink";
import type { Remote } from "comlink";
import type { Heavy } from "../../workers/heavy";

let worker: Remote<Heavy> | null = null;

/** The worker for heavy computation, started when first needed. */
export const heavy = (): Remote<Heavy> =>
  (worker ??= wrap<Heavy>(
    new Worker(new URL("../../workers/heavy.ts", import.meta.url), { type: "module" }),
  ));
