import { QueryTypes } from "sequelize";
import { inject } from "vitest";
import { FORMAT, newId } from "#core/project";
import type { Change, Project } from "#core/project";
import { openDatabase, ProjectLog } from "#server";
import { kelpwayKit } from "../../demo/index";

/** The projects of the running Nubble, for tests that make their own and look into them. */
export class Projects {
  private readonly db = openDatabase(inject("databaseUrl"));
  readonly log = new ProjectLog(this.db);

  /** Makes a new project; returns its id. */
  async fresh(project: Project = kelpwayKit()): Promise<string> {
    const id = newId();
    await this.log.create(id, project);
    return id;
  }

  /** The project as it is kept at this moment. */
  async kept(id: string): Promise<Project | undefined> {
    return (await this.log.read(id))?.project;
  }

  /**
   * Changes a project over the server, as somebody elsewhere who has seen all of it up to change
   * `seen`.
   */
  async change(id: string, change: Change, seen = 0): Promise<void> {
    const body = JSON.stringify({
      format: FORMAT,
      changeId: newId(),
      clientId: "elsewhere",
      since: seen,
      base: seen,
      late: false,
      change,
    });
    const headers = { "Content-Type": "application/json" };
    const response = await fetch(`${this.address(id)}/changes`, { method: "POST", headers, body });
    if (response.status !== 200)
      throw new Error(`the change was not kept: ${await response.text()}`);
  }

  /** The address of a project's page, or of the bench of one of its pieces. */
  address(id: string, piece?: string): string {
    return `${inject("address")}/projects/${id}${piece === undefined ? "" : `/pieces/${piece}`}`;
  }

  /** Does to the database what no page does. */
  async query(sql: string, replacements: Record<string, string>): Promise<void> {
    await this.db.query(sql, { replacements });
  }

  /** What a question finds in the database. */
  rows(sql: string, replacements: Record<string, string>): Promise<readonly object[]> {
    return this.db.query(sql, { replacements, type: QueryTypes.SELECT });
  }

  close(): Promise<void> {
    return this.db.close();
  }
}
