import type { Project } from "#core/project";
import { changedAt, editionsSeenBy, projectLog, projects, sinceRequest } from "#server";
import type { Snapshot } from "#server";

/** A project as it was, with all that it had adopted. */
export interface Earlier extends Snapshot {
  readonly editions: Readonly<Record<string, Project>>;
  /** ms since 1970 */
  readonly at: number;
}

/** A project after a change, by the number in an address; null where there is no such moment. */
export const momentAt = async (projectId: string, seq: string): Promise<Earlier | null> => {
  const number = sinceRequest.safeParse(seq);
  if (!number.success || (await projects().binnedSince(projectId))) return null;
  const log = projectLog();
  const snapshot = await log.at(projectId, number.data);
  if (!snapshot) return null;
  const at = await changedAt(projectId, number.data);
  return { ...snapshot, editions: await editionsSeenBy(snapshot.project), at };
};
