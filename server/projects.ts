import { Op } from "sequelize";
import { FORMAT, cutText, newId, set } from "#core/project";
import { ProjectRow } from "./database";
import type { ProjectLog } from "./log/log";

/** So long a project stays in the bin, days. */
export const BIN_DAYS = 30;
/** What changes are made by that no window made. */
const MAKER = "projects";
const LONGEST_NAME = 120;

/** What is done to projects as a whole. */
export class Projects {
  constructor(private readonly log: ProjectLog) {}

  /** Gives a project another name, as a change that its windows hear of; false when it is not there. */
  async rename(id: string, name: string): Promise<boolean> {
    const head = await this.log.head(id);
    if (!head) return false;
    const answer = await this.log.append(id, {
      format: FORMAT,
      changeId: newId(),
      clientId: MAKER,
      since: head.seq,
      base: head.seq,
      late: false,
      change: { label: cutText(`Rename to ${name}`, 200), ops: [set(["name"], name)] },
    });
    return answer.kind === "kept";
  }

  /** Makes another project of the present state of one, without its history; null when it is not there. */
  async duplicate(id: string): Promise<string | null> {
    const snapshot = await this.log.read(id);
    if (!snapshot) return null;
    const { project } = snapshot;
    const suffix = " (copy)";
    const name = `${cutText(project.name, LONGEST_NAME - suffix.length)}${suffix}`;
    const copy = newId();
    await this.log.create(copy, { ...project, name });
    return copy;
  }

  /** Puts a project into the bin: nothing of it is changed, and it is not listed. */
  bin(id: string): Promise<boolean> {
    return this.setBinned(id, new Date());
  }

  /** Takes a project out of the bin. */
  restore(id: string): Promise<boolean> {
    return this.setBinned(id, null);
  }

  /** Since when a project has been in the bin; null where it is not in it. */
  async binnedSince(id: string): Promise<Date | null> {
    return (await ProjectRow.findByPk(id, { attributes: ["binnedAt"] }))?.binnedAt ?? null;
  }

  /** Deletes a project that is in the bin, for good; false when none is. */
  async destroy(id: string): Promise<boolean> {
    if (!(await this.binnedSince(id))) return false;
    await this.log.destroy(id);
    return true;
  }

  /** Deletes for good what has been in the bin for long; gives how many. */
  async empty(now = new Date()): Promise<number> {
    const since = new Date(now.getTime() - BIN_DAYS * 86_400_000);
    const rows = await ProjectRow.findAll({
      where: { binnedAt: { [Op.lt]: since } },
      attributes: ["id"],
    });
    for (const { id } of rows) await this.log.destroy(id);
    return rows.length;
  }

  private async setBinned(id: string, binnedAt: Date | null): Promise<boolean> {
    // when it was changed stays as it was
    const [count] = await ProjectRow.update({ binnedAt }, { where: { id }, silent: true });
    return count > 0;
  }
}
