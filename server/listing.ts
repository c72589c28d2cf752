import { Op } from "sequelize";
import type { Project } from "#core/project";
import { ownPieces } from "#core/world";
import { ProjectRow } from "./database";

/** A project in the list of all; counts are null where nobody has counted yet. */
export interface Listed {
  readonly id: string;
  readonly name: string;
  /** ms since 1970 */
  readonly changedAt: number;
  readonly madeAt: number;
  readonly components: number | null;
  readonly screens: number | null;
}

/** A project in the bin. */
export interface Binned extends Listed {
  /** ms since 1970 */
  readonly binnedAt: number;
}

/** What the list says of a project: kept beside it, so that the list reads no project. */
export const listingOf = (project: Project): Pick<Listed, "name" | "components" | "screens"> => {
  const own = ownPieces(project);
  const count = (kind: string): number => own.filter((piece) => piece.kind === kind).length;
  return { name: project.name, components: count("component"), screens: count("screen") };
};

const listed = (row: ProjectRow): Listed => {
  const { id, name, updatedAt, createdAt, components, screens } = row;
  const [changedAt, madeAt] = [updatedAt.getTime(), createdAt.getTime()];
  return { id, name, changedAt, madeAt, components, screens };
};

/** All projects that are not in the bin, the newest first, as the list has them. */
export const listProjects = async (): Promise<Listed[]> => {
  const rows = await ProjectRow.findAll({
    where: { binnedAt: null },
    order: [
      ["updatedAt", "DESC"],
      ["id", "ASC"],
    ],
  });
  return rows.map(listed);
};

/** What is in the bin, what came last first. */
export const listBin = async (): Promise<Binned[]> => {
  const rows = await ProjectRow.findAll({
    where: { binnedAt: { [Op.ne]: null } },
    order: [
      ["binnedAt", "DESC"],
      ["id", "ASC"],
    ],
  });
  return rows.map((row) => ({ ...listed(row), binnedAt: row.binnedAt?.getTime() ?? 0 }));
};

/** Notes what the list says of a project that was kept before the list said it. */
export const noteListing = async (id: string, project: Project): Promise<void> => {
  await ProjectRow.update(listingOf(project), { where: { id, components: null }, silent: true });
};
