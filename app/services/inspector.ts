import { proxy, wrap } from "comlink";
import type { Remote } from "comlink";
import type { Id } from "#core/basics";
import type { Finding, PieceMap } from "#core/checks";
import type { LayoutEnv } from "#core/layout";
import type { Project } from "#core/project";
import type { Arranged } from "../../workers/arrange";
import type { Inspector } from "../../workers/inspector";

interface Started {
  readonly inspector: Remote<Inspector>;
  env: LayoutEnv | null;
}

/** The first for all that is asked, the second for what can be shared out. */
const started: (Started | undefined)[] = [];

const inspectorAt = async (at: 0 | 1, env: LayoutEnv): Promise<Remote<Inspector>> => {
  const worker = (started[at] ??= {
    inspector: wrap<Inspector>(
      new Worker(new URL("../../workers/inspector.ts", import.meta.url), { type: "module" }),
    ),
    env: null,
  });
  if (worker.env !== env) {
    worker.env = env;
    await worker.inspector.equip(env);
  }
  return worker.inspector;
};

/**
 * The worker that looks pieces through, with the measures of fonts it needs; started when first
 * asked for.
 */
export const inspector = (env: LayoutEnv): Promise<Remote<Inspector>> => inspectorAt(0, env);

/**
 * Checks pieces in all themes in two workers, each taking the next one when it is done with one;
 * true when all were.
 */
export const checkAll = async (
  env: LayoutEnv,
  project: Project,
  pieces: readonly Id[],
  tell: (piece: Id, findings: readonly Finding[]) => void,
): Promise<boolean> => {
  const left = pieces[Symbol.iterator]();
  const next = (): Id | null => {
    const { done, value } = left.next();
    return done ? null : value;
  };
  const share = async (at: 0 | 1): Promise<boolean> => {
    const worker = await inspectorAt(at, env);
    return worker.checkAll(project, proxy(next), proxy(tell));
  };
  const ends = await Promise.all([share(0), share(1)]);
  return ends.every(Boolean);
};

/** Ends what checkAll is at. */
export const stopChecking = async (): Promise<void> => {
  await Promise.all(started.flatMap((w) => (w ? [w.inspector.stopRehearsing()] : [])));
};

/** Where the places of a map lie; computed in the worker. */
export const arrangedMap = async (env: LayoutEnv, map: PieceMap): Promise<Arranged> =>
  (await inspector(env)).arrangeMap(map);
