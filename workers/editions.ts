import "./zod";
import "#core/combine";
import { expose } from "comlink";
import type { LayoutEnv } from "../core/layout/index";
import type { Project } from "../core/project/index";
import { compareEditions, numberEdition, obstaclesIn, reportOn } from "../core/system/index";
import type { Difference, Earlier, Numbered, Obstacle, Report } from "../core/system/index";
import type { Editions } from "../core/world/index";

/** How far something is, and what it is at. */
export interface Step {
  readonly at: "checking" | "comparing" | "reporting";
  readonly done: number;
  readonly of: number;
}
type Tell = (step: Step) => void;

/** Progress is told so often at most, ms. */
const PACE = 100;

/** Runs something to its end, and tells how far it is. */
const ended = <S, T>(run: Generator<S, T>, told: (step: S) => Step, tell: Tell): T => {
  let last = 0;
  for (;;) {
    const { done, value } = run.next();
    if (done) return value;
    const now = performance.now();
    if (now - last < PACE) continue;
    last = now;
    tell(told(value));
  }
};

/** What an adoption brings at two editions, and what that does to the project. */
export interface Change {
  readonly before: Project;
  readonly after: Project;
  readonly adoption: string;
}

/** What takes long about editions, off the main thread; ended with the worker. */
const editionWorker = {
  obstacles: (env: LayoutEnv, world: Project, tell: Tell): readonly Obstacle[] =>
    ended(obstaclesIn(env, world), (step) => step, tell),

  compare: (
    env: LayoutEnv,
    editions: Editions,
    earlier: Earlier | null,
    content: Project,
    tell: Tell,
  ): Numbered => ended(numberEdition(env, editions, earlier, content), (step) => step, tell),

  moments: (env: LayoutEnv, before: Project, after: Project, tell: Tell): readonly Difference[] =>
    ended(
      compareEditions(env, before, after, ["component", "screen"]),
      (step) => ({ at: "comparing", ...step }),
      tell,
    ),

  report: (env: LayoutEnv, { before, after, adoption }: Change, tell: Tell): Report =>
    ended(reportOn(env, before, after, adoption), (step) => ({ at: "reporting", ...step }), tell),
};
export type EditionWorker = typeof editionWorker;
expose(editionWorker);
