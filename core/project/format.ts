import { set } from "./changes/op";
import type { Op } from "./changes/op";
import { projectsAdopt } from "./formats/adoptions";
import { framesTakePointer } from "./formats/frames";
import { piecesHaveSamples } from "./formats/samples";
import type { FormatStep } from "./formats/step";

/** One for each format there has been before today's, the oldest first. Never changed once landed. */
const steps: readonly FormatStep[] = [framesTakePointer, piecesHaveSamples, projectsAdopt];

/** The format in which projects and changes are written today; the first one was 1. */
export const FORMAT = steps.length + 1;

/** Whether something was written by a newer Nubble, so that it cannot be read here. */
export const isNewer = (format: number | undefined): boolean => (format ?? 1) > FORMAT;

/** Whether something was written in an older format than today's. */
export const isOlder = (format: number | undefined): boolean => (format ?? 1) < FORMAT;

/**
 * Brings steps from a format to the newest that `all` leads to. Steps without a format were written
 * before there was a second one.
 */
const upgradeOps = (
  ops: readonly Op[],
  format: number | undefined,
  all: readonly FormatStep[] = steps,
): readonly Op[] => all.slice((format ?? 1) - 1).reduce((now, step) => step(now), ops);

/**
 * A change as it would be made today. Runs wherever steps enter: from the log, the stream, the
 * queue and the clipboard.
 */
export const upgradeChange = <C extends { readonly ops: readonly Op[] }>(
  change: C,
  format: number | undefined,
  all: readonly FormatStep[] = steps,
): C =>
  all.length >= (format ?? 1) ? { ...change, ops: upgradeOps(change.ops, format, all) } : change;

/**
 * What stands at a place of a project as it would be written today: for what is kept apart from any
 * project, as on the clipboard. Undefined when nothing of it is left.
 */
export const upgradeValue = (
  path: readonly string[],
  value: unknown,
  format: number | undefined,
  all: readonly FormatStep[] = steps,
): unknown => {
  const [made] = upgradeOps([set(path, value)], format, all);
  return made?.op === "set" ? made.value : undefined;
};
