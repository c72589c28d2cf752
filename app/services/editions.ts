import { proxy } from "comlink";
import type { Remote } from "comlink";
import type { LayoutEnv } from "#core/layout";
import type { Project } from "#core/project";
import type { Difference, Earlier, Numbered, Obstacle, Report } from "#core/system";
import type { Editions } from "#core/world";
import type { Change, EditionWorker, Step } from "../../workers/editions";
import { apart } from "./apart";

export type { Step };

/** Work that goes on elsewhere: what comes of it, and how to end it before that. */
export interface Work<T> {
  readonly result: Promise<T>;
  readonly cancel: () => void;
}

/** Lets a worker of its own do one thing, and go when that is done or not wanted any more. */
const inWorker = <T>(task: (worker: Remote<EditionWorker>) => Promise<T>): Work<T> => {
  const worker = new Worker(new URL("../../workers/editions.ts", import.meta.url), {
    type: "module",
  });
  return { result: apart(worker, task), cancel: () => worker.terminate() };
};

type Tell = (step: Step) => void;

/** What stands in the way of publishing a system. */
export const obstaclesTo = (
  env: LayoutEnv,
  world: Project,
  tell: Tell,
): Work<readonly Obstacle[]> => inWorker((it) => it.obstacles(env, world, proxy(tell)));

/** What one edition is to the one before. */
export const comparisonOf = (
  env: LayoutEnv,
  editions: Editions,
  earlier: Earlier | null,
  content: Project,
  tell: Tell,
): Work<Numbered> => inWorker((it) => it.compare(env, editions, earlier, content, proxy(tell)));

/** What is otherwise at two moments of a project, each with what it adopts. */
export const momentsCompared = (
  env: LayoutEnv,
  before: Project,
  after: Project,
  tell: Tell,
): Work<readonly Difference[]> => inWorker((it) => it.moments(env, before, after, proxy(tell)));

/** What another edition does to a project. */
export const reportFor = (env: LayoutEnv, change: Change, tell: Tell): Work<Report> =>
  inWorker((it) => it.report(env, change, proxy(tell)));
