import { wrap } from "comlink";
import type { Remote } from "comlink";
import type { PieceMap } from "#core/checks";
import type { LayoutEnv } from "#core/layout";
import type { Arranged } from "../../workers/arrange";
import type { Inspector } from "../../workers/inspector";

let worker: { inspector: Remote<Inspector>; env: LayoutEnv | null } | null = null;

/**
 * The worker that looks pieces through, with the measures of fonts it needs; started when first
 * asked for.
 */
export const inspector = async (env: LayoutEnv): Promise<Remote<Inspector>> => {
  worker ??= {
    inspector: wrap<Inspector>(
      new Worker(new URL("../../workers/inspector.ts", import.meta.url), { type: "module" }),
    ),
    env: null,
  };
  if (worker.env !== env) {
    worker.env = env;
    await worker.inspector.equip(env);
  }
  return worker.inspector;
};

/** Where the places of a map lie; computed in the worker. */
export const arrangedMap = async (env: LayoutEnv, map: PieceMap): Promise<Arranged> =>
  (await inspector(env)).arrangeMap(map);
