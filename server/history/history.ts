import { sittingsOf } from "#core/history";
import type { Sitting } from "#core/history";
import { ChangeRow, ProjectRow } from "../database";
import type { ProjectLog } from "../log/log";
import { browsersOf } from "./windows";

/** A sitting, and which browser its window is; null where that is not known. */
export interface Told extends Sitting {
  readonly browser: string | null;
}

/** Sittings, and the number before which older changes are; null where there are none. */
export interface Sittings {
  readonly sittings: readonly Told[];
  readonly older: number | null;
}

/** The newest sittings of a project whose changes are before number `before`. */
export const sittingsBefore = async (
  log: ProjectLog,
  id: string,
  before?: number,
): Promise<Sittings> => {
  const entries = await log.entries(id, before);
  const found = sittingsOf(entries);
  const browsers = await browsersOf([...new Set(found.map(({ clientId }) => clientId))]);
  const first = entries[0]?.seq ?? 1;
  return {
    sittings: found.map((s) => ({ ...s, browser: browsers.get(s.clientId) ?? null })),
    older: first > 1 ? first : null,
  };
};

/** When a project was made, ms since 1970. */
export const createdAt = async (id: string): Promise<number> =>
  (await ProjectRow.findByPk(id, { attributes: ["createdAt"] }))?.createdAt.getTime() ?? 0;

/** When a project became what it was after a change, ms since 1970. */
export const changedAt = async (projectId: string, seq: number): Promise<number> => {
  const row = await ChangeRow.findOne({ where: { projectId, seq }, attributes: ["createdAt"] });
  return row?.createdAt.getTime() ?? createdAt(projectId);
};
