import { MomentRow } from "../database";
import type { ProjectLog } from "../log/log";

/** A moment of a project that somebody gave a name. */
export interface Moment {
  /** after which change */
  readonly seq: number;
  readonly name: string;
}

/** So many moments of a project may have names. */
export const MOST_MOMENTS = 500;

/** The named moments of a project, the newest first. */
export const momentsOf = async (projectId: string): Promise<readonly Moment[]> => {
  const rows = await MomentRow.findAll({ where: { projectId }, order: [["seq", "DESC"]] });
  return rows.map(({ seq, name }) => ({ seq, name }));
};

/**
 * Gives a moment a name, or another one; an empty one takes it away. False when there is no such
 * moment, or no room for more names.
 */
export const nameMoment = async (
  log: ProjectLog,
  projectId: string,
  { seq, name }: Moment,
): Promise<boolean> => {
  const head = await log.head(projectId);
  if (!head || seq > head.seq) return false;
  if (name === "") {
    await MomentRow.destroy({ where: { projectId, seq } });
    return true;
  }
  if ((await MomentRow.count({ where: { projectId } })) >= MOST_MOMENTS) return false;
  await MomentRow.upsert({ projectId, seq, name });
  return true;
};
