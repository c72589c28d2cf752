import type { Transaction } from "sequelize";
import type { Adoption, Op, Project } from "#core/project";
import { MOST_SEEN, countSeen } from "#core/world";
import { editionContent, editionsSeenBy, wayTo } from "./contents";
import { AdoptionRow, EditionRow } from "./database";

/** Whether steps of a change adopt something, or end that. */
export const touchesAdoptions = (ops: readonly Op[]): boolean =>
  ops.some(({ path }) => path[0] === "adoptions");

const adopts = (project: Project, adoption: Adoption): boolean =>
  Object.values(project.adoptions).some(({ system }) => system === adoption.system);

/** Why a project cannot adopt an edition; null when it can. */
const wrong = async (
  projectId: string,
  before: Project,
  adoption: Adoption,
  transaction: Transaction,
): Promise<string | null> => {
  const { system, number, edition, name } = adoption;
  if (system === projectId) return "a system cannot adopt itself";
  const row = await EditionRow.findOne({ where: { system, number }, transaction });
  if (row?.hash !== edition) return `“${name}” has no edition ${number}`;
  // those who use a system may go back to any of its editions
  if (row.withdrawn !== null && !adopts(before, adoption))
    return `edition ${number} of “${name}” was withdrawn: ${row.withdrawn}`;
  const answer = await editionContent(edition, transaction);
  if (answer.kind === "newer") return `edition ${number} of “${name}” is from a newer Nubble`;
  if (answer.kind === "unknown") return `edition ${number} of “${name}” is damaged`;
  const way = await wayTo(answer.content.adoptions, projectId, transaction);
  return way && `“${name}” uses this project itself: ${[name, ...way].join(" → ")}`;
};

/** Why a project cannot adopt what it has not adopted before; null when it can. */
export const wrongAdoption = async (
  projectId: string,
  before: Project,
  after: Project,
  transaction: Transaction,
): Promise<string | null> => {
  for (const adoption of Object.values(after.adoptions)) {
    const was = before.adoptions[adoption.id];
    const isNew =
      was?.edition !== adoption.edition ||
      was.system !== adoption.system ||
      was.number !== adoption.number;
    const reason = isNew ? await wrong(projectId, before, adoption, transaction) : null;
    if (reason !== null) return reason;
  }
  const seen = new Map(Object.entries(await editionsSeenBy(after, transaction)));
  const count = countSeen(after, seen);
  return count > MOST_SEEN
    ? `it would bring ${count} editions, with those that systems use themselves; ${MOST_SEEN} are possible`
    : null;
};

/** Notes which editions a project uses, for those who publish them. */
export const noteAdoptions = async (
  projectId: string,
  project: Project,
  transaction: Transaction,
): Promise<void> => {
  await AdoptionRow.destroy({ where: { projectId }, transaction });
  await AdoptionRow.bulkCreate(
    Object.values(project.adoptions).map(({ id, system, number }) => ({
      projectId,
      id,
      system,
      number,
    })),
    { transaction },
  );
};
